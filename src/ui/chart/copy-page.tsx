'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { removeTemplate, saveTemplate, takeCopy } from '@/actions/chart/begin';
import type { FrameView } from '@/actions/frame/views';
import { type Account, called } from '@/core/chart/account';
import { copied, hasOwnName } from '@/core/chart/copy';
import { type IncomingRules, planIncoming } from '@/core/chart/incoming';
import type { ChartSource } from '@/core/chart/template';
import { inTreeOrder } from '@/core/chart/tree';
import { type Problem, plural } from '@/core/base/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useTakeKey } from '../parts/use-take-key';
import { ChartFrame } from './chart-frame';
import { SourceOptions } from './source-options';
import { IncomingPreview, PREVIEW_KEYS, sayPlan } from './incoming-preview';
import { useRowChoices } from './use-row-choices';
import { useRefresh } from '../parts/use-refresh';

const ALSO = [
  { id: 'inactive', label: 'inactive accounts' },
  { id: 'ownNames', label: 'names of banks, cards and lenders' },
  { id: 'notes', label: 'notes' },
  { id: 'taxCodes', label: 'tax codes' },
  { id: 'pattern', label: 'the calendar pattern' },
  { id: 'currencies', label: 'currencies' },
  { id: 'defaults', label: 'defaults for documents' },
] as const;
type Also = Readonly<Record<(typeof ALSO)[number]['id'], boolean>>;

const NOTHING: Also = {
  inactive: false,
  // Whoever keeps the other client's money is nobody's here.
  ownNames: false,
  notes: true,
  taxCodes: true,
  pattern: false,
  currencies: true,
  defaults: false,
};

interface Props {
  readonly frame: FrameView;
  readonly accounts: readonly Account[];
  readonly rules: IncomingRules;
  readonly others: readonly { readonly id: number; readonly name: string }[];
  readonly templates: readonly { readonly id: number; readonly name: string; readonly accounts: number }[];
  readonly source: ChartSource | null;
  readonly from: { readonly kind: 'books' | 'template'; readonly id: number } | null;
}

