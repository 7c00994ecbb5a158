import { folded } from '../base/folded';
import type { PaymentTerms } from '../company/terms';
import { lexicon } from '../words/lexicon';

/** What is to be paid at once. */
const AT_ONCE = lexicon(
  'at once, immediate, immediately, on receipt, due on receipt, upon receipt, cash, cod, cash on delivery, prompt, sofort, bar, nach erhalt, prompt netto, a reception, comptant, immediat, contado, al contado, inmediato, contanti, a vista, immediato, pronto pagamento, a pronto, contant, per direct, direct, natychmiast, gotowka, przy odbiorze, ihned, hotove, hotovost, azonnal, keszpenz, kontant, omgaende, omgående, straks, netto kontant, heti, kateinen, numerar, la primire, αμεσα, μετρητοις, pesin, nakit, 即時, 现金, 现付',
);

/** What counts from the end of the month of the document. */
const MONTH_END = lexicon(
  'eom, e o m, end of month, month end, month s end, of month end, from month end, monatsende, monatsletzter, ultimo, fin de mois, fdm, fin de mes, fine mese, df fm, dffm, f m, fim do mes, fim de mes, einde maand, eind maand, koniec miesiaca, konca miesiaca, konec mesice, konce mesice, honap vege, honap vegetol, manadens slut, manadsslut, lb md, lob md, lobende maned, lopende maned, fri maned, kuukauden loppu, kuukauden lopusta, sfarsitul lunii, τελος μηνα, ay sonu, ay sonundan, 月末, 月底',
);

/**
 * The terms on which the whole is to be paid; undefined where the text says none. What is taken off for paying sooner is no term:
 * "2/10 net 30", "14 Tage 2 %, 30 Tage netto".
 *
 * @example [termsIn('Net 30'), termsIn('2% 10 Net 45'), termsIn('Due on receipt'), termsIn('')] // [{ kind: 'days', days: 30 }, { kind: 'days', days: 45 }, { kind: 'days', days: 0 }, undefined]
 * @example [termsIn('EOM + 15'), termsIn('fin de mois')] // [{ kind: 'month-end', days: 15 }, { kind: 'month-end', days: 0 }]
 */
export const termsIn = (text: string): Extract<PaymentTerms, { readonly days: number }> | undefined => {
  if (text.length > MOST_TERMS) return undefined;
  const found = [...text.matchAll(/(?<![\d.,])(\d{1,3})(?![\d.,]*\d)(?!\s?%)/g)].map(([, days]) => Number(days));
  const days = found.length === 0 ? undefined : Math.max(...found);
  const words = folded(text);
  if (MONTH_END.in(words) !== undefined) return { kind: 'month-end', days: days ?? 0 };
  if (days !== undefined) return { kind: 'days', days };
  return AT_ONCE.in(words) === undefined ? undefined : { kind: 'days', days: 0 };
};

/** Longer texts are remarks. */
const MOST_TERMS = 80;
