import { type DateStyle, PLAIN_DATES } from '../base/date-style';
import { type Currency, isCurrency } from '../money/currency';
import type { NumberStyle } from '../money/number-style';

/**
 * ISO 3166-1 alpha-2 countries with the currency in official use (ISO 4217). The name comes from Intl at the edge.
 * Several codes share a line by their currency.
 */
const BY_CURRENCY =
  'AED:AE AFN:AF ALL:AL AMD:AM AOA:AO ARS:AR AUD:AU,KI,NR,TV AWG:AW AZN:AZ BAM:BA BBD:BB BDT:BD BHD:BH BIF:BI BMD:BM ' +
  'BND:BN BOB:BO BRL:BR BSD:BS BTN:BT BWP:BW BYN:BY BZD:BZ CAD:CA CDF:CD CHF:CH,LI CLP:CL CNY:CN COP:CO CRC:CR CUP:CU ' +
  'CVE:CV CZK:CZ DJF:DJ DKK:DK,FO,GL DOP:DO DZD:DZ EGP:EG ERN:ER ETB:ET ' +
  'EUR:AD,AT,BE,BG,CY,DE,EE,ES,FI,FR,GR,HR,IE,IT,LT,LU,LV,MC,ME,MT,NL,PT,SI,SK,SM,VA,XK ' +
  'FJD:FJ GBP:GB,GG,IM,JE GEL:GE GHS:GH GIP:GI GMD:GM GNF:GN GTQ:GT GYD:GY HKD:HK HNL:HN HTG:HT HUF:HU IDR:ID ILS:IL,PS ' +
  'INR:IN IQD:IQ IRR:IR ISK:IS JMD:JM JOD:JO JPY:JP KES:KE KGS:KG KHR:KH KMF:KM KPW:KP KRW:KR KWD:KW KYD:KY KZT:KZ ' +
  'LAK:LA LBP:LB LKR:LK LRD:LR LSL:LS LYD:LY MAD:MA MDL:MD MGA:MG MKD:MK MMK:MM MNT:MN MOP:MO MRU:MR MUR:MU MVR:MV ' +
  'MWK:MW MXN:MX MYR:MY MZN:MZ NAD:NA NGN:NG NIO:NI NOK:NO,SJ NPR:NP NZD:NZ,CK,NU OMR:OM PAB:PA PEN:PE PGK:PG PHP:PH ' +
  'PKR:PK PLN:PL PYG:PY QAR:QA RON:RO RSD:RS RUB:RU RWF:RW SAR:SA SBD:SB SCR:SC SDG:SD SEK:SE SGD:SG SLE:SL SOS:SO ' +
  'SRD:SR SSP:SS STN:ST SVC:SV SYP:SY SZL:SZ THB:TH TJS:TJ TMT:TM TND:TN TOP:TO TRY:TR TTD:TT TWD:TW TZS:TZ UAH:UA ' +
  'UGX:UG USD:US,EC,FM,MH,PR,PW,TL,VI UYU:UY UZS:UZ VES:VE VND:VN VUV:VU WST:WS XAF:CM,CF,CG,GA,GQ,TD ' +
  'XCD:AG,DM,GD,KN,LC,VC XOF:BF,BJ,CI,GW,ML,NE,SN,TG XPF:NC,PF YER:YE ZAR:ZA ZMW:ZM ZWG:ZW';

const CURRENCY: ReadonlyMap<string, Currency> = new Map(
  BY_CURRENCY.split(' ').flatMap((entry) => {
    const [currency = '', countries = ''] = entry.split(':');
    return isCurrency(currency) ? countries.split(',').map((country): [string, Currency] => [country, currency]) : [];
  }),
);

export const COUNTRY_CODES: readonly string[] = [...CURRENCY.keys()].sort();

export const isCountry = (code: string): boolean => CURRENCY.has(code);

/** The currency in official use, proposed as base currency. */
export const currencyOf = (country: string): Currency | undefined => CURRENCY.get(country);

const STYLES: readonly (readonly [NumberStyle, string])[] = [
  ['1.234,56', 'DE,AT,IT,ES,NL,BE,DK,GR,SI,HR,TR,BR,AR,CO,ID,RO,RS,IS,CY,VN,UY,PY'],
  ['1 234,56', 'CZ,SK,PL,FR,NO,SE,FI,HU,BG,UA,EE,LV,LT,PT,BY,RU,KZ,GE,AM,AZ,MD,LU,NC,PF,SN,CI,CM'],
  ["1'234.56", 'CH,LI'],
  ['12,34,567.00', 'IN,BD,NP,PK'],
];

/** How numbers are customarily written in the country; proposed, never forced. */
export const numberStyleOf = (country: string): NumberStyle =>
  STYLES.find(([, countries]) => countries.split(',').includes(country))?.[0] ?? '1,234.56';

/** Countries that write the month first, and those that write the year first, where dates are numbers. */
const ORDERS = {
  mdy: ['US', 'PH', 'FM', 'MH', 'PW'],
  ymd: ['JP', 'CN', 'KR', 'KP', 'TW', 'HU', 'LT', 'MN', 'SE', 'CA'],
};

/** How dates are customarily written in the country, months by name; proposed, never forced. */
export const datesOf = (country: string): DateStyle => ({
  ...PLAIN_DATES,
  order: ORDERS.mdy.includes(country) ? 'mdy' : ORDERS.ymd.includes(country) ? 'ymd' : PLAIN_DATES.order,
});
