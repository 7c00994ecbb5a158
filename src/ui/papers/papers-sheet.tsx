import { Go } from '../parts/go';
import type { papersView } from '@/actions/openings/views';
import { plural } from '@/core/base/result';
import { Frame } from '../frame/frame';
import { moment } from '../parts/names';
import { DropPaper } from './drop-paper';

type View = NonNullable<Awaited<ReturnType<typeof papersView>>>;

export const size = (bytes: number): string =>
  bytes < 1024 * 1024
    ? `${String(Math.max(1, Math.round(bytes / 1024)))} kB`
    : `${String(Math.round(bytes / 1024 / 1024))} MB`;

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
                  {paper.by}, {moment(paper.at)}
                </td>
                <td className="figure">{size(paper.bytes)}</td>
                <td>{paper.takenAt === null ? 'read, nothing taken yet' : 'taken over'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  </Frame>
);
