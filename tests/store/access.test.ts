import { personId } from '@/core/base/ids';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import { actAs } from '@/actions/kernel/context';
import { openingsView } from '@/actions/openings/views';
import { DEEDS, type Deed } from '@/core/access/deeds';
import { ROLES, mayAnywhere } from '@/core/access/roles';
import { codesOf, newBooks, withDatabase } from './support';

const database = withDatabase();
afterEach(() => actAs(undefined));

const ACTIONS = 'src/actions';
const sources = readdirSync(ACTIONS, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts') && file !== 'kernel/action.ts')
  .map((file) => ({ file, text: readFileSync(join(ACTIONS, file), 'utf8') }));

/** Every use case and every view in the code, with the deed that it states. */
const stated = sources.flatMap(({ file, text }) =>
  [
    ...text.matchAll(
      /(?<![\w.])(booksAction|fileAction|action|booksView|page|view)\(\s*(?:'(\w+)',\s*)?('[^']*'|\w+),/g,
    ),
  ]
    .filter(([, maker]) => maker !== 'page' || !/const page = /.test(text))
    .map(([, maker = '', name = '', deed = '']) => ({ file, maker, name, deed })),
);

const routesUnder = (directory: string): readonly string[] =>
  readdirSync(directory, { recursive: true, encoding: 'utf8' })
    .filter((file) => /(?:^|\/)route\.ts$/.test(file))
    .map((file) => join(directory, file));

/** Books of another practice than the one that acts, made once. */
const withForeignBooks = (): (() => Promise<number>) => {
  let made: number | undefined;
  return async () => {
    if (made !== undefined) return made;
    await database.current.query(`insert into practice (id, name) values (2, 'Elsewhere')`);
    const [owner] = await database.current.query<{ id: number }>(
      `insert into person (practice_id, name) values (2, 'Owner elsewhere') returning id`,
    );
    actAs({ person: personId(owner?.id ?? 0), name: '', practice: 2, role: 'owner' });
    made = await newBooks({ name: 'Elsewhere Ltd' });
    return made;
  };
};

describe('every use case and every view', () => {
  it('states a deed that there is', () => {
    expect(stated.length).toBeGreaterThan(80);
    for (const { file, maker, name, deed } of stated)
      // A page hands on the deed that it was given.
      if (!(file === 'frame/views.ts' && deed === 'may'))
        expect(
          DEEDS.map((one) => `'${one}'`),
          `${maker} ${name} in ${file}`,
        ).toContain(deed);
  });

  it('is the only way to the database, for pages and for addresses', () => {
    for (const { file, text } of sources.filter((one) => !one.file.startsWith('kernel/')))
      expect(text, file).not.toMatch(/\bdatabase\(\)/);
    const routes = routesUnder('src/app');
    expect(routes.length).toBeGreaterThan(10);
    for (const file of routes) {
      const text = readFileSync(file, 'utf8');
      expect(text, file).not.toMatch(/@\/store\//);
      expect(text, file).toMatch(/@\/actions\/|simulated/);
      // It says by itself where nobody is signed in, and answers only to names and pages of ours.
      if (!/simulated|health/.test(file)) expect(text, file).toMatch(/export const (?:GET|POST) = guarded\(/);
    }
  });

  it('states none only where nobody is known yet, or where it is about oneself', () => {
    const open = sources
      .flatMap(({ file, text }) =>
        [...text.matchAll(/(?<![\w.])open(?:Step|View)\(/g)].map(() => file.replaceAll('\\', '/')),
      )
      .filter((file) => !file.startsWith('kernel/'));
    expect(open.length).toBeGreaterThan(10);
    expect(open.filter((file) => !file.startsWith('sign-in/'))).toEqual([]);
  });

  it('refuses somebody who may only look, before it looks at what is asked', async () => {
    const books = await newBooks();
    actAs({ person: personId(1), name: '', practice: 1, role: 'reader', given: new Map([[books, 'reader']]) });
    const tried: string[] = [];
    for (const { file, text } of sources) {
      // What a reader may do, such as taking a file along, is no refusal.
      const looking = stated.filter(({ deed }) => deed === "'books.see'" || deed === "'board.see'");
      const names = [...text.matchAll(/export const (\w+) = (?:booksAction|fileAction|action)\(/g)]
        .map(([, name = '']) => name)
        .filter((name) => !looking.some((one) => one.name === name));
      if (names.length === 0) continue;
      const module = (await import(/* @vite-ignore */ join(process.cwd(), ACTIONS, file))) as Record<
        string,
        (input: unknown) => Promise<Parameters<typeof codesOf>[0]>
      >;
      for (const name of names) {
        expect(codesOf((await module[name]?.({ books })) ?? { ok: true, value: null }), name).toEqual([
          'access.denied',
        ]);
        tried.push(name);
      }
    }
    expect(tried.length).toBeGreaterThan(50);
    expect(await openingsView(books)).toBeDefined();
    actAs({ person: personId(1), name: '', practice: 2, role: 'owner' });
    expect(await openingsView(books)).toBeUndefined();
  });
});

describe('each role, with the books of another practice', () => {
  const opened = withForeignBooks();

  it.each(ROLES)('as %s: an action is refused before it looks, or those books are unknown to it', async (role) => {
    const own = await newBooks();
    const actor = { person: personId(1), name: '', practice: 1, role, given: new Map([[own, 'reader' as const]]) };
    const foreign = await opened();
    actAs(actor);
    const tried = { denied: 0, unknown: 0 };
    for (const { file, maker, name, deed } of stated) {
      if (maker !== 'booksAction' && maker !== 'fileAction') continue;
      const module = (await import(/* @vite-ignore */ join(process.cwd(), ACTIONS, file))) as Record<
        string,
        ((input: unknown) => Promise<Parameters<typeof codesOf>[0]>) | undefined
      >;
      const run = module[name];
      // Those that are called from within only have no name outside.
      if (run === undefined) continue;
      const may = mayAnywhere(actor, deed.replaceAll("'", '') as Deed);
      expect(codesOf(await run({ books: foreign })), `${role} ${name}`).toEqual([
        may ? 'books.unknown' : 'access.denied',
      ]);
      tried[may ? 'unknown' : 'denied'] += 1;
    }
    expect(tried.denied + tried.unknown).toBeGreaterThan(50);
    if (role === 'owner') expect(tried.denied).toBe(0);
  });

  it.each(ROLES)('as %s: a view has nothing of them', async (role) => {
    const foreign = await opened();
    actAs({ person: personId(1), name: '', practice: 1, role, given: new Map([[foreign, 'preparer']]) });
    let tried = 0;
    for (const { file, text } of sources) {
      const names = [
        ...text.matchAll(/export const (\w+) = \((?:id|books): number[^;]{0,200}?=>\s*(?:page|booksView)\(/g),
      ].map(([, name = '']) => name);
      if (names.length === 0) continue;
      const module = (await import(/* @vite-ignore */ join(process.cwd(), ACTIONS, file))) as Record<
        string,
        (books: number, other: unknown) => Promise<unknown>
      >;
      for (const name of names) {
        expect(await module[name]?.(foreign, undefined), `${role} ${name}`).toBeUndefined();
        tried += 1;
      }
    }
    expect(tried).toBeGreaterThan(25);
  });
});
