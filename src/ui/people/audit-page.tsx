import type { auditView } from '@/actions/people/views';
import { AUDIT_KINDS, auditLabel } from '@/core/access/audit';
import { Go } from '../parts/go';

import { PeoplePlaces, PracticePage } from './practice-page';
import { When } from '../parts/when';

type View = Awaited<ReturnType<typeof auditView>>;

/** What the practice has to be able to look up later: refusals, rights, signatures, postings, exports. */
export const AuditPage = ({ practice, kind, lines, more, later }: View) => {
  const at = (before: number | null, of: string | null): string => {
    const asked = new URLSearchParams({
      ...(before === null ? {} : { before: String(before) }),
      ...(of === null ? {} : { kind: of }),
    }).toString();
    return asked === '' ? '/audit' : `/audit?${asked}`;
  };
  return (
    <PracticePage practice={practice} title="Audit" beside={<PeoplePlaces here="Audit" audit />}>
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 pb-2 text-sm">
        <nav aria-label="Kinds" className="flex flex-wrap gap-4">
          {[{ id: null, label: 'All' }, ...AUDIT_KINDS].map(({ id, label }) => (
            <Go
              key={label}
              href={at(null, id)}
              aria-current={kind === id ? 'page' : undefined}
              className={kind === id ? 'font-semibold' : 'text-ink-2 hover:text-ink'}
            >
              {label}
            </Go>
          ))}
        </nav>
        <a className="link ml-auto" href="/audit/file" download>
          Save all as CSV
        </a>
      </div>
      {lines.length === 0 ? (
        <p>{later ? 'Nothing older.' : 'Nothing of this kind has happened.'}</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="ledger w-full">
            <thead>
              <tr>
                <th scope="col">When</th>
                <th scope="col">Who</th>
                <th scope="col">What</th>
                <th scope="col">Books</th>
                <th scope="col">About</th>
              </tr>
            </thead>
            <tbody>
              {lines.map((line) => (
                <tr key={line.id}>
                  <td className="whitespace-nowrap text-ink-2">
                    <When at={line.at} />
                  </td>
                  <td className="whitespace-nowrap">{line.by ?? 'nobody known'}</td>
                  <td className="whitespace-nowrap">{auditLabel(line.kind)}</td>
                  <td>{line.books}</td>
                  <td>{line.about}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {more !== null && (
        <p className="mt-3">
          <Go className="btn btn-sm" href={at(more, kind)}>
            Older
          </Go>
        </p>
      )}
    </PracticePage>
  );
};
