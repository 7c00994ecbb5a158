import { plainDate } from '../../base/dates';
import { type Problem, problem } from '../../base/result';
import { dated, say } from '../../base/sentence';
import { minorDigits } from '../../money/currency';
import { formatMinor } from '../../money/format';
import { type Minor, NIL, abs, add, minor, subtract } from '../../money/minor';
import type { Decimal } from '../../money/rate';
import type { Asked } from '../item';
import { type ThingRules, afterOf, articleValue, planOfItem, shouldBe } from './cells';
import { amountIn, dayIn, decimalIn, methodIn, monthsIn } from './detail';
import { isNear } from './depreciation';
import { PRICE_FIELDS } from './prices';
import { monthsBetween } from './elapsed';

const ask = (code: string, message: Parameters<typeof problem>[1], column: string): Problem =>
  problem(`thing.${code}`, message, column);

const assetDoubts = (item: Asked, rules: ThingRules, money: (amount: Minor) => string): readonly Problem[] => {
  const { openingDate } = rules;
  const cost = abs(item.open);
  const written = abs(item.beside ?? NIL);
  const residual = amountIn(item.detail, 'residual') ?? NIL;
  const should = shouldBe(item, rules);
  const method = methodIn(item.detail);
  const life = monthsIn(item.detail, 'life');
  const gone = dayIn(item.detail, 'disposed');
  const near =
    should === undefined ||
    item.date === null ||
    isNear({ cost, residual, acquired: item.date, method, life, rate: decimalIn(item.detail, 'rate') }, written, openingDate); // prettier-ignore
  const months = item.date === null ? undefined : monthsBetween(plainDate(item.date), openingDate);
  const over = months !== undefined && life !== null && method !== 'none' && months.n > BigInt(life) * months.d;
  const left = subtract(cost, written);
  return [
    ...(gone === null ? [] : [ask('gone', say`It went on ${dated(gone)}, and is still in the register.`, 'disposed')]),
    ...(item.date !== null && item.date > openingDate.toString()
      ? [
          ask(
            'later',
            say`It was bought on ${dated(item.date)}, after the opening date, ${dated(openingDate)}.`,
            'date',
          ),
        ]
      : []),
    ...(written > subtract(cost, residual) && cost > 0n
      ? [ask('over', `More is written off than its cost${residual > 0n ? ' less its residual value' : ''}.`, 'beside')]
      : over && left > residual
        ? [ask('life', `Its life is over, and ${money(left)} is not written off.`, 'life')]
        : near
          ? []
          : [ask('should', `By its life ${money(should)} should be written off, not ${money(written)}.`, 'beside')]),
  ];
};

/** A price of more times the cost is asked about: cost and price may be of different units. */
const FAR = 50n;

/** Whether one decimal is more than so many times another. */
const isMore = (one: Decimal, other: Decimal, times = 1n): boolean =>
  one.coefficient * 10n ** BigInt(other.scale) > times * other.coefficient * 10n ** BigInt(one.scale);

const articleDoubts = (
  item: Asked,
  { openingDate }: ThingRules,
  money: (amount: Minor) => string,
  someCounted: boolean,
): readonly Problem[] => {
  const { detail } = item;
  const [quantity, cost] = [decimalIn(detail, 'quantity'), decimalIn(detail, 'cost')];
  const worth = quantity === null || cost === null ? undefined : articleValue(quantity, cost, item.currency);
  const prices = PRICE_FIELDS.flatMap((field) => decimalIn(detail, field) ?? []).filter((one) => one.coefficient > 0n);
  const dear = cost !== null && prices.length > 0 && prices.every((price) => isMore(cost, price));
  const cheap = cost !== null && cost.coefficient > 0n && prices.some((price) => isMore(price, cost, FAR));
  return [
    ...(quantity !== null && quantity.coefficient < 0n
      ? [
          ask(
            'below',
            'There cannot be less than none of it. Count it again, or look for what was booked out twice.',
            'quantity',
          ),
        ]
      : []),
    ...(quantity !== null && quantity.coefficient !== 0n && (cost === null || cost.coefficient === 0n)
      ? [ask('cost', 'It has a quantity and no cost.', 'cost')]
      : cost !== null && cost.coefficient < 0n
        ? [ask('cost', 'Its cost is below nil.', 'cost')]
        : dear
          ? [ask('dear', 'It costs more than it is sold for. Is its value to be written down?', 'cost')]
          : cheap
            ? [ask('cheap', `It is sold for more than ${FAR} times its cost. Is the cost of one of it?`, 'cost')]
            : []),
    ...(worth !== undefined && abs(subtract(worth, item.open)) > 1n
      ? [ask('worth', `Quantity times cost is ${money(worth)}.`, 'open')]
      : []),
    ...(item.date !== null && item.date > openingDate.toString()
      ? [
          ask(
            'counted',
            say`It was counted on ${dated(item.date)}, after the opening date. Take back what came and went since.`,
            'date',
          ),
        ]
      : item.date === null && someCounted
        ? [ask('counted', 'It does not say when it was counted.', 'date')]
        : []),
    ...(item.beside !== null && abs(item.beside) > abs(item.open)
      ? [ask('down', 'It is written down by more than its value.', 'beside')]
      : []),
  ];
};

