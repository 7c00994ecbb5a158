import { createHash } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Database } from './database';

export interface Migration {
  readonly version: number;
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

/** A start that must not go on; the message is a sentence for the person who started it. */
export class CannotOpen extends Error {}

/** Where the numbered SQL files lie; the server runs from the repository's root. */
const MIGRATIONS = join(/* turbopackIgnore: true */ process.cwd(), 'src', 'store', 'migrations');

export const readMigrations = (directory = MIGRATIONS): readonly Migration[] =>
  readdirSync(directory)
    .filter((file) => /^\d{4}-[a-z0-9-]+\.sql$/.test(file))
    .sort()
    .map((file) => {
      const sql = readFileSync(join(directory, file), 'utf8').replaceAll('\r\n', '\n');
      return {
        version: Number(file.slice(0, 4)),
        name: file,
        sql,
        checksum: createHash('sha256').update(sql).digest('hex'),
      };
    });

/**
 * Brings the schema to the newest version, each migration in its own transaction together with its record, so that a cut
 * at any moment leaves whole migrations only. Of several processes that start at once, one migrates and the others wait. Refuses data that a newer Bathron wrote, or a migration edited after it was applied.
 */
export const migrate = (database: Database, migrations = readMigrations()): Promise<void> =>
  database.alone(() => migrateAlone(database, migrations));

const migrateAlone = async (database: Database, migrations: readonly Migration[]): Promise<void> => {
  await database.script(
    'create table if not exists schema_migration (version int primary key, name text not null, checksum text not null, applied_at timestamptz not null default now())',
  );
  const applied = await database.query<{ version: number; name: string; checksum: string }>(
    'select version, name, checksum from schema_migration order by version',
  );
  const newest = migrations.at(-1)?.version ?? 0;
  for (const done of applied) {
    const known = migrations.find((migration) => migration.version === done.version);
    if (known === undefined)
      throw new CannotOpen(
        `The data was last used by a newer Bathron (its schema is at ${done.version}, this one knows ${newest}). Start the newer version, or point BATHRON_DATA at another directory.`,
      );
    if (known.checksum !== done.checksum)
      throw new CannotOpen(
        `Migration ${known.name} was edited after it was applied to this data. Restore the file as it was and put the change into a new migration.`,
      );
  }
  const have = new Set(applied.map((done) => done.version));
  for (const migration of migrations.filter((one) => !have.has(one.version)))
    await database.transaction(async (tx) => {
      await tx.scope('all');
      await tx.script(migration.sql);
      await tx.query('insert into schema_migration (version, name, checksum) values ($1, $2, $3)', [
        migration.version,
        migration.name,
        migration.checksum,
      ]);
    });
};
