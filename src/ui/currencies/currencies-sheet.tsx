'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { removeRate, saveRate, switchOff, switchOn } from '@/actions/currencies';
import type { RateView, UsedRate, currenciesView } from '@/actions/stage-views';
import { plainDate } from '@/core/calendar/dates';
import { convert } from '@/core/money/convert';
import { minorDigits } from '@/core/money/currency';
import { readEntry } from '@/core/money/entry';
import { formatMinor } from '@/core/money/format';
import { type Rate, called, decimalOf, ratioOf, shownRatio, writeRate } from '@/core/money/rate';
import { inverse } from '@/core/money/ratio';
import { missingExchangeRoles } from '@/core/proof/currencies';
import { roleFacts } from '@/core/chart/classes';
import { type Problem, plural } from '@/core/result';
import { Frame, type FrameProps, Happenings, MarginPart } from '../frame/frame';
import { DateInput } from '../parts/date-input';
import { Go } from '../parts/go';
import { type Named, day, moment } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { BringRates } from './bring-rates';
import { ExchangeAccounts, MoneyRules } from './money-rules';
import type { Point } from './rate-chart';

// The drawing library is large and only of use here, after the page stands.
const RateChart = dynamic(() => import('./rate-chart').then((one) => one.RateChart), {
  ssr: false,
  loading: () => <div className="h-44" />,
});

type View = NonNullable<Awaited<ReturnType<typeof currenciesView>>> & { readonly names: Named };

const exact = (rate: RateView): Rate => ({ ...rate, rate: decimalOf(rate.rate) });

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
                a rate at {day(frame.openingDate)} for each
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
            <Happenings
              events={view.history.map((one) => ({ what: one.what, when: `${one.by}, ${moment(one.at)}` }))}
            />
          </MarginPart>
        </>
      }
    >
      <div className="px-4 pb-6">
        <UsedTable view={view} nameOf={nameOf} />
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

const Asked = ({ done, children }: { readonly done: boolean; readonly children: React.ReactNode }) => (
  <li className="flex gap-2">
    <span aria-hidden className={`mt-1.5 size-2 shrink-0 border ${done ? 'border-ink-2 bg-stone' : 'border-ochre'}`} />
    <span className={done ? 'text-ink-2' : ''}>
      {children}
      <span className="sr-only">{done ? ', done' : ', open'}</span>
    </span>
  </li>
);

