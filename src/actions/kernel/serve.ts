import { CannotOpen } from '@/store/migrate';
import { closeDatabase, database, log } from './context';

/** Opens the database for a server process; a start that must not go on ends with its sentence. */
export const serve = async (): Promise<void> => {
  try {
    await database();
  } catch (error) {
    if (error instanceof CannotOpen) process.stderr.write(`${error.message}\n`);
    else log.fatal({ err: error }, 'the data could not be opened');
    process.exit(1);
  }
  let ending = false;
  const end = (signal: NodeJS.Signals): void => {
    if (ending) return;
    ending = true;
    closeDatabase().then(
      () => process.exit(signal === 'SIGINT' ? 130 : 143),
      (error: unknown) => {
        log.fatal({ err: error }, 'the data could not be closed');
        process.exit(1);
      },
    );
  };
  process.on('SIGTERM', end);
  process.on('SIGINT', end);
};
