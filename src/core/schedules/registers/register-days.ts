/** A month as registers write it: "03/2019", "2019-03", "3.2019". */
const MONTH = /^(?:(0?[1-9]|1[0-2])[./-]((?:19|20)\d\d)|((?:19|20)\d\d)[./-](0?[1-9]|1[0-2]))$/;

/**
 * The first day of a month that stands without a day, ISO; undefined for any other text.
 *
 * @example [monthOf('3/2019'), monthOf('2019-11'), monthOf('2019')] // ['2019-03-01', '2019-11-01', undefined]
 */
export const monthOf = (text: string): string | undefined => {
  const [, month, year, yearFirst, monthLast] = MONTH.exec(text) ?? [];
  const [whole, part] = [year ?? yearFirst, month ?? monthLast];
  return whole === undefined || part === undefined ? undefined : `${whole}-${part.padStart(2, '0')}-01`;
};
