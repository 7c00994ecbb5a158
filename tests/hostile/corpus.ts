import { zlibSync } from 'fflate';
import { gzipSync } from 'node:zlib';
import { pdfOf, pdfWith } from './pdf';
import { BALANCED, type Part, RELS, WORKBOOK, number, packed, part, parts, row, sheet, text, workbook } from './zip';

/**
 * Files that were made to hang a reader, to fill its memory, to be read as something they are not, or to run where they are
 * opened. Made by this script each time, so that none lies about.
 */
export interface Hostile {
  readonly name: string;
  readonly bytes: () => Uint8Array;
  /** The code of the problem with which it is refused; `reads` where it is a paper like any other. */
  readonly becomes: string;
}

const utf8 = (content: string): Uint8Array => new TextEncoder().encode(content);
const MB = 1024 * 1024;
const HEADER = 'Code,Name,Debit,Credit\n';
const SOUND = `${HEADER}1000,Bank,500.00,\n3000,Capital,,500.00\n`;

const hostile = (name: string, becomes: string, bytes: () => string | Uint8Array): Hostile => ({
  name,
  becomes,
  bytes: () => {
    const made = bytes();
    return typeof made === 'string' ? utf8(made) : made;
  },
});

/** A million rows would be refused for being many; this is the most that a small file can hold. */
const manyCells = (count: number): string =>
  Array.from(
    { length: Math.ceil(count / 50) },
    (_, at) => `<row r="${String(at + 1)}">${'<c><v>1</v></c>'.repeat(50)}</row>`,
  ).join('');

const balancedWith = (...cells: readonly string[]): Uint8Array => workbook(BALANCED + row(4, ...cells));
const shared = (content: string): Part => part('xl/sharedStrings.xml', content);

