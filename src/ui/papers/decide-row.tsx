'use client';

import { useMemo, useRef, useState } from 'react';
import { changeAccount } from '@/actions/chart/commands';
import { decideRows } from '@/actions/papers/decisions';
import type { FrameView } from '@/actions/frame/views';
import type { RowView } from '@/actions/papers/views';
import { type Account, accountId } from '@/core/chart/account';
import { type Classification, typeOf } from '@/core/ledger/classes';
import type { Decision } from '@/core/openings/takeover';
import { LIKENESSES, type Likeness } from '@/core/papers/alike';
import type { Problem } from '@/core/base/result';
import { accountChoices } from '../chart/account-choices';
import { ClassOptions, HeadingOptions } from '../chart/account-fields';
import { MarginPart } from '../frame/frame';
import { Field } from '../parts/field';
import { counted, sided } from '../parts/figures';
import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { Candidates } from './candidates';
import { OnPage } from './printed-page';
import { SplitRow } from './split-row';

interface DecideProps {
  readonly frame: FrameView;
  readonly paper: number;
  readonly view: RowView;
  readonly accounts: readonly Account[];
  /** Told which row waits next. */
  readonly onDecided: (next: number | null) => void;
  /** Reads this row, or all like it, as an account, as none, or (null) as it looks. */
  readonly onRead: (as: boolean | null, like?: Likeness) => void;
}

