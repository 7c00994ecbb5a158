import type { Colour } from '@/core/company/facts';

/** A client's colour as a small upright mark; its meaning always stands beside it in words. */
export const ColourMark = ({
  colour,
  className = 'h-4 w-1.5',
}: {
  readonly colour: Colour;
  readonly className?: string;
}) => (
  <span
    aria-hidden
    className={`inline-block shrink-0 ${className} ${colour === 'none' ? 'border border-dashed border-rule' : ''}`}
    style={colour === 'none' ? undefined : { background: `var(--client-${colour})` }}
  />
);
