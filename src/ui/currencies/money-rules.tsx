'use client';

import { type Currency, asCurrency } from '@/core/money/currency';
import { useState } from 'react';
import { addAccount } from '@/actions/chart/commands';
import { changeBase, changeMoneyRules, chooseExchangeAccount } from '@/actions/currencies/commands';
import { type Account, called } from '@/core/chart/account';
import { roleFacts, typeOf } from '@/core/ledger/classes';
import { type ExchangeRole, REALISED_APART, REALISED_TOGETHER } from '@/core/chart/exchange';
import { proposeCode } from '@/core/chart/codes';
import { ROUNDINGS, type Rounding } from '@/core/money/rounding';
import { type Problem, isAt } from '@/core/base/result';
import { Field } from '../parts/field';
import type { Named } from '../parts/names';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

interface RulesProps {
  readonly books: number;
  readonly rounding: Rounding;
  readonly rateDays: number;
  readonly base: Currency;
  readonly posted: boolean;
  readonly names: Named;
}

/** Base currency, rounding, and how old a rate may be. Each is saved when it is chosen or left. */
export const MoneyRules = ({ books, rounding, rateDays, base, posted, names }: RulesProps) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const at = (field: string): string | undefined => problems.find((one) => isAt(one, field))?.message;
  const settle = async (sent: Parameters<typeof send>[0]): Promise<void> => {
    const done = await send(sent);
    setProblems(done.ok ? [] : done.problems);
    refresh();
  };
  return (
    <div className="flex flex-col gap-1.5">
      <Field
        label="Base currency"
        hint={posted ? 'stays: journals are posted in it' : 'fixed for good once something is posted'}
        problem={at('currency')}
      >
        {(ids) => (
          <select
            {...ids}
            value={base}
            disabled={posted}
            onChange={(event) => void settle(changeBase({ books, currency: asCurrency(event.target.value) ?? base }))}
            className="select select-sm w-full"
          >
            {names.map(([code, name]) => (
              <option key={code} value={code}>
                {code} · {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Rounding of converted amounts" hint={ROUNDINGS.find((one) => one.id === rounding)?.says}>
        {(ids) => (
          <select
            {...ids}
            value={rounding}
            onChange={(event) => void settle(changeMoneyRules({ books, rounding: event.target.value as Rounding }))}
            className="select select-sm w-full"
          >
            {ROUNDINGS.map((one) => (
              <option key={one.id} value={one.id}>
                {one.label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field
        label="A rate may be this many days old"
        hint="older, or missing: somebody is asked"
        problem={at('rateDays')}
      >
        {(ids) => (
          <input
            {...ids}
            key={rateDays}
            defaultValue={rateDays}
            inputMode="numeric"
            className="input input-sm w-20 text-right"
            onBlur={(event) => {
              const text = event.target.value.trim();
              if (text !== String(rateDays))
                void settle(changeMoneyRules({ books, rateDays: /^\d{1,6}$/.test(text) ? Number(text) : -1 }));
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />
        )}
      </Field>
    </div>
  );
};

/** What a new account for the purpose is called. */
const NAMES: Readonly<Record<ExchangeRole, string>> = {
  'exchange-realised': 'Realised exchange differences',
  'exchange-gains': 'Realised exchange gains',
  'exchange-losses': 'Realised exchange losses',
  'exchange-unrealised': 'Unrealised exchange differences',
  rounding: 'Rounding differences',
};

/** Where exchange and rounding differences go: an account each, chosen here, made here, or left to the chart. */
export const ExchangeAccounts = ({
  books,
  accounts,
}: {
  readonly books: number;
  readonly accounts: readonly Account[];
}) => {
  const refresh = useRefresh();
  const holder = (role: ExchangeRole): Account | undefined => accounts.find((account) => account.role === role);
  const [apart, setApart] = useState(holder('exchange-gains') !== undefined || holder('exchange-losses') !== undefined);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const settle = async (sent: Parameters<typeof send>[0]): Promise<void> => {
    const done = await send(sent);
    setProblems(done.ok ? [] : done.problems);
    refresh();
  };
  const make = (role: ExchangeRole): void => {
    const heading = accounts.find(
      (account) =>
        account.heading && account.classification === (role === 'exchange-gains' ? 'other-income' : 'other-expense'),
    );
    void settle(
      addAccount({
        books,
        code: proposeCode(accounts, heading),
        name: NAMES[role],
        classification: heading?.classification ?? (role === 'exchange-gains' ? 'other-income' : 'other-expense'),
        parent: heading?.id ?? null,
        role,
        heading: false,
      }),
    );
  };
  return (
    <div className="flex flex-col gap-1.5">
      <fieldset className="flex flex-wrap gap-x-3 text-sm">
        <legend className="sr-only">Realised gains and losses</legend>
        {[false, true].map((two) => (
          <label key={String(two)} className="flex min-h-6 items-center gap-1.5">
            <input
              type="radio"
              name="apart"
              className="radio radio-xs"
              checked={apart === two}
              onChange={() => setApart(two)}
            />
            {two ? 'gains and losses apart' : 'realised in one account'}
          </label>
        ))}
      </fieldset>
      {(apart ? REALISED_APART : REALISED_TOGETHER).map((role) => {
        const held = holder(role);
        return (
          <Field
            key={role}
            label={roleFacts(role).label}
            problem={problems.find((one) => isAt(one, role) || isAt(one, 'code'))?.message}
          >
            {(ids) => (
              <div className="flex gap-1.5">
                <select
                  {...ids}
                  value={held?.id ?? ''}
                  onChange={(event) =>
                    void settle(
                      chooseExchangeAccount({
                        books,
                        role,
                        account: event.target.value === '' ? null : Number(event.target.value),
                      }),
                    )
                  }
                  className="select select-sm min-w-0 flex-1"
                >
                  <option value="">left to the chart stage</option>
                  {accounts
                    .filter(
                      (account) =>
                        !account.heading &&
                        account.active &&
                        roleFacts(role).types.includes(typeOf(account.classification)) &&
                        (account.role === null || account.role === role),
                    )
                    .map((account) => (
                      <option key={account.id} value={account.id}>
                        {called(account)}
                      </option>
                    ))}
                </select>
                {held === undefined && (
                  <button type="button" className="btn btn-sm" onClick={() => make(role)}>
                    Make it
                  </button>
                )}
              </div>
            )}
          </Field>
        );
      })}
    </div>
  );
};
