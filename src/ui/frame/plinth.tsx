import type { StageState } from '@/core/proof/stages';

/** The plinth: one stone per stage from the ground up. A laid stone is solid, a begun one filled in part, a missing one only outlined. */
export const Plinth = ({ stages }: { readonly stages: readonly StageState[] }) => {
  const height = 30;
  const width = 270;
  const step = 10;
  const total = stages.length * height;
  return (
    <svg
      viewBox={`0 -1 ${String(width)} ${String(total + 2)}`}
      role="img"
      aria-label={stages.map((stage) => `${stage.label}: ${stage.note}`).join('; ')}
      className="h-auto w-full max-w-md"
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
              strokeWidth={1}
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
            <text x={inset + 9} y={y + 19} className="fill-ink text-[12px] font-semibold">
              {stage.label}
            </text>
            <text x={width - inset - 9} y={y + 19} textAnchor="end" className="fill-ink-2 text-[11px]">
              {stage.note}
            </text>
          </g>
        );
      })}
    </svg>
  );
};

/** The plinth as small as the board needs it: from the fills alone. */
export const Stones = ({ fills, says }: { readonly fills: readonly number[]; readonly says: string }) => {
  const height = 58 / fills.length;
  return (
    <svg viewBox="0 -1 92 60" role="img" aria-label={says} className="h-14 w-24">
      {fills.map((fill, at) => {
        const inset = at * 2.5;
        const y = 58 - (at + 1) * height;
        const wide = 92 - 2 * inset - 2;
        return (
          <g key={at}>
            <rect
              x={inset + 1}
              y={y + 0.5}
              width={wide}
              height={height - 1.5}
              className="fill-paper stroke-ink-2"
              strokeWidth={0.6}
              {...(fill === 0 ? { strokeDasharray: '3 2' } : {})}
            />
            {fill > 0 && (
              <rect
                x={inset + 1.5}
                y={y + 1}
                width={(wide - 1) * (fill / 100)}
                height={height - 2.5}
                className="fill-stone"
              />
            )}
          </g>
        );
      })}
    </svg>
  );
};
