/** Asks the reader, the matcher and the search without the screen: one JSON value on stdout, sentences on stderr. See docs/formats.md. */
import { asIsoDate } from '../src/core/base/dates';
import { readFile, stat } from 'node:fs/promises';
import { basename } from 'node:path';
import { parseArgs } from 'node:util';
import { askList } from '../src/ask/list';
import { askMatch } from '../src/ask/match';
import { askRead } from '../src/ask/read';
import { askSearch } from '../src/ask/search';
import { askStatement } from '../src/ask/statement';
import { MOST_BYTES, megabytes } from '../src/core/files/limits';
import { ALL_REGISTER_KINDS } from '../src/core/schedules/registers/register-words';
import type { Result } from '../src/core/base/result';

const LIST_KINDS = ['customers', 'suppliers', 'contacts', ...ALL_REGISTER_KINDS] as const;

const USAGE = `Ask one of:
  read FILE [--date YYYY-MM-DD] [--digits N]
  match --chart CHART.csv ROWS.csv
  search FIGURES.csv [--paper ROWS.csv]
  list FILE [--kind ${LIST_KINDS.join('|')}] [--date YYYY-MM-DD] [--digits N]
  statement FILE`;

class Refused extends Error {}

const fileAt = async (path: string | undefined): Promise<{ readonly bytes: Uint8Array; readonly name: string }> => {
  if (path === undefined) throw new Refused(USAGE);
  const size = await stat(path).then(
    (found) => found.size,
    () => undefined,
  );
  if (size === undefined) throw new Refused(`There is no file ${path}.`);
  if (size > MOST_BYTES) throw new Refused(`${path} is larger than ${megabytes(MOST_BYTES)}, the most that is read.`);
  return { bytes: new Uint8Array(await readFile(path)), name: basename(path) };
};

const answer = (result: Result<unknown>): void => {
  if (!result.ok) throw new Refused(result.problems.map(({ message }) => message).join('\n'));
  process.stdout.write(`${JSON.stringify(result.value)}\n`);
};

// Libraries that have something to say say it beside the answer.
console.log = console.error;

const main = async (): Promise<void> => {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      date: { type: 'string' },
      digits: { type: 'string' },
      chart: { type: 'string' },
      paper: { type: 'string' },
      kind: { type: 'string' },
    },
  });
  const [question, path] = positionals;
  const date = values.date === undefined ? undefined : asIsoDate(values.date);
  if (values.date !== undefined && date === undefined) throw new Refused('--date is a day such as 2026-07-31.');
  if (values.digits !== undefined && !/^[0-4]$/.test(values.digits))
    throw new Refused('--digits is a number of decimals, 0 to 4.');
  if (question === 'read')
    answer(
      await askRead({
        ...(await fileAt(path)),
        ...(date === undefined ? {} : { date }),
        ...(values.digits === undefined ? {} : { digits: Number(values.digits) }),
      }),
    );
  else if (question === 'match') answer(askMatch(await fileAt(values.chart), await fileAt(path)));
  else if (question === 'search')
    answer(askSearch(await fileAt(path), values.paper === undefined ? undefined : await fileAt(values.paper)));
  else if (question === 'list') {
    const kind = LIST_KINDS.find((one) => one === values.kind);
    if (values.kind !== undefined && kind === undefined)
      throw new Refused(`--kind is one of ${LIST_KINDS.join(', ')}.`);
    answer(
      await askList({
        ...(await fileAt(path)),
        ...(kind === undefined ? {} : { kind }),
        ...(date === undefined ? {} : { date }),
        ...(values.digits === undefined ? {} : { digits: Number(values.digits) }),
      }),
    );
  } else if (question === 'statement') answer(await askStatement(await fileAt(path)));
  else throw new Refused(USAGE);
};

main().catch((error: unknown) => {
  if (!(error instanceof Refused) && !(error instanceof TypeError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
});
