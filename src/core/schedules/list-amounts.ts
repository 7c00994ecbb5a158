import { magnitude } from '../money/rounding';
import { folded } from '../base/folded';
import { addTo } from '../base/lists';
import { type Row, textOf } from '../base/table';
import { type Currency, isCurrency } from '../money/currency';
import { type Beside, datedIn, mostly, place, spareIn } from './list-beside';
import { MONEY, type Role, inCurrencyOf, isOpen } from './list-columns';
import { PAID_WORDS, isAside } from './list-words';

/** Which columns of amounts are of what: of what a document came to, what is left of it, its age, its tax, another currency. */

/** Whether what is in a column is never more than what is in another, on the same side, and often the same. */
const isPartOf = (rows: readonly Row[], { units }: Beside, part: number, whole: number): boolean => {
  const both = rows.flatMap((row) => {
    const [left, all] = [units(row, part), units(row, whole)];
    return left === undefined || all === undefined || left === 0n ? [] : [[left, all] as const];
  });
  const same = both.filter(([left, all]) => left === all).length;
  const within = both.filter(([left, all]) => (left > 0n ? all >= left : all <= left)).length;
  return both.length > 1 && mostly(within, both.length, 9.5) && mostly(same, both.length, 2);
};

/** Rates of one currency differ by their rounding: so many of them in a hundred. */
const ROUNDED = 2n;

/**
 * Whether two columns have the same amounts in one currency, and in each other currency amounts of one rate: then one of the two is in
 * the currency of the books.
 */
const isConverted = ({ sample, units }: Beside, currencyAt: number, one: number, other: number): boolean => {
  const pairs = new Map<string, (readonly [own: bigint, beside: bigint])[]>();
  for (const row of sample) {
    const [own, beside, code] = [units(row, one), units(row, other), textOf(row[currencyAt])];
    if (own !== undefined && beside !== undefined && own !== 0n && isCurrency(code)) addTo(pairs, code, [own, beside]);
  }
  const all = [...pairs.values()];
  const same = all.filter((of) => of.every(([own, beside]) => own === beside)).length;
  // Two rates are compared by what each comes to on the other's amount.
  const ofOneRate = (of: readonly (readonly [bigint, bigint])[]): boolean => {
    const [[own, beside] = [1n, 0n]] = of;
    return of.every(([mine, theirs]) => {
      const [left, right] = [theirs * own, beside * mine];
      const apart = left > right ? left - right : right - left;
      return left > 0n === right > 0n && left !== 0n && apart * 100n <= magnitude(right) * ROUNDED;
    });
  };
  return same === 1 && all.length > 1 && all.every(ofOneRate);
};

/** Columns that are called by currencies, or by amounts in them, where most rows have an amount in one of them alone: what is open, by its currency. */
export const currencyColumns = (
  sample: readonly Row[],
  roles: readonly (Role | undefined)[],
  names: readonly string[],
): ReadonlyMap<number, Currency> => {
  const named = names.flatMap((name, at) => {
    const own = name.trim().toUpperCase();
    const code = isCurrency(own) ? own : inCurrencyOf(name);
    return code !== undefined && (roles[at] === undefined || MONEY.has(roles[at])) ? [[at, code] as const] : [];
  });
  if (
    named.length < 2 ||
    new Set(named.map(([, code]) => code)).size < named.length ||
    roles.includes('currency') ||
    roles.includes('age')
  )
    return new Map();
  const filled = sample.map((row) => named.filter(([at]) => /[1-9]/.test(textOf(row[at]))).length);
  const some = filled.filter((count) => count > 0).length;
  return mostly(filled.filter((count) => count === 1).length, some, 7) ? new Map(named) : new Map();
};

