'use client';

import type { IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import { useState } from 'react';
import { toast } from 'sonner';
import { askRateService } from '@/actions/currencies/rate-service';
import type { RatesPreview } from '@/actions/currencies/rates-in';
import type { DateStyle } from '@/core/base/date-style';
import { type Problem, type Result, plural, isAt } from '@/core/base/result';
import { DateInput } from '../parts/date-input';
import { FileButton, TABLES } from '../parts/file-button';
import { Field } from '../parts/field';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly books: number;
  readonly currency: Currency;
  /** The span that fetching proposes: the weeks around the opening date. */
  readonly from: IsoDate;
  readonly to: IsoDate;
  readonly dates: DateStyle;
}

interface Shown {
  readonly preview: RatesPreview;
  /** Does it for good, and again otherwise. */
  readonly again: (take: boolean, direction?: RatesPreview['direction']) => Promise<Result<RatesPreview>>;
  readonly source: string;
  readonly isFile: boolean;
}

const MOODS = ['as usual', 'slow', 'down', 'garbage'] as const;

/** Rates from a file or from the rate service: shown first, stored when taken. */
export const BringRates = ({ books, currency, from, to, dates }: Props) => {
  const refresh = useRefresh();
  const [shown, setShown] = useState<Shown | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState('');
  const [span, setSpan] = useState<{ readonly from: IsoDate | ''; readonly to: IsoDate | '' }>({ from, to });
  const [mood, setMood] = useState<(typeof MOODS)[number]>('as usual');

  const run = async (
    source: string,
    isFile: boolean,
    again: Shown['again'],
    take: boolean,
    direction?: RatesPreview['direction'],
  ): Promise<void> => {
    setBusy(take ? 'storing…' : `reading ${source}…`);
    const done = await send(again(take, direction));
    setBusy('');
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    if (take) {
      toast(`${plural(done.value.counts.new + done.value.counts.changes, 'rate')} taken over`);
      setShown(undefined);
      refresh();
    } else setShown({ preview: done.value, again, source, isFile });
  };
  const bring = (file: File): void =>
    void run(
      file.name,
      true,
      (take, direction) =>
        fetch(
          `/books/${String(books)}/currencies/rates?take=${take ? '1' : '0'}${direction === undefined ? '' : `&direction=${direction}`}`,
          {
            method: 'POST',
            headers: { 'x-paper-name': encodeURIComponent(file.name), 'content-type': 'application/octet-stream' },
            body: file,
          },
        ).then((response) => response.json() as Promise<Result<RatesPreview>>),
      false,
    );
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-x-2 gap-y-1.5">
        <FileButton label="Bring a file" accept={TABLES} onFiles={([file]) => file !== undefined && bring(file)} />
        <a className="btn btn-sm" href={`/books/${String(books)}/currencies/rates`} download>
          Export all as CSV
        </a>
      </div>
      <form
        className="grid grid-cols-2 items-end gap-x-2 gap-y-1"
        onSubmit={(event) => {
          event.preventDefault();
          void run('the rate service', false, (take) => askRateService({ books, ...span, mood, take }), false);
        }}
      >
        <Field label="Fetch from">
          {(ids) => (
            <DateInput {...ids} value={span.from} dates={dates} onDate={(from) => setSpan({ ...span, from })} />
          )}
        </Field>
        <Field label="to" problem={problems.find((one) => isAt(one, 'to') || isAt(one, 'from'))?.message}>
          {(ids) => <DateInput {...ids} value={span.to} dates={dates} onDate={(to) => setSpan({ ...span, to })} />}
        </Field>
        <Field label="The simulated service" hint="its rates are invented, 2024 to 2027">
          {(ids) => (
            <select
              {...ids}
              value={mood}
              onChange={(event) => setMood(event.target.value as (typeof MOODS)[number])}
              className="select select-sm w-full"
            >
              {MOODS.map((one) => (
                <option key={one} value={one}>
                  {one === 'as usual'
                    ? 'answers'
                    : one === 'slow'
                      ? 'is slow'
                      : one === 'down'
                        ? 'is down'
                        : 'answers garbage'}
                </option>
              ))}
            </select>
          )}
        </Field>
        <button className="btn btn-sm mb-6" disabled={busy !== ''}>
          Fetch rates
        </button>
      </form>
      <p role="status" className="note empty:hidden">
        {busy}
      </p>
      <Problems problems={problems.filter((one) => !isAt(one, 'to') && !isAt(one, 'from'))} />
      {shown !== undefined && (
        <Preview
          shown={shown}
          currency={currency}
          dates={dates}
          busy={busy !== ''}
          onTake={() =>
            void run(shown.source, shown.isFile, shown.again, true, shown.isFile ? shown.preview.direction : undefined)
          }
          onTurn={(direction) => void run(shown.source, shown.isFile, shown.again, false, direction)}
          onDrop={() => setShown(undefined)}
        />
      )}
    </div>
  );
};

const Preview = ({
  shown: { preview, source, isFile },
  currency,
  dates,
  busy,
  onTake,
  onTurn,
  onDrop,
}: {
  readonly shown: Shown;
  readonly currency: Currency;
  readonly dates: DateStyle;
  readonly busy: boolean;
  readonly onTake: () => void;
  readonly onTurn: (direction: RatesPreview['direction']) => void;
  readonly onDrop: () => void;
}) => {
  const { counts } = preview;
  const changing = counts.new + counts.changes;
  const open = isFile && preview.reasons.length > 3;
  return (
    <section aria-label={`Rates from ${source}`} className="border-t border-ink pt-2">
      <p className="text-sm">
        <span className="font-medium">{source}:</span> {counts.new} new, {counts.changes} changed, {counts.same} the
        same
        {preview.problemCount > 0 && (
          <span className="text-brick">, {plural(preview.problemCount, 'row')} cannot be read</span>
        )}
        {preview.doubts > 0 && <span className="text-ochre">, {plural(preview.doubts, 'rate')} to check</span>}
      </p>
      <ul className="note list-disc pl-4">
        {preview.reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <div className="my-1.5 flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary btn-sm" disabled={busy || changing === 0} onClick={onTake}>
          {preview.problemCount > 0 ? 'Take the good ones' : 'Take over'} ({changing})
        </button>
        {open && (
          <button
            type="button"
            className="btn btn-sm"
            disabled={busy}
            onClick={() => onTurn(preview.direction === 'base-unit' ? 'foreign-unit' : 'base-unit')}
          >
            Read the other way round
          </button>
        )}
        <button type="button" className="btn btn-sm" onClick={onDrop}>
          Leave it
        </button>
      </div>
      <div className="max-h-64 overflow-y-auto" tabIndex={0} role="region" aria-label="Rows of the preview">
        <ul className="text-sm">
          {preview.problems.map((one) => (
            <li key={`${String(one.row)}${one.message}`} className="border-b border-hairline py-0.5 text-brick">
              Row {one.row}: {one.message}
            </li>
          ))}
          {preview.rows.map((one) => (
            <li key={`${one.date}${one.unit}${one.quote}`} className="border-b border-hairline py-0.5">
              <span className="text-ink-2">{day(one.date, dates)}</span> 1 {one.unit} = {one.rate} {one.quote}{' '}
              <span className={one.unit === currency || one.quote === currency ? '' : 'text-ink-2'}>{one.status}</span>
              {one.was !== undefined && <span className="note"> was {one.was}</span>}
              {one.doubt !== undefined && <span className="block text-ochre">{one.doubt}</span>}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
};
