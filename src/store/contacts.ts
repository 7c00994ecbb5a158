import type { BooksId, PersonId } from '@/core/base/ids';
import { type Change, WHOLE } from '@/core/base/change';
import type { Kept } from '@/core/base/kept';
import { amountFrom, keptAmount } from '@/core/money/wire';
import { type Contact, type ContactFields, blankContact, contactId } from '@/core/schedules/contact';
import type { ContactId } from '@/core/schedules/contact';
import { type Queryable, arrayText, one } from './database';
import { longRows } from './long-rows';
import { numbersOf } from './fresh-ids';

const FIELDS = [
  ['code', 'code', 'text'],
  ['name', 'name', 'text'],
  ['role', 'role', 'text'],
  ['legal_name', 'legalName', 'text'],
  ['tax_number', 'taxNumber', 'text'],
  ['country', 'country', 'text'],
  ['address', 'address', 'text'],
  ['person', 'person', 'text'],
  ['email', 'email', 'text'],
  ['phone', 'phone', 'text'],
  ['currency', 'currency', 'text'],
  ['terms', 'terms', 'jsonb'],
  ['credit_limit', 'creditLimit', 'int8'],
  ['account_id', 'account', 'int'],
  ['settles', 'settles', 'text'],
  ['note', 'note', 'text'],
  ['active', 'active', 'boolean'],
] as const satisfies readonly (readonly [string, keyof ContactFields, string])[];

const NAMES = FIELDS.map(([name]) => name).join(', ');
const COLUMNS = {
  id: 'json',
  revision: 'json',
  ...(Object.fromEntries(FIELDS.map(([, field, type]) => [field, type === 'int8' ? 'int8' : 'json'])) as Record<
    keyof ContactFields,
    'json' | 'int8'
  >),
} as const;

export const contactsOf = (tx: Queryable, booksId: BooksId): Promise<readonly Contact[]> =>
  longRows<Contact>(
    tx,
    COLUMNS,
    `select id, ${FIELDS.map(([name, field]) => `${name} as "${field}"`).join(', ')}, revision
     from contact where books_id = $1 order by name, id`,
    [booksId],
  );

export const contactCount = async (tx: Queryable, booksId: BooksId): Promise<number> =>
  one(await tx.query<{ count: number }>('select count(*)::int as count from contact where books_id = $1', [booksId])).count; // prettier-ignore

/** Contacts that items of any version name: they stay. */
export const contactsInUse = async (tx: Queryable, booksId: BooksId): Promise<ReadonlySet<ContactId>> =>
  new Set(
    (
      await tx.query<{ id: number }>(
        `select contact_id as id from schedule_item where books_id = $1 and contact_id is not null
         union select contact_id from evidence where books_id = $1 and contact_id is not null`,
        [booksId],
      )
    ).map(({ id }) => contactId(id)),
  );

/** A contact as the record of changes keeps it. */
export const keptContact = (contact: ContactFields): Kept =>
  Object.fromEntries(
    FIELDS.map(([, field]) => {
      const value = contact[field];
      return [field, typeof value === 'bigint' ? keptAmount(value) : value];
    }),
  );

/** Undefined for one that was not there. */
export const contactFrom = (kept: Kept): ContactFields | undefined =>
  kept === null
    ? undefined
    : {
        ...blankContact('other'),
        ...(kept as unknown as ContactFields),
        creditLimit: amountFrom((kept as Readonly<Record<string, Kept>>).creditLimit ?? null),
      };

export interface ContactWriting {
  readonly id: ContactId | null;
  readonly contact: ContactFields | null;
}

/** Writes contacts, as `writeItems` writes items. */
export const writeContacts = async (
  tx: Queryable,
  booksId: BooksId,
  writings: readonly ContactWriting[],
  stands: ReadonlyMap<ContactId, Contact>,
  person: PersonId,
  at: string,
): Promise<{
  readonly written: readonly ({ readonly id: ContactId; readonly revision: number } | null)[];
  readonly changes: readonly Change[];
}> => {
  const gone = writings.flatMap(({ id, contact }) => (id !== null && contact === null && stands.has(id) ? [id] : []));
  if (gone.length > 0)
    await tx.query('delete from contact where books_id = $1 and id = any($2::int[])', [booksId, gone]);
  // Codes that change hands are let go first, since they are unique.
  const kept = writings.flatMap(({ id, contact }) => (id !== null && contact !== null && stands.has(id) ? [id] : []));
  if (kept.length > 0)
    await tx.query(`update contact set code = '' where books_id = $1 and id = any($2::int[])`, [booksId, kept]);
  const numbers = await numbersOf(
    tx,
    'contact',
    writings.map(({ id, contact }) => ({ id, goes: contact === null })),
  );
  const ids = numbers.map((id) => (id === null ? null : contactId(id)));
  const rows = writings.flatMap(({ contact }, place) => (contact === null ? [] : [{ id: ids[place] ?? 0, contact }]));
  const revisions = new Map<number, number>();
  if (rows.length > 0) {
    const written = await tx.many('contact', rows.length, () =>
      tx.query<{ id: number; revision: number }>(
        `insert into contact (books_id, set_by, set_at, id, ${NAMES})
       select $1, $2, $3::timestamptz, t.id, ${FIELDS.map(([name, , type]) => `t.${name}::${type}`).join(', ')}
       from unnest($4::text::int[], ${FIELDS.map((_, place) => `$${String(place + 5)}::text::text[]`).join(', ')}) as t (id, ${NAMES})
       on conflict (id) do update set ${FIELDS.map(([name]) => `${name} = excluded.${name}`).join(', ')},
         set_by = excluded.set_by, set_at = excluded.set_at, revision = nextval('schedule_revision')::int
       where contact.books_id = excluded.books_id
       returning id, revision`,
        [
          booksId,
          person,
          at,
          arrayText(rows.map(({ id }) => id)),
          ...FIELDS.map(([, field]) =>
            arrayText(
              rows.map(({ contact }) => {
                const value = contact[field];
                return value === null ? null : typeof value === 'object' ? JSON.stringify(value) : String(value);
              }),
            ),
          ),
        ],
      ),
    );
    for (const { id, revision } of written) revisions.set(id, revision);
  }
  return {
    written: ids.map((id) => (id === null ? null : { id, revision: revisions.get(id) ?? 0 })),
    changes: writings.flatMap(({ id, contact }, place): readonly Change[] => {
      const was = id === null ? undefined : stands.get(id);
      if (was === undefined && contact === null) return [];
      return [
        {
          subject: 'contact',
          id: ids[place] ?? id ?? 0,
          field: WHOLE,
          from: was === undefined ? null : keptContact(was),
          to: contact === null ? null : keptContact(contact),
        },
      ];
    }),
  };
};

/** Which of these are contacts of the books. */
export const contactsAmong = async (
  tx: Queryable,
  booksId: BooksId,
  ids: readonly ContactId[],
): Promise<ReadonlySet<ContactId>> =>
  ids.length === 0
    ? new Set()
    : new Set(
        (
          await tx.query<{ id: ContactId }>('select id from contact where books_id = $1 and id = any($2::int[])', [
            booksId,
            ids,
          ])
        ).map(({ id }) => id),
      );
