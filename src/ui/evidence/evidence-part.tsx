'use client';

import { Paperclip, X } from 'lucide-react';
import { useState } from 'react';
import { papersToAttach } from '@/actions/evidence/shown';
import type { EvidenceOf } from '@/core/schedules/evidence';
import { MarginPart } from '../frame/frame';
import { useMay } from '../frame/may-context';

import { FileButton } from '../parts/file-button';
import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { useShowPaper } from './paper-beside';
import type { AttachedPapers } from './use-evidence';
import { useMoment } from '../parts/when';

/** The papers attached to one thing: each is shown beside the page; more are brought, or chosen from those in the books. */
export const EvidencePart = ({
  books,
  to,
  papers,
  title = 'Evidence',
}: {
  readonly books: number;
  readonly to: EvidenceOf;
  readonly papers: AttachedPapers;
  readonly title?: string;
}) => (
  <MarginPart title={title}>
    <EvidenceList books={books} to={to} papers={papers} />
  </MarginPart>
);

export const EvidenceList = ({
  books,
  to,
  papers,
}: {
  readonly books: number;
  readonly to: EvidenceOf;
  readonly papers: AttachedPapers;
}) => {
  const show = useShowPaper();
  const moment = useMoment();
  const may = useMay('papers.change');
  const [choices, setChoices] = useState<readonly { readonly id: number; readonly name: string }[] | undefined>();
  const own = papers.to(to.of, to.id);
  const here = new Set(own.map(({ paper }) => paper as number));
  return (
    <div className="flex flex-col gap-2">
      {own.length === 0 ? (
        <p className="note">No paper is attached.</p>
      ) : (
        <ul>
          {own.map(({ id, paper, name, by, at }) => (
            <li key={id} className="flex min-h-6 items-center gap-1.5">
              <Paperclip aria-hidden className="size-3.5 shrink-0 text-ink-2" />
              <button
                type="button"
                className="link min-w-0 flex-1 truncate text-left"
                title={`${name}, attached by ${by}, ${moment(at)}`}
                onClick={() => show(paper)}
              >
                {name}
              </button>
              {may && (
                <button
                  type="button"
                  className="p-1 text-ink-2 hover:text-ink"
                  aria-label={`Take ${name} off`}
                  title="Take it off; the paper stays"
                  onClick={() => void papers.detach(id)}
                >
                  <X aria-hidden className="size-3.5" />
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {papers.busy !== '' && <p role="status">{papers.busy}</p>}
      <Problems problems={papers.problems} />
      {!may ? null : choices === undefined ? (
        <p className="flex flex-wrap gap-2">
          <FileButton
            label="Attach a file"
            accept=""
            multiple
            small
            onFiles={(files) => void papers.bring(to, files)}
          />
          <button type="button" className="btn btn-xs" onClick={() => void papersToAttach({ books }).then(setChoices)}>
            Attach a paper
          </button>
        </p>
      ) : (
        <Picker
          aria-label="Paper to attach"
          placeholder="which paper"
          choices={choices
            .filter(({ id }) => !here.has(id))
            .map(({ id, name }) => ({ key: String(id), code: '', name }))}
          chosen=""
          onChoose={(key) => {
            setChoices(undefined);
            void papers.attach(to, Number(key));
          }}
        />
      )}
    </div>
  );
};
