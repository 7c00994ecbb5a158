import { Fragment } from 'react';
import { type Writing, tell } from '@/core/base/sentence';
import type { NumberStyle } from '@/core/money/number-style';
import { type Document, type Line, type Section, textColumn, written } from '@/core/statements/document';
import { Go } from '../parts/go';

interface Props {
  readonly document: Document;
  readonly style: NumberStyle;
  readonly writing: Writing;
  /** Where an account's figure is to be seen. */
  readonly account: (id: number) => string;
  /** Parts of the document stand beside each other where there is room. */
  readonly beside?: boolean;
}

const KINDS = { heading: 'section', line: '', sum: 'sum', total: 'final font-semibold' } as const;

/** A document on the screen and in the browser's print. */
export const DocumentView = ({ document, beside = false, ...how }: Props) => (
  <>
    <div className={beside ? 'grid items-start gap-x-10 gap-y-6 lg:grid-cols-2' : 'grid gap-y-6'}>
      {document.sections.map((section, at) => (
        <Part key={section.title ?? at} section={section} columns={document.columns} {...how} />
      ))}
    </div>
    {document.notes.map((note) => (
      <p key={tell(note, how.writing)} role="status" className="note mt-3 text-sm">
        {tell(note, how.writing)}
      </p>
    ))}
  </>
);

const Part = ({
  section: { title, about, lines },
  columns,
  ...how
}: Omit<Props, 'document' | 'beside'> & Pick<Document, 'columns'> & { readonly section: Section }) => (
  <div className="overflow-x-auto">
    <table className="ledger">
      {title !== null && (
        <caption className="pb-1 text-left">
          <span className="title text-lg">{title}</span>
          {about !== undefined && <span className="note ml-2 text-sm">{tell(about, how.writing)}</span>}
        </caption>
      )}
      <thead>
        <tr>
          {columns.map(({ label, kind }) => (
            <th key={label} scope="col" className={kind === 'figure' ? 'figure hung' : undefined}>
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line, at) => (
          <Row key={at} line={line} columns={columns} {...how} />
        ))}
      </tbody>
    </table>
  </div>
);

const Row = ({
  line,
  columns,
  style,
  writing,
  account,
}: Omit<Props, 'document' | 'beside'> & Pick<Document, 'columns'> & { readonly line: Line }) => {
  const named = textColumn(columns);
  return (
    <tr className={`${KINDS[line.kind]} ${line.kind === 'sum' && line.depth === 0 ? 'font-semibold' : ''}`}>
      {columns.map(({ label, kind }, at) => {
        const text = written(line.values[at] ?? null, style, writing);
        const outside = kind === 'figure' && text !== '' && !text.endsWith(')');
        return (
          <td
            key={label}
            className={kind === 'figure' ? `figure ${outside ? 'hung' : ''}` : kind === 'code' ? 'text-ink-2' : ''}
            style={at === named && line.depth > 0 ? { paddingLeft: `${String(0.6 + line.depth * 1.1)}rem` } : undefined}
            data-testid={
              at === columns.length - 1 && line.kind !== 'line'
                ? written(line.values[named] ?? null, style, writing)
                : undefined
            }
          >
            {at === named && line.account !== undefined && line.kind === 'line' ? (
              <Go className="hover:underline" href={account(line.account)}>
                {text}
              </Go>
            ) : (
              <Fragment>{text}</Fragment>
            )}
          </td>
        );
      })}
    </tr>
  );
};
