import { join } from 'node:path';
import { Piscina } from 'piscina';
import { type Result, fail, problem } from '@/core/base/result';
import type { Given, Task, Tasks } from './tasks';

/** How long and with how much memory one file may be read. */
export interface ReadingLimits {
  /** For any file, and for each megabyte of it besides. */
  readonly milliseconds: number;
  readonly millisecondsPerMegabyte: number;
  /** Memory of the thread that reads, for files up to `largeFrom` bytes and for larger ones. */
  readonly megabytes: number;
  readonly megabytesForLarge: number;
  readonly largeFrom: number;
  /** Of that, for what has just been made; more of it means fewer looks for what is not needed any more. */
  readonly young: number;
  readonly youngForLarge: number;
  /** Files read at once; of large ones, one. */
  readonly threads: number;
  /** Files that wait for their turn. */
  readonly mostWaiting: number;
}

export const READING: ReadingLimits = {
  milliseconds: 6000,
  millisecondsPerMegabyte: 1500,
  megabytes: 192,
  megabytesForLarge: 768,
  largeFrom: 512 * 1024,
  young: 8,
  youngForLarge: 96,
  threads: 2,
  mostWaiting: 100,
};

/** A thread that has not begun by then never will. */
const MILLISECONDS_TO_BEGIN = 30_000;

/** Lets so many in at once; the others wait in the order in which they came. */
const gate = (places: number) => {
  let free = places;
  const waiting: (() => void)[] = [];
  return {
    waiting: () => waiting.length,
    async pass<T>(run: () => Promise<T>): Promise<T> {
      if (free > 0) free -= 1;
      else await new Promise<void>((resolve) => waiting.push(resolve));
      try {
        return await run();
      } finally {
        const next = waiting.shift();
        if (next === undefined) free += 1;
        else next();
      }
    },
  };
};

export interface Reading {
  /** Reads a file in a thread of its own; whatever happens there, the answer is what was read or a sentence. */
  readonly read: <K extends Task>(task: K, input: Tasks[K]['input']) => Promise<Result<Tasks[K]['output']>>;
  readonly close: () => Promise<void>;
}

const codeOf = (error: unknown): unknown => (error instanceof Error ? (error as { code?: unknown }).code : undefined);

/**
 * The pool of threads that read every file that somebody brings. A thread that takes too long or too much memory is ended,
 * and the next file gets another one. Large files are read one at a time, each in a thread that is gone afterwards, so that
 * what it took is given back. `report` gets what nobody foresaw.
 */
export const readingPool = (
  filename: string,
  report: (error: unknown) => void,
  limits: ReadingLimits = READING,
): Reading => {
  const made = (maxThreads: number, megabytes: number, young: number): Piscina => {
    const pool = new Piscina({
      filename,
      // What the server itself was started with is not for its threads.
      execArgv: [],
      minThreads: 0,
      maxThreads,
      idleTimeout: 5000,
      recordTiming: false,
      resourceLimits: { maxOldGenerationSizeMb: megabytes, maxYoungGenerationSizeMb: young },
    });
    // A thread that ends between two files is nobody's answer.
    pool.on('error', report);
    return pool;
  };
  const small = made(limits.threads, limits.megabytes, limits.young);
  const gates = { small: gate(limits.threads), large: gate(1) };

  const refusedFor = (error: unknown, { name }: Given, seconds: number, megabytes: number): Result<never> => {
    if (error instanceof Error && error.name === 'AbortError')
      return fail(
        problem(
          'file.time',
          `${name} was not read within ${String(Math.round(seconds * 10) / 10)} seconds, which is the most that is given to a file of its size. Save it as plain CSV, or in parts, and bring that.`,
        ),
      );
    if (codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY')
      return fail(
        problem(
          'file.memory',
          `${name} takes more than ${String(megabytes)} MB of memory to read, which is the most that is given to a file of its size. Save it as plain CSV, or in parts, and bring that.`,
        ),
      );
    report(error);
    return fail(
      problem(
        'file.unread',
        `${name} could not be read: something in it is not as in any file known here. Save it as plain CSV and bring that.`,
      ),
    );
  };

  const inTime = async <K extends Task>(
    pool: Piscina,
    task: K,
    input: Tasks[K]['input'],
    megabytes: number,
  ): Promise<Result<Tasks[K]['output']>> => {
    const milliseconds =
      limits.milliseconds + Math.floor(input.bytes.length / 1024 / 1024) * limits.millisecondsPerMegabyte;
    try {
      // A new thread takes its time to begin, most of all on a machine that is busy; that is not the file's.
      await pool.run(null, { signal: AbortSignal.timeout(MILLISECONDS_TO_BEGIN) });
      // A view is sent with the whole of what it is a view of, so it is made a whole of its own.
      const { buffer } = input.bytes;
      const whole = buffer instanceof SharedArrayBuffer || input.bytes.byteLength === buffer.byteLength;
      const bytes = whole ? input.bytes : input.bytes.slice();
      return (await pool.run(
        { task, input: { ...input, bytes } },
        { signal: AbortSignal.timeout(milliseconds) },
      )) as Result<Tasks[K]['output']>;
    } catch (error) {
      return refusedFor(error, input, milliseconds / 1000, megabytes);
    }
  };

  return {
    read: (task, input) => {
      const large = input.bytes.length >= limits.largeFrom;
      const own = large ? gates.large : gates.small;
      if (own.waiting() >= limits.mostWaiting)
        return Promise.resolve(
          fail(
            problem(
              'file.busy',
              `${String(limits.mostWaiting)} files are waiting to be read, so ${input.name} was not taken. Bring it again in a minute.`,
            ),
          ),
        );
      return own.pass(async () => {
        if (!large) return inTime(small, task, input, limits.megabytes);
        const once = made(1, limits.megabytesForLarge, limits.youngForLarge);
        try {
          return await inTime(once, task, input, limits.megabytesForLarge);
        } finally {
          await once.destroy();
        }
      });
    },
    close: () => small.destroy(),
  };
};

/** The entry of what scripts/provision.mjs makes of worker.ts; the server runs from the repository's root. */
export const WORKER = join(/* turbopackIgnore: true */ process.cwd(), '.cache', 'reading-worker.mjs');
