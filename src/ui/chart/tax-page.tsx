'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { addStarterTaxCodes, saveTaxCodes } from '@/actions/chart/tax-codes';
import type { Account } from '@/core/chart/account';
import type { ProposedTaxAccounts } from '@/core/chart/tax-accounts';
import { TAX_COLUMNS, type TaxColumn, blankTaxCode, taxText, typedTax } from '@/core/chart/tax-cells';
import {
  TAX_DIRECTIONS,
  type TaxCode,
  type TaxCodeFields,
  directionFacts,
  taxCodeProblems,
} from '@/core/chart/tax-codes';
import { type Problem, plural } from '@/core/base/result';
import { MarginPart } from '../frame/frame';
import { Field } from '../parts/field';
import { day } from '../parts/names';
import { type Choice, Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { useRefresh } from '../parts/use-refresh';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { useSavedRows } from '../sheet/use-saved-rows';
import { accountChoices } from './account-choices';
import { ChartFrame } from './chart-frame';
import { TaxRates } from './tax-rates';

type Row = SheetRow<TaxCodeFields>;

const KEYS = [
  ['type, Enter or F2', 'edit a cell; in the blank row behind the last, a new code'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Ctrl V', 'paste rows from a spreadsheet'],
  ['Ctrl −', 'delete the chosen codes; one that is an account’s default stays'],
  ['Ctrl Z', 'take back what was changed last'],
] as const;

const WIDTHS: Readonly<Record<TaxColumn, string>> = {
  code: '6rem',
  name: 'minmax(12.5rem,1fr)',
  direction: '11.2rem',
  rates: '6.5rem',
  charged: '9.8rem',
  recoverable: '9.8rem',
  active: '4.4rem',
};

const choice = (word: string): Choice => ({ key: word, code: '', name: word });

interface Props {
  readonly frame: FrameView;
  readonly country: string;
  /** First day of the first fiscal year, from which proposed rates count. */
  readonly firstDay: IsoDate;
  readonly codes: readonly TaxCode[];
  /** Accounts that have the role for sales tax. */
  readonly accounts: readonly Account[];
  readonly proposed: ProposedTaxAccounts;
}

/** Tax codes on a sheet, with their rates by date and the accounts they post to. */
export const TaxPage = ({ frame, country, firstDay, codes, accounts, proposed }: Props) => {
  const [selected, setSelected] = useState<string | undefined>();
  const byId = useMemo(() => new Map(accounts.map((one) => [one.id, one])), [accounts]);
  const rules = { day: frame.cutover, firstDay, style: frame.style, accounts, proposed };
  const rows = useSavedRows<TaxCodeFields>({
    of: frame,
    stored: useMemo(() => codes.map(({ id, ...fields }) => ({ id, revision: 0, fields })), [codes]),
    blank: blankTaxCode({ proposed }),
    apply: (fields, { column, text }) => typedTax(fields, column as TaxColumn, text, rules),
    // What others make of it, the server says.
    complete: (fields) => taxCodeProblems(fields, [], byId).length === 0,
    store: (sent) =>
      send(
        saveTaxCodes({
          books: frame.id,
          entries: sent.map(({ id, fields, stored }) => ({
            id,
            code: fields === null ? null : { ...fields, rates: [...fields.rates] },
            ...(stored === null ? {} : { seen: { ...stored, rates: [...stored.rates] } }),
          })),
        }),
      ),
    one: 'tax code',
  });
  const offerLast = useLastChange(frame.id, ['tax-code']);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });
  const labels: Readonly<Record<TaxColumn, string>> = {
    code: 'Code',
    name: 'Name',
    direction: 'What it does',
    rates: `Rate, ${day(frame.cutover, frame.dates)}`,
    charged: 'Owed on',
    recoverable: 'Claimed on',
    active: 'In use',
  };
  const choices = useMemo((): Readonly<Partial<Record<TaxColumn, readonly Choice[]>>> => {
    const onAccounts = accountChoices(accounts);
    return {
      direction: TAX_DIRECTIONS.map(({ label }) => choice(label)),
      charged: onAccounts,
      recoverable: onAccounts,
      active: ['yes', 'no'].map(choice),
    };
  }, [accounts]);
  const columns = TAX_COLUMNS.map((id): DataColumn<Row> => {
    const offered = choices[id];
    return {
      id,
      label: labels[id],
      width: WIDTHS[id],
      kind: offered !== undefined ? 'choice' : id === 'rates' ? 'figure' : 'text',
      text: (row) => row.unread[id]?.text ?? taxText(row.fields, id, rules),
      takes: true,
      ...(offered === undefined ? {} : { choices: offered }),
      ...(id === 'code' ? { stays: 'md:left-0' } : {}),
    };
  });
  /** What still keeps a code from being kept; one that is stored may be older than today's rules. */
  const lacks = ({ id, fields, stored }: Row): readonly Problem[] =>
    fields === stored || fields.code === '' ? [] : taxCodeProblems(fields, codes, byId, id ?? undefined);
  const chosen = rows.rows.find(({ key }) => key === selected);
  const says =
    chosen === undefined
      ? []
      : [
          ...Object.values(chosen.unread).map((one) => one.says),
          ...(chosen.refused.length > 0 ? chosen.refused : lacks(chosen)).map(({ message }) => message),
        ];
  const open = frame.may.includes('chart.change');
  return (
    <ChartFrame
      frame={frame}
      place="/tax"
      title="Tax codes"
      about={
        <>
          {rows.rows.length === 0 ? 'none yet' : plural(rows.rows.length, 'code')} ·{' '}
          <span role="status">{rows.said}</span>
        </>
      }
      keys={KEYS}
      margin={
        chosen === undefined ? (
          <p className="note">Choose a code to see its rates by date.</p>
        ) : (
          <MarginPart title={`${chosen.fields.code} ${chosen.fields.name}`.trim() || 'New tax code'}>
            <p>
              {directionFacts(chosen.fields.direction).label}: {directionFacts(chosen.fields.direction).means}.
            </p>
            {says.map((one) => (
              <p key={one} className="mt-1 text-brick">
                {one}
              </p>
            ))}
            {directionFacts(chosen.fields.direction).sides.length > 0 && (
              <div className="mt-3">
                <h3 className="mb-1 font-semibold">Rates</h3>
                <TaxRates
                  key={chosen.key}
                  frame={frame}
                  rates={chosen.fields.rates}
                  open={open}
                  onRates={(rates) => rows.change(chosen.key, (fields) => ({ ...fields, rates }))}
                />
              </div>
            )}
          </MarginPart>
        )
      }
    >
      <Problems problems={rows.problems} />
      <div className="flex max-h-[60vh] min-h-0 flex-col pt-1">
        <DataSheet<Row>
          label="Tax codes"
          heading={`${frame.name} · tax codes`}
          columns={columns}
          rows={rows.rows}
          idOf={({ key }) => key}
          nameOf={({ fields }) => fields.code}
          blank={rows.next}
          selected={selected}
          onSelect={setSelected}
          open={open}
          onEdit={rows.edit}
          onDelete={rows.remove}
          noteOf={(row, column) => noteAt(row, column, 'code', lacks(row))}
          empty={<p>Begin with the starter set below, or type the first code in the blank row.</p>}
        />
      </div>
      <div className="no-print px-4 pb-3">
        <Starter
          frame={frame}
          country={country}
          firstDay={firstDay}
          accounts={accounts}
          proposed={proposed}
          some={codes.length > 0}
        />
      </div>
    </ChartFrame>
  );
};