/** Where each document says its currency, a column that is called by one currency, or has other amounts in the others, is in that one. */
export const tellBase = (beside: Beside): void => {
  const { roles, names, contents, sample, units } = beside;
  const currencyAt = place(beside, 'currency');
  if (currencyAt < 0 || place(beside, 'base') >= 0) return;
  const money = contents.flatMap(({ amounts, dates, filled }, column) => {
    const role = roles[column];
    const open = role === undefined || role === 'original' || role === 'open';
    return open && filled > 0 && amounts >= 0.7 && dates < 0.3 ? [column] : [];
  });
  const pairs = money.flatMap((own) => money.filter((other) => other !== own).map((other) => ({ own, other })));
  const called = pairs.filter(({ own, other }) => {
    const code = inCurrencyOf(names[other] ?? '');
    const rows = sample.filter((row) => textOf(row[currencyAt]).toUpperCase() === code);
    const same = rows.filter((row) => units(row, own) === units(row, other));
    return (
      code !== undefined &&
      inCurrencyOf(names[own] ?? '') !== code &&
      (rows.length === 0 || mostly(same.length, rows.length))
    );
  });
  // What is left of a document after what was paid is in its own currency.
  const isLess = (own: number, other: number): boolean => {
    const rows = sample.filter((row) => (units(row, own) ?? 0n) !== 0n);
    return contents.some((_, paid) => {
      const of = (row: Row): bigint => units(row, paid) ?? 0n;
      const meets = rows.filter((row) => (units(row, own) ?? 0n) - of(row) === (units(row, other) ?? 0n));
      return (
        paid !== own && paid !== other && rows.some((row) => of(row) !== 0n) && mostly(meets.length, rows.length, 9.5)
      );
    });
  };
  const turned = pairs.filter(
    ({ own, other }) => own < other && !isLess(own, other) && isConverted(beside, currencyAt, own, other),
  );
  const found = called.find(({ own }) => roles[own] === 'open') ?? called[0] ?? turned[0];
  if (found === undefined) return;
  const openAt = place(beside, 'open');
  const code = inCurrencyOf(names[found.other] ?? '');
  // What is left is printed in the currency of the books alone, beside what the document was worth in it.
  if (
    openAt >= 0 &&
    ![found.own, found.other].includes(openAt) &&
    code !== undefined &&
    inCurrencyOf(names[openAt] ?? '') === code
  ) {
    [roles[found.own], roles[found.other], roles[openAt]] = ['original', 'worth', 'base'];
    // It may stand in the document's own currency as well.
    const left = leftBeside(beside, found.own, openAt, found.other);
    if (left !== undefined) roles[left] = 'open';
    return;
  }
  // What is open of each document stays so in its own currency.
  if (roles[found.other] === 'open') roles[found.own] = 'open';
  roles[found.other] = 'base';
};

/**
 * Of two amounts in the currency of the books, the one of what is left: it is to the other as what is left of a document is to the whole.
 * The other is what the document was worth.
 */
export const tellBaseLeft = (beside: Beside): void => {
  const { roles } = beside;
  const [whole, left, worth] = (['original', 'open', 'base'] as const).map((role) => place(beside, role));
  if (whole === undefined || left === undefined || worth === undefined || Math.min(whole, left, worth) < 0) return;
  const found = leftBeside(beside, worth, left, whole);
  if (found === undefined) return;
  roles[worth] = 'worth';
  roles[found] = 'base';
};

/**
 * The column, of those that nothing is known of, of what is left in another currency: it is to `whole` as `left` is to `worth`, which are
 * the same document's in the one that is known.
 */
const leftBeside = (beside: Beside, whole: number, left: number, worth: number): number | undefined => {
  const { sample, units } = beside;
  const of = (row: Row, at: number): bigint => magnitude(units(row, at) ?? 0n);
  const rows = sample.filter((row) => of(row, whole) !== 0n && of(row, worth) !== 0n);
  const partly = rows.filter((row) => of(row, left) !== of(row, worth));
  return spareIn(beside).find((at) => {
    // Each was rounded by itself, and a rate is printed with few decimals.
    const meets = rows.filter((row) => {
      const [own, meant] = [of(row, at) * of(row, worth), of(row, whole) * of(row, left)];
      return magnitude(own - meant) * 1000n <= meant;
    });
    return (
      partly.length > 0 &&
      !partly.every((row) => of(row, at) === of(row, left)) &&
      mostly(meets.length, rows.length, 9.5)
    );
  });
};

