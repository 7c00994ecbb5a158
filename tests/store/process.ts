/**
 * A process that opens a data directory and works in it until it is killed: the test's victim.
 * Usage: process.ts DIRECTORY MODE, where MODE is `save` (saves figures, printing each acknowledged one), `migrate`
 * (applies a long migration) or `hold` (opens and waits).
 */
import { createBooks } from '@/actions/books/commands';
import { useDatabase } from '@/actions/kernel/context';
import { saveFigures } from '@/actions/openings/figures';
import { openingsView } from '@/actions/openings/views';
import { readMigrations } from '@/store/migrate';
import { openDirectory } from '@/store/open';

const [, , directory = '', mode = ''] = process.argv;

/** Whoever started it; it works on for nobody else. */
const parent = process.ppid;
const isWanted = (): boolean => process.ppid === parent;

const say = (line: string): void => {
  process.stdout.write(`${line}\n`);
};

const longMigration = {
  version: 9999,
  name: '9999-long.sql',
  checksum: 'long',
  /** Says when it is begun; by itself it never ends. */
  get sql(): string {
    say('migrating');
    return 'create table long_work (n int primary key); insert into long_work values (1); select pg_sleep(86400);';
  },
};

const main = async (): Promise<void> => {
  say('opening');
  const database = await openDirectory(
    directory,
    () => process.exit(3),
    mode === 'migrate' ? [...readMigrations(), longMigration] : readMigrations(),
  );
  useDatabase(database);
  say('open');
  if (mode === 'save') {
    const made = await createBooks({
      name: 'Victim',
      legalForm: 'other',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-01-01',
      cutover: '2026-01-01',
      starter: 'trading',
      evenIfSameName: true,
    });
    if (!made.ok) throw new Error('books');
    const books = made.value.id;
    const sheet = await openingsView(books);
    const account = sheet?.rows.find((row) => !row.heading)?.id ?? 0;
    let revision = 0;
    for (let amount = 1; isWanted(); amount += 1) {
      const saved = await saveFigures({
        books,
        set: sheet?.set?.id ?? 0,
        entries: [{ account, amount: BigInt(amount), revision, restores: false }],
      });
      if (!saved.ok || !saved.value.saved) throw new Error('not saved');
      revision = saved.value.revisions[0]?.revision ?? 0;
      say(`saved ${String(books)} ${String(amount)}`);
    }
  }
  setInterval(() => {
    if (!isWanted()) process.exit(0);
  }, 1000);
};

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
