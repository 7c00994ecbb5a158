import { type Prepared, named, prepared } from '../base/pick';
import { type DateStyle, writeStyled } from '../base/date-style';
import { type PlainDate, readStyled } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Problem, type Result, fail, ok, problem, quoted } from '../base/result';
import { readYes } from '../base/yes';
import { dated, say } from '../base/sentence';
import type { Kept } from '../base/kept';
import type { Detail, DetailField } from './things/detail';

/** Books have at most so many lists of analysis codes. */
export const ANALYSIS_LISTS = [1, 2, 3] as const;
export type AnalysisList = (typeof ANALYSIS_LISTS)[number];

/** A cost centre, a project, or whatever a list of the company is of. */
export interface CodeFields {
  readonly list: AnalysisList;
  readonly code: string;
  readonly name: string;
  /** `YYYY-MM-DD`: from when until when it is used; null where nothing is said. */
  readonly from: IsoDate | null;
  readonly to: IsoDate | null;
  readonly active: boolean;
}

export interface AnalysisCode extends CodeFields {
  readonly id: number;
  readonly revision: number;
}

/** A list that is in use, by the name that the company gives it. */
export interface ListNamed {
  readonly list: AnalysisList;
  readonly name: string;
}

/**
 * The lists of a company, by their names in their order.
 *
 * @example namedLists(['Cost centre', 'Project'])[1] // { list: 2, name: 'Project' }
 */
export const namedLists = (names: readonly string[]): readonly ListNamed[] =>
  ANALYSIS_LISTS.flatMap((list) => {
    const name = names[list - 1];
    return name === undefined ? [] : [{ list, name }];
  });

/** Where an item keeps its code of a list. */
export const fieldOfList = (list: AnalysisList): DetailField & `analysis${AnalysisList}` => `analysis${list}`;

const BY_FIELD = new Map<string, AnalysisList>(ANALYSIS_LISTS.map((list) => [fieldOfList(list), list]));
/** The list whose codes a column of items has; undefined for any other column. */
export const listOfColumn = (column: string): AnalysisList | undefined => BY_FIELD.get(column);

/** The code of a list that an item has; null where it has none. */
export const codeIn = (detail: Detail, list: AnalysisList): number | null => {
  const text = detail[fieldOfList(list)];
  return text === undefined ? null : Number(text);
};

export const blankCode = (list: AnalysisList): CodeFields => ({
  list,
  code: '',
  name: '',
  from: null,
  to: null,
  active: true,
});

export const codeTitle = ({ code, name }: Pick<CodeFields, 'code' | 'name'>): string => `${code} ${name}`.trim();

/** Why a code cannot be kept as it is; `others` are those of the books besides it. */
export const codeProblems = (code: CodeFields, others: readonly CodeFields[]): readonly Problem[] => {
  const folded = code.code.toLowerCase();
  const twin = others.find((other) => other.list === code.list && other.code.toLowerCase() === folded);
  return [
    ...(folded === '' ? [problem('analysis.code', 'It needs a code, by which it is typed.', 'code')] : []),
    ...(twin === undefined || folded === ''
      ? []
      : [problem('analysis.code', `The code ${quoted(code.code)} is that of ${codeTitle(twin)}.`, 'code')]),
    ...(code.from !== null && code.to !== null && code.to < code.from
      ? [problem('analysis.dates', say`It ends on ${dated(code.to)}, before it begins.`, 'to')]
      : []),
  ];
};

export const CODE_COLUMNS = ['code', 'name', 'from', 'to', 'active'] as const;
export type CodeColumn = (typeof CODE_COLUMNS)[number];
export const CODE_LABELS: Readonly<Record<CodeColumn, string>> = {
  code: 'Code',
  name: 'Name',
  from: 'From',
  to: 'To',
  active: 'In use',
};

export const codeText = (code: CodeFields, column: CodeColumn, dates: DateStyle): string => {
  switch (column) {
    case 'from':
    case 'to': {
      const day = code[column];
      return day === null ? '' : writeStyled(day, dates);
    }
    case 'active':
      return code.active ? 'yes' : 'no';
    default:
      return code[column];
  }
};