/** A total beside ages is what is open, where it is what they come to. */
export const tellAges = (beside: Beside): void => {
  const { roles, names, sample, units } = beside;
  const spare = spareIn(beside);
  const known = roles.flatMap((role, column) => (role === 'age' ? [column] : []));
  const [open, original] = [place(beside, 'open'), place(beside, 'original')];
  const named = open >= 0 ? open : original;
  // A column that is open by nothing but its place may be one of several that the whole comes to: months by their names.
  const guessed = open >= 0 && original >= 0 && !isOpen(names[open] ?? '');
  const months = guessed ? [...known, ...spare, open].filter((column) => !isAside(folded(names[column] ?? ''))) : [];
  const sums = [
    ...(named >= 0 ? [named] : known.length > 0 ? spare : []).flatMap((total) =>
      [known, [...known, ...spare.filter((column) => column !== total)]].map((ages) => ({ total, ages })),
    ),
    ...(months.length > 2 ? [{ total: original, ages: months }] : []),
  ];
  const adds = sums.find(({ total, ages }) => {
    if (ages.length < 2) return false;
    const filled = sample.filter((row) => (units(row, total) ?? 0n) !== 0n);
    const meets = filled.filter(
      (row) => units(row, total) === ages.reduce((sum, column) => sum + (units(row, column) ?? 0n), 0n),
    );
    return mostly(meets.length, filled.length);
  });
  // What is left blank where ages stand, and never is what they come to, is one more part: what was paid on account.
  if (adds === undefined) {
    const aged = sample.flatMap((row) => {
      const own = known.map((column) => units(row, column) ?? 0n);
      return own.some((one) => one !== 0n) ? [{ total: units(row, named), ages: own.reduce((a, b) => a + b, 0n) }] : [];
    });
    if (
      known.length > 1 &&
      named >= 0 &&
      aged.some(({ total }) => total === undefined) &&
      !aged.some(({ total, ages }) => total === ages)
    )
      // prettier-ignore
      roles[named] = 'age';
    return;
  }
  // Two of which none is called an age are what is paid and what is left.
  if (known.length === 0 && adds.ages.length === 2) {
    const paid = adds.ages.find((column) => PAID_WORDS.in(folded(names[column] ?? '')) !== undefined) ?? adds.ages[0];
    const left = adds.ages.find((column) => column !== paid);
    if (left !== undefined) [roles[adds.total], roles[left]] = ['original', 'open'];
    return;
  }
  roles[adds.total] = 'open';
  for (const column of adds.ages) roles[column] = 'age';
};

/** The highest tax on sales anywhere, in hundredths of what is taxed. */
const MOST_TAX = 30n;

/** Columns of amounts that are tried out against each other. */
const MOST_TRIED = 8;
const NONE: ReadonlySet<number> = new Set();

/** What is taxed and its tax beside what they come to are no balances. Gives the columns of the two. */
export const tellTax = (beside: Beside): ReadonlySet<number> => {
  const { roles, names, contents, inCurrency, units } = beside;
  const dated = datedIn(beside);
  const money = contents.flatMap(({ amounts, dates, filled }, column) =>
    roles[column] !== 'age' && !inCurrency.has(column) && filled > 1 && amounts >= 0.7 && dates < 0.3 ? [column] : [],
  );
  if (money.length > MOST_TRIED) return NONE;
  // Each amount is read once, however often it is tried out.
  const read = new Map(money.map((column) => [column, dated.map((row) => units(row, column))]));
  for (const whole of money)
    for (const net of money)
      for (const tax of money) {
        if (new Set([whole, net, tax]).size < 3) continue;
        // A part that is kept back or paid already is no tax, and what is called open is that.
        if (isOpen(names[net] ?? '') || [net, tax].some((at) => PAID_WORDS.in(folded(names[at] ?? '')) !== undefined))
          continue;
        const rows = dated.flatMap((_, at) => {
          const [sum, part, rest] = [read.get(whole)?.[at], read.get(net)?.[at], read.get(tax)?.[at]];
          return sum === undefined || part === undefined || rest === undefined || sum === 0n
            ? []
            : [[sum, part, rest] as const];
        });
        const adds = rows.filter(
          ([sum, part, rest]) => part + rest === sum && magnitude(rest) * 100n <= magnitude(part) * MOST_TAX,
        );
        const taxed = adds.filter(([, , rest]) => rest !== 0n);
        if (rows.length < 2 || !mostly(adds.length, rows.length, 9) || !mostly(taxed.length, rows.length, 6)) continue;
        const open = [net, tax].some((column) => roles[column] === 'open') || place(beside, 'open') < 0;
        roles[net] = undefined;
        roles[tax] = undefined;
        if (open) roles[whole] = 'open';
        return new Set([net, tax]);
      }
  return NONE;
};

