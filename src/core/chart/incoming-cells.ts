import { named, prepared } from '../base/pick';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { readYes } from '../base/yes';
import { CLASSIFICATIONS, classFacts } from '../ledger/classes';
import { FIELD_WORDS } from './edit';
import { type PlannedRow, type RowChoice, type RowStatus, isMade } from './incoming';

/** The columns in which a sheet tells what a source brings. */
export type IncomingColumn = 'take' | 'row' | 'code' | 'name' | 'classification' | 'parent' | 'clash' | 'happens';

export const STATUS_WORDS: Readonly<Record<RowStatus, string>> = {
  new: 'new',
  changes: 'changes',
  same: 'same',
  problem: 'has a problem',
  kept: 'stays as it is',
  skipped: 'skipped',
};

/** What becomes of an account that is here with another name or type. */
export const CLASHES = [
  { id: 'keep', label: 'keep what is here' },
  { id: 'change', label: 'take this one' },
  { id: 'new-code', label: 'both, this under another code' },
] as const satisfies readonly { readonly id: NonNullable<RowChoice['clash']>; readonly label: string }[];
/** Where nothing is decided for a row. */
export const BY_RULE = 'by the rule';

const happens = ({ status, changes, problems }: PlannedRow): string => {
  const [first] = problems;
  const fields = changes.map((field) => (field === 'bank' ? 'bank details' : FIELD_WORDS[field])).join(', ');
  return `${STATUS_WORDS[status]}${first === undefined ? '' : `: ${first.message}`}${fields === '' ? '' : ` (${fields})`}`;
};

/** What a cell shows: as the plan has it, or as somebody put it right since. */
export const incomingText = (row: PlannedRow, { skip, clash, fix }: RowChoice, column: IncomingColumn): string => {
  switch (column) {
    case 'take':
      return isMade(row) ? '' : skip === true ? 'no' : 'yes';
    case 'row':
      return isMade(row) ? '+' : String(row.row);
    case 'code':
    case 'name':
      return fix?.[column] ?? row[column];
    case 'classification': {
      const line = fix?.classification ?? row.classification;
      return line === null ? '' : classFacts(line).one;
    }
    case 'parent':
      return fix?.parent ?? row.under;
    case 'clash':
      return row.clash || clash !== undefined ? (CLASHES.find(({ id }) => id === clash)?.label ?? BY_RULE) : '';
    case 'happens':
      return happens(row);
  }
};

const LINES = prepared(CLASSIFICATIONS.map(({ id, one }) => ({ id, code: '', name: one })));
const SETTLED = prepared([{ id: null, code: '', name: BY_RULE }, ...CLASHES.map(({ id, label: name }) => ({ id, code: '', name }))]); // prettier-ignore

/**
 * What is decided about a row of a source once somebody has typed into one of its cells. An empty statement line is again what the
 * source says; an empty heading is the top of the chart.
 */
export const decided = (choice: RowChoice, column: IncomingColumn, typed: string): Result<RowChoice> => {
  const text = typed.trim();
  const { fix } = choice;
  switch (column) {
    case 'take': {
      const read = readYes(text, column, true);
      return read.ok ? ok({ ...choice, skip: !read.value }) : read;
    }
    case 'code':
    case 'name':
    case 'parent':
      return ok({ ...choice, fix: { ...fix, [column]: text } });
    case 'classification': {
      const { classification: _, ...others } = fix ?? {};
      if (text === '') return ok({ ...choice, fix: others });
      const line = named(LINES, text)?.id;
      return line === undefined
        ? fail(problem('import.line', `${quoted(typed)} is no statement line. Choose one of the list.`, column))
        : ok({ ...choice, fix: { ...fix, classification: line } });
    }
    case 'clash': {
      const found = text === '' ? { id: null } : named(SETTLED, text);
      return found === undefined
        ? fail(problem('import.clash', `${quoted(typed)} is none of the ways out. Choose one of the list.`, column))
        : ok({ ...choice, clash: found.id ?? undefined });
    }
    default:
      return ok(choice);
  }
};