/** Longer codes and names are none of a cell. */
export const LONGEST_CODE = 40;
export const LONGEST_CODE_NAME = 120;

/** A code with one cell typed otherwise. */
export const typedCode = (
  code: CodeFields,
  column: CodeColumn,
  typed: string,
  dates: DateStyle,
): Result<CodeFields> => {
  const text = typed.trim();
  switch (column) {
    case 'from':
    case 'to': {
      if (text === '') return ok({ ...code, [column]: null });
      const read = readStyled(text, dates, column);
      return read.ok ? ok({ ...code, [column]: read.value.toString() }) : read;
    }
    case 'active': {
      const read = readYes(typed, column, true);
      return read.ok ? ok({ ...code, active: read.value }) : read;
    }
    case 'code':
      return ok({ ...code, code: text.slice(0, LONGEST_CODE) });
    case 'name':
      return ok({ ...code, name: text.slice(0, LONGEST_CODE_NAME) });
  }
};

/** Codes as cells look for them. */
export interface CodeBook {
  readonly lists: readonly ListNamed[];
  readonly byId: ReadonlyMap<number, AnalysisCode>;
  readonly search: ReadonlyMap<AnalysisList, readonly Prepared<AnalysisCode>[]>;
}

export const codeBook = (lists: readonly ListNamed[], codes: readonly AnalysisCode[]): CodeBook => ({
  lists,
  byId: new Map(codes.map((one) => [one.id, one])),
  search: new Map(lists.map(({ list }) => [list, prepared(codes.filter((one) => one.list === list))])),
});

export const NO_CODES: CodeBook = codeBook([], []);

/** What an item shows in a column of codes. */
export const codeOfItem = (detail: Detail, list: AnalysisList, { byId }: CodeBook): string => {
  const id = codeIn(detail, list);
  const code = id === null ? undefined : byId.get(id);
  return code === undefined ? '' : codeTitle(code);
};

/** The code that a text names, as an item keeps it; null for an empty text. */
export const typedCodeOfItem = (
  typed: string,
  list: AnalysisList,
  { lists, search }: CodeBook,
): Result<string | null> => {
  if (typed.trim() === '') return ok(null);
  const found = named(search.get(list) ?? [], typed);
  const what = lists.find((one) => one.list === list)?.name ?? 'code';
  return found === undefined
    ? fail(
        problem(
          'item.analysis',
          `${quoted(typed)} is not in the list “${what}”, or several are called so. Choose one, or add it to the list.`,
          fieldOfList(list),
        ),
      )
    : ok(String(found.id));
};

/** What a person should look at again about the codes of an item: one that is not in use any more, or not on its day. */
export const codeDoubts = (
  { detail, date }: { readonly detail: Detail; readonly date: IsoDate | null },
  { lists, byId }: Pick<CodeBook, 'lists' | 'byId'>,
  openingDate: PlainDate,
): readonly Problem[] =>
  lists.flatMap(({ list }) => {
    const id = codeIn(detail, list);
    const code = id === null ? undefined : byId.get(id);
    if (code === undefined) return [];
    const day = date ?? openingDate.toString();
    const ask = (message: Parameters<typeof problem>[1]): readonly Problem[] => [
      problem('item.analysis', message, fieldOfList(list)),
    ];
    if (!code.active) return ask(`${codeTitle(code)} is not in use any more.`);
    if (code.to !== null && code.to < day) return ask(say`${codeTitle(code)} ended on ${dated(code.to)}, before this.`);
    return code.from !== null && code.from > day
      ? ask(say`${codeTitle(code)} begins on ${dated(code.from)}, after this.`)
      : [];
  });

/** A code as the record of changes keeps it. */
export const keptCode = ({ list, code, name, from, to, active }: CodeFields): Kept => ({
  list,
  code,
  name,
  from,
  to,
  active,
});

/** Undefined for one that was not there. */
export const codeFrom = (kept: Kept): CodeFields | undefined =>
  kept === null ? undefined : (kept as unknown as CodeFields);
