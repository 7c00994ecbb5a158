'use client';

import { type Currency, asCurrency } from '@/core/money/currency';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { addMoneyAccounts, saveBanks } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, PLAIN_ACCOUNT, accountId, called } from '@/core/chart/account';
import { type BankDetails, NO_BANK_DETAILS } from '@/core/chart/bank';
import {
  BANK_COLUMNS,
  BANK_LABELS,
  type BankColumn,
  type BankRules,
  LAST_DAY,
  VARIES,
  bankText,
  typedBank,
} from '@/core/chart/bank-cells';
import { routingOf } from '@/core/chart/routing';
import { typeOf } from '@/core/ledger/classes';
import { codeSource } from '@/core/chart/codes';
import type { CodeScheme } from '@/core/chart/scheme';
import { type Minor, NIL } from '@/core/money/minor';
import { type Problem, ok, plural } from '@/core/base/result';
import { MarginPart } from '../frame/frame';
import { sided } from '../parts/figures';
import type { Choice } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { useRefresh } from '../parts/use-refresh';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { useSavedRows } from '../sheet/use-saved-rows';
import { ChartFrame } from './chart-frame';

interface MoneyFields {
  readonly account: Account;
  readonly amount: Minor | null;
  readonly details: BankDetails;
}
type Row = SheetRow<MoneyFields>;

