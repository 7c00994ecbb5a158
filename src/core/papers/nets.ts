import { type Minor, abs, minor, negate } from '../money/minor';
import type { Table } from '../files/cells';
import type { Convention, Reading } from './reading';
import type { PaperRow } from './paper-row';
import type { PaperMoney } from './row-amount';
import { underConvention, unsignedRows } from './rows';
import { type Hint, sideByWords } from './sign';

/** What the account rows come to under one convention, debit positive. */
export interface Net {
  readonly convention: Convention;
  readonly net: Minor;
  /** Accounts whose amount lands on the side where such an account usually stands, less those that do not. */
  readonly usual: number;
}

/** The conventions that the columns leave open. */
const openTo = ({ columns }: Reading): readonly Convention[] =>
  columns.includes('side')
    ? ['written']
    : columns.includes('debit') && columns.includes('credit')
      ? ['written', 'columns-signed']
      : columns.includes('balance')
        ? ['debit-positive', 'credit-positive', 'normal-side']
        : ['written'];

const turned = (rows: readonly PaperRow[]): readonly PaperRow[] =>
  rows.map((row) => (row.amount === 0n ? row : { ...row, amount: negate(row.amount) }));

export interface Tried {
  /** What the accounts come to under every convention that the columns allow. */
  readonly nets: readonly Net[];
  readonly rowsUnder: (convention: Convention) => readonly PaperRow[];
}

/**
 * Tries every convention that the columns allow. The paper is taken apart once for all of them, and the rows of one convention
 * at a time are held, since there may be a million: of the likeliest, which is tried last.
 */
export const tryConventions = (table: Table, reading: Reading, money: PaperMoney, hint: Hint | undefined): Tried => {
  const unsigned = unsignedRows(table, reading, money);
  let held: { readonly convention: Convention; readonly rows: readonly PaperRow[] } | undefined;
  const rowsUnder = (convention: Convention): readonly PaperRow[] => {
    if (held?.convention === convention) return held.rows;
    // One is the other turned round, row by row.
    const rows =
      convention === 'credit-positive' && held?.convention === 'debit-positive'
        ? turned(held.rows)
        : underConvention(unsigned, convention, hint);
    held = { convention, rows };
    return rows;
  };
  const netUnder = (convention: Convention): Net => {
    const rows = rowsUnder(convention);
    let net = 0n;
    for (const row of rows) if (row.kind === 'account') net += row.amount;
    return { convention, net: minor(net), usual: usualOf(rows, hint) };
  };
  const open = openTo(reading);
  const tried = new Map<Convention, Net>(
    [...open]
      .reverse()
      .flatMap((convention) => (convention === 'credit-positive' ? [] : [[convention, netUnder(convention)] as const])),
  );
  const plain = tried.get('debit-positive');
  return {
    nets: open.flatMap((convention): Net[] => {
      const own = tried.get(convention);
      if (own !== undefined) return [own];
      return plain === undefined ? [] : [{ convention, net: negate(plain.net), usual: -plain.usual }];
    }),
    rowsUnder,
  };
};

const usualOf = (rows: readonly PaperRow[], hint: Hint | undefined): number =>
  rows.reduce((votes, row) => {
    if (row.kind !== 'account' || row.amount === 0n) return votes;
    const side = hint?.(row) ?? sideByWords(row.name, undefined);
    return side === undefined ? votes : votes + (row.amount > 0n === (side === 'debit') ? 1 : -1);
  }, 0);

/**
 * The convention under which the accounts net to zero; of several, the one with the most accounts on their usual side; if
 * none nets to zero, the one that comes closest, by the same rule.
 */
export const proposed = (nets: readonly Net[], standing: Convention): Convention => {
  const order = [...nets].sort((a, b) => {
    const [left, right] = [abs(a.net), abs(b.net)];
    return left < right ? -1 : left > right ? 1 : b.usual - a.usual || rank(a, standing) - rank(b, standing);
  });
  return order[0]?.convention ?? standing;
};

/** Among equals, what the columns suggest, then the plainer convention. */
const rank = ({ convention }: Net, standing: Convention): number => (convention === standing ? 0 : 1);

const MEANS: Readonly<Record<Convention, string>> = {
  written: 'The side of each amount is written in the paper',
  'columns-signed': 'Two columns, in which credits carry a minus of their own',
  'debit-positive': 'One balance column: a plain amount is taken as a debit, a negative one as a credit',
  'credit-positive': 'One balance column: a plain amount is taken as a credit, a negative one as a debit',
  'normal-side': 'One balance column: a plain amount is taken on the normal side of its account',
};

export const sayNets = (convention: Convention, nets: readonly Net[]): string => {
  const own = nets.find((one) => one.convention === convention);
  const others = nets.filter(
    (one) => one.convention !== convention && one.net !== own?.net && one.net !== negate(own?.net ?? one.net),
  );
  return `${MEANS[convention]}${
    own === undefined
      ? ''
      : own.net === 0n
        ? others.length > 0
          ? ': so it nets to zero, and otherwise it would not'
          : ': so it nets to zero'
        : nets.length > 1
          ? ': it comes closest to zero so'
          : ''
  }.`;
};
