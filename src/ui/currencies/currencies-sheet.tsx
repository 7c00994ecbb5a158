'use client';

import { type Currency, asCurrency } from '@/core/money/currency';
import { useRouter } from 'next/navigation';
import { type ReactNode, useState } from 'react';
import { switchOn } from '@/actions/currencies/commands';
import { roleFacts } from '@/core/ledger/classes';
import { missingExchangeRoles } from '@/core/chart/exchange';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { type Named, day } from '../parts/names';
import { send } from '../parts/send';
import { SaveAs } from '../parts/save-as';
import { ExchangeAccounts, MoneyRules } from './money-rules';
import { Rates } from './rates';
import { UsedTable } from './used-table';
import type { CurrenciesView } from './view';
import { useRefresh } from '../parts/use-refresh';

type View = CurrenciesView & { readonly names: Named };

/** Currencies, their rates, and the rules of converting. */
export const CurrenciesSheet = (view: View) => {
  const { frame, currencies, used, chosen, names, accounts } = view;
  const nameOf = new Map(names);
  const missing = missingExchangeRoles(accounts.filter((account) => !account.heading));
  const unrated = used.filter((one) => one.ratio === null);
  return (
    <Frame
      frame={frame}
      stage="currencies"
      title="Currencies"
      about={`base ${frame.currency}, ${nameOf.get(frame.currency) ?? ''}${currencies.length === 0 ? '' : ` · foreign: ${currencies.map((one) => one.currency).join(', ')}`}`}
      margin={
        <>
          <MarginPart title="What this stage asks">
            <ul className="space-y-0.5">
              <Asked done={currencies.length > 0}>a foreign currency switched on</Asked>
              <Asked done={currencies.length > 0 && unrated.length === 0}>
                a rate at {day(frame.openingDate, frame.dates)} for each
                {unrated.length > 0 ? `: ${unrated.map((one) => one.currency).join(', ')} missing` : ''}
              </Asked>
              {missing.map((role) => (
                <Asked key={role} done={false}>
                  an account for {roleFacts(role).label.toLowerCase()}
                </Asked>
              ))}
              {missing.length === 0 && <Asked done>accounts for exchange and rounding differences</Asked>}
            </ul>
          </MarginPart>
          <MarginPart title="Rules">
            <MoneyRules
              books={frame.id}
              rounding={view.rounding}
              rateDays={view.rateDays}
              base={frame.currency}
              posted={view.posted}
              names={names}
            />
          </MarginPart>
          <MarginPart title="Differences go to">
            <ExchangeAccounts books={frame.id} accounts={accounts} />
          </MarginPart>
          <MarginPart title="What happened">
            <Happenings events={view.history.map((one) => ({ what: one.what, by: one.by, at: one.at }))} />
          </MarginPart>
        </>
      }
    >
      <div className="px-4 pb-6">
        <UsedTable view={view} nameOf={nameOf} />
        {currencies.length > 0 && (
          <p className="no-print mt-1">
            <SaveAs label="The rates used" href={`/books/${String(frame.id)}/lists/rates`} />
          </p>
        )}
        <SwitchOn books={frame.id} names={names} taken={[frame.currency, ...currencies.map((one) => one.currency)]} />
        {chosen === null ? (
          <p className="note mt-4">
            Switch on each currency that the company is paid in, pays in, or keeps an account in. Rates are then typed,
            brought from a file, or fetched.
          </p>
        ) : (
          <Rates key={chosen} view={view} chosen={chosen} />
        )}
      </div>
    </Frame>
  );
};

const Asked = ({ done, children }: { readonly done: boolean; readonly children: ReactNode }) => (
  <li className="flex gap-2">
    <span aria-hidden className={`mt-1.5 size-2 shrink-0 border ${done ? 'border-ink-2 bg-stone' : 'border-ochre'}`} />
    <span className={done ? 'text-ink-2' : ''}>
      {children}
      <span className="sr-only">{done ? ', done' : ', open'}</span>
    </span>
  </li>
);

const SwitchOn = ({
  books,
  names,
  taken,
}: {
  readonly books: number;
  readonly names: Named;
  readonly taken: readonly string[];
}) => {
  const router = useRouter();
  const refresh = useRefresh();
  const [currency, setCurrency] = useState<Currency | ''>('');
  const [problem, setProblem] = useState<string | undefined>();
  return (
    <form
      className="mt-2 flex flex-wrap items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (currency === '') {
          setProblem('Choose a currency first.');
          return;
        }
        void send(switchOn({ books, currency })).then((done) => {
          setProblem(done.ok ? undefined : done.problems[0]?.message);
          if (!done.ok) return;
          setCurrency('');
          router.push(`/books/${String(books)}/currencies?currency=${currency}`, { scroll: false });
          refresh();
        });
      }}
    >
      <select
        aria-label="Currency to switch on"
        value={currency}
        onChange={(event) => setCurrency(asCurrency(event.target.value) ?? '')}
        className="select select-sm w-64"
      >
        <option value="">a currency…</option>
        {names
          .filter(([code]) => !taken.includes(code))
          .map(([code, name]) => (
            <option key={code} value={code}>
              {code} · {name}
            </option>
          ))}
      </select>
      <button className="btn btn-sm">Switch on</button>
      {problem !== undefined && (
        <span role="alert" className="text-sm text-brick">
          {problem}
        </span>
      )}
    </form>
  );
};
