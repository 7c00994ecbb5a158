import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LEGAL_FORM_IDS } from '../../company/legal-form';
import { type Account, PLAIN_ACCOUNT, accountId, accountProblems, chartIndex } from '../account';
import { roleFacts, typeOf } from '../../ledger/classes';
import { isCatchAll, misfit } from '../suits';
import {
  type Answers,
  MOST_TRADES,
  PREMISES,
  QUESTIONS,
  TRADE_IDS,
  VOCABULARIES,
  answersFrom,
  tradesIn,
  vocabularyOf,
} from './answers';
import { GROUPS, HEADINGS } from './catalogue';
import { type ComposedAccount, compose, neededRoles } from './compose';

/** Every way to answer yes or no to every question. */
const everyYesNo = Array.from(
  { length: 2 ** QUESTIONS.length },
  (_, bits) =>
    Object.fromEntries(QUESTIONS.map(({ id }, at) => [id, ((bits >> at) & 1) === 1])) as Pick<
      Answers,
      (typeof QUESTIONS)[number]['id']
    >,
);

/** Names recur in a hundred thousand charts; each is looked at once. */
const once = <T>(look: (name: string) => T): ((name: string) => T) => {
  const seen = new Map<string, T>();
  return (name) => {
    const found = seen.get(name) ?? look(name);
    seen.set(name, found);
    return found;
  };
};
const catchAll = once(isCatchAll);
const odd = Object.fromEntries(
  LEGAL_FORM_IDS.map((form) => [form, once((name) => misfit(name, form) ?? '')]),
) as Record<Answers['legalForm'], (name: string) => string>;
const RANGES = new Map(HEADINGS.map((heading) => [heading.code, heading]));

/** What must hold of any composed chart; the first thing that does not, as a text. Plain code: it runs a hundred thousand times. */
const broken = (answers: Answers, chart: readonly ComposedAccount[]): string | undefined => {
  const headings = new Map<string, ComposedAccount>();
  const filled = new Set<string>();
  const codes = new Set<string>();
  const roles = new Map<string, number>();
  const sales: string[] = [];
  let posting = 0;
  for (const account of chart) {
    if (codes.has(account.code)) return `${account.code} twice`;
    codes.add(account.code);
    if (account.heading) headings.set(account.code, account);
    else {
      posting += 1;
      const heading = RANGES.get(account.parent ?? '');
      if (heading === undefined || account.code < heading.from || account.code > heading.to)
        return `${account.code} out of range`;
      if (catchAll(account.name)) return `${account.name} is a catch-all`;
      const unfit = odd[answers.legalForm](account.name);
      if (unfit !== '') return `${account.name}: ${unfit}`;
    }
    if (account.parent !== null) {
      const parent = headings.get(account.parent);
      if (parent === undefined) return `${account.code} stands before its heading`;
      if (parent.classification !== account.classification) return `${account.code} on another line than its heading`;
      filled.add(account.parent);
    }
    if (account.role !== null) {
      roles.set(account.role, (roles.get(account.role) ?? 0) + 1);
      if (!roleFacts(account.role).types.includes(typeOf(account.classification))) return `${account.code} role`;
      if (roleFacts(account.role).single && roles.get(account.role) !== 1) return `role ${account.role} twice`;
    }
    if (account.origin === '') return `${account.code} cannot say why it is there`;
    if (account.classification === 'revenue' && !account.heading && !account.contra) sales.push(account.code);
  }
  for (const code of sales) if (!codes.has(`5${code.slice(1)}`)) return `${code} has no cost of sales`;
  for (const code of headings.keys()) if (!filled.has(code)) return `heading ${code} is empty`;
  for (const role of neededRoles(answers)) if (!roles.has(role)) return `no account for ${role}`;
  return posting > 120 ? `${posting} accounts` : undefined;
};

const anyAnswers = fc
  .record({
    legalForm: fc.constantFrom(...LEGAL_FORM_IDS),
    vocabulary: fc.constantFrom(...VOCABULARIES.map(({ id }) => id)),
    trades: fc.uniqueArray(fc.constantFrom(...TRADE_IDS), { maxLength: MOST_TRADES }),
    yesNo: fc.constantFrom(...everyYesNo),
    premises: fc.constantFrom(...PREMISES.map(({ id }) => id)),
    currencies: fc.uniqueArray(fc.constantFrom('NOK', 'GBP', 'USD', 'JPY', 'CZK', 'TND', 'EUR', 'SEK'), {
      maxLength: 8,
    }),
  })
  .map(({ yesNo, ...rest }): Answers => ({ ...rest, ...yesNo }));

