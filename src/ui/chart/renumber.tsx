'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { editChart, renumberBranch } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, accountId, called } from '@/core/chart/account';
import { renumber } from '@/core/chart/codes';
import { type ChartEdit, inverse } from '@/core/chart/edit';
import { inTreeOrder } from '@/core/chart/tree';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

const WHOLE = 'whole';

/** New codes for a branch, shown as old → new before they are taken. */
export const Renumber = ({ frame, accounts }: { readonly frame: FrameView; readonly accounts: readonly Account[] }) => {
  const refresh = useRefresh();
  const headings = inTreeOrder(accounts).filter(({ account }) => account.heading);
  const [branch, setBranch] = useState<string | undefined>();
  const [start, setStart] = useState('');
  const [step, setStep] = useState('10');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [back, setBack] = useState<readonly ChartEdit[] | undefined>();
  const branchId = branch === undefined || branch === WHOLE ? null : accountId(Number(branch));
  const laid = branch === undefined ? undefined : renumber(accounts, branchId, start, Number(step));
  const moving = laid?.ok === true ? laid.value.filter(({ from, to }) => from !== to) : [];
  const take = async (): Promise<void> => {
    const done = await send(renumberBranch({ books: frame.id, branch: branchId, start, step: Number(step) }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.changed, 'account')} renumbered`);
    // Renumbering removes nothing, so nothing comes back under another id.
    setBack(inverse(accounts, done.value.steps, () => accountId(-1)).edits);
    refresh();
  };
  const undo = async (): Promise<void> => {
    const done = await send(editChart({ books: frame.id, edits: [...(back ?? [])] }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    setBack(undefined);
    toast('The codes are as they were');
    refresh();
  };
  return (
    <section aria-labelledby="renumber" className="text-sm">
      <h2 id="renumber" className="title mb-1 text-lg">
        Renumber
      </h2>
      <Problems problems={laid?.ok === false ? laid.problems : problems} />
      <div className="grid grid-cols-[minmax(0,1fr)_7rem_5rem] gap-2">
        <Field label="Branch">
          {(ids) => (
            <select
              {...ids}
              value={branch ?? ''}
              onChange={(event) => {
                setBranch(event.target.value);
                const heading = headings.find(({ account }) => String(account.id) === event.target.value)?.account;
                if (start === '') setStart('1000');
                if (heading !== undefined && heading.code !== '') setStart(heading.code);
              }}
              className="select select-sm w-full"
            >
              <option value="" disabled>
                choose what to renumber
              </option>
              <option value={WHOLE}>the whole chart</option>
              {headings.map(({ account }) => (
                <option key={account.id} value={account.id}>
                  {called(account)}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="First code">
          {(ids) => (
            <input
              {...ids}
              value={start}
              onChange={(event) => setStart(event.target.value)}
              className="input input-sm w-full"
            />
          )}
        </Field>
        <Field label="Step">
          {(ids) => (
            <input
              {...ids}
              type="number"
              min={1}
              value={step}
              onChange={(event) => setStep(event.target.value)}
              className="input input-sm w-full"
            />
          )}
        </Field>
      </div>
      {laid?.ok === true && (
        <>
          <p role="status" className="my-1">
            {moving.length === 0 ? 'No code would change.' : `${plural(moving.length, 'code')} would change:`}
          </p>
          {moving.length > 0 && (
            <div className="max-h-60 overflow-auto border-y border-rule" tabIndex={0}>
              <table className="ledger tight w-full">
                <tbody>
                  {moving.slice(0, 300).map(({ id, from, to, name }) => (
                    <tr key={id}>
                      <td className="w-40 whitespace-nowrap">
                        {from === '' ? 'none' : from} → <b className="font-semibold">{to}</b>
                      </td>
                      <td>{name}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
              {moving.length > 300 && <p className="note px-2 py-1">and {moving.length - 300} more</p>}
            </div>
          )}
        </>
      )}
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn btn-primary btn-sm"
          disabled={moving.length === 0}
          onClick={() => void take()}
        >
          Renumber {moving.length > 0 ? plural(moving.length, 'account') : ''}
        </button>
        {back !== undefined && (
          <button type="button" className="btn btn-sm" onClick={() => void undo()}>
            Undo the renumbering
          </button>
        )}
      </div>
    </section>
  );
};
