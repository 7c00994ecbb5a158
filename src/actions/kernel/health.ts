import { readMigrations } from '@/store/migrate';
import { Unavailable } from '@/store/database';
import { database, isEnding } from './context';

export interface Health {
  /** The process answers. */
  readonly live: true;
  /** It may be sent requests: the database is reached, its schema is the one that this version knows, and it is not ending. */
  readonly ready: boolean;
  readonly database: 'reached' | 'away';
  readonly schema: 'equal' | 'older' | 'newer' | 'unknown';
  readonly ending: boolean;
}

/** How this process is, for what spreads requests over several. It names nothing of anybody's. */
export const health = async (): Promise<Health> => {
  const own = readMigrations().at(-1)?.version ?? 0;
  const ending = isEnding();
  try {
    const [row] = await (
      await database()
    ).query<{ version: number }>('select max(version) as version from schema_migration');
    const there = row?.version ?? 0;
    const schema = there === own ? 'equal' : there < own ? 'older' : 'newer';
    return { live: true, ready: schema === 'equal' && !ending, database: 'reached', schema, ending };
  } catch (error) {
    if (!(error instanceof Unavailable)) throw error;
    return { live: true, ready: false, database: 'away', schema: 'unknown', ending };
  }
};