/** A chart, or branches of it, from another client or a template, with what else goes with it. */
export const CopyPage = ({ frame, accounts, rules, others, templates, source, from }: Props) => {
  const router = useRouter();
  const [also, setAlso] = useState<Also>(NOTHING);
  const [branches, setBranches] = useState<readonly number[] | null>(null);
  const [clash, setClash] = useState<'keep' | 'change' | 'new-code'>('keep');
  const held = useRowChoices();
  const { choices } = held;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const page = `/books/${String(frame.id)}/chart/copy`;
  const plan = useMemo(() => {
    if (source === null) return undefined;
    const wish = { ...also, branches, taxCodes: false };
    const currencies = also.currencies ? [...rules.currencies, ...source.currencies] : rules.currencies;
    return planIncoming(accounts, copied(source.accounts, wish, source.name), choices, {
      ...rules,
      currencies,
      update: true,
      clash,
    });
  }, [source, also, branches, rules, accounts, choices, clash]);
  const headings = useMemo(
    () => (source === null ? [] : inTreeOrder(source.accounts).filter(({ account }) => account.heading)),
    [source],
  );
  const take = async (): Promise<void> => {
    if (from === null) return;
    const done = await send(
      takeCopy({
        books: frame.id,
        from,
        branches: branches === null ? null : [...branches],
        ...also,
        clash,
        choices: Object.fromEntries([...choices].map(([row, choice]) => [String(row), choice])),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    const { counts, also: extra } = done.value;
    toast([`${plural(counts.new, 'account')} copied`, ...extra].join(', '));
    router.push(`/books/${String(frame.id)}/chart`);
  };
  const offers = (id: (typeof ALSO)[number]['id']): string =>
    source === null
      ? ''
      : id === 'inactive'
        ? String(source.accounts.filter(({ active }) => !active).length)
        : id === 'ownNames'
          ? String(source.accounts.filter(hasOwnName).length)
          : id === 'notes'
            ? String(source.accounts.filter(({ note }) => note !== '').length)
            : id === 'taxCodes'
              ? String(source.taxCodes.length)
              : id === 'currencies'
                ? source.currencies.join(', ') || 'none'
                : id === 'pattern'
                  ? source.plan === null || source.plan.pattern.kind === 'list'
                    ? 'none that fits another year'
                    : source.plan.pattern.kind
                  : '';
  useTakeKey(plan !== undefined && plan.edits.length > 0 ? () => void take() : undefined);
  return (
    <ChartFrame
      frame={frame}
      place="/copy"
      {...(plan === undefined ? {} : { keys: PREVIEW_KEYS })}
      title="Copy a chart"
      about={plan === undefined ? 'choose what to copy from' : sayPlan(plan)}
      actions={
        plan !== undefined && (
          <button
            type="button"
            className="btn btn-primary btn-sm"
            aria-keyshortcuts="Control+Enter"
            disabled={plan.edits.length === 0}
            autoFocus
            onClick={() => void take()}
          >
            Copy {plan.edits.length > 0 ? plural(plan.edits.length, 'account') : ''}
          </button>
        )
      }
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-4 px-4 py-3 md:grid-cols-[17rem_minmax(0,1fr)]">
        <div className="flex flex-col gap-3 text-sm">
          <Problems problems={problems} />
          <Field label="Copy from">
            {(ids) => (
              <select
                {...ids}
                value={from === null ? '' : `${from.kind}=${String(from.id)}`}
                onChange={(event) => router.push(event.target.value === '' ? page : `${page}?${event.target.value}`)}
                className="select select-sm w-full"
              >
                <option value="">choose</option>
                <SourceOptions others={others} templates={templates} />
              </select>
            )}
          </Field>
          {source !== null && (
            <>
              <fieldset>
                <legend className="mb-1 font-medium">Also</legend>
                {ALSO.map(({ id, label }) => (
                  <label key={id} className="flex min-h-6 items-center gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={also[id]}
                      onChange={() => setAlso((was) => ({ ...was, [id]: !was[id] }))}
                    />
                    {label}
                    <span className="note">{offers(id)}</span>
                  </label>
                ))}
              </fieldset>
              <fieldset>
                <legend className="mb-1 font-medium">Which branches</legend>
                <label className="flex min-h-6 items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={branches === null}
                    onChange={() => setBranches(branches === null ? [] : null)}
                  />
                  the whole chart
                </label>
                {branches !== null &&
                  headings.map(({ account, depth }) => (
                    <label
                      key={account.id}
                      className="flex min-h-6 items-center gap-2"
                      style={{ paddingLeft: `${String(depth)}rem` }}
                    >
                      <input
                        type="checkbox"
                        className="checkbox checkbox-xs"
                        checked={branches.includes(account.id)}
                        onChange={() =>
                          setBranches(
                            branches.includes(account.id)
                              ? branches.filter((id) => id !== account.id)
                              : [...branches, account.id],
                          )
                        }
                      />
                      {called(account)}
                    </label>
                  ))}
              </fieldset>
              <Field label="An account that is here with another name or type">
                {(ids) => (
                  <select
                    {...ids}
                    value={clash}
                    onChange={(event) => setClash(event.target.value as typeof clash)}
                    className="select select-sm w-full"
                  >
                    <option value="keep">keep what is here</option>
                    <option value="change">take the copied one</option>
                    <option value="new-code">have both, the copied one under another code</option>
                  </select>
                )}
              </Field>
            </>
          )}
          <Templates frame={frame} empty={accounts.length === 0} templates={templates} />
        </div>
        {plan === undefined ? (
          <p className="note max-w-prose">
            Choose another client or a template. What would come, change or clash is shown here before anything is
            stored.
          </p>
        ) : (
          <IncomingPreview
            heading={`${frame.name} · ${source?.name ?? ''}, as it would be taken`}
            plan={plan}
            held={held}
            height="calc(100dvh - 19rem)"
          />
        )}
      </div>
    </ChartFrame>
  );
};

/** Keeping this chart as a template, and the templates that are kept. */
const Templates = ({
  frame,
  empty,
  templates,
}: {
  readonly frame: FrameView;
  readonly empty: boolean;
  readonly templates: Props['templates'];
}) => {
  const refresh = useRefresh();
  const [name, setName] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const keep = async (): Promise<void> => {
    const done = await send(saveTemplate({ books: frame.id, name }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`Kept as the template ${name}`);
    setName('');
    refresh();
  };
  return (
    <section aria-labelledby="templates" className="border-t border-rule pt-2">
      <h2 id="templates" className="font-medium">
        Templates of the practice
      </h2>
      <Problems problems={problems} />
      <ul>
        {templates.map(({ id, name: called_, accounts }) => (
          <li key={id} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate">
              {called_} <span className="note">{plural(accounts, 'row')}</span>
            </span>
            <button
              type="button"
              className="btn btn-ghost btn-xs"
              onClick={() => void send(removeTemplate({ id })).then(refresh)}
            >
              Remove<span className="sr-only"> {called_}</span>
            </button>
          </li>
        ))}
      </ul>
      {!empty && (
        <form
          className="mt-1 flex gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <input
            aria-label="Name of the template"
            placeholder="Keep this chart as …"
            value={name}
            onChange={(event) => setName(event.target.value)}
            className="input input-sm min-w-0 flex-1"
          />
          <button type="submit" className="btn btn-sm" disabled={name.trim() === ''}>
            Keep
          </button>
        </form>
      )}
    </section>
  );
};
