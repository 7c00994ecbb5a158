import { z } from 'zod';
import { type Problem, type Result, fail, ok, problem } from '@/core/result';
import { refusedByDatabase, withoutFigures } from './database-errors';
import { id } from './inputs';
import { type Books, findBooks } from '@/store/books';
import type { Queryable } from '@/store/database';
import { type Actor, actor, database, log, newId, now } from './context';

export interface Context {
  readonly tx: Queryable;
  readonly actor: Actor;
  /** The one instant of this action. */
  readonly now: string;
  readonly newId: () => string;
}

export interface BooksContext extends Context {
  readonly books: Books;
}

/** Carries problems out of a transaction so that it is rolled back: an action that reports a problem has stored nothing. */
class Refused extends Error {
  constructor(readonly problems: readonly Problem[]) {
    super('refused');
  }
}

/**
 * Carries work out of a transaction that must not wait for it, such as the reading of a file: the transaction is rolled
 * back, the work is done, and the whole is run anew, which then finds its result.
 */
export class Aside extends Error {
  constructor(readonly work: () => Promise<void>) {
    super('aside');
  }
}

/** So often one request may leave its transaction for work: more means that what it made is gone again before it is used. */
const MOST_ASIDE = 5;

/** Runs a transaction, and anew after each piece of work that it put aside. */
const withAsides = async <T>(run: () => Promise<T>): Promise<T> => {
  for (let left = MOST_ASIDE; ; left -= 1)
    try {
      return await run();
    } catch (error) {
      if (!(error instanceof Aside) || left === 0) throw error;
      await error.work();
    }
};

const fromZod = (error: z.ZodError): Result<never> =>
  fail(...error.issues.map((issue) => problem(`input.${issue.code}`, issue.message, issue.path.join('.'))));

const unexpected = (name: string, error: unknown): Result<never> => {
  const reference = newId().slice(0, 8);
  log.error({ action: name, reference, err: withoutFigures(error) }, 'action failed');
  return fail(
    problem(
      'unexpected',
      `Something went wrong in Bathron itself, and nothing was stored. Try again; if it stays, report reference ${reference}.`,
    ),
  );
};

/**
 * The one way to write a use case: parse the input, say who acts, run everything in one transaction, give a typed result
 * with problems as data. Whatever is thrown goes to the log under a reference; only the reference reaches the screen.
 */
export const action =
  <Schema extends z.ZodType, T>(
    name: string,
    schema: Schema,
    run: (context: Context, input: z.output<Schema>) => Promise<Result<T>>,
  ) =>
  async (input: z.input<Schema>): Promise<Result<T>> => {
    const parsed = schema.safeParse(input);
    if (!parsed.success) return fromZod(parsed.error);
    try {
      const who = await actor();
      const open = await database();
      return await withAsides(() =>
        open.transaction(async (tx) => {
          const result = await run({ tx, actor: who, now: now(), newId }, parsed.data);
          if (!result.ok) throw new Refused(result.problems);
          return result;
        }),
      );
    } catch (error) {
      if (error instanceof Refused) return fail(...error.problems);
      const told = refusedByDatabase(error);
      return told === undefined ? unexpected(name, error) : fail(told);
    }
  };

const unknownBooks = fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));

/** A use case inside one set of books: authorised for the actor's practice, the books locked so that two writers queue. */
export const booksAction = <Shape extends z.ZodRawShape, T>(
  name: string,
  shape: Shape,
  run: (context: BooksContext, input: z.output<z.ZodObject<Shape>>) => Promise<Result<T>>,
) => {
  const inner = z.object(shape);
  const outer = action(name, z.looseObject({ books: id }), async (context, { books: number, ...rest }) => {
    const books = await findBooks(context.tx, context.actor.practice, number, true);
    if (books === undefined) return unknownBooks;
    const parsed = inner.safeParse(rest);
    return parsed.success ? run({ ...context, books }, parsed.data) : fromZod(parsed.error);
  });
  return (
    input: { readonly books: number } & (keyof Shape extends never ? unknown : z.input<z.ZodObject<Shape>>),
  ): Promise<Result<T>> => outer(input);
};

/**
 * A use case that reads a file. `look` is authorised like any other and says in a short transaction what is to be read; the
 * file is then read outside of any transaction, and `run` writes what was read in one of its own.
 */
export const fileAction = <Shape extends z.ZodRawShape, Read, T>(
  name: string,
  shape: Shape,
  look: (
    context: BooksContext,
    input: z.output<z.ZodObject<Shape>>,
  ) => Promise<() => Promise<Result<Read>>> | (() => Promise<Result<Read>>),
  run: (context: BooksContext, input: z.output<z.ZodObject<Shape>>, read: Read) => Promise<Result<T>>,
) => {
  const looked = booksAction(name, shape, async (context, input) => ok({ reading: await look(context, input) }));
  return async (input: Parameters<typeof looked>[0]): Promise<Result<T>> => {
    const found = await looked(input);
    if (!found.ok) return found;
    const read = await found.value.reading();
    if (!read.ok) return read;
    return booksAction(name, shape, (context, given) => run(context, given, read.value))(input);
  };
};

/** Reads for a page, in one transaction so that all it shows is of one moment. */
export const view = async <T>(run: (context: Context) => Promise<T>): Promise<T> => {
  const who = await actor();
  const open = await database();
  return withAsides(() => open.transaction((tx) => run({ tx, actor: who, now: now(), newId })));
};

/** Reads inside one set of books; undefined when there are none for this actor. */
export const booksView = <T>(number: number, run: (context: BooksContext) => Promise<T>): Promise<T | undefined> =>
  view(async (context) => {
    if (!id.safeParse(number).success) return undefined;
    const books = await findBooks(context.tx, context.actor.practice, number);
    return books === undefined ? undefined : run({ ...context, books });
  });
