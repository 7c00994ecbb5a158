declare const booksBrand: unique symbol;
declare const personBrand: unique symbol;
declare const paperBrand: unique symbol;

/** The number of a set of books that was found for whoever asked; what comes from outside is a number until then. */
export type BooksId = number & { readonly [booksBrand]: true };

/** The number of a person of a practice. */
export type PersonId = number & { readonly [personBrand]: true };
export const personId = (id: number): PersonId => id as PersonId;

/** The number of a paper. */
export type PaperId = number & { readonly [paperBrand]: true };
export const paperId = (id: number): PaperId => id as PaperId;
