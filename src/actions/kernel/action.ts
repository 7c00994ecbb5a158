import { z } from 'zod';
import { type Deed, deedWords } from '@/core/access/deeds';
import { type Acting, may as mayDo, mayAnywhere, roleIn, whoMay } from '@/core/access/roles';
import { type Problem, type Result, fail, ok, problem, toldIn } from '@/core/base/result';
import { refusedByDatabase, withoutFigures } from './database-errors';
import { id, issueProblem } from './inputs';
import { type Books, findBooks, takeBooks } from '@/store/books';
import { audit } from '@/store/audit';
import { type Queryable, Unavailable } from '@/store/database';
import {
  type Actor,
  SignedOut,
  Unfinished,
  actorIn,
  asking,
  database,
  log,
  newId,
  now,
  orTurnedAway,
  underWay,
} from './context';
import { chartAfter } from '../frame/held-chart';
import { type Recorder, recorder } from './recorder';
import { writingOfBooks } from './writing';

export interface Context {
  readonly tx: Queryable;
  readonly actor: Actor;
  /** The one instant of this action. */
  readonly now: string;
  readonly newId: () => string;
  /** Has something done once this is committed, and not where it is rolled back or run anew. */
  readonly onCommit: (work: () => void) => void;
}

export interface BooksContext extends Context {
  readonly books: Books;
}

