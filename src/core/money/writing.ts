import { type DateStyle, writeStyled } from '../base/date-style';
import type { Writing } from '../base/sentence';
import { type NumberStyle, marksOf } from './number-style';
import { grouped } from './format';

/**
 * How books write what stands in sentences.
 *
 * @example writingOf({ style: '1.234,56', dates: PLAIN_DATES }).number('-1234.5') // '-1.234,5'
 */
export const writingOf = ({ style, dates }: { readonly style: NumberStyle; readonly dates: DateStyle }): Writing => ({
  date: (iso) => writeStyled(iso, dates),
  number: (decimal) => {
    const [whole = '', fraction] = decimal.split('.');
    return grouped(whole, style) + (fraction === undefined ? '' : marksOf(style).decimal + fraction);
  },
});