/**
 * What stood before, what came and what went beside what each row's balance is then: that alone is open. They stand in this order, what
 * came and what went in either. Gives the columns of the other three.
 */
export const tellMoved = ({ roles, contents, sample, units, inCurrency }: Beside): ReadonlySet<number> => {
  const money = contents.flatMap(({ amounts, dates, filled }, column) =>
    roles[column] !== 'age' && !inCurrency.has(column) && filled > 1 && amounts >= 0.7 && dates < 0.3 ? [column] : [],
  );
  if (money.length < 4 || money.length > MOST_TRIED) return NONE;
  const read = new Map(money.map((column) => [column, sample.map((row) => units(row, column) ?? 0n)]));
  const of = (column: number, at: number): bigint => read.get(column)?.[at] ?? 0n;
  const filled = sample.flatMap((_, at) => (money.some((column) => of(column, at) !== 0n) ? [at] : []));
  for (const before of money)
    for (const left of money)
      for (const right of money)
        for (const after of money) {
          if (!(before < left && before < right && left !== right && left < after && right < after)) continue;
          const meets = filled.filter((at) => of(before, at) + of(left, at) - of(right, at) === of(after, at));
          const moved = [left, right].every((column) => meets.some((at) => of(column, at) !== 0n));
          // Balances that are nil nearly everywhere are what three columns that add up leave over.
          if (filled.length < 2 || !moved || !mostly(meets.length, filled.length)) continue;
          if (!mostly(meets.filter((at) => of(after, at) !== 0n).length, meets.length, 3)) continue;
          for (const column of [before, left, right]) roles[column] = undefined;
          for (const [column, role] of roles.entries()) if (role === 'open') roles[column] = undefined;
          roles[after] = 'open';
          return new Set([before, left, right]);
        }
  return NONE;
};

/**
 * What a document came to, what was taken off it and what is left, in this order and whatever they are called: the last is open. What is
 * called open already stays so; debits less credits are told otherwise.
 */
export const tellLess = (beside: Beside): void => {
  const { roles, names, contents, sample, units, inCurrency } = beside;
  if (isOpen(names[place(beside, 'open')] ?? '') || (place(beside, 'debit') >= 0 && place(beside, 'credit') >= 0))
    return;
  const money = contents.flatMap(({ amounts, dates, filled }, column) =>
    roles[column] !== 'age' && !inCurrency.has(column) && filled > 1 && amounts >= 0.7 && dates < 0.3 ? [column] : [],
  );
  if (money.length < 3 || money.length > MOST_TRIED) return;
  const read = new Map(money.map((column) => [column, sample.map((row) => units(row, column) ?? 0n)]));
  const of = (column: number, at: number): bigint => read.get(column)?.[at] ?? 0n;
  for (const whole of money)
    for (const off of money)
      for (const left of money) {
        if (!(whole < off && off < left)) continue;
        const filled = sample.flatMap((_, at) => (of(whole, at) !== 0n ? [at] : []));
        const meets = filled.filter((at) => of(whole, at) - of(off, at) === of(left, at));
        const taken = meets.filter((at) => of(off, at) !== 0n && of(left, at) !== 0n);
        if (filled.length < 2 || taken.length === 0 || !mostly(meets.length, filled.length, 9.5)) continue;
        for (const [column, role] of roles.entries())
          if (role === 'open' || role === 'original' || column === off) roles[column] = undefined;
        [roles[whole], roles[left]] = ['original', 'open'];
        return;
      }
};

