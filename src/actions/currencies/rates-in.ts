import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { type DatedRate, plainRate, readRate } from '@/core/money/rate';
import { rateBook } from '@/core/money/rate-book';
import { MOST_BYTES, megabytes } from '@/core/files/limits';
import { toCsv } from '@/core/files/write';
import { DIRECTIONS, type Direction, type RatePreviewRow, previewRates } from '@/core/papers/rates';
import { dated, say, tell } from '@/core/base/sentence';
import { type Result, fail, ok, plural, problem } from '@/core/base/result';
import { allRates, currenciesOf, putRates } from '@/store/currencies';
import { record } from '@/store/history';
import { type WritingContext, booksAction, booksView, fileAction } from '../kernel/action';
import { boundedBytes } from '../kernel/bounded';
import { log, reading } from '../kernel/context';
import { withoutFigures } from '../kernel/database-errors';
import { currencyCode, fieldDay, fileContent, fileName, id as booksId, issueProblem } from '../kernel/inputs';
import { writingOfBooks } from '../kernel/writing';

/** What taking rates over would do or did; of long lists the first rows, the counts of all. */
export interface RatesPreview {
  readonly counts: { readonly new: number; readonly changes: number; readonly same: number };
  readonly rows: readonly (Omit<RatePreviewRow, 'rate' | 'doubt'> & {
    readonly rate: string;
    readonly doubt: string | undefined;
  })[];
  readonly doubts: number;
  readonly problems: readonly { readonly row: number; readonly message: string }[];
  readonly problemCount: number;
  readonly reasons: readonly string[];
  readonly direction: Direction;
  readonly taken: boolean;
}

export const ratesLimit = MOST_BYTES;

const MOST_SHOWN = 200;

interface Incoming {
  readonly rates: readonly (DatedRate & { readonly row: number })[];
  readonly problems: RatesPreview['problems'];
  readonly reasons: readonly string[];
  readonly direction: Direction;
}

const settle = async (
  { tx, books, actor, now, changes }: WritingContext,
  incoming: Incoming,
  from: string,
  take: boolean,
): Promise<Result<RatesPreview>> => {
  const rows = previewRates(incoming.rates, rateBook(await allRates(tx, books.id)));
  const writing = writingOfBooks(books);
  const counts = { new: 0, changes: 0, same: 0 };
  for (const row of rows) counts[row.status] += 1;
  const changing = rows.filter((row) => row.status !== 'same');
  if (take && changing.length > 0) {
    changes.about({ name: from });
    changes.add(await putRates(tx, books.id, changing, actor.person, now));
    await record(
      tx,
      books.id,
      'currencies',
      [books.id],
      `${plural(changing.length, 'rate')} from ${from}: ${counts.new} new, ${counts.changes} changed`,
      actor.person,
      now,
    );
  }
  const doubtful = rows.filter((row) => row.doubt !== undefined);
  // What wants to be looked at comes first.
  const shown = [
    ...doubtful,
    ...changing.filter((row) => row.doubt === undefined),
    ...rows.filter((row) => row.status === 'same'),
  ];
  return ok({
    counts,
    rows: shown.slice(0, MOST_SHOWN).map((row) => ({
      ...row,
      rate: plainRate(row.rate),
      doubt: row.doubt === undefined ? undefined : tell(row.doubt, writing),
    })),
    doubts: doubtful.length,
    problems: incoming.problems.slice(0, MOST_SHOWN),
    problemCount: incoming.problems.length,
    reasons: incoming.reasons,
    direction: incoming.direction,
    taken: take,
  });
};

/** Rates out of a CSV or XLSX file: a preview, or with `take` the good rows in one transaction. */
export const bringRates = fileAction(
  'bringRates',
  'currencies.change',
  {
    name: fileName,
    content: fileContent,
    direction: z.enum(DIRECTIONS).optional(),
    take: z.boolean(),
  },
  async ({ tx, books }, { content, name, direction }) => {
    const known = await allRates(tx, books.id);
    return () =>
      reading().read('rates', { bytes: content, name, base: books.currency, style: books.style, direction, known });
  },
  (context, input, read) => settle(context, read, input.name, input.take),
);

/** What the rate service answers: so much of each currency for 1 `base`, day by day. */
const answer = z.object({
  base: currencyCode(),
  rates: z.array(z.object({ date: isoDay(), currency: currencyCode(), rate: z.string().max(40) })).max(60_000),
});

const MOST_ANSWER = 8 * 1024 * 1024;
const PATIENCE = 5000;

/** Where rates are fetched: by default the simulated service that ships with Bathron, on this very server. */
const serviceAddress = (): string =>
  process.env.RATE_SERVICE ?? `http://127.0.0.1:${process.env.PORT ?? '3000'}/simulated/rates`;

