// npm run person: the way in for whoever has the machine itself. Beside a data directory the server has to stand still meanwhile.
import { closeDatabase } from '@/actions/kernel/context';
import { firstOnMachine, recoverOnMachine } from '@/actions/sign-in/on-machine';
import { CannotOpen } from '@/store/migrate';

const USAGE = `npm run person -- first "Name" address@example.com    makes the first owner of a practice in which nobody can sign in yet
npm run person -- recover address@example.com         another passphrase for an owner, without their second step

Both print a link. Stop the server first where it keeps its data in a directory.`;

const [command, ...given] = process.argv.slice(2);
try {
  const [name = '', email = name] = given;
  const done =
    command === 'first' && given.length === 2
      ? await firstOnMachine({ name, email })
      : command === 'recover' && given.length === 1
        ? await recoverOnMachine({ email })
        : undefined;
  if (done === undefined) {
    console.error(USAGE);
    process.exitCode = 2;
  } else if (done.ok) {
    const origin = process.env.PUBLIC_URL || `http://127.0.0.1:${process.env.PORT || '3000'}`;
    console.log(
      `Open this once Bathron runs, and choose a passphrase. It works once.\n\n    ${origin}${done.value.path}\n`,
    );
  } else {
    console.error(done.problems.map(({ message }) => message).join('\n'));
    process.exitCode = 1;
  }
} catch (error) {
  if (!(error instanceof CannotOpen)) throw error;
  console.error(error.message);
  process.exitCode = 1;
} finally {
  await closeDatabase();
}
