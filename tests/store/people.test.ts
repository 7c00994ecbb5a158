import { afterEach, describe, expect, it, vi } from 'vitest';
import { boardView } from '@/actions/books/views';
import { archiveBooks } from '@/actions/company/commands';
import { addAccount } from '@/actions/chart/commands';
import { type Actor, actAs, askedBy } from '@/actions/kernel/context';
import { beInBooks, sawWhatChanged } from '@/actions/frame/presence';
import { saveFigures } from '@/actions/openings/figures';
import { openCorrection, postOpenings } from '@/actions/openings/posting';
import { signOpenings } from '@/actions/openings/review';
import { openingsView, signOffView } from '@/actions/openings/views';
import { addPerson, changePerson, demandOfBooks, demandOfPractice, giveBooks } from '@/actions/people/commands';
import { noteExport, takeAudit } from '@/actions/people/exports';
import { auditView, choiceView, peopleView } from '@/actions/people/views';
import { copyContacts, otherBooks } from '@/actions/schedules/copy-contacts';
import { explainTie } from '@/actions/schedules/ties';
import type { GivenRole, Role } from '@/core/access/roles';
import { personId } from '@/core/base/ids';
import { PLAIN_ACCOUNT } from '@/core/chart/account';
import { markDemo } from '@/store/people';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
const sql = (text: string, parameters: readonly unknown[] = []) =>
  database.current.query<{ id: number }>(text, parameters);
afterEach(() => {
  actAs(undefined);
  askedBy(undefined);
});

let count = 0;
/** Somebody whose name nobody else has: the tests share a practice. */
const added = async (name: string, role: Role, charts = true): Promise<number> => {
  count += 1;
  return valueOf(await addPerson({ name: `${name} ${String(count)}`, email: '', role, charts })).id;
};
/** Acts as somebody of the practice as they stand in the database, as a request would. */
const be = async (person: number): Promise<void> => {
  actAs(undefined);
  await database.current.transaction((tx) => markDemo(tx, 1));
  askedBy(() => Promise.resolve({ here: true, chosen: person, origin: '' }));
};
const owner = (): void => askedBy(undefined);
const give = (person: number, of: number, role: GivenRole) =>
  giveBooks({ person, of, given: { role, reason: 'as agreed with the client' } });
const type = async (books: number, amounts: Readonly<Record<string, bigint>>) => {
  const view = await openingsView(books);
  const entries = Object.entries(amounts).map(([code, amount]) => {
    const row = view?.rows.find((one) => one.code === code);
    return { account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false };
  });
  return saveFigures({ books, set: view?.set?.id ?? 0, entries });
};
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const balanced = { '1010': 500n, '3010': -500n };
const aboutOf = async (kind: string) => (await auditView(undefined, kind)).lines.map(({ about }) => about);