/** Inside an action: also what it changes, which is written to the record as one batch when it is done. */
export interface WritingContext extends BooksContext {
  readonly changes: Recorder;
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

const fromZod = (error: z.ZodError): readonly Problem[] => error.issues.map((issue) => issueProblem(issue));

const deniedSentence = (may: Deed): string => `You may not ${deedWords[may]}. Ask ${whoMay(may)} of the practice.`;

/** Carries out of a transaction that somebody may not do it; it is audited then. */
class NotAllowed extends Error {
  constructor(
    readonly who: Actor,
    readonly may: Deed,
    /** The books, by their name. */
    readonly books: string,
  ) {
    super('not allowed');
  }
}

/** What is told where an action was thrown out of its transaction; nothing of it stands in the database, but for the last. */
const thrown = (error: unknown, report: (reference: string) => void): Result<never> => {
  if (error instanceof Refused) return fail(...error.problems);
  if (error instanceof SignedOut)
    return fail(
      problem(
        'access.signed-out',
        'Your session has ended, so nothing was stored. Sign in again in another tab, so that what stands here stays; then save it once more.',
      ),
    );
  if (error instanceof Unfinished) return fail(problem('access.unfinished', error.message));
  const told = refusedByDatabase(error);
  if (told !== undefined) return fail(told);
  const reference = newId().slice(0, 8);
  report(reference);
  if (error instanceof Unavailable)
    return fail(
      error.stored === false
        ? problem(
            'database.away',
            `The database did not answer, so nothing was stored. Try again; if it stays, report reference ${reference}.`,
          )
        : problem(
            'database.cut',
            `The connection to the database was cut just as this was being stored. Load the page again to see whether it was; reference ${reference}.`,
          ),
    );
  return fail(
    problem(
      'unexpected',
      `Something went wrong in Bathron itself, and nothing was stored. Try again; if it stays, report reference ${reference}.`,
    ),
  );
};

/** Ids for one action, the same ones when it is run anew. */
const idSource = (): (() => () => string) => {
  const made: string[] = [];
  return () => {
    let next = 0;
    return () => {
      const id = made[next] ?? newId();
      made[next] = id;
      next += 1;
      return id;
    };
  };
};

/**
 * The one way to write a use case: say which deed it is, parse the input, say who acts and whether they may, run everything in one
 * transaction, give a typed result with problems as data. Where the transaction has to be run anew, it is with the same instant and
 * the same ids. Whatever is thrown goes to the log under a reference; only the reference reaches the screen.
 */
export const action = <Schema extends z.ZodType, T>(
  name: string,
  may: Deed,
  schema: Schema,
  run: (context: Context, input: z.output<Schema>) => Promise<Result<T>>,
): ((input: z.input<Schema>) => Promise<Result<T>>) => made(name, may, (who) => mayDo(who, may), schema, run);

/** An action that is let begin by `begins`. */
const made =
  <Schema extends z.ZodType, T>(
    name: string,
    may: Deed,
    begins: (who: Acting) => boolean,
    schema: Schema,
    run: (context: Context, input: z.output<Schema>) => Promise<Result<T>>,
  ) =>
  (input: z.input<Schema>): Promise<Result<T>> =>
    underWay(async () => {
      const start = performance.now();
      // Each line says of which action, books and person it is; few are written, so the logger of them is made where one is.
      let said: object = { action: name, books: booksIn(input) };
      const own = (): ReturnType<typeof log.child> => log.child(said);
      const took = (): { readonly ms: number } => ({ ms: Math.round(performance.now() - start) });
      try {
        const [open, asks] = [await database(), await asking()];
        const instant = now();
        const ids = idSource();
        let committed: (() => void)[] = [];
        const done = await withAsides(() =>
          open.transaction(async (tx) => {
            committed = [];
            const who = await actorIn(tx, asks);
            said = { ...said, person: who.person, practice: who.practice };
            // Before anything is looked at: who may not do it learns nothing from what is wrong with the rest.
            if (!begins(who)) throw new NotAllowed(who, may, '');
            const parsed = schema.safeParse(input);
            if (!parsed.success) throw new Refused(fromZod(parsed.error));
            const onCommit = (work: () => void): void => void committed.push(work);
            const result = await run({ tx, actor: who, now: instant, newId: ids(), onCommit }, parsed.data);
            if (!result.ok) throw new Refused(result.problems);
            return result;
          }),
        );
        for (const work of committed) work();
        if (log.isLevelEnabled('debug')) own().debug(took(), 'done');
        return done;
      } catch (error) {
        if (error instanceof NotAllowed) {
          own().warn({ ...took(), may }, 'not allowed');
          await noteRefusal(error, name);
          return fail(problem('access.denied', deniedSentence(may)));
        }
        if (error instanceof Refused)
          own().debug({ ...took(), problems: error.problems.map(({ code }) => code) }, 'refused');
        return thrown(error, (reference) =>
          own().error({ ...took(), reference, err: withoutFigures(error) }, 'action failed'),
        );
      }
    });

/** A refusal is looked up later; where it cannot be written down, it stands in the log. */
const noteRefusal = async ({ who, may, books }: NotAllowed, name: string): Promise<void> => {
  try {
    const open = await database();
    await open.transaction(async (tx) => {
      await tx.scope(who.practice);
      await audit(tx, who.practice, who.person, 'refused', `${deedWords[may]} (${name})`, now(), books);
    });
  } catch (error) {
    log.error({ err: withoutFigures(error), action: name, person: who.person }, 'a refusal could not be audited');
  }
};

const booksIn = (input: unknown): number | undefined =>
  typeof input === 'object' && input !== null && 'books' in input && typeof input.books === 'number'
    ? input.books
    : undefined;

/** Books that were found in the practice of somebody, as rights see them. */
export const booksOf = ({ practice }: Acting, { id: own }: Pick<Books, 'id'>) => ({ id: own, practice });

/** Whether somebody may do a deed in books of their practice. */
export const mayIn = (actor: Acting, may: Deed, books: Pick<Books, 'id'>): boolean =>
  mayDo(actor, may, booksOf(actor, books));

const unknownBooks = fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));

/** Runs what changes a set of books that were taken for it: with a batch of the record for it, as the next revision of them. */
export const recorded = async <T>(
  name: string,
  context: BooksContext,
  run: (context: WritingContext) => Promise<Result<T>>,
): Promise<Result<T>> => {
  const changes = recorder(context, name);
  const done = await run({ ...context, changes });
  if (!done.ok) return done;
  await changes.write();
  context.onCommit(chartAfter(context));
  return { ...done, left: { id: context.books.id, revision: Number(context.books.revision + 1n) } };
};

