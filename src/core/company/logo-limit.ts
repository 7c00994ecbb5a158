/** The largest logo taken, apart from the reader so that a page can state it without loading the reader. */
export const MOST_LOGO_BYTES = 512 * 1024;
