import { type Currency } from './currency';
import { type DateStyle, writeStyled } from '../base/date-style';
import { readStyled } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { named, prepared } from '../base/pick';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import type { NumberStyle } from './number-style';
import { decimalOf, plainRate, ratioOf, readRate, shownRatio, writeRate } from './rate';

/** The columns in which a sheet tells and takes the rates of one pair of currencies. */
export const RATE_COLUMNS = ['date', 'rate', 'way', 'reverse', 'source'] as const;
export type RateColumn = (typeof RATE_COLUMNS)[number];

/** A rate as a row of a sheet has it; empty texts where nothing is typed yet. */
export interface RateFields {
  /** `YYYY-MM-DD`. */
  readonly date: IsoDate | '';
  readonly unit: Currency;
  readonly quote: Currency;
  /** In its plain form: "1.1790". */
  readonly rate: string;
  readonly source: string;
  /** Whether somebody wants it although it is questioned. */
  readonly sure: boolean;
}

export interface RateStyles {
  readonly dates: DateStyle;
  readonly style: NumberStyle;
}

/** "1 GBP in EUR": which way round a rate is given. */
export const wayOf = ({ unit, quote }: Pick<RateFields, 'unit' | 'quote'>): string => `1 ${unit} in ${quote}`;

const turned = (fields: RateFields): RateFields => ({ ...fields, unit: fields.quote, quote: fields.unit });

/** Both ways of a pair, the given one first. */
export const waysOf = (fields: RateFields): readonly [string, string] => [wayOf(fields), wayOf(turned(fields))];

export const isWhole = ({ date, rate }: RateFields): boolean => date !== '' && rate !== '';

export const rateCell = (fields: RateFields, column: RateColumn, { dates, style }: RateStyles): string => {
  switch (column) {
    case 'date':
      return fields.date === '' ? '' : writeStyled(fields.date, dates);
    case 'rate':
      return fields.rate === '' ? '' : writeRate(decimalOf(fields.rate), style);
    case 'way':
      return wayOf(fields);
    case 'reverse': {
      const ratio =
        fields.rate === ''
          ? undefined
          : ratioOf({ ...fields, rate: decimalOf(fields.rate) }, fields.quote, fields.unit);
      return ratio === undefined ? '' : `1 ${fields.quote} = ${writeRate(shownRatio(ratio), style)} ${fields.unit}`;
    }
    case 'source':
      return fields.source;
  }
};

/**
 * A row after one of its cells was typed into: from then on it is a typed rate, that may be questioned anew. The way round is named by
 * its words or by the currency of which one is meant.
 */
export const typedRateCell = (
  fields: RateFields,
  column: RateColumn,
  typed: string,
  { dates, style }: RateStyles,
): Result<RateFields> => {
  const text = typed.trim();
  const put = (change: Partial<RateFields>): Result<RateFields> => {
    const changed = { ...fields, ...change };
    const same = changed.date === fields.date && changed.rate === fields.rate && changed.unit === fields.unit;
    return ok(same ? fields : { ...changed, source: 'typed', sure: false });
  };
  switch (column) {
    case 'date': {
      if (text === '') return put({ date: '' });
      const read = readStyled(text, dates, column);
      return read.ok ? put({ date: read.value.toString() }) : read;
    }
    case 'rate': {
      if (text === '') return put({ rate: '' });
      const read = readRate(text, style, column);
      return read.ok ? put({ rate: plainRate(read.value) }) : read;
    }
    case 'way': {
      const ways = [fields, turned(fields)].map((one) => ({ code: one.unit, name: wayOf(one), ...one }));
      const found = text === '' ? fields : named(prepared(ways), text);
      return found === undefined
        ? fail(
            problem(
              'rate.way',
              `${quoted(typed)} is not a way round of these two currencies: ${waysOf(fields).join(', or ')}.`,
              column,
            ),
          )
        : put({ unit: found.unit, quote: found.quote });
    }
    default:
      return ok(fields);
  }
};
