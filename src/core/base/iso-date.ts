import type {} from 'temporal-spec';

/** A calendar date as text, `YYYY-MM-DD` (ISO 8601), so that dates compare as text. What comes from outside is text until `isIsoDate`. */
export type IsoDate = `${number}-${number}-${number}`;

// What a date writes itself as is such a text; the types of the standard say only that it is one.
declare module 'temporal-spec' {
  // eslint-disable-next-line @typescript-eslint/no-namespace -- the standard's types are in one, and only so added to
  namespace Temporal {
    interface PlainDate {
      toString(): IsoDate;
    }
  }
}
