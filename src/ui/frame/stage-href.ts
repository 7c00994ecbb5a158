import type { StageId } from '@/core/proof/stage-ids';

/** Where each stage is worked on. */
export const stageHref = (books: number, stage: StageId): string =>
  `/books/${String(books)}${stage === 'company' ? '' : `/${stage}`}`;
