/** Which of two or more looks at the same page is shown. */
export const ViewSwitch = <View extends string>({
  views,
  shown,
  onShow,
}: {
  readonly views: readonly (readonly [view: View, label: string])[];
  readonly shown: View;
  readonly onShow: (view: View) => void;
}) => (
  <span className="flex gap-3 text-sm" role="group" aria-label="View">
    {views.map(([view, label]) => (
      <button
        key={view}
        type="button"
        aria-pressed={view === shown}
        className={view === shown ? 'font-semibold' : 'text-ink-2'}
        onClick={() => onShow(view)}
      >
        {label}
      </button>
    ))}
  </span>
);
