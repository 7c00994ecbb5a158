'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { dismissAdvice, recallAdvice, takeAdvice } from '@/actions/chart/advice';
import type { AdviceView } from '@/actions/chart/views';
import type { FrameView } from '@/actions/frame/views';
import { ADVICE } from '@/core/chart/advice/advise';
import { type Problem, plural } from '@/core/base/result';
import { Go } from '../parts/go';

import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ChartFrame } from './chart-frame';
import { useRefresh } from '../parts/use-refresh';
import { When } from '../parts/when';

type Shown = AdviceView & {
  readonly dismissal: { readonly reason: string; readonly by: string; readonly at: string } | null;
};

/** Advice on tidying the chart, to be taken in one click, for many at once, or set aside with a reason. */
export const TidyPage = ({
  frame,
  advice,
  answered,
}: {
  readonly frame: FrameView;
  readonly advice: readonly Shown[];
  readonly answered: boolean;
}) => {
  const refresh = useRefresh();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [reason, setReason] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const open = advice.filter(({ dismissal }) => dismissal === null);
  const aside = advice.filter(({ dismissal }) => dismissal !== null);
  const picked = open.filter(({ key }) => chosen.has(key)).map(({ key }) => key);
  const toggle = (keys: readonly string[], on: boolean): void =>
    setChosen((was) => {
      const next = new Set(was);
      for (const key of keys)
        if (on) next.add(key);
        else next.delete(key);
      return next;
    });
  const take = async (keys: readonly string[]): Promise<void> => {
    setBusy(true);
    const done = await send(takeAdvice({ books: frame.id, keys: [...keys] }));
    setBusy(false);
    setProblems(done.ok ? done.value.problems : done.problems);
    if (done.ok) toast(`${plural(done.value.done, 'piece')} of advice taken`);
    setChosen(new Set());
    refresh();
  };
  const dismiss = async (): Promise<void> => {
    const done = await send(dismissAdvice({ books: frame.id, keys: [...picked], reason }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    setReason('');
    setChosen(new Set());
    refresh();
  };
  return (
    <ChartFrame
      frame={frame}
      place="/tidy"
      title="Tidying the chart"
      about={
        open.length === 0
          ? 'nothing to tidy'
          : `${plural(open.length, 'piece')} of advice${aside.length > 0 ? `, ${String(aside.length)} set aside` : ''}`
      }
    >
      <div className="max-w-5xl px-4 py-3" data-asks={open[0]?.kind}>
        <Problems problems={problems} />
        {!answered && (
          <p className="note mb-2">
            No answers were given for this chart, so accounts are not held against them.{' '}
            <Go href={`/books/${String(frame.id)}/chart/begin`} className="underline">
              Give them
            </Go>
          </p>
        )}
        {open.length === 0 && (
          <p>This chart is tidy: the essentials are there, nothing stands twice, every code is in its range.</p>
        )}
        {open.length > 0 && (
          <div className="sticky top-0 z-10 mb-2 flex flex-wrap items-center gap-2 border-b border-rule bg-paper py-2 text-sm">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={picked.length === open.length}
                onChange={(event) =>
                  toggle(
                    open.map(({ key }) => key),
                    event.target.checked,
                  )
                }
              />
              All
            </label>
            <button
              type="button"
              className="btn btn-primary btn-sm"
              disabled={picked.length === 0 || busy}
              onClick={() => void take(picked)}
            >
              {busy ? 'Tidying …' : `Apply the ${String(picked.length)} chosen`}
            </button>
            <input
              aria-label="Why they are set aside"
              placeholder="or: why they stay as they are"
              value={reason}
              onChange={(event) => setReason(event.target.value)}
              className="input input-sm w-64"
            />
            <button
              type="button"
              className="btn btn-sm"
              disabled={picked.length === 0 || reason.trim() === ''}
              onClick={() => void dismiss()}
            >
              Set aside
            </button>
          </div>
        )}
        {ADVICE.map(({ kind, label }) => {
          const own = open.filter((one) => one.kind === kind);
          return own.length === 0 ? null : (
            <section key={kind} id={kind} aria-label={label} className="mb-4">
              <h2 className="mb-1 flex items-center gap-2 font-semibold">
                <input
                  type="checkbox"
                  aria-label={`All of: ${label}`}
                  className="checkbox checkbox-xs"
                  checked={own.every(({ key }) => chosen.has(key))}
                  onChange={(event) =>
                    toggle(
                      own.map(({ key }) => key),
                      event.target.checked,
                    )
                  }
                />
                {label}
                <span className="note font-normal">{own.length}</span>
              </h2>
              <ul>
                {own.slice(0, 200).map((one) => (
                  <li key={one.key} className="flex items-start gap-2 border-b border-hairline py-1.5 text-sm">
                    <input
                      type="checkbox"
                      aria-label={one.says}
                      className="checkbox checkbox-xs mt-0.5"
                      checked={chosen.has(one.key)}
                      onChange={(event) => toggle([one.key], event.target.checked)}
                    />
                    <span className="min-w-0 flex-1">{one.says}</span>
                    <button
                      type="button"
                      className="btn btn-xs h-auto max-w-56 py-0.5 text-left"
                      disabled={busy || one.byHand}
                      onClick={() => void take([one.key])}
                    >
                      {one.label}
                    </button>
                  </li>
                ))}
                {own.length > 200 && <li className="note py-1">and {own.length - 200} more</li>}
              </ul>
            </section>
          );
        })}
        {aside.length > 0 && (
          <section aria-label="Set aside" className="mt-6">
            <h2 className="mb-1 font-semibold">Set aside</h2>
            <ul>
              {aside.map((one) => (
                <li key={one.key} className="flex items-start gap-2 border-b border-hairline py-1.5 text-sm">
                  <span className="min-w-0 flex-1">
                    {one.says}
                    <span className="note block">
                      {one.dismissal?.reason}, {one.dismissal?.by}, <When at={one.dismissal?.at ?? ''} />
                    </span>
                  </span>
                  <button
                    type="button"
                    className="btn btn-xs"
                    onClick={() => void send(recallAdvice({ books: frame.id, keys: [one.key] })).then(refresh)}
                  >
                    Bring back
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </ChartFrame>
  );
};
