'use client';

import { type Currency } from '@/core/money/currency';
import { useDeferredValue, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { takeLines } from '@/actions/chart/begin';
import type { FrameView } from '@/actions/frame/views';
import { type Account, called } from '@/core/chart/account';
import { planIncoming } from '@/core/chart/incoming';
import { classFacts } from '@/core/ledger/classes';
import { readLines } from '@/core/chart/lines';
import type { ChartSettings } from '@/core/chart/settings';
import { inTreeOrder } from '@/core/chart/tree';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { sayPlan } from './incoming-preview';

interface Props {
  readonly frame: Pick<FrameView, 'id' | 'currency'>;
  readonly accounts: readonly Account[];
  readonly currencies: readonly Currency[];
  readonly settings: ChartSettings;
  /** The account chosen when adding began; new ones stand under it or beside it. */
  readonly beside: Account | undefined;
  readonly onDone: () => void;
}

const SHOWN = 12;

/** Accounts typed or pasted, one per line, with what each line becomes shown below while it is typed. */
export const AddLines = ({ frame, accounts, currencies, settings, beside, onDone }: Props) => {
  const heading = beside?.heading === true ? beside : accounts.find(({ id }) => id === beside?.parent);
  const [under, setUnder] = useState(heading === undefined ? '' : heading.code === '' ? heading.name : heading.code);
  const [text, setText] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const resting = useDeferredValue(text);
  const plan = useMemo(
    () =>
      planIncoming(accounts, readLines(resting, under, frame.currency), new Map(), {
        codes: settings.codes,
        scheme: settings.scheme,
        base: frame.currency,
        currencies,
        taxCodes: [],
        uses: new Map(),
        banks: new Map(),
        update: false,
        clash: 'new-code',
      }),
    [accounts, resting, under, frame.currency, settings, currencies],
  );
  const add = async (): Promise<void> => {
    const done = await send(takeLines({ books: frame.id, text, under }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.counts.new, 'account')} added`);
    onDone();
  };
  const rows = [...plan.rows].sort((a, b) => Number(b.status === 'problem') - Number(a.status === 'problem'));
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onDone();
        if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
          event.preventDefault();
          void add();
        }
      }}
      className="flex flex-col gap-2"
    >
      <h2 className="title text-lg leading-tight">Add accounts</h2>
      <Problems problems={problems} />
      <Field label="Under heading">
        {(ids) => (
          <select
            {...ids}
            value={under}
            onChange={(event) => setUnder(event.target.value)}
            className="select select-sm w-full"
          >
            <option value="">by what each line says</option>
            {inTreeOrder(accounts)
              .filter(({ account }) => account.heading)
              .map(({ account }) => (
                <option key={account.id} value={account.code === '' ? account.name : account.code}>
                  {called(account)}
                </option>
              ))}
          </select>
        )}
      </Field>
      <Field
        label="Accounts, one per line"
        hint="“4110 Sales of tiles”, or a name alone. A line that ends with a colon names a heading, new or here; what follows stands under it. Lines copied from a spreadsheet are read by their columns."
      >
        {(ids) => (
          <textarea
            {...ids}
            value={text}
            onChange={(event) => setText(event.target.value)}
            autoFocus
            rows={6}
            className="textarea textarea-sm w-full leading-snug"
          />
        )}
      </Field>
      {text.trim() !== '' && (
        <div>
          <p className="text-sm font-medium" role="status">
            {sayPlan(plan)}
          </p>
          <ul className="mt-1 text-sm">
            {rows.slice(0, SHOWN).map((row) => (
              <li key={row.row} className="border-b border-hairline py-0.5">
                <span className={row.heading ? 'font-semibold' : ''}>{called(row)}</span>
                <span className="block text-xs text-ink-2">
                  {row.status === 'problem'
                    ? ''
                    : `${row.status === 'same' || row.status === 'kept' ? 'is here already' : row.heading ? 'heading' : row.classification === null ? '' : classFacts(row.classification).one}${row.under === '' ? '' : `, under ${row.under}`}`}
                </span>
                {row.problems.map((one) => (
                  <span key={one.code} className="block text-xs text-brick">
                    {one.message}
                  </span>
                ))}
              </li>
            ))}
            {rows.length > SHOWN && <li className="note">and {rows.length - SHOWN} more</li>}
          </ul>
        </div>
      )}
      <div className="flex gap-2">
        <button type="submit" className="btn btn-primary btn-sm" disabled={plan.counts.new === 0}>
          Add {plan.counts.new > 0 ? plural(plan.counts.new, 'account') : 'accounts'}
        </button>
        <button type="button" className="btn btn-sm" onClick={onDone}>
          Done
        </button>
      </div>
    </form>
  );
};
