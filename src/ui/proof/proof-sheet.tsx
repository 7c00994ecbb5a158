import { Go } from '../parts/go';
import { Check, CircleHelp, type LucideIcon, Minus, OctagonX, TriangleAlert } from 'lucide-react';
import type { proofView } from '@/actions/openings/views';
import type { Place, Severity } from '@/core/proof/check';
import { type CheckResult, blockers, verdict } from '@/core/proof/checks';
import { plural } from '@/core/base/result';
import { STAGES } from '@/core/proof/stage-ids';
import { scheduleHref, stageHref } from '../frame/stage-href';
import { Frame, MarginPart } from '../frame/frame';
import { CheckPapers } from './check-papers';

type View = NonNullable<Awaited<ReturnType<typeof proofView>>>;

const hrefOf = (books: number, place: Place): string =>
  place.stage === 'schedules' && place.account !== undefined
    ? scheduleHref(books, place.account)
    : `${stageHref(books, place.stage)}${place.account === undefined ? '' : `?account=${String(place.account)}`}`;

const GO: Readonly<Record<Place['stage'], string>> = {
  company: 'to the Company',
  calendar: 'to the Calendar',
  currencies: 'to the Currencies',
  chart: 'to the Chart',
  openings: 'to the figure',
  schedules: 'to the schedule',
};

/** The checks: what stands, what blocks, why it matters, and the way to where it is put right. */
export const ProofSheet = ({ frame, proof, evidence }: View) => {
  const open = proof.filter((one) => one.findings.length > 0);
  const aside = proof.filter((one) => one.aside !== undefined);
  const clear = proof.filter((one) => one.findings.length === 0 && one.aside === undefined);
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
        </>
      }
    >
      <div className="grid grid-cols-[minmax(0,48rem)] items-start gap-x-10 px-4 pb-6 min-[1700px]:grid-cols-[minmax(0,48rem)_minmax(0,1fr)]">
        <div>
          {open.every((one) => one.severity === 'advice') && (
            <div className="border-t border-ink py-3">
              <h2 className="title text-lg">
                {open.length === 0
                  ? `All ${String(clear.length)} checks are clear`
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
                <OpenCheck key={one.id} check={one} books={frame.id} evidence={evidence} />
              ))}
          </ul>
        </div>
        <section aria-labelledby="looked-at" className="mt-4 border-t border-ink pt-3 min-[1700px]:mt-0">
          <h2 id="looked-at" className="title text-lg">
            Looked at besides
          </h2>
          {STAGES.map(({ id, label }) => (
            <StageChecks
              key={id}
              label={label}
              clear={clear.filter((one) => one.id.startsWith(`${id}.`))}
              aside={aside.filter((one) => one.id.startsWith(`${id}.`))}
            />
          ))}
        </section>
      </div>
    </Frame>
  );
};

/** The checks of a stage that found nothing, and those that tell nothing of these books, folded. */
const StageChecks = ({
  label,
  clear,
  aside,
}: {
  readonly label: string;
  readonly clear: readonly CheckResult[];
  readonly aside: readonly CheckResult[];
}) =>
  clear.length + aside.length === 0 ? null : (
    <details className="border-b border-hairline py-1.5">
      <summary className="cursor-pointer">
        {label}
        <span className="note ml-2">
          {[
            ...(clear.length > 0 ? [`${String(clear.length)} clear`] : []),
            ...(['not asked', 'does not apply'] as const).flatMap((says) => {
              const count = aside.filter((one) => one.aside?.says === says).length;
              return count === 0
                ? []
                : [`${String(count)} ${says === 'does not apply' && count > 1 ? 'do not apply' : says}`];
            }),
          ].join(', ')}
        </span>
      </summary>
      <ul className="mt-1 space-y-1 pb-1 pl-4">
        {clear.map((one) => (
          <li key={one.id} className="flex gap-2">
            <Check aria-hidden className="mt-0.5 size-4 shrink-0 text-ink-2" />
            {one.title}
          </li>
        ))}
        {aside.map((one) => (
          <li key={one.id} className="flex gap-2 text-ink-2">
            <Minus aria-hidden className="mt-0.5 size-4 shrink-0" />
            <span>
              {one.title}: {one.aside?.says}. {one.aside?.why}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );

const MOST = 50;
const ORDER: readonly Severity[] = ['blocker', 'warning', 'advice'];
const LOOK: Readonly<Record<Severity, readonly [word: string, colour: string, Icon: LucideIcon]>> = {
  blocker: ['Blocker', 'text-brick', OctagonX],
  warning: ['Warning', 'text-ochre', TriangleAlert],
  advice: ['Advice', 'text-ink-2', CircleHelp],
};

const OpenCheck = ({
  check,
  books,
  evidence,
}: {
  readonly check: CheckResult;
  readonly books: number;
  readonly evidence: View['evidence'];
}) => {
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
      <CheckPapers books={books} check={check.id} stored={evidence} />
    </li>
  );
};
