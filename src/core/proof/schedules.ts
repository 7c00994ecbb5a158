import { type Account, called } from '../chart/account';
import { openingDate } from '../calendar/cutover';
import { dated, say } from '../base/sentence';
import { plural } from '../base/result';
import { normalSide } from '../ledger/classes';
import { minorDigits } from '../money/currency';
import { formatMinor } from '../money/format';
import { type Minor, NIL, abs } from '../money/minor';
import { type ScheduleKind, isThings, needsSchedule, scheduleOf } from '../schedules/kinds';
import { thingDoubts } from '../schedules/things/doubts';
import { type Tie, lacksSupport } from '../schedules/tie-out';
import { type Check, type Finding, type ProofState, asideWhere, money } from './check';

interface Tied {
  readonly account: Account;
  readonly kind: ScheduleKind;
  readonly tie: Tie;
}

const tied = (state: ProofState): readonly Tied[] =>
  state.accounts.flatMap((account) => {
    const [kind, tie] = [scheduleOf(account), state.ties.get(account.id)];
    return kind === undefined || tie === undefined ? [] : [{ account, kind, tie }];
  });

/** What an account stands at in its own currency: its figure, or the amount of it in that currency. */
const balanceOf = (state: ProofState, account: Account, tie: Tie): Minor =>
  account.currency === null || account.currency === state.currency.code
    ? tie.figure
    : (tie.currencies.find(({ currency }) => currency === account.currency)?.figure ?? tie.figure);

const isControl = (kind: ScheduleKind): boolean => kind === 'customers' || kind === 'suppliers';

/** An account whose figure is not what stands behind it, in one sentence. */
const apart = (state: ProofState, { account, tie }: Tied): Finding['what'] => {
  if (tie.state === 'unknown')
    return `${called(account)}: the worth of its list is not known, because a rate of the opening date is missing.`;
  if (tie.difference !== null && tie.difference !== NIL)
    return `${called(account)} stands at ${money(state, tie.figure)}, what is behind it comes to ${money(state, tie.support ?? NIL)}: ${money(state, tie.difference)} apart.`;
  const odd = tie.currencies.find(({ difference }) => difference !== NIL);
  return `${called(account)} ties in ${state.currency.code}, but not in ${odd?.currency ?? 'its currencies'}.`;
};

const standsApart = (state: ProofState, which: (kind: ScheduleKind) => boolean): readonly Finding[] =>
  tied(state)
    .filter(({ kind, tie }) => which(kind) && (tie.state === 'apart' || tie.state === 'unknown'))
    .map((one) => ({ what: apart(state, one), place: { stage: 'schedules', account: one.account.id } }));