const loanDoubts = (item: Asked, rules: ThingRules, money: (amount: Minor) => string): readonly Problem[] => {
  const owed = abs(add(item.open, item.beside ?? NIL));
  const plan = planOfItem(item, rules);
  const lent = item.original === null ? undefined : abs(item.original);
  return [
    ...(plan.ok ? [] : plan.problems.map((one) => ask('plan', one.message, String(one.path?.[0] ?? 'instalment')))),
    ...(lent !== undefined && owed > lent
      ? [ask('more', `More is owed than the ${money(lent)} that was lent.`, 'owed')]
      : []),
    ...(item.due !== null && item.due <= rules.openingDate.toString() && owed > 0n
      ? [ask('ended', say`Its last payment was on ${dated(item.due)}, and something is still owed.`, 'due')]
      : []),
  ];
};

const spanDoubts = (item: Asked, rules: ThingRules, money: (amount: Minor) => string): readonly Problem[] => {
  const { openingDate } = rules;
  const day = openingDate.toString();
  const after = afterOf(item, rules);
  return [
    ...(item.date !== null && item.due !== null && item.due < item.date
      ? [ask('span', say`It ends on ${dated(item.due)}, before it begins.`, 'due')]
      : item.due !== null && item.due <= day
        ? [ask('ended', say`It ran out on ${dated(item.due)}: nothing of it lies after the opening date.`, 'due')]
        : item.date !== null && item.date > day
          ? [
              ask(
                'begun',
                say`It begins on ${dated(item.date)}, after the opening date: all of it is still to come.`,
                'date',
              ),
            ]
          : []),
    ...(after !== undefined && item.due !== null && item.due > day && abs(subtract(after, item.open)) > 1n
      ? [ask('after', `By ${rules.spans} ${money(abs(after))} of it lies after the opening date.`, 'open')]
      : []),
    ...(item.original !== null && abs(item.open) > abs(item.original)
      ? [ask('more', 'More of it is left than it came to.', 'open')]
      : []),
  ];
};

/** What a person should look at again among things: what Bathron works out beside what the old system says. Nothing of it is refused. */
export const thingDoubts = (items: readonly Asked[], rules: ThingRules): ReadonlyMap<number, readonly Problem[]> => {
  const { schedule, openingDate } = rules;
  const someCounted = items.some(({ date }) => date !== null);
  const codes = new Map<string, number>();
  for (const { number } of items)
    if (number !== '') codes.set(number.toLowerCase(), (codes.get(number.toLowerCase()) ?? 0) + 1);
  const found = new Map<number, readonly Problem[]>();
  for (const item of items) {
    const money = (amount: Minor): string => formatMinor(amount, minorDigits(item.currency), rules.style);
    const own: readonly Problem[] = [
      ...(schedule === 'assets' ? assetDoubts(item, rules, money) : []),
      ...(schedule === 'stock' ? articleDoubts(item, rules, money, someCounted) : []),
      ...(schedule === 'loan' ? loanDoubts(item, rules, money) : []),
      ...(schedule === 'span' ? spanDoubts(item, rules, money) : []),
      ...(schedule === 'tax' && item.due !== null && item.due <= openingDate.toString()
        ? [ask('due', say`It was to be paid by ${dated(item.due)}. Was it?`, 'due')]
        : []),
      ...(schedule === 'holders' ? holderDoubts(item, money) : []),
      ...((schedule === 'assets' || schedule === 'stock') && (codes.get(item.number.toLowerCase()) ?? 0) > 1
        ? [ask('twice', 'Its code stands here more than once.', 'number')]
        : []),
    ];
    if (own.length > 0) found.set(item.id, own);
  }
  return found;
};

/** Shares times nominal is what their capital comes to. */
const holderDoubts = (item: Asked, money: (amount: Minor) => string): readonly Problem[] => {
  const [shares, nominal] = [decimalIn(item.detail, 'shares'), decimalIn(item.detail, 'nominal')];
  if (shares === null || nominal === null) return [];
  const capital = articleValue(shares, nominal, item.currency);
  return abs(item.open) === capital
    ? []
    : [ask('capital', `Shares times nominal is ${money(minor(capital))}.`, 'open')];
};