const workbooks: readonly Hostile[] = [
  hostile('overlapping parts', 'paper.broken', () =>
    packed([
      ...parts(sheet(BALANCED)),
      ...Array.from({ length: 600 }, (_, at) => part(`xl/worksheets/s${String(at)}.xml`, '', { shared: true })),
    ]),
  ),
  hostile('one part under two names', 'paper.broken', () =>
    packed([...parts(sheet(BALANCED)), part('xl/worksheets/sheet2.xml', '', { shared: true })]),
  ),
  hostile('two parts of one name', 'paper.broken', () =>
    packed([...parts(sheet(BALANCED)), part('xl/worksheets/sheet1.xml', sheet(row(1, text('A1', 'other'))))]),
  ),
  hostile('a part that unpacks a thousandfold', 'paper.bomb', () => packed(parts(' '.repeat(100 * MB)))),
  hostile('a part beside the sheets that unpacks a thousandfold', 'paper.bomb', () =>
    workbook(BALANCED, [part('xl/media/picture.png', new Uint8Array(50 * MB))]),
  ),
  hostile('a part that says it is small', 'paper.broken', () =>
    packed([
      part('xl/workbook.xml', WORKBOOK),
      part('xl/_rels/workbook.xml.rels', RELS),
      part('xl/worksheets/sheet1.xml', ' '.repeat(60 * MB), { says: { size: 500 } }),
    ]),
  ),
  hostile('a part that says it is huge', 'paper.bomb', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { size: 0xfffffff0 } })]),
  ),
  hostile('a size kept elsewhere', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { size: 0xffffffff } })]),
  ),
  hostile('a wrong checksum', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { crc: 5 } }), part('xl/_rels/workbook.xml.rels', RELS)]),
  ),
  hostile('an encrypted part', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { flags: 1 } })]),
  ),
  hostile('a method nobody knows', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { method: 99 } })]),
  ),
  hostile('a part outside the file', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { local: 0x7ffffff0 } })]),
  ),
  hostile('a part that is the directory', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { local: 800, packed: 60 } })]),
  ),
  hostile('a part that is packed longer than the file', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { says: { packed: 0x7ffffff0 } })]),
  ),
  hostile('stored bytes that say they are packed', 'paper.broken', () =>
    packed([part('xl/workbook.xml', WORKBOOK, { stored: true, says: { method: 8 } })]),
  ),
  hostile('a directory that counts too many', 'paper.broken', () => packed(parts(sheet(BALANCED)), { count: 60_000 })),
  hostile('a directory somewhere else', 'paper.broken', () => packed(parts(sheet(BALANCED)), { offset: 3 })),
  hostile('a directory of another size', 'paper.broken', () => packed(parts(sheet(BALANCED)), { size: 10 })),
  hostile('another end in the comment', 'paper.broken', () =>
    packed(parts(sheet(BALANCED)), { comment: packed([]).slice(-22) }),
  ),
  hostile('fifty thousand parts', 'paper.bomb', () =>
    packed([
      ...parts(sheet(BALANCED)),
      ...Array.from({ length: 50_000 }, (_, at) => part(`x${String(at)}`, '', { stored: true })),
    ]),
  ),
  hostile('a zip in a zip', 'paper.broken', () => packed([part('inner.zip', workbook(BALANCED))])),
  hostile('no parts', 'paper.broken', () => packed([])),
  hostile('half a workbook', 'paper.broken', () => workbook(BALANCED).slice(0, 400)),
  hostile('a workbook without its beginning', 'paper.broken', () => utf8(`PK${SOUND}`)),
  hostile('macros', 'paper.macros', () => workbook(BALANCED, [part('xl/vbaProject.bin', 'x')])),
  hostile(
    'the beginning of an old workbook',
    'paper.broken',
    () => new Uint8Array([0xd0, 0xcf, 0x11, 0xe0, 0xa1, 0xb1, 0x1a, 0xe1]),
  ),
  hostile('a workbook without sheets', 'paper.empty', () => packed([part('xl/workbook.xml', '<workbook/>')])),
  hostile('a workbook whose sheet is nowhere', 'paper.empty', () =>
    packed([part('xl/workbook.xml', WORKBOOK), part('xl/_rels/workbook.xml.rels', '<Relationships/>')]),
  ),
  hostile('a sheet outside the workbook', 'paper.empty', () =>
    packed([
      part('xl/workbook.xml', WORKBOOK),
      part(
        'xl/_rels/workbook.xml.rels',
        '<Relationships><Relationship Id="rId1" Target="../../../etc/passwd" TargetMode="External"/></Relationships>',
      ),
    ]),
  ),
  hostile('sheets that are all hidden', 'paper.empty', () =>
    packed([
      part('xl/workbook.xml', WORKBOOK.replace('sheetId', 'state="veryHidden" sheetId')),
      ...parts(sheet(BALANCED)).slice(1),
    ]),
  ),
  hostile('a sheet cut off', 'paper.broken', () => packed(parts(sheet(BALANCED).slice(0, -30)))),
  hostile('entities that multiply, in the book', 'paper.broken', () =>
    packed([
      part(
        'xl/workbook.xml',
        `<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;">]><workbook>&b;</workbook>`,
      ),
    ]),
  ),
  hostile('entities that multiply, in the texts', 'paper.broken', () =>
    workbook(BALANCED, [
      shared(`<!DOCTYPE sst [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]><sst><si><t>&b;</t></si></sst>`),
    ]),
  ),
  hostile('elements sixty thousand deep', 'paper.broken', () => packed(parts(sheet('<row>'.repeat(60_000))))),
  hostile('an attribute of a megabyte', 'reads', () => workbook(`${BALANCED}<row r="${'9'.repeat(MB)}"/>`)),
  hostile('a cell of a megabyte', 'paper.cell', () => balancedWith(text('B4', 'x'.repeat(MB)))),
  hostile('a text of a megabyte', 'paper.cell', () =>
    workbook(BALANCED, [shared(`<sst><si><t>${'x'.repeat(MB)}</t></si></sst>`)]),
  ),
  hostile('a number of a million digits', 'paper.cell', () => balancedWith(number('C4', '9'.repeat(MB)))),
  hostile('a number of thirty thousand digits', 'reads', () =>
    balancedWith(text('B4', 'Kelp'), text('C4', '9'.repeat(30_000))),
  ),
  hostile('millions of cells', 'paper.bomb', () => workbook(manyCells(6_000_000))),
  hostile('half a million cells', 'paper.bomb', () => workbook(manyCells(500_000))),
  hostile('many cells', 'reads', () => workbook(manyCells(200_000))),
  hostile('one text in a million cells', 'paper.bomb', () =>
    workbook(`<row>${'<c t="s"><v>0</v></c>'.repeat(1_000_000)}</row>`, [
      shared(`<sst><si><t>${'x'.repeat(30_000)}</t></si></sst>`),
    ]),
  ),
  hostile('one long text in many cells', 'paper.characters', () =>
    workbook(Array.from({ length: 5000 }, () => `<row><c t="s"><v>0</v></c></row>`).join(''), [
      shared(`<sst><si><t>${'x'.repeat(30_000)}</t></si></sst>`),
    ]),
  ),
  hostile('a row far away', 'reads', () => workbook(BALANCED + row(2_000_000_000, text('A2000000000', 'x')))),
  hostile('a row near the end', 'reads', () => workbook(BALANCED + row(999_999, text('A999999', 'x')))),
  hostile('a row that is none', 'reads', () =>
    workbook(BALANCED + row('-5', text('A4', 'x')) + row('NaN', text('A5', 'y'))),
  ),
  hostile('a column far away', 'reads', () => balancedWith(text('ZZZZZ4', 'x'), text('XFD4', 'y'))),
  hostile('cells in a wrong order', 'reads', () => balancedWith(text('D4', 'x'), text('A4', 'y'), text('A4', 'z'))),
  hostile('a text that is not there', 'reads', () =>
    balancedWith('<c r="A4" t="s"><v>99999999</v></c>', '<c t="s"><v>__proto__</v></c>'),
  ),
  hostile('a style that is not there', 'reads', () => balancedWith(number('C4', '5', ' s="4000000000"'))),
  hostile('a format without end', 'reads', () =>
    workbook(BALANCED + row(4, number('C4', '5', ' s="0"')), [
      part(
        'xl/styles.xml',
        `<styleSheet><numFmts><numFmt numFmtId="200" formatCode="${'0'.repeat(MB)}"/></numFmts><cellXfs><xf numFmtId="200"/></cellXfs></styleSheet>`,
      ),
    ]),
  ),
  hostile('a format that nests', 'reads', () =>
    workbook(BALANCED + row(4, number('C4', '5', ' s="0"')), [
      part(
        'xl/styles.xml',
        `<styleSheet><numFmts><numFmt numFmtId="200" formatCode="[&gt;=1][&lt;2]${'?/'.repeat(100)}"/></numFmts><cellXfs><xf numFmtId="200"/></cellXfs></styleSheet>`,
      ),
    ]),
  ),
  hostile('numbers beyond numbers', 'reads', () =>
    workbook(
      ['1E+308', '1E-308', '-1E+400', 'NaN', 'Infinity', '0x10', '1e', '0.005', '123456789012345678']
        .map((value, at) =>
          row(at + 1, text(`A${String(at + 1)}`, `10${String(at)}`), number(`C${String(at + 1)}`, value)),
        )
        .join(''),
    ),
  ),
  hostile('control characters in cells', 'reads', () =>
    balancedWith(text('A4', '_x0000_1010'), text('B4', 'Kelp_x0007__x200B_ stock')),
  ),
  hostile('dates before time', 'reads', () =>
    workbook(BALANCED + row(4, number('A4', '-5', ' s="0"'), number('B4', '1E+300', ' s="0"')), [
      part('xl/styles.xml', '<styleSheet><cellXfs><xf numFmtId="14"/></cellXfs></styleSheet>'),
    ]),
  ),
  hostile('a thousand sheets', 'reads', () =>
    packed([
      part(
        'xl/workbook.xml',
        WORKBOOK.replace(/<sheet .*?\/>/, Array.from({ length: 1000 }, () => '<sheet name="S" r:id="rId1"/>').join('')),
      ),
      ...parts(sheet(BALANCED)).slice(1),
    ]),
  ),
  hostile('a phonetic reading', 'reads', () =>
    balancedWith('<c r="B4" t="inlineStr"><is><t>Kelp</t><rPh><t>kelp</t></rPh></is></c>'),
  ),
];

