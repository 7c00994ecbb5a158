import { z } from 'zod';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { countAttempt, forgetAttempts } from '@/store/attempts';
import { openStep } from '../kernel/action';
import { hashed } from '../kernel/ways-in';

/** Attempts are counted over a quarter of an hour, by all processes together. */
const WINDOW = 15 * 60;

/** One thing that is counted, and how many of it are let through. */
interface Counted {
  readonly key: string;
  readonly most: number;
}

const count = openStep(
  'countAttempts',
  z.object({ of: z.array(z.object({ key: z.string(), most: z.number(), seconds: z.number() })) }),
  async ({ tx, now }, { of }) => {
    let over = false;
    // In one order, so that two of them never wait for each other.
    for (const { key, most, seconds } of [...of].sort((one, other) => (one.key < other.key ? -1 : 1)))
      if ((await countAttempt(tx, hashed(key), seconds, now)) > most) over = true;
    return ok({ over });
  },
);

const forget = openStep('forgetAttempts', z.object({ keys: z.array(z.string()) }), async ({ tx }, { keys }) => {
  for (const key of keys) await forgetAttempts(tx, hashed(key));
  return ok({});
});

export const tooOften = fail(
  problem(
    'sign-in.wait',
    'That was tried too often. Wait a quarter of an hour, then try again; nothing is locked for good.',
  ),
);

/** Counts an attempt at each of these; a problem where one of them was tried too often. Nothing is locked for good. */
export const counted = async (...of: readonly Counted[]): Promise<Result<object>> => {
  const done = await count({ of: of.map((one) => ({ ...one, seconds: WINDOW })) });
  return done.ok && done.value.over ? tooOften : done;
};

/** One attempt was right: these are counted anew. */
export const wasRight = (...keys: readonly string[]): Promise<Result<object>> => forget({ keys: [...keys] });

/** A code that a device shows holds for its half minute and the ones beside it, and is taken once in that time. */
const CODE_SECONDS = 120;

/** Whether a code is used for the first time. */
export const firstUse = async (login: string, code: string): Promise<boolean> => {
  const done = await count({ of: [{ key: `code ${login} ${code}`, most: 1, seconds: CODE_SECONDS }] });
  return done.ok && !done.value.over;
};
