import { z } from 'zod';
import { type Minor, minor } from '@/core/money/minor';
import { totalsOf } from '@/core/ledger/level';
import { difference } from '@/core/ledger/level';
import { minorDigits } from '@/core/money/currency';
import { ok } from '@/core/base/result';
import { type Standing, standingOf } from '@/core/proof/standing';
import { type Books, allBooks, practiceName } from '@/store/books';
import { keepStandings, standingsOf } from '@/store/standing';
import { ROLE_FACTS, may } from '@/core/access/roles';
import { action, mayIn, view } from '../kernel/action';
import { asking, choosesWho } from '../kernel/context';
import type { FrameView } from '../frame/views';
import { heldState, viewStates } from '../frame/held-state';
import type { BooksState } from '../frame/state';

/** One set of books on the board: no more than it shows, since a practice has hundreds. */
export interface BoardBooks
  extends
    Pick<
      FrameView,
      | 'id'
      | 'name'
      | 'legalForm'
      | 'country'
      | 'currency'
      | 'purpose'
      | 'colour'
      | 'remark'
      | 'archived'
      | 'cutover'
      | 'digits'
      | 'style'
    >,
    Omit<Standing, 'net'> {
  readonly tradingName: string;
  readonly inCharge: string;
  /** How far debits and credits are apart, debit positive. */
  readonly net: Minor;
  /** When this was worked out, where the books have changed since; null where it is of now. */
  readonly asOf: string | null;
}

export interface BoardView {
  readonly practice: string;
  /** Who looks at it. */
  readonly who: { readonly name: string; readonly role: string };
  /** Whether one may choose who to be. */
  readonly demo: boolean;
  readonly mayMake: boolean;
  readonly maySeePeople: boolean;
  readonly books: readonly BoardBooks[];
}

/** So many books that have changed are worked out anew for one look at the board; the others say as of when they are. */
const MOST_ANEW = 40;

interface Found {
  readonly standing: Standing;
  readonly asOf: string | null;
}

const standingFrom = (state: BooksState): Standing =>
  standingOf(state.stages, state.proof, state.atYearStart, difference(totalsOf(state.amounts.values())));

const entryOf = ({ facts, cutover, ...books }: Books, { standing, asOf }: Found): BoardBooks => ({
  id: books.id,
  name: books.name,
  legalForm: books.legalForm,
  country: books.country,
  currency: books.currency,
  purpose: books.purpose,
  colour: facts.colour,
  remark: facts.remark,
  archived: books.archived,
  cutover: cutover.toString(),
  digits: minorDigits(books.currency),
  style: books.style,
  tradingName: facts.tradingName,
  inCharge: facts.inCharge,
  ...standing,
  net: minor(BigInt(standing.net)),
  asOf,
});

/** Keeps what a look at the board has worked out, for the next one and for other processes. */
const keepBoard = action(
  'keepBoard',
  'board.see',
  z.array(z.object({ books: z.int(), revision: z.bigint(), standing: z.custom<Standing>() })),
  async ({ tx, actor, now }, list) => {
    await keepStandings(tx, actor.practice, list, now);
    return ok({});
  },
);

/**
 * All books of the practice. What the board says of each is kept under the revision of the books, so that it costs one row each;
 * those that have changed since are worked out anew, a number of them at a time, those that were never worked out all.
 */
export const boardView = async (): Promise<BoardView> => {
  const asks = await asking();
  const { made, ...seen } = await view('board.see', async ({ tx, actor }) => {
    const list = (await allBooks(tx, actor.practice)).filter((books) => mayIn(actor, 'books.see', books));
    const kept = await standingsOf(tx, actor.practice);
    const found = new Map<number, Found>();
    const anew: Books[] = [];
    let changed = 0;
    for (const books of list) {
      const own = kept.get(books.id);
      const state = heldState(books);
      if (own?.revision === books.revision) found.set(books.id, { standing: own.standing, asOf: null });
      else if (state !== undefined) anew.push(books);
      else if (own === undefined || (changed += 1) <= MOST_ANEW) anew.push(books);
      else found.set(books.id, { standing: own.standing, asOf: own.at });
    }
    const states = await viewStates(tx, anew);
    for (const state of states) found.set(state.books.id, { standing: standingFrom(state), asOf: null });
    return {
      practice: await practiceName(tx, actor.practice),
      who: { name: actor.name, role: ROLE_FACTS[actor.role].label },
      demo: await choosesWho(tx, asks, actor.practice),
      mayMake: may(actor, 'books.make'),
      maySeePeople: may(actor, 'practice.see'),
      books: list.flatMap((books) => {
        const own = found.get(books.id);
        return own === undefined ? [] : [entryOf(books, own)];
      }),
      made: states.map((state) => ({
        books: state.books.id,
        revision: state.books.revision,
        standing: standingFrom(state),
      })),
    };
  });
  if (made.length > 0) await keepBoard(made);
  return seen;
};
