import type { Minor } from '@/core/money/minor';
import type { Support } from '@/core/schedules/tie-out';
import { type Money, figure } from '../parts/figures';

const PARTS: readonly (readonly [Support, label: string, look: string])[] = [
  ['tied', 'tied to the cent', 'bg-ink'],
  ['explained', 'explained', 'bg-ochre'],
  ['paper', 'on paper only', 'bg-rule'],
  ['apart', 'with a difference', 'bg-madder'],
  ['nothing', 'nothing behind it', 'bg-paper border border-rule'],
];

/** How much of the assets, or of the rest, is supported by what: a bar, and the same as words. */
export const SupportBar = ({
  label,
  sums,
  money,
}: {
  readonly label: string;
  readonly sums: Readonly<Record<Support, Minor>>;
  readonly money: Money;
}) => {
  const total = PARTS.reduce((all, [part]) => all + sums[part], 0n);
  if (total === 0n) return null;
  const share = (part: Support): number => Number((sums[part] * 1000n) / total) / 10;
  return (
    <figure className="mb-3">
      <figcaption className="mb-1 font-medium">{label}</figcaption>
      <div aria-hidden className="flex h-3 overflow-hidden">
        {PARTS.filter(([part]) => sums[part] !== 0n).map(([part, , look]) => (
          <span key={part} className={look} style={{ width: `${String(share(part))}%` }} />
        ))}
      </div>
      <ul className="mt-1">
        {PARTS.filter(([part]) => sums[part] !== 0n).map(([part, says, look]) => (
          <li key={part} className="flex items-baseline gap-2">
            <span aria-hidden className={`inline-block size-2.5 ${look}`} />
            <span className="grow">{says}</span>
            <span className="tabular-nums">{figure(sums[part], money)}</span>
          </li>
        ))}
      </ul>
    </figure>
  );
};
