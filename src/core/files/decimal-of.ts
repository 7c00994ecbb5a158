/**
 * The exact decimal text of a spreadsheet's number. Spreadsheets compute in binary and keep 15 significant digits, so
 * noise beyond the fifteenth (0.30000000000000004) is dropped; what remains is the decimal that the sheet displays.
 */
export const decimalOf = (value: number): string => {
  const [mantissa = '0', exponent = '0'] = value.toExponential(14).split('e');
  const negative = mantissa.startsWith('-');
  const digits = mantissa.replace(/[-.]/g, '').replace(/(?<!0)0+$/, '') || '0';
  const point = Number(exponent) + 1;
  const text =
    point <= 0
      ? `0.${'0'.repeat(-point)}${digits}`
      : digits.length <= point
        ? digits + '0'.repeat(point - digits.length)
        : `${digits.slice(0, point)}.${digits.slice(point)}`;
  return negative && digits !== '0' ? `-${text}` : digits === '0' ? '0' : text;
};
