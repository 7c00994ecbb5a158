'use client';

import { type Currency, asCurrency } from '@/core/money/currency';
import { useState, useSyncExternalStore } from 'react';
import { mergeAccounts } from '@/actions/chart/commands';
import type { FrameView } from '@/actions/frame/views';
import { type Account, type AccountFields, type ChartIndex, accountId, called } from '@/core/chart/account';
import {
  type AccountRole,
  type Classification,
  classFacts,
  normalSide,
  roleFields,
  typeOf,
} from '@/core/ledger/classes';
import { change } from '@/core/chart/edit';
import { placedUnder } from '@/core/chart/regroup';
import type { ChartSettings } from '@/core/chart/settings';
import { codeQuestions } from '@/core/chart/scheme';
import { type Problem, isAt, isWithin } from '@/core/base/result';
import { EvidencePart } from '../evidence/evidence-part';
import type { AttachedPapers } from '../evidence/use-evidence';
import { MarginPart } from '../frame/frame';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ClassOptions, HeadingOptions, KeptInOptions, RoleOptions } from './account-fields';
import { AccountHistory, useStory } from './account-history';
import type { ChartStore } from './chart-store';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly frame: Pick<FrameView, 'id' | 'currency' | 'parts' | 'may'>;
  readonly currencies: readonly Currency[];
  readonly account: Account;
  readonly store: ChartStore;
  readonly index: ChartIndex;
  readonly settings: ChartSettings;
  readonly taxCodes: readonly { readonly code: string; readonly name: string }[];
  readonly papers: AttachedPapers;
}

/** One account in the margin: every field is saved when it is left, and undone with the sheet. */
export const AccountMargin = ({ frame, currencies, account, store, index, settings, taxCodes, papers }: Props) => {
  const { problems, version } = useSyncExternalStore(store.subscribe, store.get, store.get);
  const own = problems.filter((one) => isWithin(one, account.id));
  const at = (field: string): string | undefined => own.find((one) => isAt(one, account.id, field))?.message;
  const set = (is: Partial<AccountFields>): void => void store.edit([change(account, is)]);
  /** Text that is saved when it is left and put back by Esc. */
  const text = (field: 'code' | 'name') => ({
    defaultValue: account[field],
    onBlur: (event: React.FocusEvent<HTMLInputElement>) => {
      const typed = event.target.value.trim();
      if (typed !== account[field]) set({ [field]: typed });
    },
    onKeyDown: (event: React.KeyboardEvent<HTMLInputElement>) => {
      if (event.key === 'Escape') event.currentTarget.value = account[field];
      if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
    },
    className: 'input input-sm w-full',
    autoComplete: 'off',
  });
  const parent = account.parent === null ? undefined : index.byId.get(account.parent);
  const open = frame.may.includes('chart.change');
  const chart = [...index.byId.values()];
  const facts = classFacts(account.classification);
  const question = account.heading ? undefined : codeQuestions(settings.scheme, account, index)[0];
  return (
    <>
      <h2 className="title mb-2 text-lg leading-tight">{called(account)}</h2>
      {/* Papers may be attached by others than who may change the chart. */}
      <fieldset disabled={!open} className="looked-at mb-4 flex flex-col gap-1.5">
        <Field label="Name" problem={at('name')}>
          {(ids) => <input {...ids} {...text('name')} key={`n${account.name}`} data-margin-name />}
        </Field>
        <Field
          label="Code"
          problem={at('code')}
          hint={question === undefined ? undefined : <span className="text-ochre">{question.message}</span>}
        >
          {(ids) => <input {...ids} {...text('code')} key={`c${account.code}`} />}
        </Field>
        <Field
          label={account.heading ? 'Type' : 'Statement line'}
          hint={`${facts.means} For example: ${facts.examples}.`}
          problem={at('classification')}
        >
          {(ids) => (
            <select
              {...ids}
              value={account.classification}
              onChange={(event) => set({ classification: event.target.value as Classification })}
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
                set(
                  placedUnder(
                    account,
                    event.target.value === '' ? undefined : index.byId.get(accountId(Number(event.target.value))),
                  ),
                )
              }
              className="select select-sm w-full"
            >
              <HeadingOptions chart={chart} forClass={account.classification} not={account.id} />
            </select>
          )}
        </Field>
        {!account.heading && (
          <>
            <Field label="Role" problem={at('role')}>
              {(ids) => (
                <select
                  {...ids}
                  value={account.role ?? ''}
                  onChange={(event) =>
                    set(roleFields(event.target.value === '' ? null : (event.target.value as AccountRole)))
                  }
                  className="select select-sm w-full"
                >
                  <RoleOptions type={typeOf(account.classification)} parts={frame.parts} own={account.role} />
                </select>
              )}
            </Field>
            <label className="flex min-h-6 items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={account.contra}
                onChange={(event) => set({ contra: event.target.checked })}
              />
              Contra: normally stands on the {normalSide({ ...account, contra: true })} side
            </label>
            {(currencies.length > 0 || account.currency !== null) && (
              <Field label="Kept in" problem={at('currency')}>
                {(ids) => (
                  <select
                    {...ids}
                    value={account.currency ?? ''}
                    onChange={(event) => set({ currency: asCurrency(event.target.value) ?? null })}
                    className="select select-sm w-full"
                  >
                    <KeptInOptions base={frame.currency} currencies={currencies} />
                  </select>
                )}
              </Field>
            )}
            {taxCodes.length > 0 && (
              <Field label="Tax code proposed" problem={at('taxCode')}>
                {(ids) => (
                  <select
                    {...ids}
                    value={account.taxCode ?? ''}
                    onChange={(event) => set({ taxCode: asCurrency(event.target.value) ?? null })}
                    className="select select-sm w-full"
                  >
                    <option value="">none</option>
                    {taxCodes.map(({ code, name }) => (
                      <option key={code} value={code}>
                        {code} {name}
                      </option>
                    ))}
                  </select>
                )}
              </Field>
            )}
          </>
        )}
        <Field label="Note" problem={at('note')}>
          {(ids) => (
            <textarea
              {...ids}
              key={account.note}
              defaultValue={account.note}
              rows={2}
              onBlur={(event) => event.target.value.trim() !== account.note && set({ note: event.target.value.trim() })}
              className="textarea textarea-sm w-full leading-snug"
            />
          )}
        </Field>
        <div className="mt-1 flex flex-wrap gap-2">
          <button type="button" className="btn btn-xs" onClick={() => set({ active: !account.active })}>
            {account.active ? 'Deactivate' : 'Reactivate'}
          </button>
          <button
            type="button"
            className="btn btn-xs"
            onClick={() => void store.edit([{ kind: 'remove', id: account.id }])}
          >
            Delete if unused
          </button>
        </div>
        {at('active') !== undefined && <p className="text-sm text-brick">{at('active')}</p>}
      </fieldset>
      {account.origin !== '' && (
        <MarginPart title="Why it is here">
          <p>{account.origin}</p>
        </MarginPart>
      )}
      {open && !account.heading && <Merge frame={frame} account={account} chart={chart} />}
      <AccountAside frame={frame} account={account} version={version} papers={papers} />
    </>
  );
};

