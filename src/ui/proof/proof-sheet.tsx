import { Go } from '../parts/go';
import { Check, CircleHelp, type LucideIcon, OctagonX, TriangleAlert } from 'lucide-react';
import type { proofView } from '@/actions/openings/views';
import type { Place, Severity } from '@/core/proof/check';
import { type CheckResult, blockers, verdict } from '@/core/proof/checks';
import { plural } from '@/core/base/result';
import { stageHref } from '../frame/stage-href';
import { Frame, MarginPart } from '../frame/frame';

type View = NonNullable<Awaited<ReturnType<typeof proofView>>>;

const hrefOf = (books: number, place: Place): string =>
  `${stageHref(books, place.stage)}${place.account === undefined ? '' : `?account=${String(place.account)}`}`;

const GO: Readonly<Record<Place['stage'], string>> = {
  company: 'to the Company',
  calendar: 'to the Calendar',
  currencies: 'to the Currencies',
  chart: 'to the Chart',
  openings: 'to the figure',
};

/** The checks: what stands, what blocks, why it matters, and the way to where it is put right. */
export const ProofSheet = ({ frame, proof }: View) => {
  const open = proof.filter((one) => one.findings.length > 0);
  const clear = proof.filter((one) => one.findings.length === 0);
  const blocking = blockers(proof).length;
  return (
    <Frame
      frame={frame}
      stage="proof"
      title="Proof"
      about={verdict(proof)}
      actions={
        blocking === 0 ? (
          <Go href={`/books/${String(frame.id)}/sign-off`} className="btn btn-primary btn-sm">
            Go to Sign-off
          </Go>
        ) : undefined
      }
      margin={
        <>
          <MarginPart title="How to read this">
            <p>
              A <strong className="font-medium">blocker</strong> holds posting back. A{' '}
              <strong className="font-medium">warning</strong> does not, but somebody should have looked at it.{' '}
              <strong className="font-medium">Advice</strong> is a question that may stay open.
            </p>
          </MarginPart>
          <MarginPart title="Clear">
            <ul className="space-y-1">
              {clear.map((one) => (
                <li key={one.id} className="flex gap-2">
                  <Check aria-hidden className="mt-0.5 size-4 shrink-0 text-ink-2" />
                  {one.title}
                </li>
              ))}
            </ul>
          </MarginPart>
        </>
      }
    >
      <div className="max-w-3xl px-4 pb-6">
        {open.every((one) => one.severity === 'advice') && (
          <div className="border-t border-ink py-3">
            <h2 className="title text-lg">
              {open.length === 0
                ? `All ${String(proof.length)} checks are clear`
                : `${String(clear.length)} checks are clear, ${plural(open.length, 'question')} left open`}
            </h2>
            <p className="mt-1">
              Debits and credits are equal, every figure stands where it may, and the calendar is ready for the first
              entry.
            </p>
          </div>
        )}
        <ul>
          {[...open]
            .sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity))
            .map((one) => (
              <OpenCheck key={one.id} check={one} books={frame.id} />
            ))}
        </ul>
      </div>
    </Frame>
  );
};

const MOST = 50;
const ORDER: readonly Severity[] = ['blocker', 'warning', 'advice'];
const LOOK: Readonly<Record<Severity, readonly [word: string, colour: string, Icon: LucideIcon]>> = {
  blocker: ['Blocker', 'text-brick', OctagonX],
  warning: ['Warning', 'text-ochre', TriangleAlert],
  advice: ['Advice', 'text-ink-2', CircleHelp],
};

const OpenCheck = ({ check, books }: { readonly check: CheckResult; readonly books: number }) => {
  const [word, colour, Icon] = LOOK[check.severity];
  return (
    <li className="border-t border-ink py-3" id={check.id}>
      <h2 className="flex items-center gap-2 font-semibold">
        <Icon aria-hidden className={`size-4 ${colour}`} />
        <span className={colour}>{word}</span>
        {check.title}
      </h2>
      <p className="note mt-0.5">{check.why}</p>
      <ul className="mt-2">
        {check.findings.slice(0, MOST).map((finding) => (
          <li key={finding.what} className="flex flex-wrap items-baseline gap-x-3 border-t border-hairline py-1.5">
            <span className="min-w-0 flex-1">{finding.what}</span>
            <Go className="link shrink-0 text-sm" href={hrefOf(books, finding.place)}>
              {finding.place.account === undefined && finding.place.stage === 'openings'
                ? 'to the sheet'
                : GO[finding.place.stage]}
            </Go>
          </li>
        ))}
      </ul>
      {check.findings.length > MOST && (
        <p className="note mt-1">and {check.findings.length - MOST} more of the same kind.</p>
      )}
    </li>
  );
};
