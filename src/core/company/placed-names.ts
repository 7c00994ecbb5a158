import { folded } from '../base/folded';

/**
 * The first place in use (from nil) whose name would be gone or stand elsewhere, where what is kept goes by the place: names that come
 * are added behind the last, and a name may give way to a new one where it stands. Undefined where every place in use stays.
 *
 * @example movedPlace(['Shop', 'Export'], ['Export'], new Set([1])) // 1
 */
export const movedPlace = (
  before: readonly string[],
  after: readonly string[],
  used: ReadonlySet<number>,
): number | undefined => {
  const [were, are] = [before.map(folded), after.map(folded)];
  const stays = (place: number): boolean => {
    const [was, is] = [were[place], are[place]];
    return is !== undefined && (is === was || (!were.includes(is) && (was === undefined || !are.includes(was))));
  };
  return [...used].sort((one, other) => one - other).find((place) => place < were.length && !stays(place));
};