describe('a chart composed from answers', () => {
  it('keeps the laws in every combination of legal form, trade and yes or no, premises going round', () => {
    const wrong: string[] = [];
    let count = 0;
    for (const legalForm of LEGAL_FORM_IDS)
      for (const trade of [undefined, ...TRADE_IDS])
        for (const yesNo of everyYesNo) {
          count += 1;
          const answers: Answers = {
            ...yesNo,
            legalForm,
            // One further each time, and each time round, so that every answer meets every kind of premises.
            premises: PREMISES[(count + Math.floor(count / everyYesNo.length)) % PREMISES.length]?.id ?? 'none',
            currencies: ['NOK'],
            vocabulary: 'international',
            trades: trade === undefined ? [] : [trade],
          };
          const found = broken(answers, compose(answers));
          if (found !== undefined) wrong.push(`${found}: ${JSON.stringify(answers)}`);
        }
    expect(wrong.slice(0, 5)).toEqual([]);
  });

  it('keeps the laws for several trades at once, in every vocabulary', () => {
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        expect(broken(answers, compose(answers))).toBeUndefined();
      }),
      {
        numRuns: 2000,
      },
    );
  });

  it('holds no code twice whichever trades come together, because no two groups of trades share one', () => {
    const codes = GROUPS.filter(({ when }) => when.forms === undefined).flatMap(({ accounts }) =>
      accounts.map(([code]) => code),
    );
    expect(codes.filter((code, at) => codes.indexOf(code) !== at)).toEqual([]);
  });

  it('is a chart that the rules for accounts accept', () => {
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const composed = compose(answers);
        const ids = new Map(composed.map((one, at) => [one.code, accountId(at + 1)]));
        const chart = composed.map((one): Account => ({
          ...PLAIN_ACCOUNT,
          ...one,
          id: ids.get(one.code) ?? accountId(0),
          parent: one.parent === null ? null : (ids.get(one.parent) ?? null),
        }));
        const index = chartIndex(chart);
        expect(chart.flatMap((one) => accountProblems(one, index, one.id))).toEqual([]);
      }),
      { numRuns: 50 },
    );
  });

  it('only adds accounts when a question is answered yes, and takes away just those when it is taken back', () => {
    fc.assert(
      fc.property(anyAnswers, fc.constantFrom(...QUESTIONS.map(({ id }) => id)), (answers, question) => {
        const codes = (yes: boolean) =>
          compose({ ...answers, [question]: yes })
            .filter((one) => !one.heading)
            .map((one) => one.code);
        const [without, withIt] = [codes(false), new Set(codes(true))];
        expect(without.filter((code) => !withIt.has(code))).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });

  it('says in the words of the answer why an account is there', () => {
    const answers: Answers = {
      ...answersFrom(
        {
          legalForm: 'limited-company',
          country: 'IE',
          parts: ['stock', 'currencies'],
          taxRegistered: 'yes',
          industry: 'growing and drying seaweed',
        },
        ['NOK'],
      ),
    };
    const chart = new Map(compose(answers).map((one) => [one.code, one]));
    expect(chart.get('1200')?.origin).toBe('It keeps stock');
    expect(chart.get('3010')).toMatchObject({ name: 'Share capital', origin: 'Legal form: Limited company' });
    expect(chart.get('4150')?.origin).toBe('It does: farming, fishing, growing');
    expect(chart.get('1240')?.origin).toBe('It does: farming, fishing, growing; It keeps stock');
    expect(chart.get('1020')).toMatchObject({ name: 'Bank account in NOK', currency: 'NOK', role: 'bank' });
    expect(chart.get('2200')?.name).toBe('VAT payable');
    expect(chart.get('1519')).toMatchObject({ contra: true, role: 'accumulated-depreciation' });
  });

  it('makes a chart of ordinary size for an ordinary company', () => {
    const size = (answers: Partial<Answers>) =>
      compose({
        ...answersFrom(
          {
            legalForm: 'limited-company',
            country: 'CZ',
            parts: ['stock', 'trade', 'loans'],
            taxRegistered: 'yes',
            industry: 'floor tiles',
          },
          [],
        ),
        ...answers,
      }).length;
    expect(size({ vehicles: true })).toBeGreaterThanOrEqual(60);
    expect(size({})).toBeLessThanOrEqual(120);
  });

  it('reads trades out of what a company says it does, and the vocabulary out of its country', () => {
    expect(tradesIn('theatre and young players')).toEqual(['arts-events']);
    expect(tradesIn('growing and drying seaweed')).toEqual(['farming-fishing']);
    expect(tradesIn('')).toEqual([]);
    expect(vocabularyOf('IE')).toBe('british-irish');
    expect(vocabularyOf('ZZ')).toBe('international');
  });
});