const repeated = (name: string, unit: string, becomes = 'reads'): Hostile =>
  hostile(`a megabyte of ${name}`, becomes, () => unit.repeat(Math.ceil(MB / unit.length)));

const texts: readonly Hostile[] = [
  hostile('a number of a million digits, as text', 'paper.cell', () => `${SOUND}1010,Kelp,${'9'.repeat(1_000_000)},\n`),
  hostile('a number of twenty million digits', 'paper.cell', () => `${SOUND}1010,Kelp,${'9'.repeat(20_000_000)},\n`),
  hostile('numbers of thirty thousand digits', 'reads', () => SOUND + `1010,Kelp,${'9'.repeat(30_000)},\n`.repeat(100)),
  hostile('an amount with spaces inside', 'paper.cell', () => `${SOUND}1010,Kelp,5${' '.repeat(39_000)}x,\n`),
  hostile('amounts with spaces inside', 'reads', () => SOUND + `1010,Kelp,5${' '.repeat(30_000)}x,\n`.repeat(100)),
  hostile(
    'a name of a hundred thousand characters',
    'paper.cell',
    () => `${SOUND}1010,${'kelp '.repeat(20_000)},5.00,\n`,
  ),
  hostile(
    'names of thirty thousand characters',
    'reads',
    () => SOUND + `1010,${'kelp '.repeat(6000)},5.00,\n`.repeat(200),
  ),
  hostile(
    'names of accents upon accents',
    'reads',
    () => SOUND + `1010,${'a\u0301\u0327'.repeat(5000)},5.00,\n`.repeat(100),
  ),
  hostile(
    'headers of accents upon accents',
    'reads',
    () => `${`${'\u0327\u0301'.repeat(16_000)},`.repeat(40)}\n${SOUND}`,
  ),
  hostile(
    'line ends of every kind',
    'reads',
    () => 'Code,Name,Debit,Credit\r\n1000,Bank,500.00,\r1010,"Kelp\r\nstock",100.00,\n3000,Capital,,600.00\n\r',
  ),
  hostile('a quote that is never closed', 'reads', () => `${HEADER}1000,"Bank,500.00,\n3000,Capital,,500.00\n`),
  hostile('quotes that are never closed', 'reads', () => HEADER + '1000,"Bank,5.00,\n'.repeat(40_000)),
  hostile('quotes in threes', 'reads', () => HEADER + '"""a,'.repeat(200_000)),
  hostile('quotes in fours', 'reads', () => HEADER + '""""a,'.repeat(200_000)),
  hostile('quotes with something after them', 'reads', () => HEADER + '"a"b,'.repeat(200_000)),
  hostile('a row of ten thousand cells', 'reads', () => `${SOUND}${'x,'.repeat(10_000)}\n`),
  hostile('a header of ten thousand cells', 'reads', () => `${'debit,'.repeat(10_000)}\n${SOUND}`),
  hostile('rows of one cell more', 'reads', () => `${HEADER}1000,Bank,500.00,,7\n3000,Capital,,500.00\n`),
  hostile(
    'two columns of one title',
    'reads',
    () => 'Code,Name,Debit,Credit,Debit\n1000,Bank,500.00,,7\n3000,Capital,,500.00,\n',
  ),
  hostile('more than a million rows', 'paper.rows', () => '1,2\n'.repeat(1_000_001)),
  hostile('more cells than are read', 'paper.cells', () => `${'a,'.repeat(50)}\n`.repeat(170_000)),
  hostile('fifty megabytes of commas', 'paper.cells', () => ','.repeat(50 * MB)),
  hostile('fifty megabytes of line ends', 'paper.empty', () => '\n'.repeat(50 * MB)),
  hostile('more than fifty megabytes', 'input.custom', () => 'x'.repeat(50 * MB + 1)),
  hostile(
    'formulas as names',
    'reads',
    () => `${HEADER}1000,=SUM(A1:A9),500.00,\n1010,@SUM(1+1)*cmd|' /C calc'!A0,1.00,\n3000,+1+1,,501.00\n`,
  ),
  hostile(
    'names that words of totals are in',
    'reads',
    () => 'Name,Debit,Credit\nSum insured,500.00,\nTotal Energies supplies,1.00,\nCapital,,501.00\n',
  ),
  hostile(
    'invisible characters before codes',
    'reads',
    () => `${HEADER}\ufeff1000,\u200bBank,500.00,\n\u202e3000,Cap\u00adital,,500.00\n`,
  ),
  hostile(
    'codes that objects have',
    'reads',
    () => `${HEADER}__proto__,Bank,500.00,\nconstructor,Capital,,500.00\ntoString,Kelp,0.00,\n`,
  ),
  hostile(
    'amounts that are none',
    'reads',
    () =>
      `${HEADER}${['$5', '5 USD', '(-5)', '-5-', '.', '1E+308', '0.005', '99999999999999999999', '5..5', '--5', '+-5', '5 kr', 'NaN', 'Infinity', '0x10', '٥', '５'].map((amount, at) => `${String(1000 + at)},Kelp,${amount},\n`).join('')}`,
  ),
  hostile(
    'text in 16 bits cut in half',
    'reads',
    () => new Uint8Array([0xff, 0xfe, ...Buffer.from(SOUND, 'utf16le'), 0x41]),
  ),
  hostile(
    'halves of characters',
    'reads',
    () => new Uint8Array([0xff, 0xfe, ...Buffer.from(`${SOUND}1010,\ud800 Kelp \udc00,5.00,\n`, 'utf16le')]),
  ),
  hostile('text in 16 bits without a mark', 'reads', () => new Uint8Array(Buffer.from(SOUND.repeat(20), 'utf16le'))),
  hostile('bytes that are no text', 'paper.binary', () => new Uint8Array([0x7f, 0x45, 0x4c, 0x46, 2, 1, 1, 0, 0, 0])),
  hostile(
    'letters written too long',
    'reads',
    () => new Uint8Array([...utf8(SOUND), 0xc0, 0xaf, 0xe0, 0x80, 0xaf, 0x0a]),
  ),
  hostile('something packed', 'paper.binary', () => new Uint8Array(gzipSync(utf8(SOUND)))),
  hostile(
    'a picture of a kind that browsers do not show',
    'paper.binary',
    () => new Uint8Array([0x49, 0x49, 0x2a, 0x00, 0x08, 0, 0, 0, 0, 0, 0, 13]),
  ),
  hostile('a page that unpacks to two hundred megabytes', 'paper.bomb', () =>
    pdfWith(zlibSync(new Uint8Array(200 * 1024 * 1024)), '/Filter/FlateDecode'),
  ),
  hostile('a page that is packed twice', 'paper.bomb', () =>
    pdfWith(zlibSync(zlibSync(new Uint8Array(90 * 1024 * 1024))), '/Filter[/FlateDecode/FlateDecode]'),
  ),
  hostile('a page that is encrypted', 'paper.locked', () => pdfOf([[40, 700, '1010']], '/Encrypt 9 0 R')),
  hostile('a page with a script', 'reads', () =>
    pdfOf(
      [
        [40, 760, '1010'],
        [90, 760, 'Bank'],
        [300, 760, '1,200.00'],
      ],
      '/OpenAction<</S/JavaScript/JS(app.alert\\(1\\))>>',
    ),
  ),
  hostile(
    'pages that hold themselves',
    'paper.pdf',
    () =>
      '%PDF-1.7\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n2 0 obj<</Type/Pages/Kids[2 0 R]/Count 1>>endobj\ntrailer<</Root 1 0 R>>',
  ),
  hostile('a picture of a page', 'paper.scan', () => pdfOf([])),
  hostile('a printed page', 'paper.pdf', () => '%PDF-1.7\n%âãÏÓ\n1 0 obj<</Length 99999999>>'),
  hostile('nothing', 'paper.empty', () => ''),
  hostile('nothing but a mark', 'paper.empty', () => '\ufeff'),
  hostile(
    'a web page without a table',
    'paper.no-table',
    () => '<html><body><script>alert(1)</script><br></body></html>',
  ),
  hostile('data of a program', 'reads', () => `{"rows":[${'[1,2],'.repeat(1000)}null]}`),
  repeated('quotes', '"', 'paper.cell'),
  repeated('apostrophes', "'", 'paper.cell'),
  repeated('semicolons', ';', 'paper.cell'),
  repeated('tabs', '\t', 'paper.empty'),
  repeated('bars', '|', 'paper.cell'),
  repeated('spaces', ' ', 'paper.empty'),
  repeated('returns', '\r', 'paper.empty'),
  repeated('minus signs', '-', 'paper.cell'),
  repeated('brackets', '(', 'paper.cell'),
  repeated('points', '.', 'paper.cell'),
  repeated('letters', 'a', 'paper.cell'),
  repeated('nil bytes', '\u0000', 'paper.binary'),
  repeated('byte-order marks', '\ufeff', 'paper.empty'),
  repeated('accents', '\u0301', 'paper.cell'),
  repeated('joiners', '\u200d', 'paper.cell'),
  repeated('codes and names', '1000 Bank - ', 'paper.cell'),
  repeated('short rows of amounts', '1,2 3,(4)\n'),
  repeated('rows that stand deeper and deeper', '1000,"  Bank",5.00,\n'),
  repeated('totals', 'Total,Total,5.00,5.00\n'),
  repeated('dates', '31.12.2025;31/12/25\n'),
  hostile(
    'rows each deeper than the one before',
    'reads',
    () =>
      `${HEADER}${Array.from({ length: 3000 }, (_, at) => `${String(1000 + at)},"${' '.repeat(at % 400)}Bank",1.00,\n`).join('')}`,
  ),
  hostile(
    'headings and totals of other things in turn',
    'reads',
    () =>
      `Name,Balance\n${Array.from({ length: 8000 }, (_, at) => `Part ${String(at)} of kelp,\nTotal other ${String(at)} of salt,5.00\n`).join('')}`,
  ),
  hostile(
    'codes each the beginning of the next',
    'reads',
    () =>
      `${HEADER}${Array.from({ length: 5000 }, (_, at) => `1${'0'.repeat(at % 50)},Bank ${String(at)},1.00,\n`).join('')}`,
  ),
];

