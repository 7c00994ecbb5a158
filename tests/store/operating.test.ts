import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { finished, underWay } from '@/actions/kernel/context';
import { health } from '@/actions/kernel/health';
import { withDatabase } from './support';

const database = withDatabase();
const lines = (file: string): readonly string[] =>
  readFileSync(file, 'utf8')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '' && !line.startsWith('#'));
const scripts = (JSON.parse(readFileSync('package.json', 'utf8')) as { scripts: Readonly<Record<string, string>> })
  .scripts;

describe('what a server is set up with', () => {
  it('is an image whose steps there are, run by somebody who is not root', () => {
    const steps = lines('docs/deploy/Containerfile').map((line) => /^([A-Z]+) (.+)$/.exec(line));
    const names = steps.map((step) => step?.[1]);
    expect(names[0]).toBe('FROM');
    const KNOWN = 'FROM WORKDIR COPY RUN USER ENV VOLUME EXPOSE STOPSIGNAL HEALTHCHECK CMD'.split(' ');
    expect(names.filter((name) => name === undefined || !KNOWN.includes(name))).toEqual([]);
    expect(names.indexOf('USER')).toBeLessThan(names.lastIndexOf('CMD'));
    const of = (name: string): string => steps.findLast((step) => step?.[1] === name)?.[2] ?? '';
    expect(of('USER')).toBe('node');
    const [program, script = '', ...flags] = JSON.parse(of('CMD')) as string[];
    expect([program, existsSync(script), flags]).toEqual(['node', true, ['--empty']]);
    expect(readFileSync('scripts/demo.mjs', 'utf8')).toContain("'--prepare'");
    expect(of('ENV')).toContain('BATHRON_DATA=/data');
    expect(of('VOLUME')).toBe('/data');
    const [, check = ''] = /CMD (.+)$/.exec(of('HEALTHCHECK')) ?? [];
    expect((JSON.parse(check) as string[])[2]).toContain('/health');
    // What is not copied: what is made anew, and what is somebody's.
    for (const left of ['.data', '.git', 'node_modules']) expect(lines('.containerignore')).toContain(left);
  });

  it('is a unit of which each line says something, and which lets a process end in order', () => {
    const sections = new Map<string, Map<string, string>>();
    let section = new Map<string, string>();
    for (const line of lines('docs/deploy/bathron.service')) {
      const head = /^\[(Unit|Service|Install)\]$/.exec(line);
      if (head !== null) sections.set(head[1] ?? '', (section = new Map<string, string>()));
      else {
        const [, key = '', value = ''] = /^([A-Z][A-Za-z]+)=(.+)$/.exec(line) ?? [];
        expect(key, line).not.toBe('');
        section.set(key, value);
      }
    }
    expect([...sections.keys()]).toEqual(['Unit', 'Service', 'Install']);
    const service = sections.get('Service');
    expect(service?.get('ExecStart')).toBe('/usr/bin/node scripts/demo.mjs --empty');
    expect(service?.get('User')).not.toBe('root');
    expect(Number(service?.get('TimeoutStopSec'))).toBeGreaterThan(20);
  });

  it('is told in docs with commands and settings that there are', () => {
    const told = ['README.md', 'docs/operating.md'].map((file) => readFileSync(file, 'utf8')).join('\n');
    const commands = [...told.matchAll(/npm run (?:--silent )?([a-z-]+)/g)];
    expect(commands.length).toBeGreaterThan(5);
    for (const [, name = ''] of commands) expect(Object.keys(scripts)).toContain(name);
    const code = [
      'core/access/address.ts',
      'actions/kernel/sign-in.ts',
      'actions/kernel/serve.ts',
      'actions/kernel/mail.ts',
      'store/open.ts',
    ]
      .map((file) => readFileSync(join('src', file), 'utf8'))
      .join('\n');
    for (const name of [
      'HOST',
      'PUBLIC_URL',
      'BEHIND_PROXY',
      'BATHRON_SECRET',
      'SMTP_URL',
      'MAIL_FROM',
      'DATABASE_URL',
      'BATHRON_DATA',
    ]) {
      expect(told).toContain(name);
      expect(code).toMatch(new RegExp(`\\b${name}\\b`));
    }
  });

  it('is refused with a sentence where others could reach it and something is missing', () => {
    const start = (variables: Readonly<Record<string, string>>): string => {
      const { stderr, status } = spawnSync(
        process.execPath,
        [
          '--import',
          'tsx',
          '-e',
          "import('./src/actions/kernel/serve.ts').then(({ serve }) => serve()).then(() => process.exit(0))",
        ],
        {
          env: {
            ...process.env,
            BATHRON_DATA: mkdtempSync(join(tmpdir(), 'start-')),
            DATABASE_URL: '',
            LOG_LEVEL: 'fatal',
            ...variables,
          },
          encoding: 'utf8',
          timeout: 60_000,
        },
      );
      return `${String(status)} ${stderr.trim()}`;
    };
    expect(start({ HOST: '0.0.0.0' })).toMatch(/^1 HOST is 0\.0\.0\.0, .*PUBLIC_URL/);
    expect(start({ HOST: '0.0.0.0', PUBLIC_URL: 'https://books.example' })).toMatch(
      /^1 Nobody can sign in yet.*npm run person/,
    );
    expect(start({ PUBLIC_URL: 'https://books.example', DATABASE_URL: 'postgresql://127.0.0.1:1/x' })).toMatch(
      /^1 .*BATHRON_SECRET/,
    );
    expect(start({ BATHRON_SECRET: 'short' })).toMatch(/^1 BATHRON_SECRET has 5 characters/);
    expect(start({})).toMatch(/^0/);
    // The first owner is invited on the machine, and comes in by the link once the server runs.
    const data = mkdtempSync(join(tmpdir(), 'first-'));
    const invited = spawnSync(
      process.execPath,
      ['--import', 'tsx', 'scripts/person.ts', 'first', 'Ines Halloran', 'ines@wrack.example'],
      {
        env: { ...process.env, BATHRON_DATA: data, DATABASE_URL: '', PUBLIC_URL: 'https://books.example' },
        encoding: 'utf8',
      },
    );
    expect(invited.stdout).toMatch(/https:\/\/books\.example\/way-in\/[\w-]{43}/);
    expect(start({ BATHRON_DATA: data, HOST: '0.0.0.0', PUBLIC_URL: 'https://books.example' })).toMatch(/^0/);
  });
});