/** Asks the rate service. Slow, down and garbage each are a sentence; nothing is stored. */
const ask = async (query: URLSearchParams): Promise<Result<z.infer<typeof answer>>> => {
  const silent = problem(
    'service.down',
    'The rate service did not answer. The rates that are here still count; type the missing ones, bring a file, or try again later.',
  );
  let text: string;
  try {
    const response = await fetch(`${serviceAddress()}?${query.toString()}`, {
      signal: AbortSignal.timeout(PATIENCE),
      // Where it is sent on to, nobody chose.
      redirect: 'error',
    });
    if (!response.ok) {
      await response.body?.cancel();
      log.warn({ status: response.status }, 'rate service refused');
      return fail(
        problem(
          'service.refused',
          `The rate service answered with an error (${response.status}). Nothing was stored; try again later, or bring a file.`,
        ),
      );
    }
    const read = await boundedBytes(response.body, MOST_ANSWER);
    if (read === undefined)
      return fail(
        problem(
          'service.large',
          `The rate service sent more than ${megabytes(MOST_ANSWER)}, which is the most that is taken. Nothing was stored; ask for fewer days, or bring a file.`,
        ),
      );
    text = new TextDecoder().decode(read);
  } catch (error) {
    log.warn({ err: withoutFigures(error) }, 'rate service did not answer');
    return error instanceof Error && error.name === 'TimeoutError'
      ? fail(
          problem(
            'service.slow',
            `The rate service had not answered after ${PATIENCE / 1000} seconds. Nothing was stored; ask for fewer days, or try again later.`,
          ),
        )
      : fail(silent);
  }
  const garbage = problem(
    'service.garbage',
    'What the rate service answered does not read as rates, so nothing of it was taken. Try again later, or bring a file.',
  );
  try {
    const parsed = answer.safeParse(JSON.parse(text));
    if (!parsed.success) return fail(garbage);
    if (parsed.data.base !== query.get('base'))
      return fail(
        problem(
          'service.other-base',
          `The rate service answered with rates of ${parsed.data.base}, and ${query.get('base') ?? ''} was asked for. Nothing was stored.`,
        ),
      );
    return ok(parsed.data);
  } catch {
    return fail(garbage);
  }
};

const settleService = booksAction(
  'settleService',
  'currencies.change',
  { answer, take: z.boolean() },
  async (context, { answer: given, take }) => {
    const problems: { row: number; message: string }[] = [];
    const rates = given.rates.flatMap((one, at) => {
      const rate = readRate(one.rate, '1234.56');
      if (!rate.ok) {
        problems.push({ row: at + 1, message: rate.problems[0]?.message ?? 'The rate does not read.' });
        return [];
      }
      return [
        {
          row: at + 1,
          date: one.date,
          unit: given.base,
          quote: one.currency,
          rate: rate.value,
          source: 'rate service',
        },
      ];
    });
    return settle(
      context,
      {
        rates,
        problems,
        reasons: [`So much foreign currency for 1 ${given.base}, as the rate service gives it.`],
        direction: 'base-unit',
      },
      'the rate service',
      take,
    );
  },
);

export const SERVICE_MOODS = ['as usual', 'slow', 'down', 'garbage'] as const;

export const serviceWish = z.object({
  books: booksId,
  from: fieldDay('Give the first day.'),
  to: fieldDay('Give the last day.'),
  mood: z.enum(SERVICE_MOODS).default('as usual'),
  take: z.boolean(),
});

/** Fetches rates of the currencies switched on and previews them, or with `take` stores them. No transaction waits for the service. */
export const fetchServiceRates = async (input: z.input<typeof serviceWish>): Promise<Result<RatesPreview>> => {
  const parsed = serviceWish.safeParse(input);
  if (!parsed.success) return fail(...parsed.error.issues.map((issue) => issueProblem(issue)));
  const { books: id, from, to, mood, take } = parsed.data;
  if (from > to) return fail(problem('service.days', say`${dated(from)} is after ${dated(to)}.`, 'to'));
  const wanted = await booksView('books.see', id, async ({ tx, books }) => ({
    base: books.currency,
    currencies: (await currenciesOf(tx, [books.id])).get(books.id) ?? [],
  }));
  if (wanted === undefined) return fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));
  if (wanted.currencies.length === 0)
    return fail(problem('service.no-currency', 'No foreign currency is switched on, so there is nothing to fetch.'));
  const answered = await ask(
    new URLSearchParams({ base: wanted.base, currencies: wanted.currencies.join(','), from, to, mood, format: 'json' }),
  );
  return answered.ok ? settleService({ books: id, answer: answered.value, take }) : answered;
};

/** All rates as a CSV file, which reads back to the same state. */
export const exportRates = (id: number) =>
  booksView('books.see', id, async ({ tx, books }) => ({
    name: `${books.name} rates.csv`,
    content: toCsv([
      ['date', 'unit', 'quote', 'rate', 'source'],
      ...(await allRates(tx, books.id)).map((rate) => [
        rate.date,
        rate.unit,
        rate.quote,
        plainRate(rate.rate),
        rate.source,
      ]),
    ]),
  }));
