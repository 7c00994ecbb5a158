import { type ReviewState, reviewOf, reviewState } from '@/core/access/review';
import { practiceReview } from '@/store/people';
import { preparedBy, signaturesOf } from '@/store/signatures';
import type { BooksContext } from '../kernel/action';

/** How the review of a version stands. */
export const reviewIn = async ({ tx, books, actor }: BooksContext, set: number): Promise<ReviewState> =>
  reviewState(
    reviewOf(await practiceReview(tx, actor.practice), books.review),
    await signaturesOf(tx, books.id, set),
    books.revision,
    await preparedBy(tx, books.id),
  );
