import type { IsoDate } from '../base/iso-date';
import { type Batch, type Change, SUBJECTS, type Subject, WHOLE } from '../base/change';
import type { Kept } from '../base/kept';
import { type Sentence, type Writing, say } from '../base/sentence';
import { type CompanyFacts, FACT_LABELS, FACT_NAMES, type FactName, sayFact } from '../company/facts';
import { plural } from '../base/result';
import { type Account, type AccountId, accountId, called } from '../chart/account';
import { sayCalendar, sayCutover, sayPeriod } from '../calendar/recorded';
import { sayAccountChange } from '../chart/recorded';
import { CHART_RULES } from '../chart/settings';
import { type Currency, asCurrency, minorDigits } from '../money/currency';
import { formatMinor } from '../money/format';
import { type Minor, abs } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { amountFrom } from '../money/wire';
import { type Figure, figureFrom } from './figure';
import { sameParts, writtenParts } from './in-currency';

/** In what a change is told. */
export interface Telling {
  readonly chart: ReadonlyMap<AccountId, Account>;
  readonly currency: Currency;
  readonly style: NumberStyle;
  readonly writing: Writing;
  /** What comparatives are called, by their column. */
  readonly columns: ReadonlyMap<number, string>;
}

/** An amount with its side, or that there is none. */
export const said = (amount: Minor | null, { currency, style }: Pick<Telling, 'currency' | 'style'>): string =>
  amount === null
    ? 'empty'
    : `${formatMinor(abs(amount), minorDigits(currency), style)}${amount === 0n ? '' : amount < 0n ? ' Cr' : ' Dr'}`;

const figureSaid = (figure: Figure | null, parted: boolean, telling: Telling): string =>
  `${said(figure?.amount ?? null, telling)}${parted && figure !== null ? ` (${writtenParts(figure, telling.style) || 'nothing in currency'})` : ''}`;

/** A text in a value that is kept as an object. */
const textIn = (kept: Kept, name: string): string => {
  const found = kept !== null && typeof kept === 'object' && name in kept ? (kept as Record<string, Kept>)[name] : null;
  return typeof found === 'string' ? found : '';
};
/** An item that is called nothing: what it comes to, and on which account. */
const unnamedItem = (kept: Kept, { chart, style, currency }: Telling): string => {
  const item = kept !== null && typeof kept === 'object' ? (kept as Record<string, Kept>) : {};
  const account = typeof item['account'] === 'number' ? chart.get(accountId(item['account'])) : undefined;
  const amount = said(amountFrom(item['open'] ?? null), {
    style,
    currency: asCurrency(textIn(kept, 'currency')) ?? currency,
  });
  return `of ${amount}${account === undefined ? '' : ` on ${called(account)}`}`;
};

const codeOf = (kept: Kept): string => textIn(kept, 'code');
const rateOf = (kept: Kept): Sentence =>
  kept === null
    ? say`none`
    : say`1 ${textIn(kept, 'unit')} = ${{ number: textIn(kept, 'rate') }} ${textIn(kept, 'quote')}`;
const sayKeptFact = (name: FactName, kept: Kept): string =>
  kept === null ? 'empty' : sayFact(name, kept as unknown as CompanyFacts[FactName]);

/** What the rules of money are called where they are told. */
export const MONEY_RULES = {
  currency: 'Base currency',
  rounding: 'Rounding',
  rateDays: 'How many days old a rate may be',
} as const;

const sayRule = (kept: Kept): string =>
  kept === null
    ? 'none'
    : typeof kept === 'object'
      ? 'as given'
      : typeof kept === 'boolean'
        ? kept
          ? 'yes'
          : 'no'
        : String(kept).replaceAll('-', ' ');

