/** Encodings of one byte a character, the commonest first. */
export const SINGLE_BYTE = [
  'windows-1252',
  'windows-1250',
  'iso-8859-2',
  'windows-1254',
  'windows-1257',
  'windows-1251',
  'windows-1253',
  'windows-1255',
  'windows-1256',
  'cp850',
  'cp852',
  'cp857',
  'cp866',
  'koi8-r',
  'macintosh',
] as const;

/** Encodings of two bytes for most characters. */
export const DOUBLE_BYTE = ['shift_jis', 'euc-jp', 'gb18030', 'big5', 'euc-kr'] as const;

/** What a text file may be encoded in, as the screen names it. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', ...SINGLE_BYTE, ...DOUBLE_BYTE] as const;
export type Encoding = (typeof ENCODINGS)[number];

/** Letters beyond ASCII of languages that write next to no k and no w. */
export const WITHOUT_K_AND_W: ReadonlySet<string> = new Set([
  'àâæçéèêëîïôœùûüÿ', // French
  'áéíóúüñ', // Spanish
  'áâãàçéêíóôõúü', // Portuguese
  'àèéìíîòóùú', // Italian
  'ăâîșşțţ', // Romanian
  'àçéèíïóòúü', // Catalan
]);

/** Letters beyond ASCII of a language, in lower case; what a text in it has. */
export const ALPHABETS: readonly string[] = [
  ...WITHOUT_K_AND_W,
  'äöüßé', // German
  'ëïéèöüáó', // Dutch
  'åäöéü', // Swedish, Finnish
  'æøåéòô', // Danish, Norwegian
  'áðéíóúýþæö', // Icelandic
  'ąćęłńóśźż', // Polish
  'áčďéěíňóřšťúůýž', // Czech
  'áäčďéíĺľňóôŕšťúýž', // Slovak
  'áéíóöőúüű', // Hungarian
  'čćđšž', // Croatian, Serbian, Slovenian
  'çğıöşüâîûİ', // Turkish
  'ąčęėįšųūž', // Lithuanian
  'āčēģīķļņšūž', // Latvian
  'äõöüšž', // Estonian
  'абвгдежзийклмнопрстуфхцчшщъыьэюяё', // Russian, Bulgarian
  'абвгґдеєжзиіїйклмнопрстуфхцчшщьюя', // Ukrainian
  'абвгдђежзијклљмнњопрстћуфхцчџш', // Serbian
  'αβγδεζηθικλμνξοπρστυφχψωςάέήίόύώϊϋΐΰ', // Greek
  'אבגדהוזחטיךכלםמןנסעףפץצקרשת', // Hebrew
  'ءآأؤإئابةتثجحخدذرزسشصضطظعغفقكلمنهوىي', // Arabic
];

/** What parts the cells of a text file: a character, their place in the line, lines that each have a label, or the amount that ends each. */
export const DELIMITERS = [',', ';', '\t', '|', 'columns', 'fields', 'endings'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

export const QUOTES = ['"', "'"] as const;

/** Whether a file is a PDF (ISO 32000), by its first bytes. */
export const isPdf = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x25 && bytes[1] === 0x50 && bytes[2] === 0x44 && bytes[3] === 0x46;

/** How workbooks begin that are of compound parts; and what the first spreadsheets exchanged, which is text. */
const COMPOUND = [0xd0, 0xcf, 0x11, 0xe0] as const;
const EXCHANGED = /^(?:ID;P|TABLE\r?\n0,1\r?\n)/;

/** Whether a file is of compound parts, as workbooks were before XLSX, and as those with a password are. */
export const isCompound = (bytes: Uint8Array): boolean => COMPOUND.every((byte, at) => bytes[at] === byte);

/** Whether a file is a workbook as they were before XLSX, or one with a password; also one that is exchanged as text (SYLK, DIF). */
export const isOldWorkbook = (bytes: Uint8Array): boolean =>
  isCompound(bytes) || EXCHANGED.test(String.fromCharCode(...bytes.subarray(0, 16)));
