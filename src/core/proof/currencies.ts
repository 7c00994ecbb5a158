import { type Currency } from '../money/currency';
import { openingDate } from '../calendar/cutover';
import { dated, say } from '../base/sentence';
import { called } from '../chart/account';
import { roleFacts } from '../ledger/classes';
import { missingExchangeRoles } from '../chart/exchange';
import { type DatedRate, rateTold } from '../money/rate';
import { doubtOf, lookUp } from '../money/rate-book';
import { plural } from '../base/result';
import { type Aside, type Check, type ProofState, asideWhere } from './check';

const on = (state: ProofState): boolean => state.facts.parts.includes('currencies');

const off = (state: ProofState): Aside | undefined =>
  asideWhere(!on(state), 'does not apply', 'Foreign currencies are not in use.') ??
  asideWhere(state.currencies.length === 0, 'does not apply', 'No foreign currency is switched on.');

const rateOf = (state: ProofState, currency: Currency) =>
  lookUp(state.rates, {
    from: currency,
    to: state.currency.code,
    date: openingDate(state.cutover).toString(),
    mostDays: state.rateDays,
  });

export const CURRENCY_CHECKS = {
  'currencies.switched-on': {
    severity: 'blocker',
    title: 'Every account’s currency is switched on',
    why: 'An account in a currency that these books do not use can be neither rated nor reported.',
    find: (state) =>
      state.accounts
        .filter(
          (account) =>
            account.currency !== null &&
            account.currency !== state.currency.code &&
            !(on(state) && state.currencies.includes(account.currency)),
        )
        .map((account) => ({
          what: `${called(account)} is kept in ${account.currency ?? ''}, which is not switched on.`,
          place: { stage: on(state) ? 'currencies' : 'company' },
        })),
  },
  'currencies.amounts-switched-on': {
    severity: 'blocker',
    title: 'Amounts in currency are in currencies that are switched on',
    why: 'What is posted in a currency stays in it for good, and can be rated only while the books use that currency.',
    find: (state) =>
      [...state.inCurrency]
        .filter(([currency]) => !(on(state) && state.currencies.includes(currency)))
        .map(([currency, figures]) => ({
          what: `${plural(figures, 'opening figure has an amount', 'opening figures have amounts')} in ${currency}, which is not switched on. Switch it on, or take the amounts out.`,
          place: { stage: on(state) ? 'currencies' : 'company' },
        })),
  },
  'currencies.rate-on-opening-date': {
    severity: 'warning',
    title: 'Every foreign currency has a rate for the opening date',
    why: 'Foreign balances are brought into the base currency at that rate.',
    aside: off,
    find: (state) =>
      state.currencies.flatMap((currency) => {
        const found = rateOf(state, currency);
        if (found.kind === 'found') return [];
        const day = dated(openingDate(state.cutover));
        return [
          {
            what:
              found.stale === undefined
                ? say`${currency} has no rate on or before ${day}.`
                : say`${currency} has no rate within ${state.rateDays} days before ${day}; the nearest, ${rateTold(found.stale.rate)} on ${dated(found.stale.rate.date)}, is ${found.stale.age} days old.`,
            place: { stage: 'currencies' },
          } as const,
        ];
      }),
  },
  'currencies.used-rates-plausible': {
    severity: 'warning',
    title: 'The rates of the opening date are plausible',
    why: 'A rate upside down or with a slipped digit misstates every balance in its currency.',
    aside: off,
    find: (state) => {
      const used = new Map<string, DatedRate>(
        state.currencies
          .flatMap((currency) => {
            const found = rateOf(state, currency);
            return found.kind === 'found' ? found.legs : [];
          })
          .map(({ rate }) => [`${rate.unit}${rate.quote}${rate.date}`, rate]),
      );
      return [...used.values()].flatMap((rate) => {
        const doubt = doubtOf(state.rates, rate);
        return doubt === undefined ? [] : [{ what: doubt.says, place: { stage: 'currencies' } } as const];
      });
    },
  },
  'currencies.exchange-accounts': {
    severity: 'warning',
    title: 'Exchange and rounding differences have their accounts',
    why: 'Without them the first foreign payment has nowhere to put its difference.',
    aside: off,
    find: (state) =>
      missingExchangeRoles(state.accounts.filter((account) => !account.heading)).map((role) => ({
        what: `No active account has the role ${roleFacts(role).label}.`,
        place: { stage: 'currencies' },
      })),
  },
} as const satisfies Record<string, Check>;
