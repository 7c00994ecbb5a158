'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import type { ToldBatch, changesView } from '@/actions/changes/views';
import { undo } from '@/actions/changes/commands';
import { type Problem, plural } from '@/core/base/result';
import { Frame } from '../frame/frame';
import { ChangesFilter, changesAddress, isFiltered } from './changes-filter';
import { Go } from '../parts/go';

import { Problems } from '../parts/problems';
import { SaveAs } from '../parts/save-as';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type View = NonNullable<Awaited<ReturnType<typeof changesView>>>;

/** The record of changes: what was changed when and by whom, and each taken back as one. */
export const ChangesPage = ({ frame, batches, later, asked, people, accounts, before }: View) => {
  const refresh = useRefresh();
  const [busy, setBusy] = useState<string>();
  const [refused, setRefused] = useState<{ readonly batch: string; readonly problems: readonly Problem[] }>();
  const takeBack = async (batch: string, leaveNewer: boolean): Promise<void> => {
    setBusy(batch);
    const done = await send(undo({ books: frame.id, batch, leaveNewer }));
    setBusy(undefined);
    setRefused(done.ok ? undefined : { batch, problems: done.problems });
    if (!done.ok) return;
    toast(
      `${plural(done.value.undone, 'change')} taken back${done.value.kept > 0 ? `; ${String(done.value.kept)} changed since and stayed` : ''}`,
    );
    refresh();
  };
  return (
    <Frame
      frame={frame}
      stage={undefined}
      title="Changes"
      actions={batches.length > 0 && <SaveAs label="Save as" href={changesAddress(frame.id, asked, 'lists/changes')} />}
      about={later ? 'earlier ones' : 'newest first; each can be taken back as one'}
    >
      <ChangesFilter frame={frame} asked={asked} people={people} accounts={accounts} />
      <div className="max-w-5xl px-4 pb-6">
        {batches.length === 0 && (
          <p className="note">
            {later
              ? 'Nothing older.'
              : isFiltered(asked)
                ? 'Nothing of this was changed.'
                : 'Nothing was changed yet. Whatever changes in these books stands here from then on, with the way back.'}
          </p>
        )}
        <ol>
          {batches.map((batch) => (
            <Entry
              key={batch.id}
              batch={batch}
              busy={busy !== undefined}
              problems={refused?.batch === batch.id ? refused.problems : []}
              takeBack={(leaveNewer) => void takeBack(batch.id, leaveNewer)}
            />
          ))}
        </ol>
        <p className="no-print mt-3 flex gap-4">
          {later && (
            <Go className="link" href={changesAddress(frame.id, { ...asked, before: undefined })}>
              The newest
            </Go>
          )}
          {before !== null && (
            <Go className="link" href={changesAddress(frame.id, { ...asked, before })}>
              What came before
            </Go>
          )}
        </p>
      </div>
    </Frame>
  );
};

const Entry = ({
  batch,
  busy,
  problems,
  takeBack,
}: {
  readonly batch: ToldBatch;
  readonly busy: boolean;
  readonly problems: readonly Problem[];
  readonly takeBack: (leaveNewer: boolean) => void;
}) => {
  const [only] = batch.changes;
  const one = batch.changes.length === 1 && !batch.more ? only : undefined;
  const told = (
    <span className="block text-xs text-ink-2">
      {batch.by}, <When at={batch.at} />
      {batch.state === 'taken back' && ' · taken back'}
      {batch.state === 'stands' && batch.stays !== null && ` · ${batch.stays}`}
    </span>
  );
  return (
    <li className={`border-b border-rule py-2 ${batch.state === 'taken back' ? 'text-ink-2' : ''}`}>
      <div className="flex flex-wrap items-start justify-between gap-x-4 gap-y-1">
        <div className="min-w-0 flex-1 basis-72">
          {one !== undefined && batch.what.endsWith('changed') ? (
            <p>
              {one}
              {told}
            </p>
          ) : batch.changes.length === 0 ? (
            <p>
              {batch.what}
              {told}
            </p>
          ) : (
            <details>
              <summary className="cursor-pointer">
                {batch.what}
                {told}
              </summary>
              <ul className="mt-1 mb-1 ml-4 list-disc text-sm">
                {batch.changes.map((what, at) => (
                  <li key={at}>{what}</li>
                ))}
                {batch.more && <li className="note list-none">… and more</li>}
              </ul>
            </details>
          )}
        </div>
        {batch.state === 'stands' && batch.stays === null && (
          <button
            type="button"
            className="btn btn-sm no-print"
            disabled={busy}
            aria-label={`Take back: ${one ?? batch.what}`}
            onClick={() => takeBack(false)}
          >
            Take back
          </button>
        )}
      </div>
      {problems.length > 0 && (
        <div className="mt-1">
          <Problems problems={problems} />
          {problems.some(({ code }) => code === 'undo.newer') && batch.changes.length > 1 && (
            <button type="button" className="btn btn-sm mt-1" disabled={busy} onClick={() => takeBack(true)}>
              Take back only the others
            </button>
          )}
        </div>
      )}
    </li>
  );
};
