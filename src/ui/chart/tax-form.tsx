'use client';

import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { removeTaxCode, saveTaxCode } from '@/actions/chart/tax-codes';
import { type Account, accountId } from '@/core/chart/account';
import type { ProposedTaxAccounts } from '@/core/chart/tax-accounts';
import {
  TAX_DIRECTIONS,
  type TaxCode,
  type TaxCodeFields,
  type TaxDirection,
  directionFacts,
} from '@/core/chart/tax-codes';
import { type Problem, isAt } from '@/core/base/result';
import { MarginPart } from '../frame/frame';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { Picker } from '../parts/picker';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { accountChoices } from './account-choices';
import { useRefresh } from '../parts/use-refresh';

/** One tax code with its rates by date. */
export const TaxForm = ({
  frame,
  code,
  firstDay,
  accounts,
  proposed,
  onSaved,
}: {
  readonly frame: FrameView;
  readonly code: TaxCode | undefined;
  readonly firstDay: string;
  readonly accounts: readonly Account[];
  readonly proposed: ProposedTaxAccounts;
  readonly onSaved: (id: number | undefined) => void;
}) => {
  const refresh = useRefresh();
  const choices = useMemo(() => accountChoices(accounts), [accounts]);
  const [draft, setDraft] = useState<TaxCodeFields>(
    code ?? {
      code: '',
      name: '',
      direction: 'charged',
      rates: [{ from: firstDay, rate: '' }],
      charged: proposed.charged,
      recoverable: null,
      active: true,
    },
  );
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const at = (field: string): string | undefined => problems.find((one) => isAt(one, field))?.message;
  const facts = directionFacts(draft.direction);
  const sides: readonly string[] = facts.sides;
  const turn = (direction: TaxDirection): void => {
    const next: readonly string[] = directionFacts(direction).sides;
    setDraft({
      ...draft,
      direction,
      charged: next.includes('charged') ? (draft.charged ?? proposed.charged) : null,
      recoverable: next.includes('recoverable') ? (draft.recoverable ?? proposed.recoverable) : null,
      rates: next.length === 0 ? [] : draft.rates.length === 0 ? [{ from: firstDay, rate: '' }] : draft.rates,
    });
  };
  const save = async (): Promise<void> => {
    const done = await send(
      saveTaxCode({ books: frame.id, id: code?.id ?? null, code: { ...draft, rates: [...draft.rates] } }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${draft.code} saved`);
    onSaved(done.value.id);
    refresh();
  };
  const remove = async (): Promise<void> => {
    if (code === undefined) return;
    const done = await send(removeTaxCode({ books: frame.id, id: code.id }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    onSaved(undefined);
    refresh();
  };
  const setRate = (index: number, change: Partial<TaxCodeFields['rates'][number]>): void =>
    setDraft({ ...draft, rates: draft.rates.map((rate, other) => (other === index ? { ...rate, ...change } : rate)) });
  return (
    <form
      className="flex flex-col gap-1.5"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h2 className="title text-lg leading-tight">{code === undefined ? 'New tax code' : code.code}</h2>
      <Problems problems={problems.filter((one) => one.path === undefined)} />
      <Field label="Code" problem={at('code')}>
        {(ids) => (
          <input
            {...ids}
            value={draft.code}
            onChange={(event) => setDraft({ ...draft, code: event.target.value })}
            className="input input-sm w-full"
          />
        )}
      </Field>
      <Field label="Name" problem={at('name')}>
        {(ids) => (
          <input
            {...ids}
            value={draft.name}
            onChange={(event) => setDraft({ ...draft, name: event.target.value })}
            className="input input-sm w-full"
          />
        )}
      </Field>
      <Field label="What it does" hint={facts.means} problem={at('direction')}>
        {(ids) => (
          <select
            {...ids}
            value={draft.direction}
            onChange={(event) => turn(event.target.value as TaxDirection)}
            className="select select-sm w-full"
          >
            {TAX_DIRECTIONS.map(({ id, label }) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      {(['charged', 'recoverable'] as const)
        .filter((side) => sides.includes(side))
        .map((side) => (
          <Field
            key={side}
            label={side === 'charged' ? 'Charged tax is owed on' : 'Recoverable tax is claimed on'}
            problem={at(side)}
          >
            {(ids) => (
              <Picker
                {...ids}
                choices={choices}
                chosen={String(draft[side] ?? '')}
                onChoose={(key) => setDraft({ ...draft, [side]: accountId(Number(key)) })}
              />
            )}
          </Field>
        ))}
      {sides.length > 0 && (
        <MarginPart title="Rates, per cent, from a day on">
          {draft.rates.map((rate, index) => (
            <div key={index} className="mb-1 flex items-center gap-1.5">
              <input
                aria-label={`Rate ${String(index + 1)}`}
                inputMode="decimal"
                value={rate.rate}
                onChange={(event) => setRate(index, { rate: event.target.value.replace(',', '.') })}
                className="input input-sm w-20 text-right"
              />
              % from
              <DateInput
                aria-label={`First day of rate ${String(index + 1)}`}
                dates={frame.dates}
                value={rate.from}
                onDate={(from) => setRate(index, { from })}
              />
              {draft.rates.length > 1 && (
                <button
                  type="button"
                  className="btn btn-ghost btn-xs"
                  onClick={() => setDraft({ ...draft, rates: draft.rates.filter((_, other) => other !== index) })}
                >
                  ×<span className="sr-only"> take rate {index + 1} away</span>
                </button>
              )}
            </div>
          ))}
          {at('rates') !== undefined && (
            <p className="text-brick" role="alert">
              {at('rates')}
            </p>
          )}
          <button
            type="button"
            className="btn btn-xs"
            onClick={() => setDraft({ ...draft, rates: [...draft.rates, { from: '', rate: '' }] })}
          >
            Another rate
          </button>
        </MarginPart>
      )}
      <label className="flex min-h-6 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={draft.active}
          onChange={(event) => setDraft({ ...draft, active: event.target.checked })}
        />
        Offered for new entries
      </label>
      <div className="mt-1 flex gap-2">
        <button type="submit" className="btn btn-primary btn-sm">
          Save
        </button>
        {code !== undefined && (
          <button type="button" className="btn btn-sm" onClick={() => void remove()}>
            Delete if unused
          </button>
        )}
      </div>
    </form>
  );
};
