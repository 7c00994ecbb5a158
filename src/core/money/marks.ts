import { type Currency, asCurrency, isCurrency } from './currency';

const DOLLARS =
  'USD AUD CAD NZD SGD HKD TWD MXN ARS CLP COP UYU BBD BMD BND BSD BZD DOP FJD GYD JMD KYD LRD NAD NIO SBD SRD TTD XCD';

/** What stands beside amounts for currencies, in lower case, with the currencies it may mean (ISO 4217). */
const MARKS: Readonly<Record<string, string>> = {
  '€': 'EUR',
  '£': 'GBP EGP FKP GIP SHP SSP SDG SYP LBP',
  $: DOLLARS,
  us$: 'USD',
  a$: 'AUD',
  c$: 'CAD',
  ca$: 'CAD',
  nz$: 'NZD',
  s$: 'SGD',
  hk$: 'HKD',
  nt$: 'TWD',
  mx$: 'MXN',
  r$: 'BRL',
  '¥': 'JPY CNY',
  '￥': 'JPY CNY',
  '₹': 'INR',
  '₨': 'PKR LKR NPR MUR SCR INR',
  rs: 'INR PKR LKR NPR MUR SCR',
  '₽': 'RUB',
  '₩': 'KRW KPW',
  '₺': 'TRY',
  tl: 'TRY',
  '₴': 'UAH',
  '₫': 'VND',
  '₱': 'PHP',
  '₦': 'NGN',
  '₪': 'ILS',
  '฿': 'THB',
  '₡': 'CRC',
  '₲': 'PYG',
  '₵': 'GHS',
  '₸': 'KZT',
  '₮': 'MNT',
  '₭': 'LAK',
  '₼': 'AZN',
  '₾': 'GEL',
  '₿': '',
  kr: 'DKK NOK SEK ISK',
  kč: 'CZK',
  zł: 'PLN',
  ft: 'HUF',
  lei: 'RON MDL',
  fr: 'CHF XAF XOF XPF',
  sfr: 'CHF',
  r: 'ZAR',
  rp: 'IDR',
  rm: 'MYR',
  ksh: 'KES',
  tsh: 'TZS',
  ush: 'UGX',
  's/': 'PEN',
  bs: 'BOB VES',
  rd$: 'DOP',
  j$: 'JMD',
  tt$: 'TTD',
  n$: 'NAD',
  km: 'BAM',
  дин: 'RSD',
  din: 'RSD',
  ден: 'MKD',
  лв: 'BGN',
  руб: 'RUB',
  грн: 'UAH',
  тг: 'KZT',
  dhs: 'AED',
  '﷼': 'IRR SAR OMR QAR YER',
  دإ: 'AED',
  رس: 'SAR',
  رق: 'QAR',
  رع: 'OMR',
  دك: 'KWD',
  دب: 'BHD',
  جم: 'EGP',
  دت: 'TND',
  دم: 'MAD',
  دج: 'DZD',
  لل: 'LBP',
  원: 'KRW',
  บาท: 'THB',
  đ: 'VND',
  円: 'JPY',
  元: 'CNY',
};

const plainOf = (mark: string): string => mark.toLowerCase().replaceAll('.', '');

/**
 * Whether a mark beside an amount ("€", "kr.", "NOK") may stand for the currency: "$" may be any dollar, "NOK" only itself.
 * A mark that is not known stands for none.
 */
export const mayMean = (mark: string, currency: Currency): boolean => {
  const plain = plainOf(mark);
  return (
    mark.toUpperCase() === currency ||
    (!isCurrency(mark.toUpperCase()) &&
      Object.hasOwn(MARKS, plain) &&
      (MARKS[plain] ?? '').split(' ').includes(currency))
  );
};

/** The currencies that a mark or code may stand for. */
export const currenciesOfMark = (mark: string): readonly Currency[] => {
  const [plain, code] = [plainOf(mark), asCurrency(mark.toUpperCase())];
  if (code !== undefined) return [code];
  return Object.hasOwn(MARKS, plain) ? (MARKS[plain] ?? '').split(' ').filter(isCurrency) : [];
};

/** Whether a text is a currency's code or one of its marks. */
export const isMark = (text: string): boolean => isCurrency(text.toUpperCase()) || Object.hasOwn(MARKS, plainOf(text));