describe('the database', () => {
  /** Tables that are looked in before it is known whose practice is meant, or that are everybody's. */
  const OF_NOBODY = [
    'schema_migration',
    'iso_currency',
    'login_credential',
    'login_session',
    'login_challenge',
    'login_second_step',
    'login_attempt',
  ];

  it('has its practice or its books in each table, and a wall around each of those', async () => {
    const tables = await database.current.query<{ name: string; scoped: boolean; walled: boolean }>(
      `select c.relname as name, c.relrowsecurity and c.relforcerowsecurity
           and exists (select from pg_policy y where y.polrelid = c.oid) as walled,
         exists (
         select from pg_attribute a where a.attrelid = c.oid and a.attnum > 0
           and (a.attname in ('practice_id', 'books_id') or c.relname = 'practice')) as scoped
       from pg_class c join pg_namespace n on n.oid = c.relnamespace
       where n.nspname = current_schema() and c.relkind = 'r' order by 1`,
    );
    expect(tables.length).toBeGreaterThan(40);
    const names = (wanted: (table: (typeof tables)[number]) => boolean) =>
      tables.filter(wanted).map(({ name }) => name);
    expect(names(({ scoped }) => !scoped)).toEqual([...OF_NOBODY].sort());
    // A new table is given one by its migration: select wall_around('…').
    expect(names(({ scoped, walled }) => scoped !== walled)).toEqual([]);
  });
});

describe('a process that is told to end', () => {
  it('says that it is not to be sent anything, and finishes what is under way first', async () => {
    expect(await health()).toMatchObject({ ready: true, schema: 'equal', database: 'reached', ending: false });
    const done: string[] = [];
    const slow = underWay(async () => {
      await new Promise((resolve) => setTimeout(resolve, 700));
      done.push('work');
    });
    const end = finished().then(() => done.push('end'));
    expect(await health()).toMatchObject({ ready: false, ending: true });
    await Promise.all([slow, end]);
    expect(done).toEqual(['work', 'end']);
  });
});
