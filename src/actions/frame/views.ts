import type { IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import type { Deed } from '@/core/access/deeds';
import { openingDate } from '@/core/calendar/cutover';
import type { DateStyle } from '@/core/base/date-style';
import type { Colour, Purpose } from '@/core/company/facts';
import type { LegalForm } from '@/core/company/legal-form';
import type { Part } from '@/core/company/parts';
import type { NumberStyle } from '@/core/money/number-style';
import { type Totals, totalsOf } from '@/core/ledger/level';
import type { StageState } from '@/core/proof/stages';
import { deedsIn } from '@/core/access/roles';
import { type SinceThen, sinceLastThere } from '@/store/presence';
import { type BooksContext, booksOf, booksView } from '../kernel/action';
import type { Actor } from '../kernel/context';
import { viewState } from './held-state';
import type { BooksState } from './state';

/** What every page of a set of books shows around its sheet. Dates are ISO text, since they cross to the browser. */
export interface FrameView {
  readonly id: number;
  /** Of the books, as this page shows them. */
  readonly revision: number;
  readonly name: string;
  readonly legalForm: LegalForm;
  readonly country: string;
  readonly currency: Currency;
  readonly digits: number;
  readonly style: NumberStyle;
  readonly dates: DateStyle;
  readonly purpose: Purpose;
  readonly colour: Colour;
  readonly remark: string;
  readonly archived: boolean;
  readonly parts: readonly Part[];
  /** Days overdue that part the ages of open items. */
  readonly ageLimits: readonly number[];
  readonly cutover: IsoDate;
  readonly openingDate: IsoDate;
  readonly atYearStart: boolean;
  readonly stages: readonly StageState[];
  readonly totals: Totals;
  readonly hasChart: boolean;
  /** Who looks at it, and what they may do in these books. */
  readonly who: string;
  readonly may: readonly Deed[];
  /** What others changed since whoever looks was here before. */
  readonly since: SinceThen | null;
}

export const frameOf = (state: BooksState, actor: Actor, since: SinceThen | undefined): FrameView => {
  const { id, revision, name, legalForm, country, currency, style, purpose, cutover, archived, facts } = state.books;
  return {
    id,
    revision: Number(revision),
    name,
    legalForm,
    country,
    currency,
    digits: state.digits,
    style,
    dates: facts.dates,
    purpose,
    colour: facts.colour,
    remark: facts.remark,
    archived,
    parts: facts.parts,
    ageLimits: facts.ageLimits,
    cutover: cutover.toString(),
    openingDate: openingDate(cutover).toString(),
    atYearStart: state.atYearStart,
    stages: state.stages,
    totals: totalsOf(state.amounts.values()),
    hasChart: state.accounts.length > 0,
    who: actor.name,
    may: deedsIn(actor, booksOf(actor, state.books)),
    since: since ?? null,
  };
};

/** A page inside a set of books: its frame, and what `run` adds. */
export const page = <T extends object>(
  may: Deed,
  id: number,
  run: (context: BooksContext, state: BooksState) => Promise<T> | T,
): Promise<({ readonly frame: FrameView } & T) | undefined> =>
  booksView(may, id, async (context) => {
    const state = await viewState(context.tx, context.books);
    const { tx, actor, books, now } = context;
    const since = await sinceLastThere(tx, books.id, actor.person, now);
    return { frame: frameOf(state, actor, since), ...(await run(context, state)) };
  });
