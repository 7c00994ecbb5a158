'use client';

import { type Currency } from '@/core/money/currency';
import { useMemo, useState } from 'react';
import { saveRates } from '@/actions/currencies/commands';
import { epochDay } from '@/core/base/dates';
import { plural } from '@/core/base/result';
import {
  RATE_COLUMNS,
  type RateColumn,
  type RateFields,
  isWhole,
  rateCell,
  typedRateCell,
  waysOf,
} from '@/core/money/rate-cells';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';
import { type SheetRow, noteAt } from '../sheet/saved-rows';
import { useSavedRows } from '../sheet/use-saved-rows';
import type { CurrenciesView } from './view';

type Row = SheetRow<RateFields>;

const COLUMNS: Readonly<Record<RateColumn, { readonly label: string; readonly width: string }>> = {
  date: { label: 'Day', width: '6.6rem' },
  rate: { label: 'Rate', width: '6.4rem' },
  way: { label: 'As given', width: '7.6rem' },
  reverse: { label: 'The other way round', width: 'minmax(11.2rem, 1fr)' },
  source: { label: 'From', width: 'minmax(5rem, 1fr)' },
};

const DOUBTS: ReadonlySet<string> = new Set(['rate.upside-down', 'rate.far-off']);

/** The rates of one currency against the base, newest first: put right, pasted, deleted in rows. */
export const RateSheet = ({ view, chosen }: { readonly view: CurrenciesView; readonly chosen: Currency }) => {
  const { frame, listed, pairs } = view;
  const [selected, setSelected] = useState<string | undefined>();
  const pair = pairs.find(
    (one) => [one.low, one.high].includes(chosen) && [one.low, one.high].includes(frame.currency),
  );
  const styles = { dates: frame.dates, style: frame.style };
  // Given as the newest one is, or so that it counts in the books' currency.
  const { unit, quote } = listed[0] ?? { unit: chosen, quote: frame.currency };
  const blank: RateFields = { date: '', unit, quote, rate: '', source: '', sure: false };
  const rows = useSavedRows<RateFields>({
    of: frame,
    stored: useMemo(
      () => listed.map((rate) => ({ id: epochDay(rate.date), revision: 0, fields: { ...rate, sure: false } })),
      [listed],
    ),
    blank,
    apply: (fields, { column, text }) => typedRateCell(fields, column as RateColumn, text, styles),
    complete: isWhole,
    store: (sent) => {
      const given = ({ date, unit, quote, rate }: RateFields) => ({ date, unit, quote, rate });
      return send(
        saveRates({
          books: frame.id,
          pair: [chosen, frame.currency],
          entries: sent.map(({ fields, stored }) => ({
            was: stored === null ? null : given(stored),
            rate: fields === null ? null : { ...given(fields), sure: fields.sure },
          })),
        }),
      );
    },
    one: 'rate',
  });
  const offerLast = useLastChange(frame.id, ['rate']);
  useUndoKeys({ undo: offerLast, redo: offerLast, typing: isTyping });
  const open = frame.may.includes('currencies.change');
  const columns = RATE_COLUMNS.map((id): DataColumn<Row> => ({
    id,
    ...COLUMNS[id],
    kind: id === 'way' ? 'choice' : id === 'rate' ? 'figure' : 'text',
    text: (row) => row.unread[id]?.text ?? rateCell(row.fields, id, styles),
    takes: id !== 'reverse' && id !== 'source',
    ...(id === 'way' ? { choices: waysOf(blank).map((name) => ({ key: name, code: '', name })) } : {}),
    ...(id === 'reverse' || id === 'source' ? { tone: 'text-ink-2' } : {}),
  }));
  const told = rows.rows.find(({ key }) => key === selected);
  const says = [
    ...Object.values(told?.unread ?? {}).map((one) => one.says),
    ...(told?.refused ?? []).map(({ message }) => message),
  ].join(' ');
  const doubt = told?.refused.find(({ code }) => DOUBTS.has(code));
  return (
    <section aria-labelledby="rate-rows" className="mt-3">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 id="rate-rows" className="title text-base">
          Rates, newest first
        </h3>
        <span role="status" className="note">
          {rows.said}
        </span>
        {pair !== undefined && pair.count > listed.length && (
          <span className="note">
            the newest {listed.length} of {pair.count}; the export has all
          </span>
        )}
      </div>
      <Problems problems={rows.problems} />
      {told !== undefined && says !== '' && (
        <p role="status" className="flex min-h-6 flex-wrap items-center gap-x-2 text-sm text-brick">
          {says}
          {doubt?.code === 'rate.upside-down' && (
            <button
              type="button"
              className="btn btn-xs text-ink"
              onClick={() => rows.change(told.key, (was) => ({ ...was, unit: was.quote, quote: was.unit }))}
            >
              Turn it round
            </button>
          )}
          {doubt !== undefined && (
            <button
              type="button"
              className="btn btn-xs text-ink"
              onClick={() => rows.change(told.key, (was) => ({ ...was, sure: true }))}
            >
              Save it all the same
            </button>
          )}
        </p>
      )}
      <div className="-ml-4 flex max-h-[26rem] min-h-0 flex-col max-xl:-mr-4">
        <DataSheet<Row>
          label="Rates, newest first"
          heading={`${frame.name} · rates of ${chosen} against ${frame.currency}`}
          columns={columns}
          rows={rows.rows}
          idOf={({ key }) => key}
          nameOf={({ fields }) => rateCell(fields, 'date', styles)}
          blank={rows.next}
          selected={selected}
          onSelect={setSelected}
          open={open}
          onEdit={rows.edit}
          onDelete={rows.remove}
          noteOf={(row, column) => noteAt(row, column, 'rate', [])}
          empty={<p>{plural(0, 'rate')} yet: type one above, or paste days and rates into the blank row.</p>}
        />
      </div>
    </section>
  );
};
