'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { changeAccount, removeAccount } from '@/actions/chart';
import type { FrameView } from '@/actions/frame-view';
import { type Account, accountId, called } from '@/core/chart/account';
import { type Classification, type AccountRole, classFacts, typeOf } from '@/core/chart/classes';
import type { Problem } from '@/core/result';
import { MarginPart } from '../frame/frame';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ClassOptions, HeadingOptions, KeptInOptions, RoleOptions } from './account-fields';
import { AccountHistory } from './account-history';

type Change = Parameters<typeof changeAccount>[0]['change'];

/** One account in the margin: every field is saved when it is left. */
export const AccountMargin = ({
  frame,
  currencies,
  account,
  chart,
  onChanged,
}: {
  readonly frame: Pick<FrameView, 'id' | 'currency' | 'parts'>;
  readonly currencies: readonly string[];
  readonly account: Account;
  readonly chart: readonly Account[];
  readonly onChanged: () => void;
}) => {
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [version, setVersion] = useState(0);
  const at = (field: string): string | undefined => problems.find((one) => one.field === field)?.message;
  const change = async (given: Change): Promise<void> => {
    const done = await send(changeAccount({ books: frame.id, id: account.id, change: given }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast('Saved');
    setVersion((was) => was + 1);
    onChanged();
  };
  const remove = async (): Promise<void> => {
    const done = await send(removeAccount({ books: frame.id, id: account.id }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${called(account)} deleted`);
    onChanged();
  };
  /** Text that is saved when it is left and put back by Esc. */
  const text = (field: 'code' | 'name') => ({
    defaultValue: account[field],
    key: account[field],
    onBlur: (event: React.FocusEvent<HTMLInputElement>) => {
      const typed = event.target.value.trim();
      if (typed !== account[field]) void change({ [field]: typed });
    },
    onKeyDown: (event: React.KeyboardEvent<HTMLInputElement>) => {
      if (event.key === 'Escape') event.currentTarget.value = account[field];
      if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
    },
    className: 'input input-sm w-full',
    autoComplete: 'off',
  });
  const parent = chart.find((one) => one.id === account.parent);
  return (
    <>
      <h2 className="title mb-2 text-lg leading-tight">{called(account)}</h2>
      <Problems problems={problems.filter((one) => one.field === undefined || one.field === 'active')} />
      <div className="mb-4 flex flex-col gap-1.5">
        <Field label="Name" problem={at('name')}>
          {(ids) => <input {...ids} {...text('name')} key={`n${account.name}`} data-margin-name />}
        </Field>
        <Field label="Code" problem={at('code')}>
          {(ids) => <input {...ids} {...text('code')} key={`c${account.code}`} />}
        </Field>
        <Field
          label={account.heading ? 'Type' : 'Statement line'}
          hint={classFacts(account.classification).means}
          problem={at('classification')}
        >
          {(ids) => (
            <select
              {...ids}
              value={account.classification}
              onChange={(event) => void change({ classification: event.target.value as Classification })}
              className="select select-sm w-full"
            >
              <ClassOptions type={parent === undefined ? undefined : typeOf(parent.classification)} />
            </select>
          )}
        </Field>
        <Field label="Under heading" problem={at('parent')}>
          {(ids) => (
            <select
              {...ids}
              value={account.parent ?? ''}
              onChange={(event) =>
                void change({ parent: event.target.value === '' ? null : accountId(Number(event.target.value)) })
              }
              className="select select-sm w-full"
            >
              <HeadingOptions chart={chart} forClass={account.classification} not={account.id} />
            </select>
          )}
        </Field>
        {!account.heading && (
          <Field label="Role" problem={at('role')}>
            {(ids) => (
              <select
                {...ids}
                value={account.role ?? ''}
                onChange={(event) =>
                  void change({ role: event.target.value === '' ? null : (event.target.value as AccountRole) })
                }
                className="select select-sm w-full"
              >
                <RoleOptions type={typeOf(account.classification)} parts={frame.parts} own={account.role} />
              </select>
            )}
          </Field>
        )}
        {!account.heading && (currencies.length > 0 || account.currency !== null) && (
          <Field label="Kept in" problem={at('currency')}>
            {(ids) => (
              <select
                {...ids}
                value={account.currency ?? ''}
                onChange={(event) => void change({ currency: event.target.value === '' ? null : event.target.value })}
                className="select select-sm w-full"
              >
                <KeptInOptions base={frame.currency} currencies={currencies} />
              </select>
            )}
          </Field>
        )}
        <div className="mt-1 flex flex-wrap gap-2">
          <button type="button" className="btn btn-xs" onClick={() => void change({ active: !account.active })}>
            {account.active ? 'Deactivate' : 'Reactivate'}
          </button>
          <button type="button" className="btn btn-xs" onClick={() => void remove()}>
            Delete if unused
          </button>
        </div>
      </div>
      <MarginPart title="What happened">
        <AccountHistory books={frame.id} account={account.id} version={version} />
      </MarginPart>
    </>
  );
};
