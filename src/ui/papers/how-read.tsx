'use client';

import { useState } from 'react';
import { readAs, readFrom } from '@/actions/papers/commands';
import type { FrameView } from '@/actions/frame/views';
import type { PaperView } from '@/actions/papers/views';
import { NUMBER_STYLES, type NumberStyle } from '@/core/money/number-style';
import { ARRANGEMENTS, type Arrangement } from '@/core/papers/arrange';
import { COLUMN_ROLES, type ColumnRole } from '@/core/papers/header';
import { DELIMITERS, type Delimiter, ENCODINGS, QUOTES } from '@/core/files/formats';
import type { Convention } from '@/core/papers/reading';
import { sayAlternative } from '@/core/papers/say-alternative';
import type { Problem, Result } from '@/core/base/result';
import { sided } from '../parts/figures';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';

const ROLE_LABELS: Readonly<Record<ColumnRole, string>> = {
  code: 'code',
  name: 'name',
  'code-name': 'code and name',
  debit: 'debit',
  credit: 'credit',
  balance: 'balance',
  side: 'side (Dr/Cr)',
  currency: 'currency',
  foreign: 'amount in currency',
  ignore: 'not used',
};

const SIDES: Readonly<Record<Convention, string>> = {
  written: 'as the paper writes them',
  'columns-signed': 'two columns, credits with a minus',
  'debit-positive': 'a plus is a debit',
  'credit-positive': 'a plus is a credit',
  'normal-side': 'a plus is the account’s normal side',
  'section-side': 'a plus is the section’s side',
};

const SCALES = [0, -2, 3, 6] as const;

const LIES: Readonly<Record<Arrangement, string>> = {
  turned: 'lies on its side',
  'two-sides': 'has two accounts a line, debits and credits',
  'two-beside': 'goes on at the right',
  'two-lines': 'has the figures a line below',
  'with-lines': 'has lines of each account below it',
  'with-parts': 'has the code once for all parts of an account',
  'two-codes': 'has codes in two columns',
  'all-sheets': 'goes on on the other sheets',
};

const DELIMITER_LABELS: Readonly<Record<Delimiter, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
  columns: 'their place in the line',
  fields: 'lines, each with its label',
  endings: 'the amount at its end',
};

type Encoding = (typeof ENCODINGS)[number];

