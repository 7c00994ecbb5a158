import { Go } from '../parts/go';
import type { papersView } from '@/actions/openings/views';
import { plural } from '@/core/base/result';
import { Frame } from '../frame/frame';

import { DropPaper } from './drop-paper';
import { size } from './size';
import { When } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof papersView>>>;

/** What became of a paper, in a few words. */
const stateOf = ({ takenAt, listed, attached, kept }: View['papers'][number]): string => {
  const uses = [
    ...(takenAt === null ? [] : ['taken over']),
    ...(listed ? ['items taken'] : []),
    ...(attached === 0 ? [] : [`attached in ${plural(attached, 'place')}`]),
  ];
  return uses.length > 0 ? uses.join(', ') : kept ? 'kept, not used yet' : 'read, nothing taken yet';
};

/** The papers of a set of books: brought unchanged, each with what became of it. */
export const PapersSheet = ({ frame, papers }: View) => (
  <Frame
    frame={frame}
    stage="openings"
    title="Papers"
    about={papers.length === 0 ? 'none yet' : plural(papers.length, 'paper')}
    actions={
      <Go href={`/books/${String(frame.id)}/openings`} className="btn btn-sm">
        Opening balances
      </Go>
    }
  >
    <div className="max-w-4xl px-4 pb-6">
      <DropPaper books={frame.id} />
      {papers.length > 0 && (
        <table className="ledger mt-4">
          <thead>
            <tr>
              <th scope="col">Paper</th>
              <th scope="col">Brought</th>
              <th scope="col" className="figure">
                Size
              </th>
              <th scope="col">State</th>
            </tr>
          </thead>
          <tbody>
            {papers.map((paper) => (
              <tr key={paper.id}>
                <td>
                  <Go className="link" href={`/books/${String(frame.id)}/papers/${String(paper.id)}`}>
                    {paper.name}
                  </Go>
                </td>
                <td className="note">
                  {paper.by}, <When at={paper.at} />
                </td>
                <td className="figure">{size(paper.bytes)}</td>
                <td>{stateOf(paper)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  </Frame>
);