/** A change in one sentence, without by whom; undefined where it is not worth one. */
export const sayChange = (change: Change, telling: Telling): string | Sentence | undefined => {
  const { subject, id, field, from, to } = change;
  const account = telling.chart.get(accountId(id));
  const own = account === undefined ? 'An account that is gone' : called(account);
  switch (subject) {
    case 'figure': {
      const [was, is] = [figureFrom(from), figureFrom(to)];
      const parted = !sameParts(was?.parts ?? [], is?.parts ?? []);
      return `${own}: ${figureSaid(was, parted, telling)} → ${figureSaid(is, parted, telling)}`;
    }
    case 'comparative':
      return `${own}, ${telling.columns.get(Number(field)) ?? `column ${field}`}: ${said(amountFrom(from), telling)} → ${said(amountFrom(to), telling)}`;
    case 'account': {
      const what = sayAccountChange(change, telling.chart);
      if (what === undefined || field !== WHOLE) return what === undefined ? undefined : `${own}: ${what}`;
      return `${what.charAt(0).toUpperCase()}${what.slice(1)}`;
    }
    case 'tax-code':
      return `Tax code ${codeOf(to ?? from)} ${from === null ? 'added' : to === null ? 'deleted' : 'changed'}`;
    case 'company': {
      const name = FACT_NAMES.find((one) => one === field);
      return name === undefined
        ? undefined
        : `${FACT_LABELS[name]}: ${sayKeptFact(name, from)} → ${sayKeptFact(name, to)}`;
    }
    case 'chart-rule':
      return `${CHART_RULES[field as keyof typeof CHART_RULES]}: ${sayRule(from)} → ${sayRule(to)}`;
    case 'money-rule':
      return `${MONEY_RULES[field as keyof typeof MONEY_RULES]}: ${sayRule(from)} → ${sayRule(to)}`;
    case 'currency':
      return `${field} switched ${to === null ? 'off' : 'on'}`;
    case 'cutover':
      return sayCutover(from, to);
    case 'calendar':
      return sayCalendar(to);
    case 'period':
      return sayPeriod(field, from, to);
    case 'reading':
      return 'How the paper is read';
    case 'decision':
      return `${plural(Object.keys(to ?? {}).length, 'row')} of the paper decided about`;
    case 'rate':
      return say`Rate of ${field}: ${rateOf(from)} → ${rateOf(to)}`;
    case 'contact':
      return `Contact ${textIn(to ?? from, 'name')} ${from === null ? 'added' : to === null ? 'deleted' : 'changed'}`;
    case 'analysis-code':
      return `Analysis code ${textIn(to ?? from, 'code')} ${from === null ? 'added' : to === null ? 'deleted' : 'changed'}`;
    case 'item': {
      const item = to ?? from;
      const name = textIn(item, 'number') || textIn(item, 'reference') || textIn(item, 'note');
      return `Item ${name === '' ? unnamedItem(item, telling) : name} ${from === null ? 'added' : to === null ? 'deleted' : 'changed'}`;
    }
    case 'statement':
      return to === null
        ? `${own}: statement’s balance deleted`
        : say`${own}: statement closes on ${{ date: textIn(to, 'date') as IsoDate }}`;
    case 'tie':
      return `${own}: ${to === null ? 'difference no longer explained' : `difference explained: ${textIn(to, 'reason')}`}`;
    case 'looked':
      return `${own}: ${to === null ? 'no longer marked as looked at' : 'looked at'}`;
    case 'evidence':
      return `Paper ${textIn(to ?? from, 'name')} ${to === null ? 'no longer attached' : 'attached as evidence'}`;
    case 'bank':
      return `${own}: bank details ${from === null ? 'given' : to === null ? 'gone with it' : 'changed'}`;
  }
};

const COUNTED: Readonly<Record<Subject, readonly [one: string, more: string]>> = {
  figure: ['opening figure', 'opening figures'],
  comparative: ['comparative', 'comparatives'],
  account: ['account', 'accounts'],
  bank: ['account’s bank details', 'accounts’ bank details'],
  'tax-code': ['tax code', 'tax codes'],
  company: ['fact of the company', 'facts of the company'],
  rate: ['rate', 'rates'],
  reading: ['way of reading a paper', 'ways of reading a paper'],
  decision: ['set of decisions about rows', 'sets of decisions about rows'],
  'chart-rule': ['rule of the chart', 'rules of the chart'],
  'money-rule': ['rule of money', 'rules of money'],
  currency: ['currency', 'currencies'],
  cutover: ['cutover date', 'cutover dates'],
  calendar: ['calendar', 'calendars'],
  period: ['period', 'periods'],
  contact: ['contact', 'contacts'],
  'analysis-code': ['analysis code', 'analysis codes'],
  item: ['item of a schedule', 'items of schedules'],
  statement: ['statement’s balance', 'statements’ balances'],
  tie: ['explained difference', 'explained differences'],
  looked: ['account looked at', 'accounts looked at'],
  evidence: ['paper attached as evidence', 'papers attached as evidence'],
};

/**
 * A batch in one sentence: what it was, and how many of what it changed.
 *
 * @example sayBatch({ action: 'takeOver', about: { name: 'tb.csv' }, reverts: null }, { figure: 12, account: 1 })
 * // 'tb.csv taken over: 12 opening figures, 1 account'
 */
export const sayBatch = (
  { action, about, reverts }: Pick<Batch, 'action' | 'about' | 'reverts'>,
  counts: Readonly<Partial<Record<Subject, number>>>,
): string => {
  const name = typeof about.name === 'string' ? about.name : '';
  const what = SUBJECTS.flatMap((subject) => {
    const count = counts[subject] ?? 0;
    return count === 0 ? [] : [plural(count, ...COUNTED[subject])];
  }).join(', ');
  const left = what === '' ? 'nothing was left to change' : what;
  if (reverts !== null) return `Taken back: ${left}`;
  const alone = ALONE[action]?.(name);
  if (alone !== undefined) return alone;
  const head = HEADS[action]?.(name);
  return head === undefined ? `${what.charAt(0).toUpperCase()}${what.slice(1)} changed` : `${head}: ${left}`;
};

/** What an action was, before the counts of what it changed. */
const HEADS: Readonly<Record<string, (name: string) => string>> = {
  takeOver: (name) => `${name} taken over`,
  takeComparatives: (name) => `Comparatives taken from ${name}`,
  budgetByRule: (name) => `Budget from last year, ${name}`,
  createBooks: () => 'Chart begun',
  takeAnswers: () => 'Chart begun from answers',
  takeCopy: () => 'Copied from another client or a template',
  mergeAccounts: () => 'Accounts merged',
  takeList: (name) => `${name} taken`,
  copyContacts: (name) => `Copied from ${name}`,
};

/** What an action was, where that says it all. */
const ALONE: Readonly<Record<string, (name: string) => string>> = {
  decideRows: (name) => `Rows of ${name} decided about`,
  createUndecided: (name) => `Accounts to be made for the undecided rows of ${name}`,
  readAs: (name) => `${name} read otherwise`,
  readFrom: (name) => `${name} read otherwise`,
  readRows: (name) => `Rows of ${name} read otherwise`,
  drawCalendar: () => 'Calendar drawn anew',
  takeSupport: () => 'A figure taken from its schedule',
  moveCutover: () => 'Cutover date or the old system’s dates changed',
};
