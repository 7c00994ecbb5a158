'use client';

import { useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { toast } from 'sonner';
import { addAccount } from '@/actions/chart';
import type { FrameView } from '@/actions/frame-view';
import { type Account, accountId, called } from '@/core/chart/account';
import { type Classification, type AccountRole, classFacts, typeOf } from '@/core/chart/classes';
import { proposeCode } from '@/core/chart/codes';
import type { Problem } from '@/core/result';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ClassOptions, HeadingOptions, KeptInOptions, RoleOptions } from './account-fields';

interface Props {
  readonly frame: Pick<FrameView, 'id' | 'currency' | 'parts'>;
  readonly currencies: readonly string[];
  readonly chart: readonly Account[];
  /** The account selected when adding began; the new one stands under it or beside it. */
  readonly beside: Account | undefined;
  /** Called with the new account, or with nothing when adding ends. */
  readonly onDone: (made?: number) => void;
}

interface Draft {
  readonly kind: 'posting' | 'heading';
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
  readonly parent: string;
  readonly role: string;
  readonly currency: string;
}

/** A new account: its heading gives the type and proposes the code. */
export const AddAccount = ({ frame, currencies, chart, beside, onDone }: Props) => {
  const heading = beside?.heading === true ? beside : chart.find((one) => one.id === beside?.parent);
  const { register, handleSubmit, control, setValue, formState } = useForm<Draft>({
    defaultValues: {
      kind: chart.length === 0 ? 'heading' : 'posting',
      code: chart.length === 0 ? '1000' : proposeCode(chart, heading),
      name: '',
      classification: heading?.classification ?? 'current-asset',
      parent: String(heading?.id ?? ''),
      role: '',
      currency: '',
    },
  });
  const draft = useWatch({ control }) as Draft;
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const at = (field: string): string | undefined => problems.find((one) => one.field === field)?.message;
  const submit = handleSubmit(async (given) => {
    const done = await send(
      addAccount({
        books: frame.id,
        code: given.code,
        name: given.name,
        classification: given.classification,
        parent: given.parent === '' ? null : accountId(Number(given.parent)),
        role: given.role === '' || given.kind === 'heading' ? null : (given.role as AccountRole),
        currency: given.currency === '' || given.kind === 'heading' ? null : given.currency,
        heading: given.kind === 'heading',
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${called(given)} added`);
    onDone(done.value.id);
  });
  const under = chart.find((one) => String(one.id) === draft.parent);
  return (
    <form
      noValidate
      onSubmit={(event) => void submit(event)}
      className="flex flex-col gap-1.5"
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <h2 className="title text-lg leading-tight">New account</h2>
      <Problems problems={problems.filter((one) => one.field === undefined)} />
      <Field label="Name" problem={at('name')}>
        {(ids) => (
          <input {...ids} {...register('name')} autoFocus autoComplete="off" className="input input-sm w-full" />
        )}
      </Field>
      <Field label="Under heading" problem={at('parent')}>
        {(ids) => (
          <select
            {...ids}
            {...register('parent', {
              onChange: (event: { target: { value: string } }) => {
                const next = chart.find((one) => String(one.id) === event.target.value);
                setValue('code', proposeCode(chart, next));
              },
            })}
            className="select select-sm w-full"
          >
            <HeadingOptions chart={chart} forClass={draft.classification} />
          </select>
        )}
      </Field>
      <Field label="Statement line" hint={classFacts(draft.classification).means} problem={at('classification')}>
        {(ids) => (
          <select
            {...ids}
            {...register('classification', {
              onChange: (event: { target: { value: Classification } }) => {
                if (under !== undefined && typeOf(under.classification) !== typeOf(event.target.value))
                  setValue('parent', '');
              },
            })}
            className="select select-sm w-full"
          >
            <ClassOptions />
          </select>
        )}
      </Field>
      <Field label="Code" hint="the next free one is proposed" problem={at('code')}>
        {(ids) => <input {...ids} {...register('code')} autoComplete="off" className="input input-sm w-full" />}
      </Field>
      <Field label="Kind">
        {(ids) => (
          <select {...ids} {...register('kind')} className="select select-sm w-full">
            <option value="posting">takes entries</option>
            <option value="heading">a heading over others</option>
          </select>
        )}
      </Field>
      {draft.kind === 'posting' && (
        <Field label="Role" problem={at('role')}>
          {(ids) => (
            <select {...ids} {...register('role')} className="select select-sm w-full">
              <RoleOptions type={typeOf(draft.classification)} parts={frame.parts} />
            </select>
          )}
        </Field>
      )}
      {draft.kind === 'posting' && currencies.length > 0 && (
        <Field label="Kept in" problem={at('currency')}>
          {(ids) => (
            <select {...ids} {...register('currency')} className="select select-sm w-full">
              <KeptInOptions base={frame.currency} currencies={currencies} />
            </select>
          )}
        </Field>
      )}
      <div className="mt-1 flex gap-2">
        <button className="btn btn-primary btn-sm" disabled={formState.isSubmitting}>
          Add
        </button>
        <button type="button" className="btn btn-sm" onClick={() => onDone()}>
          Done
        </button>
      </div>
    </form>
  );
};
