import { type LegalForm, legalFormLabel } from '../company/legal-form';
import { folded } from '../base/table';

/** Words of equity accounts that belong to certain legal forms only. */
const BELONGS: readonly (readonly [words: RegExp, what: string, forms: readonly LegalForm[]])[] = [
  [
    /\bshare (capital|premium)\b|\bordinary shares\b|\bdividends?\b/,
    'share capital and dividends',
    ['limited-company'],
  ],
  [
    /\bdirectors? (loan|current) account\b|\bdirectors? loan\b/,
    'directors',
    ['limited-company', 'co-operative', 'charity', 'association', 'foundation'],
  ],
  [/\bowner s? ?(capital|drawings|equity)\b|\bproprietor/, 'an owner’s capital and drawings', ['sole-trader']],
  [/\bpartners? s? ?(capital|drawings|current)/, 'partners’ capital', ['partnership']],
  [/\bmembers? s? ?shares?\b|\bindivisible reserve\b/, 'members’ shares', ['co-operative']],
  [/\bmembers? s? ?(capital|distributions|retained)/, 'members’ capital', ['members-company']],
  [
    /\b(un)?restricted funds?\b|\bdesignated funds?\b|\baccumulated fund\b|\bendowment\b/,
    'funds',
    ['charity', 'association', 'foundation'],
  ],
  [/\bhead office account\b/, 'a head office', ['branch']],
  [
    /\bcorporation tax\b/,
    'corporation tax',
    ['limited-company', 'members-company', 'co-operative', 'branch', 'charity', 'association', 'foundation', 'other'],
  ],
];

/** Why an account of this name does not fit the legal form, or undefined. */
export const misfit = (name: string, form: LegalForm): string | undefined => {
  if (form === 'other') return undefined;
  const words = folded(name.replace(/[’']s\b/g, ' s').replace(/s[’']/g, 's '));
  const found = BELONGS.find(([pattern, , forms]) => !forms.includes(form) && pattern.test(words));
  return found === undefined
    ? undefined
    : `a company of the form ${legalFormLabel(form).toLowerCase()} has no ${found[1]}`;
};

/** Names that take whatever nobody wanted to think about. */
const CATCH_ALL =
  /^(misc|miscellaneous|sundry|sundries|general|various|unallocated|uncategori[sz]ed|other|diverse|divers|ruzne|sonstige[sr]?)( (expenses?|costs?|income|items?|account|overheads?|payments?|receipts?|naklady|aufwendungen))?$|\b(misc|miscellaneous|sundry|sundries|unallocated|uncategori[sz]ed|ask my accountant)\b/;

export const isCatchAll = (name: string): boolean => CATCH_ALL.test(folded(name));
