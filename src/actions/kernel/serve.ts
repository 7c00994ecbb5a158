import { addressFrom, listensBy, setting } from '@/core/access/address';
import { anyLogin, anyWayIn } from '@/store/logins';
import { CannotOpen } from '@/store/migrate';
import { actingPerson, isDemo } from '@/store/people';
import { goesPastWalls } from '@/store/database';
import { closeDatabase, database, finished, log, now } from './context';
import { firstCode, secret } from './sign-in';

/** What has to hold before anybody is answered, or the sentence with which the start ends; and the code of a first start. */
const prepared = async (): Promise<void> => {
  const listens = listensBy(process.argv);
  const address = addressFrom({ ...process.env, ...(listens === undefined ? {} : { HOST: listens }) });
  if (typeof address === 'string') throw new CannotOpen(address);
  if (
    address.open &&
    setting(process.env.DATABASE_URL) !== undefined &&
    setting(process.env.BATHRON_SECRET) === undefined
  )
    throw new CannotOpen(
      'Several servers may use this database, and they have to sign sessions with the same secret. Set BATHRON_SECRET to one, such as from: openssl rand -base64 48',
    );
  secret();
  const open = await database();
  const { begun, expected, demo } = await open.view(async (tx) => {
    await tx.scope('all');
    const owner = await actingPerson(tx, undefined);
    return {
      begun: await anyLogin(tx),
      // The first owner was invited on the machine, and comes in by that.
      expected: await anyWayIn(tx, now()),
      demo: owner !== undefined && (await isDemo(tx, owner.practice)),
    };
  });
  if (setting(process.env.DATABASE_URL) !== undefined && (await goesPastWalls(open)))
    log.warn('DATABASE_URL names a superuser, before whom row-level security does not stand; see docs/operating.md');
  if (begun) return;
  if (address.open && !expected)
    throw new CannotOpen(
      'Nobody can sign in yet, so Bathron does not answer others. Begin the practice on this machine first: npm run person -- first "Your name" you@example.com',
    );
  if (!address.open && !demo)
    process.stdout.write(
      `\nNobody can sign in yet. The first page asks for this code, so that nobody else begins your practice:\n\n    ${firstCode()}\n\n`,
    );
};

/** Opens the database for a server process; a start that must not go on ends with its sentence. */
export const serve = async (): Promise<void> => {
  try {
    await prepared();
  } catch (error) {
    if (error instanceof CannotOpen) process.stderr.write(`${error.message}\n`);
    else log.fatal({ err: error }, 'the data could not be opened');
    process.exit(1);
  }
  let ending = false;
  const end = (signal: NodeJS.Signals): void => {
    if (ending) return;
    ending = true;
    finished()
      .then(closeDatabase)
      .then(
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
