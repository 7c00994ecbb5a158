import { z } from 'zod';
import { MOST_BYTES } from '@/core/files/limits';
import { findMapping, putMapping } from '@/store/chart-library';
import { fileAction, view } from '../kernel/action';
import { takeIncoming } from './beginnings';
import { choices, clash, mapping } from './schemas';
import { reading } from '../kernel/context';
import { fileContent, fileName, text } from '../kernel/inputs';

export const accountsLimit = MOST_BYTES;

/** What a person decided in the preview of a file, beside the file itself. */
const importWish = z.object({
  signature: text(600),
  mapping,
  choices,
  update: z.boolean(),
  clash,
});

/** Takes over all good rows of a list of accounts, read as the preview read it; remembers how it is read. */
export const takeAccounts = fileAction(
  'takeAccounts',
  'chart.change',
  {
    name: fileName,
    content: fileContent,
    wish: importWish,
  },
  ({ books }, { name, content, wish }) =>
    () =>
      reading().read('accounts', { bytes: content, name, mapping: wish.mapping, base: books.currency }),
  async (context, { name, wish }, rows) => {
    if (wish.signature !== '') await putMapping(context.tx, context.actor.practice, wish.signature, wish.mapping);
    return takeIncoming(context, rows, wish.choices, { update: wish.update, clash: wish.clash }, name);
  },
);

/** How files with this header were last read in this practice; undefined when none was. */
export const rememberedMapping = (asked: string) =>
  view('practice.see', async ({ tx, actor }) => {
    const signature = text(600).safeParse(asked);
    if (!signature.success) return undefined;
    const parsed = mapping.safeParse(await findMapping(tx, actor.practice, signature.data));
    return parsed.success ? parsed.data : undefined;
  });
