import { folded } from '../base/folded';
import { lexicon } from '../words/lexicon';

/** What is to be paid at once. */
const AT_ONCE = lexicon(
  'at once, immediate, immediately, on receipt, due on receipt, upon receipt, cash, cod, cash on delivery, prompt, sofort, bar, nach erhalt, prompt netto, a reception, comptant, immediat, contado, al contado, inmediato, contanti, a vista, immediato, pronto pagamento, a pronto, contant, per direct, direct, natychmiast, gotowka, przy odbiorze, ihned, hotove, hotovost, azonnal, keszpenz, kontant, omgaende, omgående, straks, netto kontant, heti, kateinen, numerar, la primire, αμεσα, μετρητοις, pesin, nakit, 即時, 现金, 现付',
);

/**
 * The days within which terms say that the whole is to be paid; undefined where they say none. What is taken off for paying sooner is
 * no term: "2/10 net 30", "14 Tage 2 %, 30 Tage netto".
 *
 * @example [termDaysIn('Net 30'), termDaysIn('2% 10 Net 45'), termDaysIn('Due on receipt'), termDaysIn('')] // [30, 45, 0, undefined]
 */
export const termDaysIn = (text: string): number | undefined => {
  if (text.length > MOST_TERMS) return undefined;
  const days = [...text.matchAll(/(?<![\d.,])(\d{1,3})(?![\d.,]*\d)(?!\s?%)/g)].map(([, found]) => Number(found));
  if (days.length > 0) return Math.max(...days);
  return AT_ONCE.in(folded(text)) === undefined ? undefined : 0;
};

/** Longer texts are remarks. */
const MOST_TERMS = 80;
