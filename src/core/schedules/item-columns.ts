import type { DetailField } from './things/detail';

/** The columns of a sheet of items; of things some are worked out from others. */
export type ItemColumn =
  | 'contact'
  | 'kind'
  | 'number'
  | 'reference'
  | 'order'
  | 'date'
  | 'due'
  | 'currency'
  | 'original'
  | 'open'
  | 'base'
  | 'note'
  | DetailField
  | 'beside'
  | 'owed'
  | 'net'
  | 'should'
  | 'gone';
