/**
 * The kinds of error that the out-of-balance search knows. `prior` is how often an opening position that does not net to
 * zero is out for this reason, in the practice of taking over trial balances: keying and sign errors are the usual ones,
 * a whole class turned round or a rate the wrong way up are rare. Only the proportions matter.
 */
export const ERROR_KINDS = [
  { id: 'differs', prior: 0.2, label: 'the figure is not the paper’s' },
  { id: 'side', prior: 0.17, label: 'on the wrong side' },
  { id: 'left-out', prior: 0.14, label: 'a row of the paper not taken' },
  { id: 'transposed', prior: 0.12, label: 'two digits transposed' },
  { id: 'digit', prior: 0.07, label: 'one digit wrong, missing or doubled' },
  { id: 'twice', prior: 0.07, label: 'taken twice' },
  { id: 'slipped', prior: 0.07, label: 'the decimal slipped' },
  { id: 'subtotal', prior: 0.06, label: 'a subtotal taken as an account' },
  { id: 'heading', prior: 0.06, label: 'a heading filled as well as its parts' },
  { id: 'zero', prior: 0.04, label: 'a zero too many or too few' },
  { id: 'results', prior: 0.04, label: 'results not closed, or closed twice' },
  { id: 'rounding', prior: 0.02, label: 'the rounding of the paper' },
  { id: 'class-sign', prior: 0.02, label: 'one class with its sign reversed' },
  { id: 'currency', prior: 0.02, label: 'an amount in currency taken as base' },
  { id: 'rate-inverted', prior: 0.015, label: 'the rate the wrong way up' },
  { id: 'rate-date', prior: 0.015, label: 'the rate of another date' },
] as const;

export type ErrorKind = (typeof ERROR_KINDS)[number]['id'];

const facts = new Map(ERROR_KINDS.map((one) => [one.id, one]));

export const priorOf = (kind: ErrorKind): number => facts.get(kind)?.prior ?? 0;
export const labelOf = (kind: ErrorKind): string => facts.get(kind)?.label ?? kind;
