'use client';

import { Go } from '../parts/go';
import { useSyncExternalStore } from 'react';
import { plural } from '@/core/base/result';
import type { FrameView } from '@/actions/frame/views';
import type { BehindView, OpeningRowView, SupportView } from '@/actions/openings/views';
import { called } from '@/core/chart/account';
import { classFacts, isResult, typeOf } from '@/core/ledger/classes';
import { accountFault } from '@/core/openings/account-fault';
import { AccountHistory, useStory } from '../chart/account-history';
import { NIL } from '@/core/money/minor';
import { EvidencePart } from '../evidence/evidence-part';
import type { AttachedPapers } from '../evidence/use-evidence';
import { MarginPart } from '../frame/frame';
import { scheduleHref } from '../frame/stage-href';
import { sided } from '../parts/figures';
import { takesForeign } from '@/core/openings/in-currency';
import type { Figure, Figures } from './figures';
import { TIE_STATES } from '../schedules/tie-words';
import { InCurrency } from './in-currency';

interface Props {
  readonly frame: FrameView;
  readonly row: OpeningRowView | undefined;
  readonly figures: Figures;
  readonly behind: readonly BehindView[];
  /** How the figure ties, as the server has it. */
  readonly support: SupportView | undefined;
  readonly foreign: Foreign;
  readonly papers: AttachedPapers;
}

/** What the margin needs for amounts in currency. */
export type Foreign = Pick<Parameters<typeof InCurrency>[0], 'money' | 'rates' | 'exchange'> & {
  /** Whether figures can be changed. */
  readonly editable: boolean;
};

/** The margin of the chosen account: where its figure came from, what is wrong with it, what happened to it. */
export const OpeningMargin = ({ row, ...given }: Props) =>
  row === undefined ? (
    <p className="note">Choose an account, and the margin tells where its figure came from.</p>
  ) : row.heading ? (
    <>
      <h2 className="title text-lg leading-tight">{called(row)}</h2>
      <p className="note mt-1">A heading; amounts stand on the accounts under it.</p>
    </>
  ) : (
    <OfAccount row={row} {...given} />
  );

/** Under the last row told of a paper, how many more of it went into the figure. */
const MoreRows = ({ one, behind }: { readonly one: BehindView; readonly behind: readonly BehindView[] }) => {
  const told = behind.filter(({ paper }) => paper === one.paper);
  return told.at(-1) === one && one.of > told.length ? (
    <span className="block">and {plural(one.of - told.length, 'more row')} of it</span>
  ) : null;
};

