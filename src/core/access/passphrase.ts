import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { folded } from '../base/folded';
import { type Problem, problem } from '../base/result';
import { FEWEST_CHARACTERS, MOST_CHARACTERS } from './passphrase-length';

/** How well a passphrase holds against somebody who guesses, in five steps. */
export const STRENGTHS = ['guessed at once', 'guessed in minutes', 'weak', 'good', 'strong'] as const;

/** What is guessed within minutes is not taken. */
const WEAKEST_TAKEN = 2;

let guesser: ZxcvbnFactory | undefined;

/** What whoever guesses tries first: the person and the firm, in whole and by their longer words. */
const nearAtHand = (about: readonly string[]): readonly string[] =>
  about.flatMap((text) => folded(text).split(/[^\p{L}\p{N}]+/u)).filter((word) => word.length >= 4);

/**
 * How strong a passphrase is (an index of `STRENGTHS`), by the lists of what people choose and the patterns of keys; `about` are names
 * that everybody knows of the person.
 */
export const strengthOf = (passphrase: string, about: readonly string[]): number => {
  guesser ??= new ZxcvbnFactory({ graphs: adjacencyGraphs, dictionary });
  return guesser.check(passphrase.slice(0, MOST_CHARACTERS), [...nearAtHand(about)]).score;
};

/**
 * What is wrong with a passphrase: too short, too long, made of what everybody knows of the person, or among the first that are
 * guessed. There are no rules of what characters it has to have (NIST SP 800-63B, 3.1.1.2).
 */
export const passphraseProblems = (passphrase: string, about: readonly string[]): readonly Problem[] => {
  const length = Array.from(passphrase).length;
  if (length < FEWEST_CHARACTERS)
    return [
      problem(
        'passphrase.short',
        `A passphrase has at least ${String(FEWEST_CHARACTERS)} characters; this one has ${String(length)}. Four or five words that have nothing to do with each other are a good one.`,
        'passphrase',
      ),
    ];
  if (passphrase.length > MOST_CHARACTERS)
    return [
      problem(
        'passphrase.long',
        `A passphrase has at most ${String(MOST_CHARACTERS)} characters; shorten it.`,
        'passphrase',
      ),
    ];
  const told = nearAtHand(about).find((word) => folded(passphrase).includes(word));
  if (told !== undefined)
    return [
      problem(
        'passphrase.told',
        `“${told}” is in it, which everybody knows of you or the practice. Choose words that have nothing to do with either.`,
        'passphrase',
      ),
    ];
  if (strengthOf(passphrase, about) < WEAKEST_TAKEN)
    return [
      problem(
        'passphrase.weak',
        'This is among the first that somebody would guess. Choose four or five words that have nothing to do with each other.',
        'passphrase',
      ),
    ];
  return [];
};
