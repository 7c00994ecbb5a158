import type { IsoDate } from '../base/iso-date';
import type { Purpose } from '../company/facts';
import { folded } from '../base/table';
import { STAGES, type StageId } from './stage-ids';

/** What the board looks at when it searches, filters and sorts. */
export interface BoardEntry {
  readonly name: string;
  readonly tradingName: string;
  readonly remark: string;
  readonly inCharge: string;
  readonly purpose: Purpose;
  readonly archived: boolean;
  readonly cutover: IsoDate;
  readonly next: { readonly id: StageId } | null;
  readonly blockers: number;
}

export const BOARD_ORDERS = [
  { id: 'name', label: 'by name' },
  { id: 'cutover', label: 'by cutover date' },
  { id: 'blockers', label: 'by open blockers' },
] as const;

export interface BoardWish {
  readonly words: string;
  /** A stage that is next, `done` for books that stand, or empty for all. */
  readonly state: StageId | 'done' | '';
  readonly purpose: Purpose | '';
  /** A person, `nobody`, or empty for all. */
  readonly person: string;
  readonly order: (typeof BOARD_ORDERS)[number]['id'];
  readonly archived: boolean;
}

export const EVERYTHING: BoardWish = { words: '', state: '', purpose: '', person: '', order: 'name', archived: false };

export const NOBODY = 'nobody';

export const BOARD_STATES: readonly { readonly id: StageId | 'done'; readonly label: string }[] = [
  ...STAGES.map(({ id, label }) => ({ id, label: `next: ${label}` })),
  { id: 'done', label: 'posted and standing' },
];

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** The books that the wish asks for, in its order; each word has to be found in name, trading name, remark or person. */
export const onBoard = <B extends BoardEntry>(books: readonly B[], wish: BoardWish): readonly B[] => {
  const words = folded(wish.words)
    .split(' ')
    .filter((word) => word !== '');
  const found = books.filter((one) => {
    if (one.archived !== wish.archived) return false;
    if (wish.purpose !== '' && one.purpose !== wish.purpose) return false;
    if (wish.state !== '' && (one.next?.id ?? 'done') !== wish.state) return false;
    if (wish.person !== '' && (one.inCharge === '' ? NOBODY : one.inCharge) !== wish.person) return false;
    const text = words.length === 0 ? '' : folded(`${one.name} ${one.tradingName} ${one.remark} ${one.inCharge}`);
    return words.every((word) => text.includes(word));
  });
  const byName = (a: B, b: B): number => collator.compare(a.name, b.name);
  return found.sort((a, b) => {
    if (wish.order === 'cutover' && a.cutover !== b.cutover) return a.cutover < b.cutover ? -1 : 1;
    if (wish.order === 'blockers' && a.blockers !== b.blockers) return b.blockers - a.blockers;
    return byName(a, b);
  });
};