/** How the paper is read, guess by guess with its reason, each to be corrected by hand on the first rows as they stand. */
export const HowRead = ({
  frame,
  paper,
  onChanged,
}: {
  readonly frame: FrameView;
  readonly paper: PaperView;
  readonly onChanged: () => void;
}) => {
  const { reading, reasons, doubts, alternatives } = paper.recognition;
  /** The reading that a doubt offers. */
  const other = (message: string) => alternatives.find((one) => `${sayAlternative(one)}.` === message)?.reading;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const change = async (doing: Promise<Result<object>>): Promise<void> => {
    const done = await send(doing);
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) onChanged();
  };
  const to = { books: frame.id, paper: paper.id };
  const roleAt = (column: number): ColumnRole => reading.columns[column] ?? 'ignore';
  const setRole = (column: number, role: ColumnRole): void =>
    void change(readAs({ ...to, change: { columns: { [String(column)]: role } } }));
  const byHand = (column: number): boolean => reading.chosen?.columns?.[String(column)] !== undefined;
  return (
    <>
      {doubts.length > 0 && (
        <ul className="mb-2 text-sm">
          {doubts.map(({ message }) => (
            <li key={message} className="text-ochre">
              <span aria-hidden>▲</span> {message}{' '}
              {other(message) !== undefined && (
                <button
                  type="button"
                  className="btn btn-xs"
                  onClick={() => {
                    const offered = other(message);
                    if (offered === undefined) return;
                    void change(
                      offered.sheet === reading.sheet
                        ? readAs({
                            ...to,
                            change: {
                              columns: Object.fromEntries(offered.columns.entries()),
                              convention: offered.convention,
                              scale: offered.scale ?? 0,
                            },
                          })
                        : readFrom({
                            ...to,
                            sheet: offered.sheet,
                            header: offered.header,
                            arrangement: offered.arrangement ?? null,
                          }),
                    );
                  }}
                >
                  Read it so
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      <details open={!reading.columns.some((role) => role === 'debit' || role === 'credit' || role === 'balance')}>
        <summary className="text-sm">
          <span className="font-medium">How it is read:</span>{' '}
          <span className="text-ink-2">
            {paper.likePaper !== null && `As ${paper.likePaper} was read the last time. `}
            {reasons.join(' ')}
          </span>
        </summary>
        <div className="mt-2 flex flex-col gap-2">
          <Problems problems={problems} />
          <div className="flex flex-wrap gap-x-4 gap-y-2 text-sm">
            {paper.sheets.length > 1 && (
              <label className="flex items-center gap-2 whitespace-nowrap">
                Sheet
                <select
                  className="select select-xs"
                  value={reading.sheet}
                  onChange={(event) =>
                    void change(readFrom({ ...to, sheet: Number(event.target.value), arrangement: null }))
                  }
                >
                  {paper.sheets.map((name, at) => (
                    <option key={name} value={at}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <label className="flex items-center gap-2 whitespace-nowrap">
              Header row
              <select
                className="select select-xs"
                value={reading.header}
                onChange={(event) =>
                  void change(
                    readFrom({
                      ...to,
                      sheet: reading.sheet,
                      header: Number(event.target.value),
                      arrangement: reading.arrangement ?? null,
                    }),
                  )
                }
              >
                <option value={-1}>none</option>
                {paper.head.map((_, at) => (
                  <option key={at} value={at}>
                    {at + 1}
                  </option>
                ))}
              </select>
            </label>
            <label className="flex items-center gap-2 whitespace-nowrap">
              Amounts written
              <select
                className="select select-xs"
                value={reading.style}
                onChange={(event) =>
                  void change(readAs({ ...to, change: { style: event.target.value as NumberStyle } }))
                }
              >
                {NUMBER_STYLES.map((style) => (
                  <option key={style}>{style}</option>
                ))}
              </select>
            </label>
            <label className="flex items-center gap-2 whitespace-nowrap">
              Amounts in
              <select
                className="select select-xs"
                value={reading.scale ?? 0}
                onChange={(event) =>
                  void change(
                    readAs({ ...to, change: { scale: SCALES.find((one) => String(one) === event.target.value) ?? 0 } }),
                  )
                }
              >
                <option value={0}>single units</option>
                <option value={-2}>hundredths</option>
                <option value={3}>thousands</option>
                <option value={6}>millions</option>
              </select>
            </label>
            <label className="flex items-center gap-2 whitespace-nowrap">
              The table
              <select
                className="select select-xs"
                value={reading.arrangement ?? ''}
                onChange={(event) =>
                  void change(
                    readFrom({
                      ...to,
                      sheet: reading.sheet,
                      arrangement: ARRANGEMENTS.find((one) => one === event.target.value) ?? null,
                    }),
                  )
                }
              >
                <option value="">has an account a line</option>
                {ARRANGEMENTS.filter((one) => one !== 'all-sheets' || paper.sheets.length > 1).map((one) => (
                  <option key={one} value={one}>
                    {LIES[one]}
                  </option>
                ))}
              </select>
            </label>
            {paper.recognition.nets.length > 1 && (
              <label className="flex items-center gap-2 whitespace-nowrap">
                Sides
                <select
                  className="select select-xs"
                  value={reading.convention}
                  onChange={(event) =>
                    void change(readAs({ ...to, change: { convention: event.target.value as Convention } }))
                  }
                >
                  {paper.recognition.nets.map(({ convention, net }) => (
                    <option key={convention} value={convention}>
                      {SIDES[convention]} (net {net === 0n ? 'nil' : sided(net, frame)})
                    </option>
                  ))}
                </select>
              </label>
            )}
            {paper.format !== null && (
              <>
                <label className="flex items-center gap-2 whitespace-nowrap">
                  Encoding
                  <select
                    className="select select-xs"
                    value={paper.format.encoding}
                    onChange={(event) =>
                      void change(readFrom({ ...to, sheet: 0, format: { encoding: event.target.value as Encoding } }))
                    }
                  >
                    {ENCODINGS.map((encoding) => (
                      <option key={encoding}>{encoding}</option>
                    ))}
                  </select>
                </label>
                <label className="flex items-center gap-2 whitespace-nowrap">
                  Cells parted by
                  <select
                    className="select select-xs"
                    value={paper.format.delimiter}
                    onChange={(event) =>
                      void change(readFrom({ ...to, sheet: 0, format: { delimiter: event.target.value as Delimiter } }))
                    }
                  >
                    {DELIMITERS.map((delimiter) => (
                      <option key={delimiter} value={delimiter}>
                        {DELIMITER_LABELS[delimiter]}
                      </option>
                    ))}
                  </select>
                </label>
                <label className="flex items-center gap-2 whitespace-nowrap">
                  Quoted with
                  <select
                    className="select select-xs"
                    value={paper.format.quote}
                    onChange={(event) =>
                      void change(
                        readFrom({ ...to, sheet: 0, format: { quote: event.target.value as (typeof QUOTES)[number] } }),
                      )
                    }
                  >
                    {QUOTES.map((quote) => (
                      <option key={quote}>{quote}</option>
                    ))}
                  </select>
                </label>
              </>
            )}
            <button
              type="button"
              className="btn btn-xs"
              title="As the paper suggests by itself; decisions about its rows are taken back"
              onClick={() => void change(readFrom({ ...to, sheet: reading.sheet }))}
            >
              Read anew
            </button>
          </div>
          <div
            className="max-h-56 overflow-auto border border-rule"
            tabIndex={0}
            role="region"
            aria-label="The first rows as they stand"
          >
            <table className="ledger">
              <thead>
                <tr>
                  <th scope="col">Row</th>
                  {Array.from({ length: paper.width }, (_, column) => (
                    <th key={column} scope="col">
                      <select
                        aria-label={`What column ${String(column + 1)} holds${byHand(column) ? ', chosen by hand' : ''}`}
                        title={byHand(column) ? 'Chosen by hand: it stays; the rest is inferred around it' : undefined}
                        className={`select select-xs ${byHand(column) ? 'font-semibold underline' : ''}`}
                        value={roleAt(column)}
                        onChange={(event) => setRole(column, event.target.value as ColumnRole)}
                      >
                        {COLUMN_ROLES.map((role) => (
                          <option key={role} value={role}>
                            {ROLE_LABELS[role]}
                          </option>
                        ))}
                      </select>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {paper.head.map((cells, at) => (
                  <tr key={at} className={at === reading.header ? 'section' : ''}>
                    <td className="text-ink-2">{at + 1}</td>
                    {Array.from({ length: paper.width }, (_, column) => (
                      <td key={column}>{cells[column] ?? ''}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </div>
      </details>
    </>
  );
};
