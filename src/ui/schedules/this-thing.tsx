import type { ItemFields } from '@/core/schedules/item';
import { type ThingRules, planOfItem, shouldBe, thingAmount } from '@/core/schedules/things/cells';
import { THING_SUMS, thingColumns } from '@/core/schedules/things/columns';
import { splitAt } from '@/core/schedules/things/loan-plan';
import { type Minor, NIL, negate, sum } from '@/core/money/minor';
import { writeStyled } from '@/core/base/date-style';
import { figure } from '../parts/figures';

type Money = Parameters<typeof figure>[1];

/** What the columns of a list of things come to. */
export const thingTotals = (
  items: readonly ItemFields[],
  rules: ThingRules,
  money: Money,
): Readonly<Record<string, string>> =>
  Object.fromEntries(
    thingColumns(rules.schedule, []).flatMap(({ id }) => {
      if (!THING_SUMS.includes(id)) return [];
      const total = sum(items.map((item) => thingAmount(item, id, rules) ?? NIL));
      return total === NIL ? [] : [[id, figure(total, money)]];
    }),
  );

interface Props {
  readonly item: ItemFields;
  readonly rules: ThingRules;
  readonly money: Money;
  /** Whether anything may be changed. */
  readonly open: boolean;
  /** Takes what Bathron worked out as the item's second amount. */
  readonly onTake: (beside: Minor) => void;
}

/** What Bathron works out of the chosen thing: what should be written off of an asset, the payments of a loan. */
export const ThisThing = ({ item, rules, money, open, onTake }: Props) => {
  if (rules.schedule === 'loan') return <Payments item={item} rules={rules} money={money} />;
  if (rules.schedule !== 'assets') return null;
  const should = shouldBe(item, rules);
  if (should === undefined)
    return <p className="note mt-1">Give its life, or a rate, to see what should be written off.</p>;
  const written = negate(item.beside ?? NIL);
  return (
    <>
      <p className="mt-1 flex justify-between">
        <span>should be written off</span>
        <span className="tabular-nums">{figure(should, money)}</span>
      </p>
      {open && written !== should && (
        <button type="button" className="btn btn-xs mt-1" onClick={() => onTake(negate(should))}>
          Take {figure(should, money)}
        </button>
      )}
    </>
  );
};

/** Payments shown of a plan. */
const MOST_SHOWN = 14;

const Payments = ({ item, rules, money }: Pick<Props, 'item' | 'rules' | 'money'>) => {
  const plan = planOfItem(item, rules);
  if (!plan.ok) return <p className="note mt-1">{plan.problems[0]?.message}</p>;
  const { within, after } = splitAt(plan.value, rules.openingDate);
  return (
    <>
      <table className="mt-1 w-full text-[0.75rem] tabular-nums" aria-label="Payments to come">
        <thead>
          <tr className="text-ink-2">
            <th scope="col" className="text-left font-normal">
              Payment
            </th>
            <th scope="col" className="text-right font-normal">
              Interest
            </th>
            <th scope="col" className="text-right font-normal">
              Principal
            </th>
            <th scope="col" className="text-right font-normal">
              Left
            </th>
          </tr>
        </thead>
        <tbody>
          {plan.value.slice(0, MOST_SHOWN).map((one) => (
            <tr key={one.date}>
              <td className="whitespace-nowrap">{writeStyled(one.date, rules.dates)}</td>
              <td className="text-right">{figure(one.interest, money)}</td>
              <td className="text-right">{figure(one.principal, money)}</td>
              <td className="text-right">{figure(one.left, money)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {plan.value.length > MOST_SHOWN && (
        <p className="note">
          and {plan.value.length - MOST_SHOWN} more, the last on{' '}
          {writeStyled(plan.value.at(-1)?.date ?? '', rules.dates)}
        </p>
      )}
      <p className="mt-1 flex justify-between">
        <span>within a year</span>
        <span className="tabular-nums">{figure(within, money)}</span>
      </p>
      <p className="flex justify-between">
        <span>later</span>
        <span className="tabular-nums">{figure(after, money)}</span>
      </p>
    </>
  );
};