/** Papers attached to the account, and what happened to it. */
const AccountAside = ({
  frame,
  account,
  version,
  papers,
}: Pick<Props, 'frame' | 'account' | 'papers'> & { readonly version: number }) => (
  <>
    <EvidencePart key={account.id} books={frame.id} to={{ of: 'account', id: account.id }} papers={papers} />
    <MarginPart title="What happened">
      <AccountHistory story={useStory(frame.id, account.id, version + papers.all.length)} />
    </MarginPart>
  </>
);

/** One account into another of its kind. */
const Merge = ({
  frame,
  account,
  chart,
}: {
  readonly frame: Props['frame'];
  readonly account: Account;
  readonly chart: readonly Account[];
}) => {
  const refresh = useRefresh();
  const [into, setInto] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const others = chart.filter(
    (one) =>
      one.id !== account.id &&
      !one.heading &&
      one.active &&
      one.currency === account.currency &&
      typeOf(one.classification) === typeOf(account.classification),
  );
  if (others.length === 0) return null;
  return (
    <MarginPart title="Merge">
      <Problems problems={problems} />
      <div className="flex gap-1.5">
        <select
          aria-label={`Merge ${called(account)} into`}
          value={into}
          onChange={(event) => setInto(event.target.value)}
          className="select select-sm min-w-0 flex-1"
        >
          <option value="">into …</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {called(one)}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn btn-sm"
          disabled={into === ''}
          onClick={() =>
            void send(mergeAccounts({ books: frame.id, from: account.id, into: Number(into) })).then((done) => {
              if (done.ok) refresh();
              else setProblems(done.problems);
            })
          }
        >
          Merge
        </button>
      </div>
      <p className="note">
        Figures that are not posted move; what is posted stays here, and this account becomes inactive.
      </p>
    </MarginPart>
  );
};
