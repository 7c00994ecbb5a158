'use client';

import { Go } from '../parts/go';
import { abs } from '@/core/money/minor';
import { bubble, difference } from '@/core/ledger/level';
import { type Money, figure } from '../parts/figures';
import { useTotals } from './level-context';

/** The Level: a spirit level whose bubble rises to the lighter side. Pressing it leads to why, or, when level, to Proof. */
export const LevelBar = ({ money, books }: { readonly money: Money; readonly books: number }) => {
  const totals = useTotals();
  const net = difference(totals);
  const empty = totals.debits === 0n && totals.credits === 0n;
  const says = empty
    ? 'Nothing entered yet'
    : net === 0n
      ? 'Nets to zero'
      : `Out of balance, ${net > 0n ? 'debits' : 'credits'} heavier`;
  return (
    <Go
      href={`/books/${String(books)}/${net === 0n ? 'proof' : 'openings/why'}`}
      title="The Level: press to see why debits and credits differ"
      className="no-print grid grid-cols-[1fr_auto_1fr] items-center gap-x-4 border-t border-rule bg-paper-2 px-4 py-2 md:grid-cols-[9rem_minmax(6rem,1fr)_9rem_12rem]"
    >
      <span>
        <span className="block text-xs text-ink-2">Debits</span>
        <span data-testid="debits" className="text-base font-semibold">
          {figure(totals.debits, money)}
        </span>
      </span>
      <Vial offset={bubble(net)} />
      <span className="text-right md:text-left">
        <span className="block text-xs text-ink-2">Credits</span>
        <span data-testid="credits" className="text-base font-semibold">
          {figure(totals.credits, money)}
        </span>
      </span>
      <span role="status" aria-live="polite" className="col-span-3 text-center md:col-span-1 md:text-right">
        <span className="text-xs text-ink-2 md:block">{says} </span>
        <span data-testid="difference" className={`text-base font-semibold ${net === 0n ? '' : 'text-madder'}`}>
          {empty
            ? `${money.currency} nil`
            : net === 0n
              ? `${money.currency} level`
              : `${figure(abs(net), money)} ${net > 0n ? 'Dr' : 'Cr'}`}
        </span>
      </span>
    </Go>
  );
};

const Vial = ({ offset }: { readonly offset: number }) => (
  <svg
    viewBox="-260 -14 520 28"
    aria-hidden
    className="order-last col-span-3 h-6 w-full md:order-none md:col-span-1"
    preserveAspectRatio="xMidYMid meet"
  >
    <rect x={-259} y={-11} width={518} height={22} rx={11} className="fill-vial stroke-vial-edge" />
    <g style={{ transform: `translateX(${String(offset * 224)}px)`, transition: 'transform 160ms ease-out' }}>
      <rect x={-17} y={-7} width={34} height={14} rx={7} className="fill-paper stroke-ink" strokeWidth={1.2} />
      <path d="M-9 -3.5 h10" className="stroke-rule" strokeWidth={1.5} strokeLinecap="round" />
    </g>
    <path d="M-20 -11 v22 M20 -11 v22" className="stroke-ink" strokeWidth={1.5} />
  </svg>
);
