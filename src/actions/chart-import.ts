import { z } from 'zod';
import { readChartRows } from '@/core/chart/chart-file';
import { readPaper } from '@/core/files/read';
import { MOST_BYTES } from '@/core/files/limits';
import { fail, problem } from '@/core/result';
import { findMapping, putMapping } from '@/store/chart-library';
import { booksAction, view } from './action';
import { takeIncoming } from './chart-beginnings';
import { choices, clash, mapping } from './chart-schemas';

export const accountsLimit = MOST_BYTES;

/** What a person decided in the preview of a file, beside the file itself. */
const importWish = z.object({
  signature: z.string().max(600),
  mapping,
  choices,
  update: z.boolean(),
  clash,
});

/** Takes over all good rows of a list of accounts, read as the preview read it; remembers how it is read. */
export const takeAccounts = booksAction(
  'takeAccounts',
  {
    name: z.string().min(1).max(255),
    content: z.custom<Uint8Array>((given) => given instanceof Uint8Array),
    wish: importWish,
  },
  async (context, { name, content, wish }) => {
    const tables = readPaper(content, name);
    if (!tables.ok) return tables;
    const table = tables.value[wish.mapping.sheet];
    if (table === undefined)
      return fail(problem('import.sheet', `${name} has no sheet number ${wish.mapping.sheet + 1}.`));
    const rows = readChartRows(table, wish.mapping, context.books.currency);
    if (wish.signature !== '') await putMapping(context.tx, context.actor.practice, wish.signature, wish.mapping);
    return takeIncoming(context, rows, wish.choices, { update: wish.update, clash: wish.clash }, name);
  },
);

/** How files with this header were last read in this practice; undefined when none was. */
export const rememberedMapping = (signature: string) =>
  view(async ({ tx, actor }) => {
    const parsed = mapping.safeParse(await findMapping(tx, actor.practice, signature));
    return parsed.success ? parsed.data : undefined;
  });