const audit = (accounts: string): string =>
  `<AuditFile><MasterFiles><GeneralLedgerAccounts>${accounts}</GeneralLedgerAccounts></MasterFiles></AuditFile>`;
const account = (code: string, name: string): string =>
  `<Account><AccountID>${code}</AccountID><AccountDescription>${name}</AccountDescription><ClosingDebitBalance>5.00</ClosingDebitBalance></Account>`;

const auditFiles: readonly Hostile[] = [
  hostile('comments that are never closed', 'saft.broken', () => `<a>${'<!--'.repeat(80_000)}`),
  hostile('an element that is never finished', 'saft.broken', () => `<${'a'.repeat(344_000)}`),
  hostile('an attribute that is never finished', 'saft.broken', () => `<a b="${'x'.repeat(MB)}`),
  hostile('instructions that are never closed', 'saft.broken', () => '<?a '.repeat(200_000)),
  hostile('data that is never closed', 'saft.broken', () => `<a>${'<![CDATA['.repeat(80_000)}`),
  hostile('a megabyte of beginnings', 'saft.broken', () => '<'.repeat(MB)),
  hostile('a megabyte of entities', 'saft.broken', () => `<a>${'&'.repeat(MB)}</a>`),
  hostile('a megabyte of ends', 'saft.no-accounts', () => `<a>${'>'.repeat(MB)}</a>`),
  hostile('elements a hundred thousand deep', 'saft.deep', () => '<a>'.repeat(100_000)),
  hostile(
    'a hundred thousand attributes',
    'saft.no-accounts',
    () => `<a ${Array.from({ length: 100_000 }, (_, at) => `a${String(at)}="1"`).join(' ')}/>`,
  ),
  hostile('one attribute twice', 'saft.broken', () => '<a b="1" b="2"/>'),
  hostile(
    'entities that multiply',
    'saft.entities',
    () => `<!DOCTYPE a [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><a>&b;</a>`,
  ),
  hostile(
    'a file of the machine',
    'saft.entities',
    () => '<!DOCTYPE a [<!ENTITY x SYSTEM "file:///etc/passwd">]><a>&x;</a>',
  ),
  hostile('an entity that nobody declared', 'saft.broken', () => audit(account('1000', '&nbsp;Bank'))),
  hostile('characters by number', 'reads', () => audit(account('1000', '&#75;elp &amp; &#x53;alt'))),
  hostile('a character by number that is none', 'saft.broken', () => audit(account('1000', '&#0;'))),
  hostile('a character by a huge number', 'saft.broken', () => audit(account('1000', '&#x7fffffffffff;'))),
  hostile('a control character', 'saft.broken', () => audit(account('1000', 'Ba\u0007nk'))),
  hostile('codes that objects have, as elements', 'reads', () =>
    audit(account('__proto__', 'Bank') + account('constructor', 'Kelp')),
  ),
  hostile(
    'elements that objects have',
    'saft.no-accounts',
    () => '<__proto__><constructor>1</constructor></__proto__>',
  ),
  hostile('a name of a megabyte, as an element', 'paper.cell', () => audit(account('1000', 'x'.repeat(MB)))),
  hostile('two hundred thousand accounts', 'saft.many', () =>
    audit('<Account><AccountID>1</AccountID></Account>'.repeat(200_000)),
  ),
  hostile('accounts in accounts', 'reads', () =>
    audit(`<Account><AccountID>1</AccountID>${account('2', 'inner')}</Account>`),
  ),
  hostile(
    'another encoding than it declares',
    'reads',
    () => `<?xml version="1.0" encoding="UTF-16"?>${audit(account('1000', 'Bank'))}`,
  ),
  hostile(
    'an encoding that nobody knows',
    'reads',
    () => `<?xml version="1.0" encoding="x-nobody"?>${audit(account('1000', 'Bank'))}`,
  ),
  hostile('script as a name', 'reads', () => audit(account('1000', '&lt;script&gt;alert(1)&lt;/script&gt;'))),
];

