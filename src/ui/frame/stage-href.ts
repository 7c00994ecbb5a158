import type { StageId } from '@/core/proof/stage-ids';

/** Where each stage is worked on. */
export const stageHref = (books: number, stage: StageId): string =>
  `/books/${String(books)}${stage === 'company' ? '' : `/${stage}`}`;

/** The schedule of an account. */
export const scheduleHref = (books: number, account: number): string =>
  `${stageHref(books, 'schedules')}/${String(account)}`;