describe('the people of a practice', () => {
  it('are told apart by name, and one owner stays, through actions and past them', async () => {
    valueOf(await addPerson({ name: 'Nils Ahlgren', email: '', role: 'preparer', charts: true }));
    expect(codesOf(await addPerson({ name: 'nils ahlgren', email: '', role: 'reader', charts: true }))).toEqual([
      'person.twice',
    ]);
    expect(codesOf(await addPerson({ name: ' ', email: 'no address', role: 'reader', charts: true }))).toHaveLength(2);
    const [me] = (await peopleView()).people.filter(({ role }) => role === 'owner');
    if (me === undefined) throw new Error('no owner');
    for (const change of [{ role: 'preparer' as const }, { active: false }])
      expect(codesOf(await changePerson({ ...me, ...change }))).toEqual(['person.last-owner']);
    await refused(sql('update person set active = false'), /active owner/);
    await refused(sql(`update person set role = 'reader'`), /active owner/);
    const second = await added('Maeve Quill', 'owner');
    valueOf(await changePerson({ ...me, role: 'preparer' }));
    await be(me.id);
    expect(codesOf(await changePerson({ ...me, name: 'Other' }))).toEqual(['access.denied']);
    await be(second);
    const before = (await peopleView()).people.find(({ id }) => id === me.id);
    expect(before?.role).toBe('preparer');
    valueOf(await changePerson({ ...(before ?? me), role: 'owner' }));
  });

  it('may do from the next request on what was changed; whoever has left may do nothing', async () => {
    const books = await newBooks();
    const tomas = await added('Tomas Bielik', 'preparer');
    await be(tomas);
    valueOf(await type(books, { '1010': 100n }));
    owner();
    const person = (await peopleView()).people.find(({ id }) => id === tomas);
    if (person === undefined) throw new Error('nobody');
    valueOf(await changePerson({ ...person, role: 'reader' }));
    expect(codesOf(await changePerson({ ...person, name: 'Late' }))).toEqual(['person.changed']);
    await be(tomas);
    expect(codesOf(await type(books, { '1010': 200n }))).toEqual(['access.denied']);
    expect((await boardView()).books).toEqual([]);
    owner();
    const now = (await peopleView()).people.find(({ id }) => id === tomas);
    valueOf(await changePerson({ ...(now ?? person), active: false }));
    await be(tomas);
    // Nobody is chosen then, so it is the owner who looks.
    expect((await peopleView()).me).not.toBe(tomas);
    expect((await choiceView()).people.map(({ id }) => id)).not.toContain(tomas);
  });

  it('are chosen in the demo’s data only', async () => {
    const tomas = await added('Tomas Bielik', 'preparer');
    await sql('update practice set demo = false');
    askedBy(() => Promise.resolve({ here: true, chosen: tomas, origin: '' }));
    await expect(peopleView()).rejects.toThrow(/Sign in/);
    await expect(choiceView()).rejects.toThrow(/Sign in/);
    // Nor from another machine, where the data is the demo's.
    await be(tomas);
    askedBy(() => Promise.resolve({ here: false, chosen: tomas, origin: '' }));
    await expect(peopleView()).rejects.toThrow(/Sign in/);
    await be(tomas);
    expect((await peopleView()).me).toBe(tomas);
  });
});

