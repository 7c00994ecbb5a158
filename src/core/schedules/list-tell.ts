import {
  tellAges,
  tellBase,
  tellBaseLeft,
  tellLess,
  tellMoved,
  tellOpen,
  tellPaid,
  tellRunning,
  tellTax,
} from './list-amounts';
import type { Beside } from './list-beside';
import { tellParts } from './list-parts';
import { tellBalances, tellCodes, tellDays, tellGrouped, tellKinds, tellNames, tellRemarks } from './list-whom';

/** As if some columns held no amounts: what they are is told. */
const without = (beside: Beside, told: ReadonlySet<number>): Beside =>
  told.size === 0
    ? beside
    : { ...beside, contents: beside.contents.map((one, at) => (told.has(at) ? { ...one, amounts: 0 } : one)) };

/** Tells the columns, one thing after the other, since each rests on those before; gives the column of a balance that runs on. */
export const tellBeside = (all: Beside): number | undefined => {
  tellDays(all);
  const given = without(all, tellParts(all));
  const moved = tellMoved(given);
  const beside = without(given, moved.size > 0 ? moved : tellTax(given));
  tellLess(beside);
  tellBase(beside);
  tellAges(beside);
  const running = tellRunning(beside);
  if (running === undefined) tellPaid(beside);
  tellOpen(beside, running);
  tellBaseLeft(beside);
  tellKinds(beside);
  tellRemarks(beside);
  tellGrouped(beside);
  tellNames(beside);
  tellCodes(beside, running);
  tellBalances(beside);
  return running;
};
