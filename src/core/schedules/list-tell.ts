import { tellAges, tellBase, tellMoved, tellOpen, tellPaid, tellRunning, tellTax } from './list-amounts';
import type { Beside } from './list-beside';
import { tellBalances, tellCodes, tellDays, tellKinds, tellNames, tellRemarks } from './list-whom';

/** Tells the columns, one thing after the other, since each rests on those before; gives the column of a balance that runs on. */
export const tellBeside = (given: Beside): number | undefined => {
  tellDays(given);
  const moved = tellMoved(given);
  const parts = moved.size > 0 ? moved : tellTax(given);
  const beside =
    parts.size === 0
      ? given
      : { ...given, contents: given.contents.map((one, at) => (parts.has(at) ? { ...one, amounts: 0 } : one)) };
  tellBase(beside);
  tellAges(beside);
  const running = tellRunning(beside);
  if (running === undefined) tellPaid(beside);
  tellOpen(beside, running);
  tellKinds(beside);
  tellRemarks(beside);
  tellNames(beside);
  tellCodes(beside, running);
  tellBalances(beside);
  return running;
};
