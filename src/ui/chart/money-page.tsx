'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { addMoneyAccounts, saveBank } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, accountId, called } from '@/core/chart/account';
import { type BankDetails, bicProblem, ibanProblem, plainIban, printIban } from '@/core/chart/bank';
import { printRouting, routingOf, routingProblem } from '@/core/chart/routing';
import { typeOf } from '@/core/ledger/classes';
import { codeSource } from '@/core/chart/codes';
import type { CodeScheme } from '@/core/chart/scheme';
import { minorDigits } from '@/core/money/currency';
import { readEntry } from '@/core/money/entry';
import { formatMinor } from '@/core/money/format';
import { type Minor, minor } from '@/core/money/minor';
import { type Problem, plural, isAt } from '@/core/base/result';
import { sided } from '../parts/figures';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { useRefresh } from '../parts/use-refresh';

interface Money {
  readonly account: Account;
  readonly amount: Minor | null;
  readonly details: BankDetails;
}

interface Props {
  readonly frame: FrameView;
  readonly currencies: readonly string[];
  readonly scheme: CodeScheme | null;
  readonly accounts: readonly Account[];
  readonly money: readonly Money[];
  readonly country: string;
}

/** Bank, cash and card accounts with what the bank calls them; several are added in one go. */
export const MoneyPage = ({ frame, country, currencies, scheme, accounts, money }: Props) => (
  <ChartFrame
    frame={frame}
    place="/money"
    title="Bank, cash and card accounts"
    about={money.length === 0 ? 'none yet' : plural(money.length, 'account')}
  >
    <div className="px-4 py-3">
      {money.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0}>
          <table className="ledger tight w-full min-w-[68rem]">
            <thead>
              <tr>
                {[
                  'Account',
                  'Kind',
                  'Cur.',
                  'IBAN',
                  'Account number',
                  'Bank code',
                  'BIC',
                  'Alert below',
                  'On documents',
                  'Reconcile',
                  'Statement day',
                ].map((label) => (
                  <th key={label} scope="col" className="text-left">
                    {label}
                  </th>
                ))}
                <th scope="col" className="figure">
                  Opens at {frame.currency}
                </th>
              </tr>
            </thead>
            <tbody>
              {money.map((one) => (
                <MoneyRow key={one.account.id} frame={frame} country={country} {...one} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <AddMoney frame={frame} currencies={currencies} scheme={scheme} accounts={accounts} />
    </div>
  </ChartFrame>
);

const MoneyRow = ({
  frame,
  country,
  account,
  amount,
  details: known,
}: Money & { readonly frame: FrameView; readonly country: string }) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const digits = minorDigits(account.currency ?? frame.currency);
  const routing = routingOf(country, account.currency);
  // What was saved here and has not come back with the page yet: the next save is made from it, not from what stood before.
  const [ahead, setAhead] = useState<Partial<BankDetails>>({});
  const [seen, setSeen] = useState(known);
  const [busy, setBusy] = useState(0);
  if (seen !== known) {
    setSeen(known);
    if (busy === 0) setAhead({});
  }
  const details = { ...known, ...ahead };
  const save = async (change: Partial<BankDetails>): Promise<void> => {
    setAhead((was) => ({ ...was, ...change }));
    setBusy((count) => count + 1);
    const done = await send(saveBank({ books: frame.id, account: account.id, bank: { ...details, ...change } }));
    setBusy((count) => count - 1);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) {
      setAhead({});
      return;
    }
    toast('Saved');
    refresh();
  };
  const text = (
    field: 'iban' | 'number' | 'routing' | 'bic',
    shows: string,
    label: string,
    width: string,
    check?: (typed: string) => Problem | undefined,
  ) => (
    <td>
      <input
        key={shows}
        aria-label={`${label} of ${called(account)}`}
        aria-invalid={problems.some((one) => isAt(one, field))}
        defaultValue={shows}
        onBlur={(event) => {
          const typed = event.target.value.trim();
          if (typed === shows) return;
          const wrong = check?.(typed);
          if (wrong === undefined) void save({ [field]: field === 'iban' ? plainIban(typed) : typed });
          else setProblems([wrong]);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') event.currentTarget.value = shows;
          if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
        }}
        className={`input input-xs ${width}`}
      />
    </td>
  );
  const alert = details.alertBelow === null ? '' : formatMinor(minor(details.alertBelow), digits, frame.style);
  return (
    <>
      <tr>
        <th scope="row" className="text-left font-medium whitespace-nowrap">
          {called(account)}
          {!account.active && <span className="note"> inactive</span>}
        </th>
        <td>{account.role}</td>
        <td>{account.currency ?? frame.currency}</td>
        {text('iban', printIban(details.iban), 'IBAN', 'w-52', ibanProblem)}
        {text('number', details.number, 'Account number', 'w-28')}
        {text('routing', printRouting(details.routing, routing), routing.label, 'w-24', (typed) =>
          routingProblem(typed, routing),
        )}
        {text('bic', details.bic, 'BIC', 'w-24', bicProblem)}
        <td>
          <input
            key={alert}
            aria-label={`Alert of ${called(account)} below, in ${account.currency ?? frame.currency}`}
            defaultValue={alert}
            onBlur={(event) => {
              const typed = event.target.value.trim();
              if (typed === alert) return;
              if (typed === '') {
                void save({ alertBelow: null });
                return;
              }
              const read = readEntry(typed, 'debit', { code: account.currency ?? frame.currency, digits }, frame.style);
              if (!read.ok) setProblems(read.problems);
              else if (read.value.kind === 'amount') void save({ alertBelow: read.value.amount });
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
            className="input input-xs w-20 text-right"
          />
        </td>
        <td>
          <input
            type="checkbox"
            aria-label={`Documents name ${called(account)} to pay into`}
            className="checkbox checkbox-xs"
            checked={details.onDocuments}
            onChange={(event) => void save({ onDocuments: event.target.checked })}
          />
        </td>
        <td>
          <input
            type="checkbox"
            aria-label={`Reconcile ${called(account)} with its statements`}
            className="checkbox checkbox-xs"
            checked={details.reconciled}
            onChange={(event) => void save({ reconciled: event.target.checked })}
          />
        </td>
        <td>
          <select
            aria-label={`Statement day of ${called(account)}`}
            value={details.statementDay ?? ''}
            onChange={(event) =>
              void save({ statementDay: event.target.value === '' ? null : Number(event.target.value) })
            }
            className="select select-xs w-20"
          >
            <option value="">varies</option>
            {Array.from({ length: 31 }, (_, at) => (
              <option key={at} value={at + 1}>
                {at === 30 ? 'last' : at + 1}
              </option>
            ))}
          </select>
        </td>
        <td className="figure whitespace-nowrap">
          {amount === null || amount === 0n ? '' : sided(amount, frame)}
          {details.alertBelow !== null && account.currency === null && (amount ?? 0n) < details.alertBelow && (
            <span className="block text-xs text-ochre">below {alert}</span>
          )}
        </td>
      </tr>
      {problems.length > 0 && (
        <tr>
          <td colSpan={12}>
            <p role="alert" className="text-sm text-brick">
              {problems.map((one) => one.message).join(' ')}
            </p>
          </td>
        </tr>
      )}
    </>
  );
};

interface NewRow {
  readonly kind: 'bank' | 'cash' | 'card';
  readonly name: string;
  readonly currency: string;
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
                    onChange={(event) => put(at, { currency: event.target.value })}
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
