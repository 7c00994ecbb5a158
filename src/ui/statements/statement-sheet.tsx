import type { statementView } from '@/actions/statements/views';
import { tell } from '@/core/base/sentence';
import { writingOf } from '@/core/money/writing';
import { saidOfStanding } from '@/core/statements/document';
import { SHEET_FORMS } from '@/core/statements/reports';
import { STATEMENT_KINDS, STATEMENT_TITLES } from '@/core/statements/statements';
import { Frame } from '../frame/frame';
import { Go } from '../parts/go';
import { PrintButton } from '../parts/print-button';
import { SaveAs } from '../parts/save-as';
import { DocumentView } from './document-view';
import { Letterhead } from './letterhead';

type View = NonNullable<Awaited<ReturnType<typeof statementView>>>;

const FORM_WORDS = { list: 'down to net assets', account: 'two sides' } as const;

/** A statement of the posted opening position (or, before posting, of the draft): on screen, on paper, as a file. */
export const StatementSheet = ({ frame, kind, form, adjustments, letterhead, paperSize, document }: View) => {
  const books = `/books/${String(frame.id)}`;
  const base = `${books}/statements`;
  const writing = writingOf(frame);
  const stands = saidOfStanding(document, writing);
  const about = tell(document.about, writing);
  const out = adjustments?.out === true;
  /** The address of this statement as it is asked for; what is as usual is left out. */
  const asked = (how: { readonly form?: typeof form; readonly out?: boolean }): string => {
    const { form: shown, out: left } = { form, out, ...how };
    const wish = new URLSearchParams([
      ...(kind === 'balance-sheet' && shown !== 'list' ? [['form', shown]] : []),
      ...(left ? [['adjustments', 'out']] : []),
    ]).toString();
    return wish === '' ? '' : `?${wish}`;
  };
  return (
    <Frame
      frame={frame}
      stage="sign-off"
      title={document.title}
      about={
        <>
          {/* On screen it stands above. */}
          <span className="hidden print:inline">{frame.name} · </span>
          {about}
          {stands !== null && (
            <span className={`ml-2 ${document.standing?.draft === true ? 'font-medium text-ochre' : ''}`}>
              {stands}
            </span>
          )}
        </>
      }
      actions={
        <>
          <SaveAs label="Save as" href={`${base}/${kind}/export${asked({})}`} />
          <PrintButton />
        </>
      }
    >
      <nav aria-label="Statements" className="no-print flex flex-wrap gap-x-5 border-b border-rule px-4">
        {STATEMENT_KINDS.map((one) => (
          <Go
            key={one}
            href={`${base}/${one}`}
            aria-current={one === kind ? 'page' : undefined}
            className={`min-h-7 text-sm ${one === kind ? 'border-b-2 border-ink font-semibold' : 'text-ink-2 hover:underline'}`}
          >
            {STATEMENT_TITLES[one]}
          </Go>
        ))}
        <Go href={`${books}/sign-off`} className="ml-auto min-h-7 text-sm text-ink-2 hover:underline">
          Sign-off
        </Go>
      </nav>
      <style>{`@media print { @page { size: ${paperSize}; } }`}</style>
      <div className="w-full max-w-4xl px-4 py-3">
        <div className="mb-3 flex items-start gap-4">
          <div className="flex-1">
            <Letterhead books={frame.id} head={letterhead} />
          </div>
          {kind === 'balance-sheet' && (
            <p className="no-print flex gap-3 text-sm" role="group" aria-label="Form of the balance sheet">
              {SHEET_FORMS.map((one) => (
                <Go
                  key={one}
                  href={`${base}/balance-sheet${asked({ form: one })}`}
                  aria-current={one === form ? 'true' : undefined}
                  className={one === form ? 'font-semibold' : 'text-ink-2 hover:underline'}
                >
                  {FORM_WORDS[one]}
                </Go>
              ))}
            </p>
          )}
        </div>
        {adjustments !== null && (
          <p className="no-print mb-3 flex flex-wrap gap-x-3 text-sm" role="group" aria-label="Adjustment periods">
            <span className="text-ink-2">{adjustments.periods.join(', ')} of last year:</span>
            {adjustments.some
              ? [false, true].map((left) => (
                  <Go
                    key={String(left)}
                    href={`${base}/${kind}${asked({ out: left })}`}
                    aria-current={left === out ? 'true' : undefined}
                    className={left === out ? 'font-semibold' : 'text-ink-2 hover:underline'}
                  >
                    {left ? 'left out' : 'included'}
                  </Go>
                ))
              : 'nothing of it is in here, so this is the same with and without it'}
          </p>
        )}
        <DocumentView
          document={document}
          style={frame.style}
          writing={writing}
          account={(id) => `${books}/openings?account=${String(id)}`}
          beside={kind === 'balance-sheet' && form === 'account'}
        />
      </div>
    </Frame>
  );
};
