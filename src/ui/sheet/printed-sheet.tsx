'use client';

import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

export interface PrintedColumn {
  readonly label: string;
  /** A column of figures stands to the right. */
  readonly figures?: boolean;
  /** A column of names is set in as deep as its rows stand. */
  readonly names?: boolean;
}

export interface PrintedRow {
  readonly id: number | string;
  readonly cells: readonly string[];
  readonly kind?: 'heading' | 'total';
  /** How deep its name is set in. */
  readonly depth?: number;
}

/**
 * A sheet on paper: all of its rows, not only those in sight, as a table whose head stands on every page. It is made when the page is
 * printed, from whatever way that was asked for.
 */
export const PrintedSheet = ({
  heading,
  columns,
  rows,
}: {
  /** Whose sheet this is, what it shows, and that it is a draft where it is one. */
  readonly heading: string;
  readonly columns: readonly PrintedColumn[];
  readonly rows: () => readonly PrintedRow[];
}) => {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    // Before the browser lays the pages out.
    const begin = (): void => flushSync(() => setPrinting(true));
    const end = (): void => setPrinting(false);
    addEventListener('beforeprint', begin);
    addEventListener('afterprint', end);
    return () => {
      removeEventListener('beforeprint', begin);
      removeEventListener('afterprint', end);
    };
  }, []);
  if (!printing) return null;
  return (
    <div className="hidden print:block">
      <p className="mb-2 font-semibold">{heading}</p>
      <table className="ledger tight w-full">
        <thead>
          <tr>
            {columns.map(({ label, figures }) => (
              <th key={label} scope="col" className={figures === true ? 'figure' : 'text-left'}>
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows().map(({ id, cells, kind, depth = 0 }) => (
            <tr key={id} className={kind === 'heading' ? 'section' : kind === 'total' ? 'sum final font-semibold' : ''}>
              {columns.map(({ label, figures, names }, at) => (
                <td
                  key={label}
                  className={figures === true ? 'figure whitespace-nowrap' : ''}
                  style={names === true && depth > 0 ? { paddingLeft: `${String(depth * 0.9)}rem` } : undefined}
                >
                  {cells[at]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
};
