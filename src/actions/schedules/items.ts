import { z } from 'zod';
import { accountId } from '@/core/chart/account';
import { fail, ok, problem, under } from '@/core/base/result';
import { ANALYSIS_LISTS, codeIn, fieldOfList } from '@/core/schedules/analysis';
import { type Item, itemProblems } from '@/core/schedules/item';
import { codesAmong } from '@/store/analysis';
import { contactsAmong } from '@/store/contacts';
import { NO_DETAIL } from '@/core/schedules/things/detail';
import { type ItemWriting, lockItems, writeItems } from '@/store/schedules';
import { booksAction } from '../kernel/action';
import { currenciesOn } from '../chart/edits';
import { distinctRows, id } from '../kernel/inputs';
import { draftSet, scheduled, scheduledAmong } from './draft';
import { itemFields, itemSource, revision } from './schemas';

/**
 * Saves items of an account's schedule that were typed, pasted or deleted: all of them or none. Each that is there names the revision
 * it was seen at; if somebody changed one meanwhile, nothing is stored and it is said which.
 */
export const saveItems = booksAction(
  'saveItems',
  'openings.change',
  {
    set: id,
    account: id.transform(accountId),
    entries: z
      .array(
        z.object({
          /** Null for a new one. */
          id: id.nullable(),
          revision,
          /** Null deletes it. */
          item: itemFields.nullable(),
          ...itemSource,
        }),
      )
      .min(1)
      .max(50_000, 'So many rows cannot be saved at once; bring them as a file.')
      .superRefine(distinctRows('An item')),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const draft = await draftSet(context, input.set);
    if (!draft.ok) return draft;
    const found = await scheduled(context, input.account);
    if (!found.ok) return found;
    const { account, schedule } = found.value;
    const stands = await lockItems(
      tx,
      books.id,
      input.set,
      input.entries.flatMap((entry) => (entry.id === null ? [] : [entry.id])),
    );
    const currencies = await currenciesOn(context);
    const named = input.entries.flatMap(({ item }) => (item?.contact == null ? [] : [item.contact]));
    const contacts = await contactsAmong(tx, books.id, [...new Set(named)]);
    const beside = await scheduledAmong(
      context,
      input.entries.flatMap(({ item }) => item?.besideAccount ?? []),
    );
    const codes = await codesAmong(
      tx,
      books.id,
      ANALYSIS_LISTS.flatMap((list) => input.entries.flatMap(({ item }) => (item && codeIn(item.detail, list)) ?? [])),
    );
    const rules = { schedule, account, base: books.currency, currencies };
    const wrong = input.entries.flatMap((entry, place) => {
      const was = entry.id === null ? undefined : stands.get(entry.id);
      if (entry.id !== null && (was === undefined || was.account !== input.account))
        return [problem('item.gone', 'This row was deleted meanwhile by somebody else. Load the page again.', place)];
      if (was !== undefined && was.revision !== entry.revision)
        return [
          problem('item.changed', 'This row was changed meanwhile by somebody else. Load the page again.', place),
        ];
      if (entry.item === null) return [];
      const known = entry.item.contact === null || contacts.has(entry.item.contact);
      return [
        ...(known ? [] : [problem('item.contact', 'This contact is not in these books any more.', place, 'contact')]),
        ...ANALYSIS_LISTS.flatMap((list) => {
          const code = codeIn(entry.item?.detail ?? NO_DETAIL, list);
          return code === null || codes.get(code) === list
            ? []
            : [
                problem(
                  'item.analysis',
                  'This code is not in its list any more. Choose another.',
                  place,
                  fieldOfList(list),
                ),
              ];
        }),
        ...(entry.item.besideAccount === null || beside.has(entry.item.besideAccount)
          ? []
          : [
              problem(
                'item.beside',
                'The account of its second amount has no schedule in these books.',
                place,
                'beside',
              ),
            ]),
        ...itemProblems(entry.item, rules).map((one) => under(one, place)),
      ];
    });
    if (wrong.length > 0) return fail(...wrong);
    const { written, changes } = await writeItems(
      tx,
      books.id,
      input.set,
      input.entries.map(({ id: own, item, paper, row }): ItemWriting => {
        const was: Item | undefined = own === null ? undefined : stands.get(own);
        return {
          id: own,
          item:
            item === null
              ? null
              : { ...item, account: input.account, paper: was?.paper ?? paper, row: was?.row ?? row },
        };
      }),
      stands,
      actor.person,
      now,
    );
    context.changes.add(changes);
    return ok({ rows: written });
  },
);
