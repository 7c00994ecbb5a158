import { createHash } from 'node:crypto';
import type { PaperId } from '@/core/base/ids';
import { mediaOf } from '@/core/files/media';
import { record } from '@/store/history';
import { insertPaper, paperWithHash } from '@/store/papers';
import type { WritingContext } from '../kernel/action';

/** What tells one file from another, whatever it is called. */
export const hashOf = (content: Uint8Array): string => createHash('sha256').update(content).digest('hex');

/** Stores a file unchanged as a paper. The same bytes brought twice lead to the paper that is there. */
export const keepFile = async (
  { tx, books, actor, now }: WritingContext,
  { name, content, kept }: { readonly name: string; readonly content: Uint8Array; readonly kept: boolean },
): Promise<{ readonly paper: PaperId; readonly known: boolean }> => {
  const sha256 = hashOf(content);
  const known = await paperWithHash(tx, books.id, sha256);
  if (known !== undefined) return { paper: known, known: true };
  const made = { name, sha256, content, media: mediaOf(content), kept };
  const paper = await insertPaper(tx, books.id, made, actor.person, now);
  await record(tx, books.id, 'paper', [paper], `${name} brought`, actor.person, now);
  return { paper, known: false };
};
