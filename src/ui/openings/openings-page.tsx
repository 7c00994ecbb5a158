'use client';

import { Go } from '../parts/go';
import { useEffect, useMemo, useState } from 'react';
import type { openingsView } from '@/actions/openings/views';
import { type AccountId, accountId } from '@/core/chart/account';
import { type Columns, rowsIn } from '@/core/money/columns';
import type { SheetMoney } from '@/core/openings/sheet';
import { Frame } from '../frame/frame';
import { day } from '../parts/names';
import { DropPaper } from '../papers/drop-paper';
import { CloseResults } from './close-results';
import { makeFigures } from './figures';
import { saveTo } from './save';
import { useEvidence } from '../evidence/use-evidence';
import { useRowDrop } from '../evidence/use-row-drop';
import { OpeningMargin } from './opening-margin';
import { OpeningsSheet } from './openings-sheet';

type View = NonNullable<Awaited<ReturnType<typeof openingsView>>>;

const KEYS = [
  ['↑ ↓ ← →', 'go from cell to cell; with Shift choose a range'],
  ['type, Enter or F2', 'edit; sums such as 1200+340 and “1500 cr” are taken'],
  ['=', 'in an empty cell: the amount that makes debits and credits equal, to be kept or not'],
  ['Tab', 'keep and go to the next amount; after Esc, Tab leaves the sheet'],
  ['Delete', 'empty the chosen figures'],
  ['Ctrl C, Ctrl X, Ctrl V', 'copy, cut and paste with any spreadsheet'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['Ctrl ↑, Ctrl ↓', 'first and last account'],
] as const;

/** The opening balances: the grid, its filters, and the margin of the chosen account. */
export const OpeningsPage = ({
  frame,
  set,
  papers,
  behind,
  supports,
  evidence,
  rows: columns,
  before,
  rates,
  rounding,
  exchange,
  account,
}: Omit<View, 'rows'> & { readonly rows: Columns<View['rows'][number]>; readonly account: number | undefined }) => {
  const rows = useMemo(() => rowsIn(columns), [columns]);
  const [bringing, setBringing] = useState(false);
  const [selected, setSelected] = useState<AccountId | undefined>(
    () => (rows.find((row) => row.id === account) ?? rows.find((row) => !row.heading))?.id,
  );
  const attached = useEvidence(frame.id, evidence);
  useRowDrop((row, files) => {
    const id = accountId(Number(row));
    setSelected(id);
    void attached.bring({ of: 'account', id }, files);
  });
  const editable = set?.state === 'draft' && frame.may.includes('openings.change');
  // One store per version of the opening set; newer server rows are accepted into it.
  const figures = useMemo(
    () => makeFigures(rows, saveTo(frame.id, set?.id ?? 0)),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- newer rows come in through accept()
    [frame.id, set?.id],
  );
  useEffect(() => figures.accept(rows), [figures, rows]);
  const money = useMemo((): SheetMoney => {
    const byCurrency = new Map(rates.map((rate) => [rate.currency, rate]));
    return {
      base: { code: frame.currency, digits: frame.digits },
      style: frame.style,
      switchedOn: rates.map(({ currency }) => currency),
      rateOf: (currency) => {
        const rate = byCurrency.get(currency);
        return rate?.ratio == null
          ? undefined
          : {
              how: { ratio: rate.ratio, fromDigits: rate.digits, toDigits: frame.digits, rounding },
              of: rate.of ?? frame.openingDate,
            };
      },
    };
  }, [rates, rounding, frame]);
  const chosen = rows.find((row) => row.id === selected);
  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Opening balances"
      keys={KEYS}
      fixed
      about={
        set === null ? undefined : (
          <>
            {set.version > 1 && <>version {set.version}, </>}
            {set.state === 'draft' ? 'draft' : 'posted'}, at close of {day(frame.openingDate, frame.dates)}
            {papers[0] !== undefined && (
              <>
                {' '}
                · from{' '}
                <Go className="link" href={`/books/${String(frame.id)}/papers/${String(papers[0].id)}`}>
                  {papers[0].name}
                </Go>
                {papers.length > 1 && (
                  <>
                    {' '}
                    and{' '}
                    <Go className="link" href={`/books/${String(frame.id)}/papers`}>
                      {papers.length - 1} more
                    </Go>
                  </>
                )}
              </>
            )}
          </>
        )
      }
      actions={
        <>
          {editable && (
            <button
              type="button"
              className="btn btn-sm"
              aria-expanded={bringing}
              onClick={() => setBringing((was) => !was)}
            >
              Bring papers
            </button>
          )}
          <Go href={`/books/${String(frame.id)}/openings/comparatives`} className="btn btn-sm">
            Comparatives
          </Go>
          <Go href={`/books/${String(frame.id)}/proof`} className="btn btn-primary btn-sm">
            Go to Proof
          </Go>
        </>
      }
      margin={
        <OpeningMargin
          frame={frame}
          row={chosen}
          figures={figures}
          behind={chosen === undefined ? [] : (behind[chosen.id] ?? [])}
          support={chosen === undefined ? undefined : supports[chosen.id]}
          papers={attached}
          foreign={{ editable, money, rates, exchange }}
        />
      }
    >
      {bringing && (
        <div className="px-4 pb-2">
          <DropPaper books={frame.id} />
        </div>
      )}
      {set?.state === 'posted' && (
        <p className="mx-4 mb-2 border-l-4 border-stone bg-paper-2 px-3 py-1.5 text-sm">
          This version is posted, so its figures stay as they are. To change one, open a correction under{' '}
          <Go className="link" href={`/books/${String(frame.id)}/sign-off`}>
            Sign-off
          </Go>
          .
        </p>
      )}
      {editable && frame.atYearStart && <CloseResults frame={frame} rows={rows} figures={figures} />}
      {rows.length === 0 ? (
        <div className="max-w-prose px-4">
          <p>Opening balances stand on accounts, and there are none yet. Two ways to begin:</p>
          <ul className="mt-2 list-disc pl-5">
            <li>bring the old trial balance, and create accounts from its rows;</li>
            <li>
              add accounts on the{' '}
              <Go className="link" href={`/books/${String(frame.id)}/chart`}>
                Chart
              </Go>{' '}
              page, and type the balances here.
            </li>
          </ul>
          <div className="mt-4">
            <DropPaper books={frame.id} />
          </div>
        </div>
      ) : (
        <OpeningsSheet
          frame={frame}
          rows={rows}
          figures={figures}
          behind={behind}
          money={money}
          before={before}
          papers={papers}
          editable={editable}
          selected={selected}
          onSelect={setSelected}
          jumpTo={account === undefined ? undefined : accountId(account)}
        />
      )}
    </Frame>
  );
};