/** A use case inside one set of books: authorised for the actor's practice, the books locked so that two writers queue. */
export const booksAction = <Shape extends z.ZodRawShape, T>(
  name: string,
  may: Deed,
  shape: Shape,
  run: (context: WritingContext, input: z.output<z.ZodObject<Shape>>) => Promise<Result<T>>,
) => {
  const inner = z.object(shape);
  const asked = z.looseObject({ books: id });
  const begins = (who: Acting): boolean => mayAnywhere(who, may);
  const outer = made(name, may, begins, asked, async (context, { books: number, ...rest }) => {
    const { tx, actor } = context;
    const books = await takeBooks(tx, actor.practice, number);
    // Books that one does not see are none.
    if (books === undefined || roleIn(actor, booksOf(actor, books)) === undefined) return unknownBooks;
    if (!mayDo(actor, may, booksOf(actor, books))) throw new NotAllowed(actor, may, books.name);
    const parsed = inner.safeParse(rest);
    if (!parsed.success) return fail(...fromZod(parsed.error));
    const done = await recorded(name, { ...context, books }, (writing) => run(writing, parsed.data));
    return done.ok ? done : fail(...done.problems.map((one) => toldIn(one, writingOfBooks(books))));
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
  may: Deed,
  shape: Shape,
  look: (
    context: BooksContext,
    input: z.output<z.ZodObject<Shape>>,
  ) => Promise<() => Promise<Result<Read>>> | (() => Promise<Result<Read>>),
  run: (context: WritingContext, input: z.output<z.ZodObject<Shape>>, read: Read) => Promise<Result<T>>,
) => {
  const looked = booksAction(name, may, shape, async (context, input) => ok({ reading: await look(context, input) }));
  return async (input: Parameters<typeof looked>[0]): Promise<Result<T>> => {
    const found = await looked(input);
    if (!found.ok) return found;
    const read = await found.value.reading();
    if (!read.ok) return read;
    return booksAction(name, may, shape, (context, given) => run(context, given, read.value))(input);
  };
};

/** What somebody asked to see who may not; the page says so in the place of what it would show. */
export class Denied extends Error {
  constructor(readonly may: Deed) {
    super(deniedSentence(may));
  }
}

/**
 * A step of somebody who is not known yet, such as signing in: nobody acts, so it states no deed. Each is named in the test of deeds.
 */
export const openStep =
  <Schema extends z.ZodType, T>(
    name: string,
    schema: Schema,
    run: (context: Pick<Context, 'tx' | 'now' | 'newId'>, input: z.output<Schema>) => Promise<Result<T>>,
  ) =>
  (input: z.input<Schema>): Promise<Result<T>> =>
    underWay(async () => {
      const own = log.child({ action: name });
      const instant = now();
      const ids = idSource();
      try {
        const parsed = schema.safeParse(input);
        if (!parsed.success) return fail(...fromZod(parsed.error));
        const open = await database();
        return await open.transaction(async (tx) => {
          // Whose practice it is about shows only within.
          await tx.scope('all');
          const result = await run({ tx, now: instant, newId: ids() }, parsed.data);
          if (!result.ok) throw new Refused(result.problems);
          return result;
        });
      } catch (error) {
        return thrown(error, (reference) => own.error({ reference, err: withoutFigures(error) }, 'action failed'));
      }
    });

/** Reads for a page of somebody who is not known yet. */
export const openView = async <T>(run: (context: Pick<Context, 'tx' | 'now'>) => Promise<T>): Promise<T> => {
  const open = await database();
  const instant = now();
  return open.view(async (tx) => {
    await tx.scope('all');
    return run({ tx, now: instant });
  });
};

/** A view commits nothing. */
const nothing = (): void => undefined;

/** One transaction that only reads, so that all a page shows is of one moment. */
const reading = async <T>(run: (context: Context) => Promise<T>): Promise<T> => {
  const [open, asks] = [await database(), await asking()];
  const instant = now();
  return orTurnedAway(() =>
    withAsides(() =>
      open.view(async (tx) => run({ tx, actor: await actorIn(tx, asks), now: instant, newId, onCommit: nothing })),
    ),
  );
};

/** Reads for a page of the practice; what it is for is said as for an action. */
export const view = <T>(may: Deed, run: (context: Context) => Promise<T>): Promise<T> =>
  reading((context) => {
    if (!mayDo(context.actor, may)) throw new Denied(may);
    return run(context);
  });

/** Reads inside one set of books; undefined when there are none for this actor, or none that they may look at so. */
export const booksView = <T>(
  may: Deed,
  number: number,
  run: (context: BooksContext) => Promise<T>,
): Promise<T | undefined> =>
  reading(async (context) => {
    if (!mayAnywhere(context.actor, may) || !id.safeParse(number).success) return undefined;
    const books = await findBooks(context.tx, context.actor.practice, number);
    return books === undefined || !mayIn(context.actor, may, books) ? undefined : run({ ...context, books });
  });
