import { z } from 'zod';
import type { PersonId } from '@/core/base/ids';
import { ok } from '@/core/base/result';
import { audit } from '@/store/audit';
import { firstPractice } from '@/store/people';
import { openStep } from '../kernel/action';
import { text } from '../kernel/inputs';

/** Whoever signs in or sees to how they do. */
interface Whoever {
  readonly practice: number;
  readonly person: PersonId;
}

/** Writes down what became of signing in. Where nobody has an address it is written down all the same, and takes as long. */
export const noted = openStep(
  'noteSignIn',
  z.object({ who: z.custom<Whoever | undefined>(), about: z.string() }),
  async ({ tx, now }, { who, about }) => {
    await audit(tx, who?.practice ?? (await firstPractice(tx)), who?.person ?? null, 'sign-in', about, now);
    return ok({});
  },
);

/** A code as people type it, with spaces and dashes where they like. */
export const CODE = z.object({ code: text(40).transform((code) => code.replaceAll(/[\s-]+/g, '')) });