/** An OpenDocument workbook around the rows of its one sheet. */
const openDocument = (rows: string, more: readonly Part[] = []): Uint8Array =>
  packed([
    part(
      'content.xml',
      `<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><office:body><office:spreadsheet><table:table table:name="TB">${rows}</table:table></office:spreadsheet></office:body></office:document-content>`,
    ),
    ...more,
  ]);
const cellsOf = (...cells: readonly (string | number)[]): string =>
  `<table:table-row>${cells.map((cell) => (typeof cell === 'number' ? `<table:table-cell office:value-type="float" office:value="${String(cell)}"/>` : `<table:table-cell><text:p>${cell}</text:p></table:table-cell>`)).join('')}</table:table-row>`;
const SHEET = `${cellsOf('Code', 'Name', 'Balance')}${cellsOf('1000', 'Bank', 500)}${cellsOf('3000', 'Capital', -500)}`;

const openDocuments: readonly Hostile[] = [
  hostile('an OpenDocument sheet, formatted to its last row', 'reads', () =>
    openDocument(
      `${SHEET}<table:table-row table:number-rows-repeated="1048000"><table:table-cell table:number-columns-repeated="16384"/></table:table-row>`,
    ),
  ),
  hostile('an OpenDocument row that stands a million times', 'paper.cells', () =>
    openDocument(
      `${SHEET}<table:table-row table:number-rows-repeated="1000000"><table:table-cell table:number-columns-repeated="60"><text:p>x</text:p></table:table-cell></table:table-row>`,
    ),
  ),
  hostile('an OpenDocument sheet with sheets in its cells', 'reads', () =>
    openDocument(
      `${SHEET}<table:table-row><table:table-cell><table:table><table:table-row><table:table-cell><text:p>9000</text:p></table:table-cell></table:table-row></table:table></table:table-cell></table:table-row>`,
    ),
  ),
  hostile('an OpenDocument file with entities', 'paper.broken', () =>
    packed([part('content.xml', '<!DOCTYPE a [<!ENTITY x "y">]><a>&x;</a>')]),
  ),
  hostile('an OpenDocument file with macros', 'paper.macros', () =>
    openDocument(SHEET, [part('Basic/Standard/Module1.xml', '<module/>')]),
  ),
  hostile('an OpenDocument cell of a megabyte', 'paper.cell', () => openDocument(cellsOf('x'.repeat(MB)))),
];

