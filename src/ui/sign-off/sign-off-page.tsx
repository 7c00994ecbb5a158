import { Go } from '../parts/go';
import type { signOffView } from '@/actions/openings/views';
import { blockers, verdict } from '@/core/proof/checks';
import { totalsOf } from '@/core/ledger/level';
import { STATEMENT_KINDS, STATEMENT_TITLES } from '@/core/statements/statements';
import { plural } from '@/core/base/result';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { minorDigits } from '@/core/money/currency';
import { figure, sided } from '../parts/figures';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { reviewProblems } from '@/core/access/review';
import { whoMay } from '@/core/access/roles';
import { CorrectionForm, DiscardCorrection, PostButton } from './posting';
import { ReviewPart } from './review-part';
import { When } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof signOffView>>>;

/** Posting: what would be posted, line by line; what was posted; and the way to a correction. */
export const SignOffPage = ({
  frame,
  proof,
  set,
  versions,
  lines,
  period,
  journals,
  history,
  review,
  ownReview,
  me,
}: View) => {
  const mayPost = frame.may.includes('openings.post');
  const unreviewed = review === null ? [] : reviewProblems(review, me);
  const drafting = set?.state === 'draft';
  const blocking = blockers(proof);
  const totals = totalsOf(lines.map((line) => line.amount));
  return (
    <Frame
      frame={frame}
      stage="sign-off"
      title="Sign-off"
      about={
        set === null
          ? undefined
          : `version ${String(set.version)}, ${set.state}${set.reason === null ? '' : `: ${set.reason}`}`
      }
      margin={
        <>
          <MarginPart title="Statements">
            <ul className="space-y-1">
              {STATEMENT_KINDS.map((kind) => (
                <li key={kind}>
                  <Go className="link" href={`/books/${String(frame.id)}/statements/${kind}`}>
                    {STATEMENT_TITLES[kind]}
                  </Go>
                </li>
              ))}
            </ul>
          </MarginPart>
          <MarginPart title="Versions">
            <ol className="space-y-1">
              {versions.map((version) => (
                <li key={version.id}>
                  Version {version.version}, {version.state}{' '}
                  <span className="note">
                    {version.reason ?? ''} <When at={version.at} />
                  </span>
                </li>
              ))}
            </ol>
            {versions.length > 1 && (
              <p className="mt-2">
                <Go className="link" href={`/books/${String(frame.id)}/openings/compare`}>
                  Compare two versions
                </Go>
              </p>
            )}
          </MarginPart>
          <MarginPart title="What happened">
            <Happenings events={history.map((one) => ({ what: one.what, by: one.by, at: one.at }))} />
          </MarginPart>
        </>
      }
    >
      <div className="max-w-4xl px-4 pb-6">
        {drafting ? (
          <>
            <p>
              Posting writes one journal dated {day(frame.openingDate, frame.dates)},{' '}
              {period === null ? 'brought forward into the first year' : `in ${period}`}: {plural(lines.length, 'line')}
              , {figure(totals.debits, frame)} {frame.currency} on the debit side.{' '}
              {set.version > 1 && 'It holds only the differences from the version before.'} A posted journal is never
              changed; a later correction is posted as a difference.
            </p>
            {blocking.length > 0 ? (
              <p className="mt-3 border-l-4 border-brick bg-paper-2 px-3 py-2">
                Not yet: {verdict(proof)} on the Proof page. {blocking[0]?.findings[0]?.what}{' '}
                <Go className="link" href={`/books/${String(frame.id)}/proof`}>
                  To Proof
                </Go>
              </p>
            ) : (
              <div className="mt-3" id="posting" data-asks="posting">
                {!mayPost ? (
                  <p className="border-l-4 border-rule bg-paper-2 px-3 py-2">
                    Ready. To post it, ask {whoMay('openings.post')} of the practice.
                  </p>
                ) : unreviewed.length > 0 ? (
                  <Problems problems={unreviewed} />
                ) : (
                  <PostButton books={frame.id} set={set.id} lines={lines.length} />
                )}
              </div>
            )}
            {review !== null && <ReviewPart frame={frame} set={set.id} review={review} own={ownReview} me={me} />}
            {set.version > 1 && frame.may.includes('openings.correct') && (
              <DiscardCorrection books={frame.id} set={set.id} />
            )}
            {lines.length > 0 && (
              <table className="ledger mt-4">
                <caption className="title pb-1 text-left text-lg">What will be posted</caption>
                <thead>
                  <tr>
                    <th scope="col">Code</th>
                    <th scope="col">Account</th>
                    <th scope="col" className="figure">
                      Debit
                    </th>
                    <th scope="col" className="figure">
                      Credit
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {lines.map((line) => (
                    <tr key={`${line.code} ${line.currency ?? ''}`}>
                      <td className="text-ink-2">{line.code}</td>
                      <td>
                        {line.name}
                        {line.currency !== null && (
                          <span className="note ml-2">
                            {line.currency} {sided(line.foreign, { ...frame, digits: minorDigits(line.currency) })}
                          </span>
                        )}
                      </td>
                      <td className="figure">{line.amount > 0n ? figure(line.amount, frame) : ''}</td>
                      <td className="figure">{line.amount < 0n ? figure(line.amount, frame) : ''}</td>
                    </tr>
                  ))}
                  <tr className="final">
                    <td />
                    <td className="font-semibold">Total</td>
                    <td className="figure">{figure(totals.debits, frame)}</td>
                    <td className="figure">{figure(totals.credits, frame)}</td>
                  </tr>
                </tbody>
              </table>
            )}
          </>
        ) : (
          <>
            <h2 className="title text-lg">The opening balances are posted</h2>
            <table className="ledger mt-2">
              <thead>
                <tr>
                  <th scope="col">Journal</th>
                  <th scope="col">Description</th>
                  <th scope="col" className="figure">
                    Lines
                  </th>
                  <th scope="col">Posted</th>
                </tr>
              </thead>
              <tbody>
                {journals.map((journal) => (
                  <tr key={journal.number}>
                    <td>
                      <Go className="link" href={`/books/${String(frame.id)}/statements/journal`}>
                        {journal.number}
                      </Go>
                    </td>
                    <td>{journal.description}</td>
                    <td className="figure">{journal.count}</td>
                    <td className="note">
                      {journal.by}, <When at={journal.at} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <h2 className="title mt-6 text-lg">When something turns out to be wrong</h2>
            <p className="mt-1 max-w-prose">
              A correction begins as a copy of the posted version. You change figures on it, the same checks apply, and
              only the differences are posted.
            </p>
            {frame.may.includes('openings.correct') && <CorrectionForm books={frame.id} />}
          </>
        )}
      </div>
    </Frame>
  );
};
