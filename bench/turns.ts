// Two pieces of work that are compared.

export type Note = (what: string, ours: number, baseline: string, theirs: number, unit?: string) => void;

export const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;

/**
 * What both take, the median of `times` of each: turn by turn, so that a machine whose speed varies slows the one as the other. The
 * first turns only warm up.
 */
export const turns = async (
  times: number,
  ours: (at: number) => Promise<unknown>,
  theirs: (at: number) => Promise<unknown>,
): Promise<readonly [number, number]> => {
  const found: readonly [number[], number[]] = [[], []];
  const warm = Math.ceil(times / 4);
  for (let at = 0; at < times + warm; at += 1)
    for (const [place, work] of [ours, theirs].entries()) {
      const start = performance.now();
      await work(at);
      if (at >= warm) found[place]?.push(performance.now() - start);
    }
  return [median(found[0]), median(found[1])];
};

/** Notes what both take. */
export const noteTurns = async (
  note: Note,
  what: string,
  times: number,
  ours: (at: number) => Promise<unknown>,
  baseline: string,
  theirs: (at: number) => Promise<unknown>,
): Promise<void> => {
  const [own, other] = await turns(times, ours, theirs);
  note(what, own, baseline, other);
};