export const SCHEDULE_CHECKS = {
  'schedules.control-accounts-tie': {
    severity: 'blocker',
    title: 'Each control account is equal to its list',
    why: 'What customers owe and what is owed to suppliers is chased and paid from the list; where it is not the figure, one of them is wrong.',
    find: (state) => standsApart(state, isControl),
  },
  'schedules.accounts-tie': {
    severity: 'warning',
    title: 'Every other figure is equal to what stands behind it',
    why: 'A statement or list that comes to another amount than the figure means that something is missing from one of them.',
    find: (state) => standsApart(state, (kind) => !isControl(kind)),
  },
  'schedules.explained': {
    severity: 'advice',
    title: 'No difference is merely explained',
    why: 'An explained difference is still there; the next reviewer wants to see it.',
    find: (state) =>
      tied(state)
        .filter(({ tie }) => tie.state === 'explained')
        .map(({ account, tie }) => ({
          what: `${called(account)} is ${money(state, tie.difference ?? NIL)} apart: ${tie.reason ?? ''}`,
          place: { stage: 'schedules', account: account.id },
        })),
  },
  'schedules.supported': {
    severity: 'advice',
    title: 'Accounts that want a list or a statement have one',
    why: 'A reviewer asks who owes it, which statement says so, and which things these are.',
    find: (state) =>
      tied(state)
        .filter(({ kind, tie }) => needsSchedule(kind) && lacksSupport(kind, tie))
        .map(({ account, kind, tie }) => ({
          what: `${called(account)}, ${money(state, tie.figure)}: no ${kind === 'statement' ? 'statement' : 'list'} yet.`,
          place: { stage: 'schedules', account: account.id },
        })),
  },
  'schedules.statement-date': {
    severity: 'warning',
    title: 'Statements close on the opening date, or say what lies between',
    why: 'A card statement of the 19th says nothing of the days up to the month’s end.',
    find: (state) =>
      tied(state).flatMap(({ account, tie }) =>
        tie.closing === null || tie.closing.date === openingDate(state.cutover).toString() || tie.items > 0
          ? []
          : [
              {
                what: say`The statement of ${called(account)} closes on ${{ date: tie.closing.date }}, and nothing is listed between that and ${dated(openingDate(state.cutover))}.`,
                place: { stage: 'schedules', account: account.id },
              },
            ],
      ),
  },
  'schedules.items-once': {
    severity: 'warning',
    title: 'No item is listed twice',
    why: 'The same document of the same contact, or the same row of a paper taken for two accounts, is chased or paid twice.',
    find: (state) =>
      state.accounts.flatMap((account) => {
        const twice = state.itemsTwice.get(account.id) ?? 0;
        return twice === 0
          ? []
          : [
              {
                what: `${called(account)}: ${plural(twice, 'item')} there already, by contact and number or by the row of a paper.`,
                place: { stage: 'schedules', account: account.id },
              },
            ];
      }),
  },
  'schedules.things-as-worked-out': {
    severity: 'advice',
    title: 'Assets, stock, loans and what lies across the year end are as they work out',
    why: 'Where Bathron comes to something else than the old system by lives, plans and days, one of them is wrong.',
    aside: (state) =>
      asideWhere(
        state.things === null,
        'not asked',
        'There are too many to ask about here; each list asks on its own page.',
      ),
    find: (state) =>
      state.accounts.flatMap((account) => {
        const [schedule, items] = [scheduleOf(account), state.things?.get(account.id)];
        if (schedule === undefined || !isThings(schedule) || items === undefined) return [];
        const doubts = thingDoubts(items, {
          schedule,
          account,
          style: state.style,
          dates: state.facts.dates,
          openingDate: openingDate(state.cutover),
          spans: state.facts.spans,
        });
        const first = items.find(({ id }) => doubts.has(id));
        if (first === undefined) return [];
        const name = [first.number, first.reference, first.note].find((text) => text !== '') ?? 'one without a name';
        return [
          {
            what: `${called(account)}: ${plural(doubts.size, 'item')} to check, ${doubts.size === 1 ? name : `first ${name}`}.`,
            place: { stage: 'schedules', account: account.id },
          },
        ];
      }),
  },
  'schedules.balances-in-hand': {
    severity: 'warning',
    title: 'No bank or cash account is lower than it should be',
    why: 'Cash cannot be less than none, and a bank account below its limit costs interest or bounces payments.',
    find: (state) =>
      tied(state).flatMap(({ account, kind, tie }) => {
        if (kind !== 'statement' || normalSide(account) !== 'debit') return [];
        const stands = balanceOf(state, account, tie);
        const below = state.alerts.get(account.id);
        const currency = account.currency ?? state.currency.code;
        const amount = (units: Minor): string =>
          `${formatMinor(abs(units), minorDigits(currency), state.style)} ${currency}`;
        // An alert below nil is an overdraft that was agreed; cash has none.
        const agreed = account.role !== 'cash' && below !== undefined && below < 0n;
        const what =
          stands < 0n && !(agreed && stands >= below)
            ? `${called(account)} is overdrawn by ${amount(stands)}${agreed ? `, and ${amount(below)} is agreed` : ''}.`
            : below !== undefined && stands < below
              ? `${called(account)} stands at ${amount(stands)}, below the ${amount(below)} at which somebody wants to be told.`
              : undefined;
        return what === undefined ? [] : [{ what, place: { stage: 'schedules', account: account.id } }];
      }),
  },
  'schedules.items-before-cutover': {
    severity: 'warning',
    title: 'No open item is of after the opening date',
    why: 'What is dated on or after the cutover date is entered in the new books, and would be counted twice.',
    find: (state) =>
      state.accounts.flatMap((account) => {
        const late = state.itemsLater.get(account.id) ?? 0;
        return late === 0
          ? []
          : [
              {
                what: `${called(account)}: ${plural(late, 'item')} of after the opening date.`,
                place: { stage: 'schedules', account: account.id },
              },
            ];
      }),
  },
} as const satisfies Record<string, Check>;