describe('rights in single books', () => {
  it('hide books, narrow and widen, each with a reason that is kept; charts are a right of their own', async () => {
    const [mine, hidden] = [await newBooks({ name: 'Mine' }), await newBooks({ name: 'Hidden' })];
    const tomas = await added('Tomas Bielik', 'preparer', false);
    valueOf(await give(tomas, hidden, 'none'));
    expect((await giveBooks({ person: tomas, of: mine, given: { role: 'reader', reason: '' } })).ok).toBe(false);
    await be(tomas);
    const seen = (await boardView()).books.map(({ name }) => name);
    expect([seen.includes('Mine'), seen.includes('Hidden')]).toEqual([true, false]);
    expect(await openingsView(hidden)).toBeUndefined();
    expect(codesOf(await type(mine, { '1010': 100n }))).toEqual([]);
    // Books that one does not see are none, whatever is asked of them: their name is not told either.
    await newBooks({ name: 'Hidden', evenIfSameName: false });
    expect(codesOf(await saveFigures({ books: hidden, set: 1, entries: [] }))).toEqual(['books.unknown']);
    expect(codesOf(await noteExport({ books: hidden, name: 'x' }))).toEqual(['books.unknown']);
    expect(codesOf(await copyContacts({ books: mine, from: hidden }))).toEqual(['contact.no-books']);
    expect((await otherBooks({ books: mine })).map(({ id }) => id)).not.toContain(hidden);
    expect(
      codesOf(
        await addAccount({ ...PLAIN_ACCOUNT, classification: 'revenue', books: mine, code: '9999', name: 'New' }),
      ),
    ).toEqual(['access.denied']);
    owner();
    valueOf(await give(tomas, hidden, 'reviewer'));
    await be(tomas);
    expect((await openingsView(hidden))?.frame.may).toContain('openings.sign');
    expect(codesOf(await type(hidden, { '1010': 100n }))).toEqual(['access.denied']);
    expect(codesOf(await giveBooks({ person: tomas, of: hidden, given: null }))).toEqual(['access.denied']);
    owner();
    valueOf(await giveBooks({ person: tomas, of: hidden, given: null }));
    const [me] = (await peopleView()).people.filter(({ role }) => role === 'owner');
    expect(codesOf(await give(me?.id ?? 0, mine, 'none'))).toEqual(['person.owner']);
    expect((await aboutOf('rights')).some((about) => about.includes('as agreed with the client'))).toBe(true);
    expect((await aboutOf('refused')).slice(0, 3)).toEqual([
      expect.stringContaining('giveBooks'),
      expect.stringContaining('saveFigures'),
      expect.stringContaining('addAccount'),
    ]);
  });

  it('show a reader the books given to them, and nothing to change', async () => {
    const [theirs, other] = [await newBooks({ name: 'Theirs' }), await newBooks({ name: 'Other' })];
    const orla = await added('Orla Fenwick', 'reader');
    valueOf(await give(orla, theirs, 'reader'));
    await be(orla);
    expect((await boardView()).books.map(({ name }) => name)).toEqual(['Theirs']);
    expect((await openingsView(theirs))?.frame.may).toEqual(['books.see', 'board.see']);
    expect(await openingsView(other)).toBeUndefined();
    await expect(peopleView()).rejects.toThrow(/You may not/);
    await expect(auditView(undefined, undefined)).rejects.toThrow(/Ask an owner/);
    expect(codesOf(await takeAudit({}))).toEqual(['access.denied']);
    owner();
    expect(valueOf(await takeAudit({})).lines.length).toBeGreaterThan(0);
    expect((await aboutOf('exported'))[0]).toBe('The audit');
  });

  it('of people and books of another practice cannot be written, past the actions either', async () => {
    const books = await newBooks();
    await sql(`insert into practice (id, name) values (2, 'Elsewhere')`);
    await sql(`insert into person (id, practice_id, name) values (900, 2, 'Stranger')`);
    expect(codesOf(await give(900, books, 'reader'))).toEqual(['person.unknown']);
    await refused(
      sql(
        `insert into person_books (practice_id, person_id, books_id, role, reason, set_by, set_at) values (2, 900, $1, 'reader', 'x', 900, now())`,
        [books],
      ),
      /foreign key/,
    );
    await refused(
      sql(
        `insert into signature (books_id, set_id, revision, note, signed_by, signed_at) values ($1, $2, 1, '', 900, now())`,
        [books, await setOf(books)],
      ),
      /another practice/,
    );
    actAs({ person: personId(900), name: 'Stranger', practice: 2, role: 'owner' } satisfies Actor);
    expect((await peopleView()).people.map(({ name }) => name)).toEqual(['Stranger']);
    expect((await auditView(undefined, undefined)).lines).toEqual([]);
    expect(codesOf(await noteExport({ books, name: 'x' }))).toEqual(['books.unknown']);
  });
});

