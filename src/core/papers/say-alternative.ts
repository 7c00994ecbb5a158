import type { Minor } from '../money/minor';
import { plural } from '../base/result';
import type { Reading } from './reading';

/** Another way to read a paper that is nearly as likely as the one proposed. */
export interface Alternative {
  readonly what: string;
  readonly reading: Reading;
  readonly net: Minor;
  readonly accounts: number;
}

/** What another reading would give, as the beginning of a sentence. */
export const sayAlternative = ({ what, net, accounts }: Pick<Alternative, 'what' | 'net' | 'accounts'>): string =>
  `It may also be read with ${what}: ${plural(accounts, 'account')}${net === 0n ? ', which net to zero too' : ''}`;