/** What becomes of one row: an account that is there, a new one, or left out with a reason. */
export const DecideRow = ({ frame, paper, view, accounts, onDecided, onRead }: DecideProps) => {
  const { row, decided, proposal, alike } = view;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const own = decided?.decision;
  const start = own?.kind === 'create' ? own : proposal;
  const choices = useMemo(() => accountChoices(accounts), [accounts]);
  const newName = useRef<HTMLInputElement>(null);
  const [made, setMade] = useState({
    code: start?.code ?? row.code,
    name: start?.name ?? row.name,
    classification: start?.classification ?? 'current-asset',
    parent: start?.parent ?? null,
  });
  const [reason, setReason] = useState(own?.kind === 'leave-out' ? own.reason : '');
  const [together, setTogether] = useState(false);
  const at = (field: string): string | undefined => problems.find((one) => one.path?.at(-1) === field)?.message;
  const fields = ['code', 'name', 'parent', 'classification', 'reason', 'account', 'parts'];

  const decide = async (decision: Decision | null): Promise<void> => {
    const like = together && decision?.kind !== 'create' && decision?.kind !== 'split';
    const done = await send(decideRows({ books: frame.id, paper, rows: [row.row], decision, like }));
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) onDecided(done.value.next);
  };
  const stored =
    own !== undefined &&
    !(decided?.match.kind === 'matched' && own.kind === 'account' && own.account === decided.match.account);
  return (
    <>
      <h2 className="title text-lg leading-tight">
        Row {row.row}
        {row.amount === 0n ? '' : `: ${sided(row.amount, frame)}`}
      </h2>
      <p className="note mb-3 break-words">“{row.text}”</p>
      {view.place !== null && <OnPage books={frame.id} paper={paper} place={view.place} />}
      {decided === null ? (
        <>
          <p className="mb-2">
            {row.kind === 'unreadable'
              ? `Not read: ${row.note ?? ''}.`
              : `Not read as an account: ${row.note ?? row.kind}.`}
          </p>
          {row.kind === 'unreadable' ? (
            <ReadLike
              one="Set this row aside"
              all="Set aside all"
              alike={alike}
              onRead={(like) => onRead(false, like)}
            />
          ) : (
            row.kind !== 'blank' && (
              <ReadLike
                one="Read it as an account"
                all="Read as accounts all"
                alike={alike}
                onRead={(like) => onRead(true, like)}
              />
            )
          )}
        </>
      ) : (
        <>
          <Problems problems={problems.filter((one) => !fields.some((field) => one.path?.at(-1) === field))} />
          {alike.name > 1 && (
            <label className="mb-2 flex items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={together}
                onChange={(event) => setTogether(event.target.checked)}
              />
              Decide about all {counted(alike.name, frame)} rows of this name
            </label>
          )}
          <MarginPart title="Goes to an existing account">
            <p className="note mb-1">{decided.match.why}</p>
            <Candidates
              candidates={decided.match.candidates}
              accounts={accounts}
              onChoose={(account) => void decide({ kind: 'account', account })}
              onReactivate={(account) =>
                void send(changeAccount({ books: frame.id, id: account, change: { active: true } })).then((done) =>
                  done.ok ? decide({ kind: 'account', account }) : setProblems(done.problems),
                )
              }
            />
            <Field label="Account" hint="its choice is taken at once" problem={at('account')}>
              {(ids) => (
                <Picker
                  {...ids}
                  data-decide
                  choices={choices}
                  chosen={own?.kind === 'account' ? String(own.account) : ''}
                  onChoose={(key) => void decide({ kind: 'account', account: accountId(Number(key)) })}
                  onNew={{
                    says: (text) => `Make a new account “${text}” below`,
                    make: (name) => {
                      setMade((was) => ({ ...was, name }));
                      newName.current?.focus();
                    },
                  }}
                />
              )}
            </Field>
          </MarginPart>
          <MarginPart title="Or gets a new account">
            <form
              className="flex flex-col gap-1"
              onSubmit={(event) => {
                event.preventDefault();
                void decide({ kind: 'create', ...made });
              }}
            >
              <Field label="Name" problem={at('name')}>
                {(ids) => (
                  <input
                    {...ids}
                    ref={newName}
                    value={made.name}
                    onChange={(event) => setMade({ ...made, name: event.target.value })}
                    className="input input-sm w-full"
                  />
                )}
              </Field>
              <Field label="Code" problem={at('code')}>
                {(ids) => (
                  <input
                    {...ids}
                    value={made.code}
                    onChange={(event) => setMade({ ...made, code: event.target.value })}
                    className="input input-sm w-full"
                  />
                )}
              </Field>
              <Field label="Statement line" problem={at('classification')}>
                {(ids) => (
                  <select
                    {...ids}
                    value={made.classification}
                    onChange={(event) => {
                      const next = event.target.value as Classification;
                      const heading =
                        accounts.find((one) => one.heading && one.classification === next) ??
                        accounts.find((one) => one.heading && typeOf(one.classification) === typeOf(next));
                      setMade({ ...made, classification: next, parent: heading?.id ?? null });
                    }}
                    className="select select-sm w-full"
                  >
                    <ClassOptions />
                  </select>
                )}
              </Field>
              <Field label="Under heading" problem={at('parent')}>
                {(ids) => (
                  <select
                    {...ids}
                    value={made.parent ?? ''}
                    onChange={(event) =>
                      setMade({
                        ...made,
                        parent: event.target.value === '' ? null : accountId(Number(event.target.value)),
                      })
                    }
                    className="select select-sm w-full"
                  >
                    <HeadingOptions chart={accounts} forClass={made.classification} />
                  </select>
                )}
              </Field>
              <button className="btn btn-xs self-start">Create with the take-over</button>
            </form>
          </MarginPart>
          <MarginPart title="Or is divided among several">
            <SplitRow
              key={String(row.amount)}
              frame={frame}
              amount={row.amount}
              choices={choices}
              parts={own?.kind === 'split' ? own.parts : []}
              problem={at('parts')}
              onSplit={(parts) => void decide({ kind: 'split', parts })}
            />
          </MarginPart>
          <MarginPart title="Or is left out">
            <form
              className="flex flex-col gap-1"
              onSubmit={(event) => {
                event.preventDefault();
                void decide({ kind: 'leave-out', reason });
              }}
            >
              <Field label="Reason" problem={at('reason')}>
                {(ids) => (
                  <input
                    {...ids}
                    value={reason}
                    onChange={(event) => setReason(event.target.value)}
                    autoComplete="off"
                    className="input input-sm w-full"
                  />
                )}
              </Field>
              <button className="btn btn-xs self-start" disabled={reason.trim() === ''}>
                Leave this row out
              </button>
            </form>
          </MarginPart>
          <p className="flex flex-wrap gap-2">
            {stored && (
              <button type="button" className="btn btn-xs" onClick={() => void decide(null)}>
                Take the decision back
              </button>
            )}
          </p>
          <MarginPart title="Or is no account">
            <ReadLike
              one="Set this row aside"
              all="Set aside all"
              alike={alike}
              onRead={(like) => onRead(false, like)}
            />
          </MarginPart>
        </>
      )}
    </>
  );
};

/** Reads a row another way, or all rows like it together. */
const ReadLike = ({
  one,
  all,
  alike,
  onRead,
}: {
  readonly one: string;
  readonly all: string;
  readonly alike: RowView['alike'];
  readonly onRead: (like?: Likeness) => void;
}) => (
  <p className="flex flex-wrap gap-2">
    <button type="button" className="btn btn-xs" onClick={() => onRead()}>
      {one}
    </button>
    {LIKENESSES.filter((like) => alike[like] > 1).map((like) => (
      <button key={like} type="button" className="btn btn-xs" onClick={() => onRead(like)}>
        {all} {alike[like]} {LIKE[like]}
      </button>
    ))}
  </p>
);

const LIKE: Readonly<Record<Likeness, string>> = { name: 'rows of this name', form: 'rows formed like it' };