/** The starter set of the country; rates are proposals and can be changed one by one. */
const Starter = ({
  frame,
  country,
  firstDay,
  accounts,
  proposed,
  some,
}: Omit<Props, 'codes'> & { readonly some: boolean }) => {
  const refresh = useRefresh();
  const choices = useMemo(() => accountChoices(accounts), [accounts]);
  const [charged, setCharged] = useState(String(proposed.charged ?? ''));
  const [recoverable, setRecoverable] = useState(String(proposed.recoverable ?? ''));
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const add = async (): Promise<void> => {
    const done = await send(
      addStarterTaxCodes({
        books: frame.id,
        from: firstDay,
        charged: Number(charged),
        recoverable: Number(recoverable),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.added, 'tax code')} added`);
    refresh();
  };
  return (
    <section aria-labelledby="starter-codes" className="mt-5 max-w-xl text-sm">
      <h2 id="starter-codes" className="title mb-1 text-lg">
        {some ? 'Add what is missing of the starter set' : 'Begin with the starter set'}
      </h2>
      {accounts.length === 0 ? (
        <p>No account has the role Sales tax yet. Give it to the account on which sales tax is owed, on the sheet.</p>
      ) : (
        <>
          <p className="note mb-2">
            Codes for sales, purchases and services from abroad with the rates proposed for {country}, from{' '}
            {day(firstDay, frame.dates)}. Check the rates; each can be changed.
          </p>
          <Problems problems={problems} />
          <div className="flex flex-wrap items-end gap-2">
            <Field label="Tax charged is owed on">
              {(ids) => <Picker {...ids} choices={choices} chosen={charged} onChoose={setCharged} />}
            </Field>
            <Field label="Tax paid is claimed on">
              {(ids) => <Picker {...ids} choices={choices} chosen={recoverable} onChoose={setRecoverable} />}
            </Field>
            <button
              type="button"
              className="btn btn-sm mb-1"
              disabled={charged === '' || recoverable === ''}
              onClick={() => void add()}
            >
              Add the set
            </button>
          </div>
        </>
      )}
    </section>
  );
};
