import type { StageState } from '@/core/stages';

/** The plinth: one stone per stage from the ground up. A laid stone is solid, a begun one filled in part, a missing one only outlined. */
export const Plinth = ({
  stages,
  named = false,
}: {
  readonly stages: readonly StageState[];
  readonly named?: boolean;
}) => {
  const height = named ? 34 : 9;
  const width = named ? 300 : 92;
  const step = named ? 16 : 5;
  const total = stages.length * height;
  return (
    <svg
      viewBox={`0 -1 ${String(width)} ${String(total + 2)}`}
      role="img"
      aria-label={stages.map((stage) => `${stage.label}: ${stage.note}`).join('; ')}
      className={named ? 'h-auto w-full max-w-md' : 'h-14 w-24'}
    >
      {stages.map((stage, at) => {
        const inset = (at * step) / 2;
        const y = total - (at + 1) * height;
        const wide = width - 2 * inset - 2;
        return (
          <g key={stage.id}>
            <rect
              x={inset + 1}
              y={y + 0.5}
              width={wide}
              height={height - 1.5}
              rx={1}
              className="fill-paper stroke-ink-2"
              strokeWidth={named ? 1 : 0.6}
              {...(stage.fill === 0 ? { strokeDasharray: '3 2' } : {})}
            />
            {stage.fill > 0 && (
              <rect
                x={inset + 1.5}
                y={y + 1}
                width={(wide - 1) * (stage.fill / 100)}
                height={height - 2.5}
                className="fill-stone"
              />
            )}
            {named && (
              <>
                <text x={inset + 12} y={y + 21} className="fill-ink text-[12px] font-semibold">
                  {stage.label}
                </text>
                <text x={width - inset - 12} y={y + 21} textAnchor="end" className="fill-ink-2 text-[11px]">
                  {stage.note}
                </text>
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
};
