import { plural } from '@/core/base/result';
import { asIsoDate, plainDate } from '@/core/base/dates';
import { CutoverEffects, CutoverOptions } from './cutover-choice';
import type { CalendarView, useCalendarDraft } from './use-draft';

/** What taking the draft would do, with the day on which the books take over in it, and the two ways out of it. */
export const DraftBar = ({
  view,
  draft,
}: {
  readonly view: CalendarView;
  readonly draft: ReturnType<typeof useCalendarDraft>;
}) => {
  const { frame, years } = view;
  const { years: shown, preview, cutover } = draft;
  return (
    <div className="my-1.5 border-l-4 border-ochre bg-paper-2 px-3 py-1.5">
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-sm" role="status">
          <strong className="font-medium">Not taken yet.</strong>{' '}
          {preview?.ok === true
            ? [
                ...(preview.value.insert.length > 0 ? [`${plural(preview.value.insert.length, 'year')} drawn`] : []),
                ...(preview.value.rename.length > 0
                  ? [`${plural(preview.value.rename.length, 'year')} with the same days`]
                  : []),
                ...(years.some((one) => !shown.some((other) => other.id === one.id)) ? ['some deleted'] : []),
              ].join(', ')
            : 'It cannot be taken as it stands.'}
        </span>
        <label className="flex items-center gap-1.5 text-sm">
          These books take over on
          <select
            value={cutover}
            disabled={view.posted && !view.correcting}
            onChange={(event) => draft.setCutover(asIsoDate(event.target.value))}
            className="select select-xs w-auto"
          >
            <CutoverOptions years={shown} chosen={cutover} dates={frame.dates} />
          </select>
        </label>
        <button
          type="button"
          className="btn btn-primary btn-xs"
          disabled={preview?.ok !== true}
          onClick={() => void draft.keep()}
        >
          Take this calendar
        </button>
        <button type="button" className="btn btn-xs" onClick={draft.undo}>
          Undo last step
        </button>
        <button type="button" className="btn btn-xs" onClick={draft.drop}>
          Put back
        </button>
      </div>
      {preview?.ok === true && (
        <CutoverEffects
          from={plainDate(frame.cutover)}
          to={plainDate(cutover)}
          facts={{
            years: shown,
            currencies: view.currencies,
            figures: view.figures,
            results: view.results,
            schedules: view.schedules,
            things: view.things,
          }}
          dates={frame.dates}
        />
      )}
    </div>
  );
};