/** A balance that runs on from row to row, or stands where an account ends, is no open amount; gives its column. */
export const tellRunning = (beside: Beside): number | undefined => {
  const { roles, sample, units, sideOf } = beside;
  const [open, debit, credit, sideAt] = (['open', 'debit', 'credit', 'side'] as const).map((role) =>
    place(beside, role),
  ) as [number, number, number, number];
  const sided = debit >= 0 && credit >= 0;
  const moving = [place(beside, 'original'), ...spareIn(beside)].find((column) => column >= 0);
  if (open < 0 || (!sided && moving === undefined)) return undefined;
  const moves = (row: Row): bigint => {
    if (sided) return (units(row, debit) ?? 0n) - (units(row, credit) ?? 0n);
    const amount = moving === undefined ? 0n : (units(row, moving) ?? 0n);
    return sideAt >= 0 && sideOf(textOf(row[sideAt])) === 'credit' ? -amount : amount;
  };
  let [before, since] = [0n, 0n];
  let [runs, differs, all] = [0, 0, 0];
  // Documents beside another amount than their own; those that go on from the one above; those beside more.
  let [apart, on, over] = [0, 0, 0];
  for (const row of sample) {
    const moved = moves(row);
    const stands = units(row, open);
    since += moved;
    if (stands === undefined) continue;
    all += 1;
    if ([before + moved, moved, since].some((one) => one === stands || -one === stands)) runs += 1;
    if (stands !== moved) differs += 1;
    if (stands !== moved && moved !== 0n) {
      apart += 1;
      if (before + moved === stands) on += 1;
      if (magnitude(stands) > magnitude(moved)) over += 1;
    }
    before = stands;
    if (since === stands) since = 0n;
  }
  // Where no side shows, what is open of an invoice is told from it by going on from the row above wherever the two differ, and beyond the amount.
  const told = sided || (sideAt >= 0 ? differs > 0 : over > 0 && on > 1 && on === apart);
  if (!mostly(runs, all, 6) || !told) return undefined;
  roles[open] = undefined;
  if (!sided && moving !== undefined) roles[moving] = 'open';
  return open;
};

/** Of amounts that no word names, what is open is often the whole document, and never more. */
export const tellOpen = (beside: Beside, running: number | undefined): void => {
  const { roles, names, units } = beside;
  const dated = datedIn(beside);
  const free = spareIn(beside).filter((column) => column !== running && !isAside(folded(names[column] ?? '')));
  const [open, original] = [place(beside, 'open'), place(beside, 'original')];
  const named = isOpen(names[open] ?? '');
  if (open < 0) return;
  if (original < 0) {
    const left = named ? undefined : free.find((column) => isPartOf(dated, beside, column, open));
    if (left !== undefined) [roles[open], roles[left]] = ['original', 'open'];
    const came = left === undefined ? free.find((column) => isPartOf(dated, beside, open, column)) : undefined;
    if (came !== undefined) roles[came] = 'original';
    return;
  }
  if (named) return;
  const same = (column: number): number =>
    isPartOf(dated, beside, column, original)
      ? dated.filter((row) => units(row, column) === units(row, original)).length
      : 0;
  const best = free.reduce((most, column) => (same(column) > same(most) ? column : most), open);
  if (best !== open) [roles[open], roles[best]] = [undefined, 'open'];
};

/** What is paid already beside what a document came to, where no column has what is left: that is the one less the other. */
export const tellPaid = (beside: Beside): void => {
  const { roles, names, contents, units } = beside;
  const [open, original] = [place(beside, 'open'), place(beside, 'original')];
  const isPaid = (column: number): boolean =>
    (contents[column]?.amounts ?? 0) >= 0.7 &&
    !isOpen(names[column] ?? '') &&
    PAID_WORDS.in(folded(names[column] ?? '')) !== undefined;
  const paid = names.findIndex((_, column) => (roles[column] === undefined || column === open) && isPaid(column));
  const whole = original >= 0 ? original : open;
  const left = open >= 0 && open !== paid && open !== whole;
  if (paid < 0 || whole < 0 || whole === paid || left || (whole === open && isOpen(names[open] ?? ''))) return;
  if (roles.some((role) => role === 'age' || role === 'debit' || role === 'credit')) return;
  const both = datedIn(beside).flatMap((row) => {
    const [came, went] = [units(row, whole), units(row, paid)];
    return came === undefined || went === undefined ? [] : [magnitude(went) <= magnitude(came)];
  });
  const told = spareIn(beside).some((column) => {
    const rows = datedIn(beside).filter((row) => (units(row, column) ?? 0n) !== 0n);
    const left = rows.filter((row) => units(row, column) === (units(row, whole) ?? 0n) - (units(row, paid) ?? 0n));
    return column !== paid && mostly(left.length, rows.length);
  });
  if (told || !mostly(both.filter(Boolean).length, both.length)) return;
  [roles[whole], roles[paid]] = ['original', 'paid'];
};
