import type { FrameView } from '@/actions/frame/views';
import { plainDate } from '@/core/base/dates';
import { writeStyled } from '@/core/base/date-style';
import type { ItemFields } from '@/core/schedules/item';
import { type ReturnFacts, returnsToList } from '@/core/schedules/things/returns';
import { MarginPart } from '../frame/frame';
import { sided } from '../parts/figures';
import { day } from '../parts/names';

/** The return periods up to the opening date, with what is listed of each; one of which nothing is can be begun. */
export const ReturnsPart = ({
  frame,
  facts,
  items,
  open,
  onAdd,
}: {
  readonly frame: FrameView;
  readonly facts: ReturnFacts;
  readonly items: readonly ItemFields[];
  readonly open: boolean;
  /** Begins an item of a day, with the period as its reference. */
  readonly onAdd: (date: string, period: string) => void;
}) => {
  const returns = returnsToList(facts, items, plainDate(frame.openingDate));
  if (returns.length === 0) return null;
  return (
    <MarginPart title="Return periods">
      {returns.map((one) => {
        const period = `${day(one.start, frame.dates)} – ${day(one.end, frame.dates)}`;
        const last = one.goesOn ? frame.openingDate : one.end;
        return (
          <p key={one.start} className="mb-1.5">
            {period}
            {one.goesOn && <span className="note"> so far</span>}
            <span className="flex items-baseline justify-between gap-3">
              {one.items > 0 ? (
                <span className="tabular-nums">{sided(one.open, frame)}</span>
              ) : (
                <span className="text-ochre">nothing listed: filed and paid?</span>
              )}
              {open && one.items === 0 && (
                <button
                  type="button"
                  className="btn btn-xs"
                  onClick={() =>
                    onAdd(writeStyled(last, frame.dates), `${day(one.start, frame.dates)} – ${day(last, frame.dates)}`)
                  }
                >
                  Add it
                </button>
              )}
            </span>
          </p>
        );
      })}
    </MarginPart>
  );
};