const page = (body: string): string => `<!doctype html><html><body>${body}</body></html>`;
const TABLE = '<tr><td>Code<td>Name<td>Balance<tr><td>1000<td>Bank<td>500.00<tr><td>3000<td>Capital<td>-500.00';

const webPages: readonly Hostile[] = [
  hostile('a web page with script', 'reads', () =>
    page(
      `<script>alert(1)</script><table onload="alert(1)">${TABLE}</table><iframe src="file:///etc/passwd"></iframe>`,
    ),
  ),
  hostile('a web page of a hundred thousand parts in each other', 'paper.deep', () => page('<div>'.repeat(100_000))),
  hostile('a web page whose cells reach over a million rows', 'reads', () =>
    page(`<table>${TABLE}<tr>${'<td rowspan=1000000 colspan=1000000>'.repeat(1000)}</table>`),
  ),
  hostile('a web page of a hundred thousand cells in one row', 'reads', () =>
    page(`<table>${TABLE}<tr>${'<td>1'.repeat(100_000)}</table>`),
  ),
  hostile('a web page that never ends its tags', 'reads', () => page(`<table>${TABLE}<td ${'a="'.repeat(10_000)}`)),
  hostile('entities of a web page', 'reads', () =>
    page(`<table>${TABLE}<tr><td>&amp;&#x0;&#1114112;&nbsp;&bogus;</table>`),
  ),
];

export const CORPUS: readonly Hostile[] = [...workbooks, ...openDocuments, ...texts, ...webPages, ...auditFiles];

/** A paper like any other, which must be taken after each of the others. */
export const control = (at: number): Uint8Array => utf8(`${SOUND}${String(4000 + at)},Control ${String(at)},0.00,\n`);