describe('a second pair of eyes', () => {
  it('signs the balances as they stand; a change lifts it; who prepared last neither signs nor posts', async () => {
    const books = await newBooks();
    const [tomas, maeve] = [await added('Tomas Bielik', 'preparer'), await added('Maeve Quill', 'reviewer')];
    valueOf(await demandOfPractice({ review: 'signed' }));
    await be(tomas);
    valueOf(await type(books, balanced));
    const set = await setOf(books);
    expect(codesOf(await postOpenings({ books, set }))).toEqual(['access.denied']);
    expect(codesOf(await signOpenings({ books, set }))).toEqual(['access.denied']);
    await be(maeve);
    expect(codesOf(await postOpenings({ books, set }))).toEqual(['review.unsigned']);
    valueOf(await signOpenings({ books, set, note: 'bank and share capital agree' }));
    expect(codesOf(await signOpenings({ books, set }))).toEqual(['review.signed']);
    expect((await signOffView(books))?.review?.signed).toMatchObject({
      person: maeve,
      note: 'bank and share capital agree',
    });
    await be(tomas);
    valueOf(await type(books, { '1010': 600n, '3010': -600n }));
    await be(maeve);
    const lifted = (await signOffView(books))?.review;
    expect([lifted?.signed, lifted?.lifted?.person]).toEqual([null, maeve]);
    expect(codesOf(await postOpenings({ books, set }))).toEqual(['review.unsigned']);
    valueOf(await signOpenings({ books, set }));
    valueOf(await postOpenings({ books, set }));
    valueOf(await openCorrection({ books, reason: 'one more invoice' }));
    expect((await signOffView(books))?.review).toMatchObject({ signed: null, lifted: null });
    owner();
    valueOf(await demandOfPractice({ review: 'off' }));
    expect(await aboutOf('posted')).toEqual([
      'Correction opened as version 2: one more invoice',
      'Opening balances, version 1, as journal 1',
    ]);
    expect(await aboutOf('signed')).toHaveLength(2);
  });

  it('is not the owner’s own, and can be demanded by single books', async () => {
    const books = await newBooks();
    valueOf(await demandOfBooks({ books, review: 'signed' }));
    valueOf(await type(books, balanced));
    const set = await setOf(books);
    expect(codesOf(await signOpenings({ books, set }))).toEqual(['review.own']);
    expect(codesOf(await postOpenings({ books, set }))).toEqual(['review.unsigned', 'review.own']);
    // An explanation or a look is no preparing.
    const maeve = await added('Maeve Quill', 'reviewer');
    await be(maeve);
    expect(codesOf(await explainTie({ books, set, account: 1, reason: 'none of it' }))).not.toContain('access.denied');
    valueOf(await signOpenings({ books, set }));
    valueOf(await postOpenings({ books, set }));
  });

  it('and the audit are never changed, past the actions either', async () => {
    const books = await newBooks();
    const maeve = await added('Maeve Quill', 'reviewer');
    valueOf(await type(books, balanced));
    await be(maeve);
    valueOf(await signOpenings({ books, set: await setOf(books) }));
    await refused(sql('update signature set revision = revision + 1'), /never changed/);
    owner();
    valueOf(await archiveBooks({ books, archived: true }));
    await refused(sql(`update audit set about = ''`), /only ever added to/);
    await refused(sql('delete from audit'), /only ever added to/);
    await refused(sql('truncate audit'), /only ever added to/);
    expect(await aboutOf('books')).toEqual(['Archived']);
  });
});

describe('at work together', () => {
  it('one sees who else is in the books and where, and on coming back what they changed, until one has seen it', async () => {
    const books = await newBooks({ name: 'Shared' });
    const [tomas, orla] = [await added('Tomas Bielik', 'preparer'), await added('Orla Fenwick', 'reader')];
    const since = async () => (await openingsView(books))?.frame.since;
    const othersOf = async (place: 'openings' | null = null) =>
      valueOf(await beInBooks({ books, place })).others.map(({ name, place: at }) => [name.split(' ')[0], at]);
    const later = (minutes: number) => vi.useFakeTimers({ now: Date.now() + minutes * 60_000, toFake: ['Date'] });

    await be(tomas);
    expect(await othersOf('openings')).toEqual([]);
    expect(await since()).toBeNull();
    owner();
    expect(await othersOf()).toEqual([['Tomas', 'openings']]);
    // Whoever does not see the books is not there, and is told nothing.
    await be(orla);
    expect(codesOf(await beInBooks({ books, place: null }))).toEqual(['books.unknown']);
    owner();
    // What happens while somebody is there is no news to them later on.
    valueOf(await type(books, { '1010': 100n, '3010': -100n }));
    later(10);
    await be(tomas);
    expect(await since()).toBeNull();
    later(60);
    owner();
    expect(await othersOf()).toEqual([]);
    valueOf(await type(books, { '1010': 200n, '3010': -200n }));
    later(5);
    await be(tomas);
    expect(await since()).toMatchObject({ changes: 2, by: ['Bookkeeper'] });
    await beInBooks({ books, place: 'openings' });
    // It stays while one moves about, and is gone once it was seen.
    expect(await since()).toMatchObject({ changes: 2 });
    valueOf(await sawWhatChanged({ books }));
    expect(await since()).toBeNull();
    vi.useRealTimers();
  });
});
