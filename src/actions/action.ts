import { z } from 'zod';
import { type Problem, type Result, fail, problem } from '@/core/result';
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

const fromZod = (error: z.ZodError): Result<never> =>
  fail(...error.issues.map((issue) => problem(`input.${issue.code}`, issue.message, issue.path.join('.'))));

const unexpected = (name: string, error: unknown): Result<never> => {
  const reference = newId().slice(0, 8);
  log.error({ action: name, reference, err: error }, 'action failed');
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
      return await (
        await database()
      ).transaction(async (tx) => {
        const result = await run({ tx, actor: who, now: now(), newId }, parsed.data);
        if (!result.ok) throw new Refused(result.problems);
        return result;
      });
    } catch (error) {
      return error instanceof Refused ? fail(...error.problems) : unexpected(name, error);
    }
  };

const booksId = z.int().positive();

const unknownBooks = fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));

/** A use case inside one set of books: authorised for the actor's practice, the books locked so that two writers queue. */
export const booksAction = <Shape extends z.ZodRawShape, T>(
  name: string,
  shape: Shape,
  run: (context: BooksContext, input: z.output<z.ZodObject<Shape>>) => Promise<Result<T>>,
) => {
  const inner = z.object(shape);
  const outer = action(name, z.looseObject({ books: booksId }), async (context, { books: id, ...rest }) => {
    const books = await findBooks(context.tx, context.actor.practice, id, true);
    if (books === undefined) return unknownBooks;
    const parsed = inner.safeParse(rest);
    return parsed.success ? run({ ...context, books }, parsed.data) : fromZod(parsed.error);
  });
  return (
    input: { readonly books: number } & (keyof Shape extends never ? unknown : z.input<z.ZodObject<Shape>>),
  ): Promise<Result<T>> => outer(input);
};

/** Reads for a page, in one transaction so that all it shows is of one moment. */
export const view = async <T>(run: (context: Context) => Promise<T>): Promise<T> => {
  const who = await actor();
  return (await database()).transaction((tx) => run({ tx, actor: who, now: now(), newId }));
};

/** Reads inside one set of books; undefined when there are none for this actor. */
export const booksView = <T>(id: number, run: (context: BooksContext) => Promise<T>): Promise<T | undefined> =>
  view(async (context) => {
    if (!booksId.safeParse(id).success) return undefined;
    const books = await findBooks(context.tx, context.actor.practice, id);
    return books === undefined ? undefined : run({ ...context, books });
  });
