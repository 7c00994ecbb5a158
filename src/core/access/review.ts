import { type Problem, problem } from '../base/result';

/** What is demanded before opening balances are posted. */
export const REVIEWS = [
  { id: 'off', label: 'Nothing more', means: 'whoever may post may do so as soon as Proof is clear' },
  {
    id: 'signed',
    label: 'A second pair of eyes',
    means: 'a reviewer signs them as they stand, and somebody else than who prepared them last posts',
  },
] as const;
export type Review = (typeof REVIEWS)[number]['id'];

/** What a set of books demands: what the practice does, or more. */
export const reviewOf = (practice: Review, books: Review): Review =>
  practice === 'signed' || books === 'signed' ? 'signed' : 'off';

/** A signature, with the revision of the books that it is of. */
export interface Signature {
  readonly person: number;
  readonly by: string;
  readonly at: string;
  readonly revision: bigint;
  readonly note: string;
}

/** How the review stands: signed as the books are now, signed as they were, or not at all. */
export interface ReviewState {
  readonly demanded: Review;
  readonly signed: Signature | null;
  /** The newest signature of another revision: what was changed since lifted it. */
  readonly lifted: Signature | null;
  /** Who prepared last; null where nobody did. */
  readonly prepared: { readonly person: number; readonly by: string } | null;
}

/**
 * How signatures, the newest first, stand to books at a revision. Whoever prepared last does not count as a second pair of eyes, so
 * their own signature is none.
 */
export const reviewState = (
  demanded: Review,
  signatures: readonly Signature[],
  revision: bigint,
  prepared: ReviewState['prepared'],
): ReviewState => {
  const others = signatures.filter(({ person }) => person !== prepared?.person);
  const signed = others.find((one) => one.revision === revision) ?? null;
  return { demanded, signed, lifted: signed === null ? (others[0] ?? null) : null, prepared };
};

/** Why somebody may not post yet, as far as the review goes. */
export const reviewProblems = (
  { demanded, signed, lifted, prepared }: ReviewState,
  poster: number,
): readonly Problem[] => {
  if (demanded === 'off') return [];
  return [
    ...(signed === null
      ? [
          problem(
            'review.unsigned',
            lifted === null
              ? 'These books ask for a second pair of eyes, and nobody signed them yet. Ask a reviewer to sign on this page.'
              : `${lifted.by} signed, and something was changed since. Ask for another signature on this page.`,
          ),
        ]
      : []),
    ...(prepared?.person === poster
      ? [problem('review.own', 'You prepared these balances last, so somebody else has to post them.')]
      : []),
  ];
};

/** Why somebody may not sign: only what somebody else prepared is looked at with a second pair of eyes. */
export const signProblems = ({ signed, prepared }: ReviewState, signer: number): readonly Problem[] =>
  prepared?.person === signer
    ? [problem('review.own', 'You changed these balances last, so somebody else has to sign them.')]
    : signed?.person === signer
      ? [problem('review.signed', 'You signed them as they stand already.')]
      : [];
