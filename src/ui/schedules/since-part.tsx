'use client';

import type { FrameView } from '@/actions/frame/views';
import type { ItemFields } from '@/core/schedules/item';
import { type ItemChange, itemChanges } from '@/core/schedules/versions';
import { useMemo } from 'react';
import { MarginPart } from '../frame/frame';
import { moneyOf, sided } from '../parts/figures';

/** So many are listed; how many more there are is said. */
const MOST_LISTED = 12;

const HOW: Readonly<Record<ItemChange['how'], string>> = { came: 'new', went: 'gone', changed: 'changed' };

/** What a correction did to the items of the version before it: which came, went or are another. */
export const SincePart = ({
  frame,
  version,
  before,
  items,
  nameOf,
}: {
  readonly frame: FrameView;
  /** Of the version before. */
  readonly version: number;
  readonly before: readonly ItemFields[];
  readonly items: readonly ItemFields[];
  readonly nameOf: (item: ItemFields) => string;
}) => {
  const changes = useMemo(() => itemChanges(before, items), [before, items]);
  const amount = ({ open, currency }: ItemFields): string => sided(open, moneyOf(currency, frame));
  const counts = (['came', 'went', 'changed'] as const).flatMap((how) => {
    const count = changes.filter((one) => one.how === how).length;
    return count === 0 ? [] : [`${String(count)} ${HOW[how]}`];
  });
  return (
    <MarginPart title={`Against version ${String(version)}`}>
      {changes.length === 0 ? (
        <p>Every item is as it was.</p>
      ) : (
        <>
          <p>{counts.join(', ')}</p>
          <ul aria-label={`Items against version ${String(version)}`} className="mt-1 space-y-1">
            {changes.slice(0, MOST_LISTED).map((one, at) => (
              <li key={at} className="flex justify-between gap-3">
                <span>
                  {HOW[one.how]}: {nameOf(one.how === 'went' ? one.was : one.now)}
                </span>
                <span className="whitespace-nowrap tabular-nums">
                  {one.how === 'changed' && one.was.open !== one.now.open && `${amount(one.was)} → `}
                  {amount(one.how === 'went' ? one.was : one.now)}
                </span>
              </li>
            ))}
          </ul>
          {changes.length > MOST_LISTED && <p>and {String(changes.length - MOST_LISTED)} more</p>}
        </>
      )}
    </MarginPart>
  );
};