/** Each foreign currency with the rate that counts at the opening date: how much, of which day, from where. */
const UsedTable = ({ view, nameOf }: { readonly view: View; readonly nameOf: ReadonlyMap<string, string> }) => {
  const { frame, currencies, used, chosen } = view;
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [amount, setAmount] = useState('100');
  if (currencies.length === 0) return null;
  return (
    <>
      <table className="ledger">
        <caption className="pb-1 text-left text-sm">
          Rates at close of {day(frame.openingDate)}, the opening date
        </caption>
        <thead>
          <tr>
            <th scope="col">Currency</th>
            <th scope="col" className="figure">
              1 {frame.currency} =
            </th>
            <th scope="col" className="figure">
              in {frame.currency}
            </th>
            <th scope="col" className="figure">
              <input
                aria-label="An amount to convert"
                value={amount}
                inputMode="decimal"
                onChange={(event) => setAmount(event.target.value)}
                className="input input-xs h-6 w-20 text-right"
              />{' '}
              is
            </th>
            <th scope="col">Rate of</th>
            <th scope="col">From</th>
            <th scope="col">Accounts</th>
            <th scope="col">
              <span className="sr-only">Switch off</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {currencies.map(({ currency, accounts }) => {
            const rate = used.find((one) => one.currency === currency);
            return (
              <tr key={currency} className={currency === chosen ? 'bg-madder-wash' : ''}>
                <td>
                  <Go
                    href={`/books/${String(frame.id)}/currencies?currency=${currency}`}
                    className="font-medium hover:underline"
                    scroll={false}
                  >
                    {currency}
                  </Go>{' '}
                  <span className="note">{nameOf.get(currency)}</span>
                </td>
                <UsedCells rate={rate} frame={frame} worth={worthOf(rate, amount, view)} />
                <td className="max-w-40 truncate" title={accounts.join(', ')}>
                  {accounts.length === 0 ? <span className="note">none</span> : plural(accounts.length, 'account')}
                </td>
                <td>
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs"
                    aria-label={`Switch ${currency} off`}
                    onClick={() =>
                      void send(switchOff({ books: frame.id, currency })).then((done) => {
                        setProblems(done.ok ? [] : done.problems);
                        if (done.ok) router.refresh();
                      })
                    }
                  >
                    switch off
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Problems problems={problems} />
    </>
  );
};

/** An amount of the currency in base currency, rounded as the books round; what is no amount is a dash. */
const worthOf = (rate: UsedRate | undefined, typed: string, { frame, rounding }: View): string => {
  if (rate === undefined || rate.ratio === null) return '';
  const fromDigits = minorDigits(rate.currency);
  const read = readEntry(typed, 'debit', { code: rate.currency, digits: fromDigits }, frame.style);
  if (!read.ok || read.value.kind === 'blank') return '–';
  const worth = convert(read.value.amount, { ratio: rate.ratio, fromDigits, toDigits: frame.digits, rounding });
  return `${formatMinor(worth, frame.digits, frame.style)} ${frame.currency}`;
};

const UsedCells = ({
  rate,
  frame,
  worth,
}: {
  readonly rate: UsedRate | undefined;
  readonly frame: FrameProps['frame'];
  readonly worth: string;
}) => {
  if (rate === undefined || rate.ratio === null)
    return (
      <>
        <td className="figure text-ochre" colSpan={3}>
          no rate
        </td>
        <td colSpan={2} className="text-ochre">
          {rate === undefined || rate.stale === null
            ? 'none on or before that day'
            : `the nearest is ${String(rate.stale.age)} days old, of ${day(rate.stale.rate.date, frame.dates)}`}
        </td>
      </>
    );
  const [first] = rate.legs;
  const through = rate.legs.length === 2;
  const typedAs = (unit: string): boolean => !through && first?.rate.unit === unit;
  const value = (unit: string): string =>
    typedAs(unit) && first !== undefined
      ? writeRate(decimalOf(first.rate.rate), frame.style)
      : writeRate(
          shownRatio(
            unit === frame.currency ? inverse(rate.ratio ?? { n: 1n, d: 1n }) : (rate.ratio ?? { n: 1n, d: 1n }),
          ),
          frame.style,
        );
  return (
    <>
      <td className={`figure ${typedAs(frame.currency) ? 'font-medium' : 'text-ink-2'}`}>{value(frame.currency)}</td>
      <td className={`figure ${typedAs(rate.currency) ? 'font-medium' : 'text-ink-2'}`}>{value(rate.currency)}</td>
      <td className="figure">{worth}</td>
      <td className="whitespace-nowrap">
        {rate.legs
          .map(
            (leg) => `${day(leg.rate.date, frame.dates)}${leg.age === 0 ? '' : `, ${plural(leg.age, 'day')} before`}`,
          )
          .join(' and ')}
      </td>
      <td>
        {through
          ? `through ${rate.legs.map((leg) => `${leg.rate.unit}/${leg.rate.quote}`).join(' and ')}`
          : first?.rate.source}
      </td>
    </>
  );
};

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
  const [currency, setCurrency] = useState('');
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
          router.refresh();
        });
      }}
    >
      <select
        aria-label="Currency to switch on"
        value={currency}
        onChange={(event) => setCurrency(event.target.value)}
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

const Rates = ({ view, chosen }: { readonly view: View; readonly chosen: string }) => {
  const { frame, used, drawn, listed, pairs } = view;
  const base = frame.currency;
  const own = used.find((one) => one.currency === chosen);
  // Drawn in the direction in which most people read it: more than one of something for one.
  const [unit, quote] = useMemo((): readonly [string, string] => {
    const [newest] = drawn;
    return newest === undefined ? [base, chosen] : [newest.unit, newest.quote];
  }, [drawn, base, chosen]);
  const point = (rate: RateView): readonly Point[] => {
    const ratio = ratioOf(exact(rate), unit, quote);
    if (ratio === undefined) return [];
    const shown = shownRatio(ratio);
    const text = writeRate(shown, '1234.56');
    return [
      {
        date: rate.date,
        value: Number(text),
        says: `${day(rate.date, frame.dates)}: 1 ${unit} = ${writeRate(shown, frame.style)} ${quote}`,
      },
    ];
  };
  const points = [...drawn].reverse().flatMap(point);
  const marks = (own?.legs ?? []).flatMap((leg) => point(leg.rate));
  const pair = pairs.find((one) => [one.low, one.high].includes(chosen) && [one.low, one.high].includes(base));
  return (
    <section aria-labelledby="rates" className="mt-4 border-t border-ink pt-2">
      <h2 id="rates" className="title text-lg leading-tight">
        {chosen} against {base}
      </h2>
      <p className="note">
        {pair === undefined
          ? 'No rates yet. Type one below, bring a file, or fetch them.'
          : `${plural(pair.count, 'rate')}, ${day(pair.first, frame.dates)} to ${day(pair.last, frame.dates)}; drawn as 1 ${unit} in ${quote}`}
      </p>
      {points.length > 1 && (
        <RateChart
          points={points}
          used={marks}
          label={`Rates of 1 ${unit} in ${quote}, ${plural(points.length, 'point')}; the marked one is used at the opening date`}
        />
      )}
      <div className="mt-2 grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_20rem]">
        <div>
          <TypeRate view={view} chosen={chosen} />
          <RateList view={view} listed={listed} pair={pair} />
        </div>
        <div>
          <h3 className="title mb-1 text-base">From a file or the rate service</h3>
          <BringRates
            dates={frame.dates}
            books={frame.id}
            currency={chosen}
            from={plainDate(frame.openingDate).subtract({ months: 3 }).toString()}
            to={plainDate(frame.openingDate).add({ months: 1 }).toString()}
          />
        </div>
      </div>
    </section>
  );
};