const KEYS = [
  ['type, Enter or F2', 'edit a cell'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Ctrl V', 'paste cells from a spreadsheet'],
  ['Ctrl Z', 'take back what was changed last'],
] as const;

const WIDTHS: Readonly<Record<BankColumn, string>> = {
  iban: '15.5rem',
  number: '8.5rem',
  routing: '6.5rem',
  bic: '7.5rem',
  alertBelow: '6.5rem',
  onDocuments: '6.8rem',
  reconciled: '5.6rem',
  statementDay: '6.8rem',
};

const choice = (word: string): Choice => ({ key: word, code: '', name: word });
const YES_NO = ['yes', 'no'].map(choice);
const CHOICES: Readonly<Partial<Record<BankColumn, readonly Choice[]>>> = {
  onDocuments: YES_NO,
  reconciled: YES_NO,
  statementDay: [VARIES, ...Array.from({ length: 30 }, (_, at) => String(at + 1)), LAST_DAY].map(choice),
};

/** What no row is made of: accounts are added below the sheet. */
const PLAIN_MONEY: Account = {
  ...PLAIN_ACCOUNT,
  id: accountId(-1),
  code: '',
  name: '',
  classification: 'current-asset',
};

interface Props {
  readonly frame: FrameView;
  readonly currencies: readonly Currency[];
  readonly scheme: CodeScheme | null;
  readonly accounts: readonly Account[];
  readonly money: readonly MoneyFields[];
  readonly country: string;
}

/** Bank, cash and card accounts with what the bank calls them; several are added in one go. */
export const MoneyPage = ({ frame, country, currencies, scheme, accounts, money }: Props) => {
  const [selected, setSelected] = useState<string | undefined>();
  const rows = useSavedRows<MoneyFields>({
    of: frame,
    stored: useMemo(() => money.map((one) => ({ id: one.account.id, revision: 0, fields: one })), [money]),
    blank: { account: PLAIN_MONEY, amount: null, details: NO_BANK_DETAILS },
    apply: (fields, { column, text }) => {
      const read = typedBank(fields.details, column as BankColumn, text, rulesOf(fields.account));
      return read.ok ? ok({ ...fields, details: read.value }) : read;
    },
    complete: () => true,
    store: (sent) =>
      send(
        saveBanks({
          books: frame.id,
          accounts: sent.flatMap(({ fields, stored }) =>
            fields === null
              ? []
              : [
                  {
                    account: fields.account.id,
                    bank: fields.details,
                    ...(stored === null ? {} : { seen: stored.details }),
                  },
                ],
          ),
        }),
      ),
    one: 'account',
  });
  const rulesOf = (account: Account): BankRules => ({
    currency: account.currency ?? frame.currency,
    style: frame.style,
    routing: routingOf(country, account.currency),
  });
  const offerLast = useLastChange(frame.id, ['bank']);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });
  const told = (id: string, label: string, width: string, text: (row: MoneyFields) => string): DataColumn<Row> => ({
    id,
    label,
    width,
    kind: 'text',
    text: ({ fields }) => text(fields),
    takes: false,
  });
  const columns: readonly DataColumn<Row>[] = [
    {
      ...told(
        'account',
        'Account',
        'minmax(13rem,1fr)',
        ({ account }) => `${called(account)}${account.active ? '' : ' (inactive)'}`,
      ),
      stays: 'md:left-0',
    },
    told('kind', 'Kind', '3.6rem', ({ account }) => account.role ?? ''),
    told('currency', 'Cur.', '3.4rem', ({ account }) => account.currency ?? frame.currency),
    ...BANK_COLUMNS.map((id): DataColumn<Row> => ({
      id,
      label: BANK_LABELS[id],
      width: WIDTHS[id],
      kind: id === 'alertBelow' ? 'figure' : CHOICES[id] === undefined ? 'text' : 'choice',
      text: ({ fields, unread }) => unread[id]?.text ?? bankText(fields.details, id, rulesOf(fields.account)),
      takes: true,
      ...(CHOICES[id] === undefined ? {} : { choices: CHOICES[id] }),
    })),
    {
      ...told('amount', `Opens at ${frame.currency}`, '8rem', ({ amount }) =>
        amount === null || amount === NIL ? '' : sided(amount, frame),
      ),
      kind: 'figure',
    },
  ];
  const noteOf = (row: Row, column: string) => {
    const { account, amount, details } = row.fields;
    const low = details.alertBelow !== null && account.currency === null && (amount ?? NIL) < details.alertBelow;
    return column === 'amount' && low
      ? ({ tone: 'asked', says: `below ${bankText(details, 'alertBelow', rulesOf(account))}` } as const)
      : noteAt(row, column, 'account', []);
  };
  const chosen = rows.rows.find(({ key }) => key === selected);
  const says = [
    ...Object.values(chosen?.unread ?? {}).map((one) => one.says),
    ...(chosen?.refused ?? []).map(({ message }) => message),
  ];
  return (
    <ChartFrame
      frame={frame}
      place="/money"
      title="Bank, cash and card accounts"
      about={
        money.length === 0 ? (
          'none yet'
        ) : (
          <>
            {plural(money.length, 'account')} · <span role="status">{rows.said}</span>
          </>
        )
      }
      keys={KEYS}
      margin={
        chosen !== undefined && (
          <MarginPart title={called(chosen.fields.account)}>
            {says.map((one) => (
              <p key={one} role="alert" className="text-brick">
                {one}
              </p>
            ))}
            <p>
              Its bank is numbered by a {rulesOf(chosen.fields.account).routing.label.toLowerCase()}:{' '}
              {rulesOf(chosen.fields.account).routing.says}.
            </p>
          </MarginPart>
        )
      }
    >
      <Problems problems={rows.problems} />
      {money.length > 0 && (
        <div className="flex max-h-[60vh] min-h-0 flex-col pt-1">
          <DataSheet<Row>
            label="Bank, cash and card accounts"
            heading={`${frame.name} · bank, cash and card accounts`}
            columns={columns}
            rows={rows.rows}
            idOf={({ key }) => key}
            nameOf={({ fields }) => called(fields.account)}
            selected={selected}
            onSelect={setSelected}
            open={frame.may.includes('chart.change')}
            onEdit={rows.edit}
            noteOf={noteOf}
            empty=""
          />
        </div>
      )}
      <div className="no-print px-4 pb-3">
        <AddMoney frame={frame} currencies={currencies} scheme={scheme} accounts={accounts} />
      </div>
    </ChartFrame>
  );
};

interface NewRow {
  readonly kind: 'bank' | 'cash' | 'card';
  readonly name: string;
  readonly currency: Currency | '';
  readonly number: string;
}
const BLANK: NewRow = { kind: 'bank', name: '', currency: '', number: '' };

