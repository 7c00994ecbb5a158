import { randomBytes, randomUUID } from 'node:crypto';
import { existsSync, linkSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { CannotOpen } from './migrate';

/** Fewer characters could be guessed. */
const FEWEST = 32;

/**
 * What sessions are signed and second steps encrypted with: from the environment, or made at the first start and kept beside the data,
 * readable by its owner only. Several servers have to be given the same one.
 */
export const readSecret = (directory: string, given: string | undefined): string => {
  if (given !== undefined && given !== '') {
    if (given.length < FEWEST)
      throw new CannotOpen(
        `BATHRON_SECRET has ${String(given.length)} characters, which is too few. Give it at least ${String(FEWEST)}, such as from: openssl rand -base64 48`,
      );
    return given;
  }
  const root = resolve(directory);
  const file = join(root, 'secret');
  if (!existsSync(file)) {
    mkdirSync(root, { recursive: true });
    const half = `${file}.${randomUUID()}`;
    writeFileSync(half, randomBytes(48).toString('base64url'), { mode: 0o600, flag: 'wx' });
    try {
      // Whole or not at all; where another process has just made one, that is read.
      linkSync(half, file);
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    } finally {
      rmSync(half);
    }
  }
  const secret = readFileSync(file, 'utf8').trim();
  if (secret.length < FEWEST)
    throw new CannotOpen(
      `The file ${file} is damaged: it holds no secret. Restore it from a backup; or delete it, and everybody signs in anew and sets up their second step again.`,
    );
  return secret;
};