const TypeRate = ({ view, chosen }: { readonly view: View; readonly chosen: string }) => {
  const { frame, currencies } = view;
  const router = useRouter();
  const all = [frame.currency, ...currencies.map((one) => one.currency)];
  const [rate, setRate] = useState({ date: frame.openingDate, unit: chosen, quote: frame.currency, typed: '' });
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const doubt = problems.find((one) => one.code === 'rate.upside-down' || one.code === 'rate.far-off');
  const put = (next: Partial<typeof rate>): void => {
    setProblems([]);
    setRate((was) => ({ ...was, ...next }));
  };
  const save = async (given: typeof rate, evenIfDoubtful: boolean): Promise<void> => {
    const done = await send(saveRate({ books: frame.id, ...given, evenIfDoubtful }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${called({ ...given, rate: decimalOf(done.value.rate) }, frame.style)} kept`);
    setRate({ ...given, typed: '' });
    router.refresh();
  };
  const currencySelect = (key: 'unit' | 'quote', label: string) => (
    <select
      aria-label={label}
      value={rate[key]}
      onChange={(event) => put({ [key]: event.target.value })}
      className="select select-sm w-20"
    >
      {all.map((code) => (
        <option key={code} value={code}>
          {code}
        </option>
      ))}
    </select>
  );
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save(rate, false);
      }}
    >
      <div className="flex flex-wrap items-center gap-1.5">
        <span className="text-sm">On</span>
        <span className="w-28">
          <DateInput
            aria-label="Day of the rate"
            value={rate.date}
            dates={frame.dates}
            onDate={(date) => put({ date })}
          />
        </span>
        <span className="text-sm">1</span>
        {currencySelect('unit', 'Currency of which one')}
        <span className="text-sm">=</span>
        <input
          aria-label="Rate"
          value={rate.typed}
          inputMode="decimal"
          autoComplete="off"
          placeholder={writeRate({ coefficient: 11789n, scale: 4 }, frame.style)}
          onChange={(event) => put({ typed: event.target.value })}
          className="input input-sm w-28 text-right"
        />
        {currencySelect('quote', 'Currency in which')}
        <button className="btn btn-sm">Keep the rate</button>
      </div>
      <Problems problems={problems} />
      {doubt !== undefined && (
        <div className="mt-1.5 flex flex-wrap gap-2">
          {doubt.code === 'rate.upside-down' && (
            <button
              type="button"
              className="btn btn-xs"
              onClick={() => void save({ ...rate, unit: rate.quote, quote: rate.unit }, false)}
            >
              Swap: 1 {rate.quote} = {rate.typed} {rate.unit}
            </button>
          )}
          <button type="button" className="btn btn-xs" onClick={() => void save(rate, true)}>
            Keep it all the same
          </button>
        </div>
      )}
    </form>
  );
};

const RateList = ({
  view: { frame },
  listed,
  pair,
}: {
  readonly view: View;
  readonly listed: readonly RateView[];
  readonly pair: View['pairs'][number] | undefined;
}) => {
  const router = useRouter();
  if (pair === undefined) return null;
  return (
    <div className="mt-2 max-h-96 overflow-y-auto" role="region" aria-label="Rates, newest first" tabIndex={0}>
      <table className="ledger">
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">As given</th>
            <th scope="col">The other way round</th>
            <th scope="col">From</th>
            <th scope="col">
              <span className="sr-only">Take away</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {listed.map((rate) => (
            <tr key={rate.date}>
              <td className="whitespace-nowrap">{day(rate.date, frame.dates)}</td>
              <td className="whitespace-nowrap">{called(exact(rate), frame.style)}</td>
              <td className="whitespace-nowrap text-ink-2">
                1 {rate.quote} ={' '}
                {writeRate(
                  shownRatio(
                    inverse({ n: decimalOf(rate.rate).coefficient, d: 10n ** BigInt(decimalOf(rate.rate).scale) }),
                  ),
                  frame.style,
                )}{' '}
                {rate.unit}
              </td>
              <td className="max-w-32 truncate" title={rate.source}>
                {rate.source}
              </td>
              <td className="figure">
                <button
                  type="button"
                  className="btn btn-ghost btn-xs"
                  aria-label={`Take the rate of ${day(rate.date)} away`}
                  onClick={() =>
                    void send(
                      removeRate({ books: frame.id, date: rate.date, unit: rate.unit, quote: rate.quote }),
                    ).then((done) => {
                      toast(done.ok ? 'Rate taken away' : (done.problems[0]?.message ?? ''));
                      router.refresh();
                    })
                  }
                >
                  take away
                </button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {pair.count > listed.length && (
        <p className="note py-1">
          The newest {listed.length} of {pair.count}; the export has all.
        </p>
      )}
    </div>
  );
};
