/**
 * How much a file may hold, whoever brings it. Past a limit a file is refused with a sentence that names the limit;
 * docs/security.md lists them, and a test compares.
 */

/** Bytes of a file as it is brought. */
export const MOST_BYTES = 50 * 1024 * 1024;
/** Bytes that all parts of a packed file come to. */
export const MOST_UNPACKED_BYTES = 300 * 1024 * 1024;
/** A part of a packed file may unpack to this many times its packed size, beyond `UNPACKED_FREELY`. */
export const MOST_RATIO = 40;
export const UNPACKED_FREELY = 4 * 1024 * 1024;
/** Parts of a packed file. */
export const MOST_PARTS = 2000;
export const MOST_ROWS = 1_000_000;
/** Blank rows of a workbook after which nothing more of a sheet is read: a stray cell stands far below. */
export const MOST_BLANK_ROWS = 5000;
/** Columns that are read; those after them are told. */
export const MOST_COLUMNS = 60;
/** Cells of a file, all its sheets together. */
export const MOST_CELLS = 6_000_000;
/** Characters of all cells together. */
export const MOST_CHARACTERS = 64 * 1024 * 1024;
/** Characters of one cell: what a cell of ISO/IEC 29500 holds. */
export const MOST_CELL_CHARACTERS = 32_767;
/** How deep elements of an XML file may stand in each other. */
export const MOST_DEPTH = 64;
/** How deep elements of a web page may stand in each other. */
export const MOST_PAGE_DEPTH = 256;
/** Bytes that the packed parts of a PDF come to. */
export const MOST_PDF_BYTES = 64 * 1024 * 1024;
/** Pages of a PDF. */
export const MOST_PAGES = 2000;
/** Accounts of an audit file. */
export const MOST_ACCOUNTS = 100_000;
/** Entries of a bank's file. */
export const MOST_ENTRIES = 200_000;
/** Attachments of a message that are listed. */
export const MOST_ATTACHMENTS = 200;
/** Characters of a text or message that are shown; the file has them all. */
export const MOST_SHOWN_CHARACTERS = 200_000;
/** Characters of a file's name; a longer one is cut, since it only says what the file is called. */
export const MOST_NAME_CHARACTERS = 150;

/** Bytes of what a page sends to be saved. */
export const MOST_SENT_BYTES = 4 * 1024 * 1024;

export const megabytes = (bytes: number): string => `${String(bytes / 1024 / 1024)} MB`;
export const counted = (count: number): string => count.toLocaleString('en-GB');
