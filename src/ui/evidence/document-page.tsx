'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { detachPaper } from '@/actions/evidence/commands';
import type { FoundDocument, PaperUse } from '@/actions/evidence/views';
import type { FrameView } from '@/actions/frame/views';
import { removePaper } from '@/actions/papers/commands';
import type { Problem, Result } from '@/core/base/result';
import { Frame, MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { Go } from '../parts/go';

import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { size } from '../papers/size';
import { ShownPaperPart } from './shown-paper';
import { useRefresh } from '../parts/use-refresh';
import { useMoment } from '../parts/when';

const hrefOf = (books: number, { place }: PaperUse): string => {
  const at = `/books/${String(books)}`;
  switch (place.on) {
    case 'schedule':
      return scheduleHref(books, place.account);
    case 'account':
      return `${at}/openings?account=${String(place.account)}`;
    case 'contact':
      return `${at}/schedules/contacts/${String(place.contact)}`;
    default:
      return `${at}/${place.on}`;
  }
};

/** A paper as it was brought, and where it is used. */
export const DocumentPage = ({
  frame,
  paper,
  uses,
  readable,
}: FoundDocument & { readonly frame: FrameView; readonly readable: boolean }) => {
  const router = useRouter();
  const refresh = useRefresh();
  const moment = useMoment();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const act = async (doing: Promise<Result<unknown>>): Promise<boolean> => {
    const done = await send(doing);
    setProblems(done.ok ? [] : done.problems);
    return done.ok;
  };
  const at = `/books/${String(frame.id)}/papers`;
  return (
    <Frame
      frame={frame}
      stage="openings"
      title={paper.name}
      about={`${size(paper.bytes)}, brought by ${paper.by}, ${moment(paper.at)}`}
      actions={
        <>
          {uses.length === 0 && paper.takenAt === null && (
            <button
              type="button"
              className="btn btn-sm"
              onClick={() =>
                void act(removePaper({ books: frame.id, paper: paper.id })).then((done) => {
                  if (!done) return;
                  toast(`${paper.name} removed`);
                  router.push(at);
                })
              }
            >
              Remove paper
            </button>
          )}
          {readable && (
            <Go href={`${at}/${String(paper.id)}?as=table`} className="btn btn-sm">
              Read it as a table
            </Go>
          )}
          <Go href={at} className="btn btn-sm">
            All papers
          </Go>
        </>
      }
      margin={
        <MarginPart title="Where it is used">
          {uses.length === 0 ? (
            <p className="note">
              Nowhere yet. Attach it to a figure, an item, a contact or a check in the margin of each.
            </p>
          ) : (
            <ul className="space-y-1.5">
              {uses.map((use, place) => (
                <li key={place} className="flex items-baseline gap-2">
                  <Go className="link min-w-0 flex-1" href={hrefOf(frame.id, use)}>
                    {use.what}
                  </Go>
                  {use.evidence !== null && (
                    <button
                      type="button"
                      className="btn btn-xs"
                      onClick={() =>
                        void act(detachPaper({ books: frame.id, evidence: use.evidence ?? 0 })).then((done) => {
                          if (done) refresh();
                        })
                      }
                    >
                      Take off
                    </button>
                  )}
                </li>
              ))}
            </ul>
          )}
        </MarginPart>
      }
    >
      <div className="max-w-4xl px-4 pb-6">
        <Problems problems={problems} />
        <ShownPaperPart books={frame.id} paper={paper.id} named />
      </div>
    </Frame>
  );
};