const OfAccount = ({
  frame,
  row,
  figures,
  behind,
  support,
  foreign,
  papers,
}: Props & { readonly row: OpeningRowView }) => {
  const figure = useSyncExternalStore(
    (listener) => figures.subscribe(row.id, listener),
    () => figures.get(row.id),
    () => figures.get(row.id),
  );
  const result = isResult(typeOf(row.classification));
  // Any account of the balance sheet may have a list; income and expense are divided, where there are codes.
  const mayList = !row.heading && (!result || frame.parts.includes('dimensions'));
  const fault = figure.amount === null ? undefined : accountFault(row, figure.amount, frame.atYearStart);
  return (
    <>
      <h2 className="title text-lg leading-tight">{called(row)}</h2>
      <p className="note mb-3">
        {figure.amount === null ? 'empty' : sided(figure.amount, frame)} ·{' '}
        {classFacts(row.classification).one.toLowerCase()}
      </p>
      {(fault !== undefined || (figure.state !== 'saved' && figure.state !== 'saving')) && (
        <MarginPart title="To check">
          {fault !== undefined && <p>{fault.says}.</p>}
          {figure.says !== undefined && (
            <p role="alert" className="text-brick">
              {figure.says}
            </p>
          )}
          {figure.state === 'clash' && figure.theirs !== undefined && (
            <>
              <p className="mt-1">
                Theirs: {figure.theirs.amount === null ? 'empty' : sided(figure.theirs.amount, frame)}. Yours:{' '}
                {figure.amount === null ? 'empty' : sided(figure.amount, frame)}.
              </p>
              <p className="mt-2 flex gap-2">
                <button type="button" className="btn btn-xs" onClick={() => figures.keepTheirs(row.id)}>
                  Keep theirs
                </button>
                <button type="button" className="btn btn-xs" onClick={() => figures.saveMine(row.id)}>
                  Save mine
                </button>
              </p>
            </>
          )}
          {figure.state === 'unreadable' && (
            <button type="button" className="btn btn-xs mt-2" onClick={() => figures.forget(row.id)}>
              Drop what was typed
            </button>
          )}
        </MarginPart>
      )}
      <MarginPart title="Where it came from">
        {figure.amount === null ? (
          <p className="note">Nothing stands here yet.</p>
        ) : figure.source === 'paper' && behind.length > 0 ? (
          behind.map((one) => (
            <p key={`${String(one.paper)}/${String(one.row)}`} className="mb-1.5">
              <Go
                className="link"
                href={`/books/${String(frame.id)}/papers/${String(one.paper)}?row=${String(one.row)}`}
              >
                {one.paperName}, row {one.row}
              </Go>
              <span className="block text-ink-2">
                “{one.text}”, read as {sided(one.amount, frame)}
                <MoreRows one={one} behind={behind} />
              </span>
            </p>
          ))
        ) : (
          <>
            <p>
              {figure.source === 'carried'
                ? 'Carried from the version before.'
                : figure.source === 'calculated'
                  ? 'Calculated; by what stands below.'
                  : 'Typed; by whom and when stands below.'}
            </p>
            {behind.map((one) => (
              <p key={`${String(one.paper)}/${String(one.row)}`} className="note mt-1">
                <Go
                  className="link"
                  href={`/books/${String(frame.id)}/papers/${String(one.paper)}?row=${String(one.row)}`}
                >
                  {one.paperName}, row {one.row}
                </Go>{' '}
                says {sided(one.amount, frame)}.
                <MoreRows one={one} behind={behind} />
              </p>
            ))}
          </>
        )}
      </MarginPart>
      {support !== undefined && (
        <MarginPart title="What stands behind it">
          <p>
            <Go className="link" href={scheduleHref(frame.id, row.id)}>
              {support.state === 'none'
                ? 'Nothing yet: begin its schedule'
                : `Its schedule${support.items === 0 ? '' : `, ${plural(support.items, 'item')}`}`}
            </Go>
            {support.state !== 'none' && `: ${TIE_STATES[support.state]}`}
            {support.state === 'apart' && support.difference !== null && support.difference !== NIL && (
              <span className="text-madder"> by {sided(support.difference, frame)}</span>
            )}
          </p>
        </MarginPart>
      )}
      {support === undefined && mayList && (
        <MarginPart title={result ? 'Cost centres and projects' : 'What stands behind it'}>
          <p>
            <Go className="link" href={scheduleHref(frame.id, row.id)}>
              {result ? 'Divide it' : 'Begin a list of it'}
            </Go>
          </p>
        </MarginPart>
      )}
      <EvidencePart key={row.id} books={frame.id} to={{ of: 'account', id: row.id }} papers={papers} />
      {foreign.editable && foreign.rates.length > 0 && takesForeign(row, frame.currency) && (
        <InCurrency
          key={`${String(row.id)} ${partsKey(figure)}`}
          frame={frame}
          row={row}
          figures={figures}
          figure={figure}
          money={foreign.money}
          rates={foreign.rates}
          exchange={foreign.exchange}
        />
      )}
      {!foreign.editable && figure.parts.length > 0 && (
        <MarginPart title="In currency">
          {figure.parts.map((part) => (
            <p key={part.currency}>
              {part.currency}{' '}
              {sided(part.amount, {
                ...frame,
                digits: foreign.rates.find(({ currency }) => currency === part.currency)?.digits ?? 2,
              })}
              , worth {sided(part.base, frame)}
            </p>
          ))}
        </MarginPart>
      )}
      <MarginPart title="What happened">
        <History frame={frame} account={row.id} revision={figure.revision} />
      </MarginPart>
    </>
  );
};

/** Changes when the figure or its parts do, so that the fields begin anew. */
const partsKey = ({ amount, parts }: Figure): string =>
  [amount, ...parts.flatMap((part) => [part.currency, part.amount, part.base])].map(String).join();

const History = ({
  frame,
  account,
  revision,
}: {
  readonly frame: FrameView;
  readonly account: number;
  readonly revision: number;
}) => <AccountHistory story={useStory(frame.id, account, revision)} money={frame} />;
