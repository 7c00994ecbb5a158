import { fail, problem, quoted } from '@/core/base/result';
import type { Person } from '@/store/people';

/** Whoever of these bears a name already, whatever its capitals. */
export const sameName = (name: string, others: readonly Person[]): Person | undefined =>
  others.find((other) => other.name.toLowerCase() === name.toLowerCase());

export const twice = (name: string) =>
  fail(
    problem(
      'person.twice',
      `${quoted(name)} is in the practice already. Names tell people apart in every history.`,
      'name',
    ),
  );
