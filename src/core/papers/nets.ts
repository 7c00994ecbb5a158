import { type Minor, negate } from '../money/minor';
import type { Convention } from './reading';

/** What the account rows come to under one convention, debit positive. */
export interface Net {
  readonly convention: Convention;
  readonly net: Minor;
}

const MEANS: Readonly<Record<Convention, string>> = {
  written: 'The side of each amount is written in the paper',
  'columns-signed': 'Two columns, in which credits carry a minus of their own',
  'debit-positive': 'One balance column: a plain amount is taken as a debit, a negative one as a credit',
  'credit-positive': 'One balance column: a plain amount is taken as a credit, a negative one as a debit',
  'normal-side': 'One balance column: a plain amount is taken on the normal side of its account',
  'section-side': 'One balance column: a plain amount is taken on the side of the section in which it stands',
};

export const sayNets = (convention: Convention, nets: readonly Net[]): string => {
  const own = nets.find((one) => one.convention === convention);
  const others = nets.filter(
    (one) => one.convention !== convention && one.net !== own?.net && one.net !== negate(own?.net ?? one.net),
  );
  return `${MEANS[convention]}${
    own === undefined
      ? ''
      : own.net === 0n
        ? others.length > 0
          ? ': so it nets to zero, and otherwise it would not'
          : ': so it nets to zero'
        : nets.length > 1
          ? ': it comes closest to zero so'
          : ''
  }.`;
};