/** New accounts, one per row; a row with a name counts. */
const AddMoney = ({ frame, currencies, scheme, accounts }: Omit<Props, 'money' | 'country'>) => {
  const refresh = useRefresh();
  const [rows, setRows] = useState<readonly NewRow[]>([BLANK, BLANK]);
  const [parents, setParents] = useState<Readonly<Record<'asset' | 'liability', string>>>(() => {
    const under = (line: Account['classification']): string =>
      String(accounts.find((one) => one.heading && one.classification === line)?.id ?? '');
    return { asset: under('current-asset'), liability: under('current-liability') };
  });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const named = rows.filter(({ name }) => name.trim() !== '');
  const put = (at: number, change: Partial<NewRow>): void => {
    const next = rows.map((row, other) => (other === at ? { ...row, ...change } : row));
    setRows(next.at(-1)?.name === '' ? next : [...next, BLANK]);
  };
  const add = async (): Promise<void> => {
    const propose = codeSource(accounts, scheme);
    const done = await send(
      addMoneyAccounts({
        books: frame.id,
        accounts: named.map(({ kind, name, currency, number }) => {
          const under = parents[kind === 'card' ? 'liability' : 'asset'];
          const parent = accounts.find(({ id }) => String(id) === under);
          const looksLikeIban = /^[A-Za-z]{2}\d{2}/.test(number.trim());
          return {
            code: propose(
              parent,
              parent?.classification ?? (kind === 'card' ? 'current-liability' : 'current-asset'),
              kind,
            ),
            name,
            kind,
            parent: under === '' ? null : accountId(Number(under)),
            currency: currency === '' ? null : currency,
            iban: looksLikeIban ? number : '',
            number: looksLikeIban ? '' : number,
          };
        }),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.added, 'account')} added`);
    setRows([BLANK, BLANK]);
    refresh();
  };
  return (
    <form
      aria-label="Add money accounts"
      className="mt-5 max-w-3xl text-sm"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
    >
      <h2 className="title mb-1 text-lg">Add several at once</h2>
      <Problems problems={problems} />
      <div className="overflow-x-auto">
        <table className="ledger tight w-full min-w-[34rem]">
          <thead>
            <tr>
              {['Kind', 'Name', 'Currency', 'IBAN or account number'].map((label) => (
                <th key={label} scope="col" className="text-left">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, at) => (
              <tr key={at}>
                <td>
                  <select
                    aria-label={`Kind, row ${String(at + 1)}`}
                    value={row.kind}
                    onChange={(event) => put(at, { kind: event.target.value as NewRow['kind'] })}
                    className="select select-xs w-20"
                  >
                    <option>bank</option>
                    <option>cash</option>
                    <option>card</option>
                  </select>
                </td>
                <td>
                  <input
                    aria-label={`Name, row ${String(at + 1)}`}
                    value={row.name}
                    onChange={(event) => put(at, { name: event.target.value })}
                    className="input input-xs w-full"
                  />
                </td>
                <td>
                  <select
                    aria-label={`Currency, row ${String(at + 1)}`}
                    value={row.currency}
                    onChange={(event) => put(at, { currency: asCurrency(event.target.value) ?? '' })}
                    className="select select-xs w-20"
                  >
                    <option value="">{frame.currency}</option>
                    {currencies.map((code) => (
                      <option key={code}>{code}</option>
                    ))}
                  </select>
                </td>
                <td>
                  <input
                    aria-label={`IBAN or account number, row ${String(at + 1)}`}
                    value={row.number}
                    onChange={(event) => put(at, { number: event.target.value })}
                    className="input input-xs w-full"
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        {(['asset', 'liability'] as const).map((type) => (
          <label key={type} className="flex items-center gap-1.5">
            {type === 'asset' ? 'Banks and cash under' : 'Cards under'}
            <select
              value={parents[type]}
              onChange={(event) => setParents({ ...parents, [type]: event.target.value })}
              className="select select-sm w-44"
            >
              <option value="">the top</option>
              {accounts
                .filter((one) => one.heading && typeOf(one.classification) === type)
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {called(one)}
                  </option>
                ))}
            </select>
          </label>
        ))}
        <button type="submit" className="btn btn-primary btn-sm" disabled={named.length === 0}>
          Add {named.length > 0 ? plural(named.length, 'account') : 'accounts'}
        </button>
      </div>
      <p className="note mt-1">
        An account may be kept in another currency than its heading; its kind and currency are fixed once it is used.
      </p>
    </form>
  );
};
