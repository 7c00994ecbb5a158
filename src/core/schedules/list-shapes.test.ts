import { describe, expect, it } from 'vitest';
import { readAnyPaper } from '../files/read-any';
import { plainDecimal } from '../money/format';
import { readItems } from './list-items';

/** Lists of many shapes, each with what it comes to: row, code, name, kind, number, reference, date, due, currency, original, open, base. */
const LISTS: readonly {
  readonly what: string;
  readonly file: string;
  readonly of: string;
  readonly text: string;
  readonly items: readonly string[];
}[] = [
  {
    what: 'codes in capitals, sides at the amounts, ages and kinds that no word names',
    file: 'list.csv',
    of: 'suppliers 2026-02-28',
    text: [
      'Gannet & Gull Ltd',
      'What we owe, by age, as at 28 February 2026,,,,,,,Sheet 1',
      'Key,Supplier,Raised,Sort,Their paper,About,Left,Fresh,One month,Two months,Stale',
      'ANVIL,Anvil Forge,12/01/2026,Invoice,4471,Gates,"1,200.00 C",,"1,200.00 C",,',
      'ANVIL,Anvil Forge,03/02/2026,Credit note,CN88,Returned,"120.00 D","120.00 D",,,',
      ',,,,,Sum:,"1,080.00 C","120.00 D","1,200.00 C","0.00","0.00"',
      'BRINE,Brine Supplies,05/12/2025,Invoice,B-19,Salt,"310.50 C",,,"310.50 C",',
      'BRINE,Brine Supplies,09/02/2026,On account,,Paid ahead,"100.00 D","100.00 D",,,',
      ',,,,,Sum:,"210.50 C","100.00 D","0.00","310.50 C","0.00"',
      'Total:,,,,,,"1,290.50 C","220.00 D","1,200.00 C","310.50 C","0.00"',
    ].join('\n'),
    items: [
      '4|ANVIL|Anvil Forge|invoice|4471||2026-01-12||||-1200.00|',
      '5|ANVIL|Anvil Forge|credit-note|CN88||2026-02-03||||120.00|',
      '7|BRINE|Brine Supplies|invoice|B-19||2025-12-05||||-310.50|',
      '8|BRINE|Brine Supplies|payment|||2026-02-09||||100.00|',
    ],
  },
  {
    what: 'a column for each currency',
    file: 'list.csv',
    of: 'suppliers 2026-07-31',
    text: [
      'Outstanding supplier invoices at 31 July 2026;;;;;;',
      'Supplier;Invoice;Date;Due date;EUR;NOK;GBP',
      'Rope & Rove;R-881;02.07.2026;01.08.2026;320,00;;',
      'Fjordtau AS;F-1009;11.06.2026;11.07.2026;;14.500,00;',
      'Saltwick Chandlers;SC44;15.07.2026;14.08.2026;;;210,00',
      'Rope & Rove;R-890;20.07.2026;19.08.2026;75,50;;',
      'Total;;;;395,50;14.500,00;210,00',
    ].join('\n'),
    items: [
      '3||Rope & Rove|invoice|R-881||2026-07-02|2026-08-01|EUR||-320.00|',
      '4||Fjordtau AS|invoice|F-1009||2026-06-11|2026-07-11|NOK||-14500.00|',
      '5||Saltwick Chandlers|invoice|SC44||2026-07-15|2026-08-14|GBP||-210.00|',
      '6||Rope & Rove|invoice|R-890||2026-07-20|2026-08-19|EUR||-75.50|',
    ],
  },
  {
    what: 'a running balance with what was brought forward',
    file: 'list.csv',
    of: 'customers 2026-06-30',
    text: [
      'Customer statement list at 30 June 2026',
      'Account;Customer;Date;Document;Text;Debit;Credit;Balance',
      '7001;Thrift House;31/05/2026;;Balance brought forward;;;450,00',
      '7001;Thrift House;03/06/2026;8801;Invoice;120,00;;570,00',
      '7001;Thrift House;15/06/2026;R55;Receipt;;400,00;170,00',
      '7002;Samphire Bar;31/05/2026;;Balance brought forward;;;0,00',
      '7002;Samphire Bar;11/06/2026;8810;Invoice;88,20;;88,20',
    ].join('\n'),
    items: [
      '3|7001|Thrift House|balance||Balance brought forward|2026-05-31||||450.00|',
      '4|7001|Thrift House|invoice|8801|Invoice|2026-06-03||||120.00|',
      '5|7001|Thrift House|payment|R55|Receipt|2026-06-15||||-400.00|',
      '7|7002|Samphire Bar|invoice|8810|Invoice|2026-06-11||||88.20|',
    ],
  },
  {
    what: 'a code, an original amount and a base that no word names',
    file: 'list.csv',
    of: 'customers 2025-12-31 CZK',
    text: [
      'Lesní pila Doubrava s.r.o.;;;;;;;;',
      'Saldokonto odběratelů k 31.12.2025;;;;;;;;',
      'IČ;Firma;Doklad;Vystaveno;Splatnost;Měna;Celkem;Zbývá uhradit;Zbývá v CZK',
      '25512345;Truhlářství Hora;FV250117;14.11.2025;28.11.2025;CZK;18 400,00;18 400,00;18 400,00',
      '25512345;Truhlářství Hora;FV250131;02.12.2025;16.12.2025;CZK;7 260,00;3 000,00;3 000,00',
      '25512345;Truhlářství Hora;DB250004;09.12.2025;;CZK;-1 210,00;-1 210,00;-1 210,00',
      'DE811;Zimmerei Kranz GmbH;FV250128;28.11.2025;28.12.2025;EUR;2 150,50;2 150,50;52 150,60',
      ';Celkem;;;;;;;72 340,60',
    ].join('\n'),
    items: [
      '4|25512345|Truhlářství Hora|invoice|FV250117||2025-11-14|2025-11-28|CZK|18400.00|18400.00|18400.00',
      '5|25512345|Truhlářství Hora|invoice|FV250131||2025-12-02|2025-12-16|CZK|7260.00|3000.00|3000.00',
      '6|25512345|Truhlářství Hora|credit-note|DB250004||2025-12-09||CZK|-1210.00|-1210.00|-1210.00',
      '7|DE811|Zimmerei Kranz GmbH|invoice|FV250128||2025-11-28|2025-12-28|EUR|2150.50|2150.50|52150.60',
    ],
  },
  {
    what: 'a day with its case, amounts without decimals',
    file: 'list.csv',
    of: 'customers 2025-12-31 HUF',
    text: [
      'Nyitott vevőszámlák 2025.12.31-én;;;;;',
      'Vevőkód;Vevő neve;Számlaszám;Kelt;Esedékesség;Hátralék (Ft)',
      'V001;Tisza Bútor Kft.;2025/000117;2025.11.14.;2025.12.14.;1 270 000',
      'V001;Tisza Bútor Kft.;2025/000140;2025.12.19.;2026.01.18.;254 000',
      'V002;Kékes Panzió;2025/000122;2025.11.20.;2025.11.28.;88 900',
      'V002;Kékes Panzió;2025/JS0003;2025.12.01.;2025.12.01.;-12 700',
      'Összesen;;;;;1 600 200',
    ].join('\n'),
    items: [
      '3|V001|Tisza Bútor Kft.|invoice|2025/000117||2025-11-14|2025-12-14|HUF||1270000.00|',
      '4|V001|Tisza Bútor Kft.|invoice|2025/000140||2025-12-19|2026-01-18|HUF||254000.00|',
      '5|V002|Kékes Panzió|invoice|2025/000122||2025-11-20|2025-11-28|HUF||88900.00|',
      '6|V002|Kékes Panzió|credit-note|2025/JS0003||2025-12-01|2025-12-01|HUF||-12700.00|',
    ],
  },
  {
    what: 'Japanese',
    file: 'list.csv',
    of: 'customers 2026-03-31 JPY',
    text: [
      '売掛金明細表,,,,,',
      '2026年3月31日現在,,,,,単位：円',
      '得意先コード,得意先名,請求書番号,請求日,支払期日,残高',
      'T001,波止場商店,INV-0301,2026/02/28,2026/03/31,"128,000"',
      'T001,波止場商店,INV-0322,2026/03/25,2026/04/30,"54,300"',
      'T002,かもめ製菓,INV-0310,2026/03/10,2026/04/30,"210,000"',
      'T002,かもめ製菓,CN-0007,2026/03/18,,"-10,000"',
      '合計,,,,,"382,300"',
    ].join('\n'),
    items: [
      '4|T001|波止場商店|invoice|INV-0301||2026-02-28|2026-03-31|JPY||128000|',
      '5|T001|波止場商店|invoice|INV-0322||2026-03-25|2026-04-30|JPY||54300|',
      '6|T002|かもめ製菓|invoice|INV-0310||2026-03-10|2026-04-30|JPY||210000|',
      '7|T002|かもめ製菓|credit-note|CN-0007||2026-03-18||JPY||-10000|',
    ],
  },
  {
    what: 'three decimals',
    file: 'list.csv',
    of: 'suppliers 2026-06-30 KWD',
    text: [
      'Falcon Dates W.L.L.',
      'Suppliers outstanding as of 30/06/2026 (KWD)',
      'Supplier,Bill no,Bill date,Due,Bill amount,Paid,Balance',
      'Palm Packaging,PP-118,15/05/2026,14/06/2026,412.500,0.000,412.500',
      'Palm Packaging,PP-131,10/06/2026,10/07/2026,1024.125,500.000,524.125',
      'Gulf Ice,8812,02/06/2026,02/07/2026,36.750,0.000,36.750',
      'TOTAL,,,,1473.375,500.000,973.375',
    ].join('\n'),
    items: [
      '4||Palm Packaging|invoice|PP-118||2026-05-15|2026-06-14|KWD|-412.500|-412.500|',
      '5||Palm Packaging|invoice|PP-131||2026-06-10|2026-07-10|KWD|-1024.125|-524.125|',
      '6||Gulf Ice|invoice|8812||2026-06-02|2026-07-02|KWD|-36.750|-36.750|',
    ],
  },
  {
    what: 'a side beside the amount, and a balance that runs on',
    file: 'list.csv',
    of: 'customers',
    text: [
      'OPOS-Liste Debitoren;;;;;;;',
      'Konto;Bezeichnung;RE-Nr.;Datum;Fälligkeit;Umsatz;S/H;Saldo',
      '10010;Kräuterhof Anders;25-1001;03.11.2025;17.11.2025;1.190,00;S;1.190,00 S',
      '10010;Kräuterhof Anders;25-1044;09.12.2025;23.12.2025;357,00;S;1.547,00 S',
      '10010;Kräuterhof Anders;;15.12.2025;;500,00;H;1.047,00 S',
      '10020;Café Linde;25-1012;05.11.2025;19.11.2025;238,00;S;238,00 S',
      '10020;Café Linde;G25-03;20.11.2025;;59,50;H;178,50 S',
    ].join('\n'),
    items: [
      '3|10010|Kräuterhof Anders|invoice|25-1001||2025-11-03|2025-11-17|||1190.00|',
      '4|10010|Kräuterhof Anders|invoice|25-1044||2025-12-09|2025-12-23|||357.00|',
      '5|10010|Kräuterhof Anders|credit-note|||2025-12-15||||-500.00|',
      '6|10020|Café Linde|invoice|25-1012||2025-11-05|2025-11-19|||238.00|',
      '7|10020|Café Linde|credit-note|G25-03||2025-11-20||||-59.50|',
    ],
  },
  {
    what: 'groups by customer, a payment without a number, months first',
    file: 'list.csv',
    of: 'customers 2026-07-31',
    text: [
      'Prairie Lantern LLC',
      'Customers, unpaid on 07/31/2026',
      'Day,Kind,Paper no,Pay by,Still to pay',
      'Ardmore Orchard',
      '06/04/2026,Invoice,1201,07/04/2026,"$1,250.00"',
      '07/08/2026,Invoice,1233,08/07/2026,$845.10',
      '07/09/2026,Payment,,,-$200.00',
      'Sum of Ardmore Orchard,,,,"$1,895.10"',
      'Birch Bakery',
      '07/12/2026,Invoice,1240,07/12/2026,$99.95',
      '07/15/2026,Credit note,1241,,-$10.00',
      'Sum of Birch Bakery,,,,$89.95',
      'Total,,,,"$1,985.05"',
    ].join('\n'),
    items: [
      '5||Ardmore Orchard|invoice|1201||2026-06-04|2026-07-04|||1250.00|',
      '6||Ardmore Orchard|invoice|1233||2026-07-08|2026-08-07|||845.10|',
      '7||Ardmore Orchard|payment|||2026-07-09||||-200.00|',
      '10||Birch Bakery|invoice|1240||2026-07-12|2026-07-12|||99.95|',
      '11||Birch Bakery|credit-note|1241||2026-07-15||||-10.00|',
    ],
  },
  {
    what: 'columns by their places, two digits of the year',
    file: 'list.txt',
    of: 'customers 2026-03-31',
    text: [
      'HERON WHARF LTD                                             PAGE  1',
      'AGED DEBTORS                            AS AT 31/03/26',
      '',
      'ACCOUNT   NAME                 INVOICE    DATE      DUE        AMOUNT',
      '',
      'H001      HARBOUR INN          10233      14/02/26  15/03/26     412.00',
      'H001      HARBOUR INN          10260      20/03/26  19/04/26     188.50',
      'H001      HARBOUR INN          C0045      22/03/26              -40.00',
      'K002      KELPIE CRAFTS        10241      25/02/26  26/03/26   1,020.75',
      '                                                             ---------',
      '                                                              1,581.25',
      '                                                             =========',
    ].join('\n'),
    items: [
      '6|H001|HARBOUR INN|invoice|10233||2026-02-14|2026-03-15|||412.00|',
      '7|H001|HARBOUR INN|invoice|10260||2026-03-20|2026-04-19|||188.50|',
      '8|H001|HARBOUR INN|credit-note|C0045||2026-03-22||||-40.00|',
      '9|K002|KELPIE CRAFTS|invoice|10241||2026-02-25|2026-03-26|||1020.75|',
    ],
  },
  {
    what: 'codes under the word for their owners, names under another',
    file: 'list.csv',
    of: 'suppliers 2026-07-31',
    text: [
      'Partitario fornitori - scadenze aperte;;;;;;;',
      'Data stampa: 12/08/2026;;;Situazione al 31/07/2026;;;;',
      'Fornitore;Descrizione;Data doc.;Num. doc.;Scadenza;Importo;Pagato;Residuo',
      'F00012;Cantiere Navale Brezza;05/06/2026;118/A;05/07/2026;3.660,00;0,00;3.660,00',
      'F00012;Cantiere Navale Brezza;02/07/2026;131/A;31/07/2026;1.220,00;610,00;610,00',
      'F00012;Cantiere Navale Brezza;10/07/2026;N12;10/07/2026;-244,00;0,00;-244,00',
      ';Totale Cantiere Navale Brezza;;;;4.636,00;610,00;4.026,00',
      'F00044;Reti del Golfo s.a.s.;20/07/2026;77;19/08/2026;890,60;0,00;890,60',
      ';Totale Reti del Golfo s.a.s.;;;;890,60;0,00;890,60',
      ';TOTALE GENERALE;;;;5.526,60;610,00;4.916,60',
    ].join('\n'),
    items: [
      '4|F00012|Cantiere Navale Brezza|invoice|118/A||2026-06-05|2026-07-05||-3660.00|-3660.00|',
      '5|F00012|Cantiere Navale Brezza|invoice|131/A||2026-07-02|2026-07-31||-1220.00|-610.00|',
      '6|F00012|Cantiere Navale Brezza|credit-note|N12||2026-07-10|2026-07-10||244.00|244.00|',
      '8|F00044|Reti del Golfo s.a.s.|invoice|77||2026-07-20|2026-08-19||-890.60|-890.60|',
    ],
  },
  {
    what: 'ages that add up, one of them unnamed',
    file: 'list.csv',
    of: 'customers 2026-06-30',
    text: [
      'Ouderdomsanalyse debiteuren;;;;;;;;;',
      'Peildatum;30-06-2026;;;;;;;;',
      'Debiteur;Naam;Factuur;Datum;Vervalt;Totaal;Niet verv.;1-30;31-60;>60',
      '1001;De Zeewierschuur;2026-0088;15-04-2026;15-05-2026;1.452,00;;;1.452,00;',
      '1001;De Zeewierschuur;2026-0121;02-06-2026;02-07-2026;605,00;605,00;;;',
      '1002;Visrokerij Hoek;2026-0095;28-04-2026;12-05-2026;242,00;;;242,00;',
      '1002;Visrokerij Hoek;2026-0130;19-06-2026;03-07-2026;121,00 -;121,00 -;;;',
      ';;;;Totaal;2.178,00;484,00;0,00;1.694,00;0,00',
    ].join('\n'),
    items: [
      '4|1001|De Zeewierschuur|invoice|2026-0088||2026-04-15|2026-05-15|||1452.00|',
      '5|1001|De Zeewierschuur|invoice|2026-0121||2026-06-02|2026-07-02|||605.00|',
      '6|1002|Visrokerij Hoek|invoice|2026-0095||2026-04-28|2026-05-12|||242.00|',
      '7|1002|Visrokerij Hoek|credit-note|2026-0130||2026-06-19|2026-07-03|||-121.00|',
    ],
  },
  {
    what: 'the entry’s number beside the document’s, and amounts in two currencies',
    file: 'list.csv',
    of: 'suppliers 2026-07-31 NOK',
    text: [
      'Åpne poster leverandører pr 31.07.2026',
      'Leverandør;Leverandørnavn;Bilagsnr;Fakturanr;Fakturadato;Forfallsdato;Valuta;Valutabeløp;Beløp NOK',
      '20010;Fjordtau AS;4410;F-5521;01.07.2026;31.07.2026;NOK;-8 400,00;-8 400,00',
      '20015;Kelp Tools Ltd;4418;INV9981;05.07.2026;04.08.2026;GBP;-1 200,00;-16 380,00',
      '20015;Kelp Tools Ltd;4430;CR102;20.07.2026;;GBP;150,00;2 047,50',
      'Sum;;;;;;;;-22 732,50',
    ].join('\n'),
    items: [
      '3|20010|Fjordtau AS|invoice|4410|F-5521|2026-07-01|2026-07-31|NOK||-8400.00|-8400.00',
      '4|20015|Kelp Tools Ltd|invoice|4418|INV9981|2026-07-05|2026-08-04|GBP||-1200.00|-16380.00',
      '5|20015|Kelp Tools Ltd|credit-note|4430|CR102|2026-07-20||GBP||150.00|2047.50',
    ],
  },
  {
    what: 'what is left of each document, in its currency and in the books’',
    file: 'list.csv',
    of: 'suppliers 2026-07-31 EUR',
    text: [
      'Marram Kelp Farms, what is owed to suppliers',
      'On 31/07/2026',
      'Bill,From,Raised,Pay by,Currency,Whole,Left,Left in EUR',
      'B-101,Rope & Rove,02/07/2026,01/08/2026,EUR,320.00,320.00,320.00',
      'B-102,Fjordtau AS,11/06/2026,11/07/2026,NOK,14500.00,14500.00,1261.50',
      'B-103,Saltwick Chandlers,15/07/2026,14/08/2026,GBP,210.00,110.00,128.70',
      'B-104,Rope & Rove,20/07/2026,,EUR,-20.00,-20.00,-20.00',
      'Total,,,,,,,1690.20',
    ].join('\n'),
    items: [
      '4||Rope & Rove|invoice|B-101||2026-07-02|2026-08-01|EUR|-320.00|-320.00|-320.00',
      '5||Fjordtau AS|invoice|B-102||2026-06-11|2026-07-11|NOK|-14500.00|-14500.00|-1261.50',
      '6||Saltwick Chandlers|invoice|B-103||2026-07-15|2026-08-14|GBP|-210.00|-110.00|-128.70',
      '7||Rope & Rove|credit-note|B-104||2026-07-20||EUR|20.00|20.00|20.00',
    ],
  },
  {
    what: 'numbers that look like days',
    file: 'list.txt',
    of: 'customers 2026-06-30',
    text: [
      'Pohledávky po splatnosti k 30.06.2026',
      'Odběratel                 Faktura      Vystavena   Splatná      Částka      Zbývá   Dnů po spl.',
      'Pekárna U Lípy            20260101     02.05.2026  16.05.2026   5 445,00    5 445,00   45',
      'Pekárna U Lípy            20260119     28.05.2026  11.06.2026   2 420,00    1 000,00   19',
      'Restaurace Na Splavu      20260107     10.05.2026  24.05.2026     968,00      968,00   37',
      'Celkem                                                          8 833,00    7 413,00',
    ].join('\n'),
    items: [
      '3||Pekárna U Lípy|invoice|20260101||2026-05-02|2026-05-16||5445.00|5445.00|',
      '4||Pekárna U Lípy|invoice|20260119||2026-05-28|2026-06-11||2420.00|1000.00|',
      '5||Restaurace Na Splavu|invoice|20260107||2026-05-10|2026-05-24||968.00|968.00|',
    ],
  },
  {
    what: 'what is open under no known word',
    file: 'list.csv',
    of: 'customers 2026-06-30',
    text: [
      'Kimenő számlák - kiegyenlítetlen tételek (2026.06.30);;;;;;',
      'Partner;Bizonylat;Teljesítés;Határidő;Pénznem;Bruttó;Tartozás',
      'Balaton Hajózás Zrt.;KSZ-26/0101;2026.05.12;2026.06.11;HUF;635 000;635 000',
      'Balaton Hajózás Zrt.;KSZ-26/0122;2026.06.20;2026.07.20;EUR;1 270,00;1 270,00',
      'Fonyódi Kikötő;KSZ-26/0110;2026.05.30;2026.06.14;HUF;190 500;90 500',
    ].join('\n'),
    items: [
      '3||Balaton Hajózás Zrt.|invoice|KSZ-26/0101||2026-05-12|2026-06-11|HUF|635000.00|635000.00|',
      '4||Balaton Hajózás Zrt.|invoice|KSZ-26/0122||2026-06-20|2026-07-20|EUR|1270.00|1270.00|',
      '5||Fonyódi Kikötő|invoice|KSZ-26/0110||2026-05-30|2026-06-14|HUF|190500.00|90500.00|',
    ],
  },
  {
    what: 'a base column that only its rates tell',
    file: 'list.csv',
    of: 'suppliers 2026-07-31',
    text: [
      'OPEN ITEMS LIST;CREDITORS;31.07.2026',
      'Konto-Nr.;Lieferant;Belegnr;Fremdbeleg;Belegdatum;Netto fällig;W;Betrag FW;Betrag HW',
      '70010;Nordseilerei;ER-8801;4711;02.07.2026;01.08.2026;EUR;1.500,00-;1.500,00-',
      '70010;Nordseilerei;ER-8822;4760;20.07.2026;19.08.2026;EUR;250,00-;250,00-',
      '70022;Bergen Tau;ER-8810;F-991;08.07.2026;07.08.2026;NOK;9.000,00-;783,00-',
      '70022;Bergen Tau;GS-0012;K-12;15.07.2026;;NOK;500,00;43,50',
      ';;;;;;Summe;;2.489,50-',
    ].join('\n'),
    items: [
      '3|70010|Nordseilerei|invoice|ER-8801|4711|2026-07-02|2026-08-01|EUR||-1500.00|-1500.00',
      '4|70010|Nordseilerei|invoice|ER-8822|4760|2026-07-20|2026-08-19|EUR||-250.00|-250.00',
      '5|70022|Bergen Tau|invoice|ER-8810|F-991|2026-07-08|2026-08-07|NOK||-9000.00|-783.00',
      '6|70022|Bergen Tau|credit-note|GS-0012|K-12|2026-07-15||NOK||500.00|43.50',
    ],
  },
  {
    what: 'a header in a language that is not known here',
    file: 'list.csv',
    of: 'customers 2026-06-30',
    text: [
      'Otvorene stavke kupaca na dan 30.06.2026;;;;;;',
      'Šifra;Naziv kupca;Račun;Datum;Dospijeće;Iznos;Otvoreno',
      '1001;Ribarnica Galeb d.o.o.;2026-118;05.05.2026;04.06.2026;1.250,00;1.250,00',
      '1001;Ribarnica Galeb d.o.o.;2026-131;11.06.2026;11.07.2026;640,00;320,00',
      '1007;Konoba Bura;2026-122;18.05.2026;02.06.2026;98,50;98,50',
      '1007;Konoba Bura;OD-4;20.06.2026;;-98,50;-98,50',
      ';Ukupno;;;;1.890,00;1.570,00',
    ].join('\n'),
    items: [
      '3|1001|Ribarnica Galeb d.o.o.|invoice|2026-118||2026-05-05|2026-06-04||1250.00|1250.00|',
      '4|1001|Ribarnica Galeb d.o.o.|invoice|2026-131||2026-06-11|2026-07-11||640.00|320.00|',
      '5|1007|Konoba Bura|invoice|2026-122||2026-05-18|2026-06-02||98.50|98.50|',
      '6|1007|Konoba Bura|payment|OD-4||2026-06-20|||-98.50|-98.50|',
    ],
  },
  {
    what: 'a header in Cyrillic letters',
    file: 'list.csv',
    of: 'customers 2025-12-31',
    text: [
      'Неплатени фактури клиенти към 31.12.2025',
      'Код;Контрагент;Фактура №;Дата;Падеж;Сума;Остатък',
      'К-01;Морски Дар ООД;0000001181;12.11.2025;12.12.2025;1 200,00;1 200,00',
      'К-01;Морски Дар ООД;0000001199;01.12.2025;31.12.2025;360,00;160,00',
      'К-09;Хотел Вълна;0000001190;20.11.2025;05.12.2025;75,40;75,40',
      'Общо;;;;;1 635,40;1 435,40',
    ].join('\n'),
    items: [
      '3|К-01|Морски Дар ООД|invoice|0000001181||2025-11-12|2025-12-12||1200.00|1200.00|',
      '4|К-01|Морски Дар ООД|invoice|0000001199||2025-12-01|2025-12-31||360.00|160.00|',
      '5|К-09|Хотел Вълна|invoice|0000001190||2025-11-20|2025-12-05||75.40|75.40|',
    ],
  },
  {
    what: 'debits near the texts before them in a print, and sums that go across the columns',
    file: 'open items.txt',
    of: 'customers 2026-07-31 GBP',
    text: [
      'STATEMENT OF OPEN ITEMS          Run: 01-Aug-26 07:40',
      'Currency: GBP      Balances as at: 31-Jul-26',
      '',
      'Account: PEN004   Penhallow Chandlery',
      '  Date        Ref        Details               Debit      Credit    Balance',
      '  11-May-26   INV00871   Rope, 200 m          540.00                 540.00',
      '  02-Jun-26   RCT00102   Payment on account               300.00     240.00',
      '  19-Jul-26   INV00934   Shackles              86.40                 326.40',
      '                                   Account total                     326.40',
      '',
      'Account: TRE001   Trevose Sailing School',
      '  Date        Ref        Details               Debit      Credit    Balance',
      '  30-Jun-26   INV00910   Sail repair        1,150.00               1,150.00',
      '  08-Jul-26   CRN00012   Overcharge                        50.00   1,100.00',
      '                                   Account total                   1,100.00',
    ].join('\n'),
    items: [
      '6|PEN004|Penhallow Chandlery|invoice|INV00871|Rope, 200 m|2026-05-11||GBP||540.00|',
      '7|PEN004|Penhallow Chandlery|payment|RCT00102|Payment on account|2026-06-02||GBP||-300.00|',
      '8|PEN004|Penhallow Chandlery|invoice|INV00934|Shackles|2026-07-19||GBP||86.40|',
      '13|TRE001|Trevose Sailing School|invoice|INV00910|Sail repair|2026-06-30||GBP||1150.00|',
      '14|TRE001|Trevose Sailing School|credit-note|CRN00012|Overcharge|2026-07-08||GBP||-50.00|',
    ],
  },
  {
    what: 'contacts above their documents, with a code in brackets and how to reach them behind it',
    file: 'aged.csv',
    of: 'customers 2026-07-31',
    text: [
      'As of 31 Jul 2026,,,,',
      'Invoice,Invoice date,Due date,Current,Total',
      '"Abernethy, Poole & Co  (C-014)   tel 01632 960 114",,,,',
      'SI-2201,14/05/2026,13/06/2026,412.50,412.50',
      'Subtotal,,,412.50,412.50',
      'Barnacle Café  (C-020)   +44 1632 960 777,,,,',
      'SI-1987,22/06/2026,22/07/2026,88.40,88.40',
      'Subtotal,,,88.40,88.40',
      'Grand total,,,500.90,500.90',
    ].join('\n'),
    items: [
      '4|C-014|Abernethy, Poole & Co|invoice|SI-2201||2026-05-14|2026-06-13||412.50|412.50|',
      '7|C-020|Barnacle Café|invoice|SI-1987||2026-06-22|2026-07-22||88.40|88.40|',
    ],
  },
  {
    what: 'net and tax beside what is open',
    file: 'list.csv',
    of: 'customers',
    text: [
      'Date;Reference;Customer;Gross;Net;VAT;Receipts;Left',
      '01/06/2026;INV 77;Kelpie Crafts;120.00;100.00;20.00;0.00;120.00',
      '09/06/2026;INV 81;Harbour Inn;240.00;200.00;40.00;100.00;140.00',
      '19/06/2026;CRN 5;Harbour Inn;-24.00;-20.00;-4.00;0.00;-24.00',
      ';;Totals;336.00;280.00;56.00;100.00;236.00',
    ].join('\n'),
    items: [
      '2||Kelpie Crafts|invoice|INV 77||2026-06-01|||120.00|120.00|',
      '3||Harbour Inn|invoice|INV 81||2026-06-09|||240.00|140.00|',
      '4||Harbour Inn|credit-note|CRN 5||2026-06-19|||-24.00|-24.00|',
    ],
  },
  {
    what: 'a balance by age for each customer, nobody naming their column, one of them called Total',
    file: 'list.csv',
    of: 'customers 2026-03-31',
    text: [
      'Skein & Shuttle',
      'A/R ageing at 31 March 2026',
      ',Current,1 - 30,31 - 60,> 60,Total',
      'Alder Mills,120.00,0.00,0.00,30.50,150.50',
      'Total Care Laundry,0.00,75.25,0.00,0.00,75.25',
      'Yarrow Inns,0.00,0.00,-12.00,0.00,-12.00',
      'Total,120.00,75.25,-12.00,30.50,213.75',
    ].join('\n'),
    items: [
      '4||Alder Mills|balance|||||||150.50|',
      '5||Total Care Laundry|balance|||||||75.25|',
      '6||Yarrow Inns|balance|||||||-12.00|',
    ],
  },
  {
    what: 'what debits and credits come to, on two lines below them',
    file: 'list.csv',
    of: 'customers 2026-03-31',
    text: [
      'Sales ledger, outstanding, 31/03/2026',
      'A/C,Name,No,Type,Date,Debit,Credit',
      'ASH1,Ash Joinery,4001,SI,14/01/2026,250.00,',
      'ASH1,Ash Joinery,4007,SC,20/02/2026,,40.00',
      'ELM2,Elm & Son,4010,SI,03/03/2026,99.95,',
      ',,,,Totals,349.95,40.00',
      ',,,,Balance,309.95,',
    ].join('\n'),
    items: [
      '3|ASH1|Ash Joinery|invoice|4001||2026-01-14||||250.00|',
      '4|ASH1|Ash Joinery|credit-note|4007||2026-02-20||||-40.00|',
      '5|ELM2|Elm & Son|invoice|4010||2026-03-03||||99.95|',
    ],
  },
  {
    what: 'each currency under its own name, with sums of the parts alone',
    file: 'list.csv',
    of: 'suppliers 2025-12-31 EUR',
    text: [
      'Open supplier invoices 31 December 2025',
      'Currency: EUR',
      'Supplier,Invoice,Date,Due date,Outstanding',
      'Fennel Foods,E-1,02/11/2025,02/12/2025,100.00',
      'Sorrel & Co,E-2,14/11/2025,14/12/2025,20.50',
      'Total,,,,120.50',
      'Currency: USD,,,,',
      'Maple Crates,U-9,20/11/2025,20/12/2025,75.00',
      'Total,,,,75.00',
    ].join('\n'),
    items: [
      '4||Fennel Foods|invoice|E-1||2025-11-02|2025-12-02|EUR||-100.00|',
      '5||Sorrel & Co|invoice|E-2||2025-11-14|2025-12-14|EUR||-20.50|',
      '8||Maple Crates|invoice|U-9||2025-11-20|2025-12-20|USD||-75.00|',
    ],
  },
  {
    what: 'contacts above their invoices, printed, with sums whose labels go across the columns',
    file: 'list.txt',
    of: 'customers 2026-04-30',
    text: [
      'HEATHER NETS              Outstanding customer invoices    30 April 2026',
      '',
      'Invoice   Date        Due               Original          Open',
      'C-12 Harbour Stores',
      'S800      10.03.2026  09.04.2026          716.25        477.50',
      'S802      04.04.2026  04.05.2026        5,575.60      3,717.07',
      'Total Harbour Stores                                  4,194.57',
      'C-40 Quay Fish Co.',
      'S803      03.04.2026  03.05.2026        7,323.00      4,882.00',
      'S805      15.02.2026  17.03.2026        4,334.03      4,334.03',
      'Total Quay Fish Co.                                   9,216.03',
      'Grand total                                          13,410.60',
    ].join('\n'),
    items: [
      '5|C-12|Harbour Stores|invoice|S800||2026-03-10|2026-04-09||716.25|477.50|',
      '6|C-12|Harbour Stores|invoice|S802||2026-04-04|2026-05-04||5575.60|3717.07|',
      '9|C-40|Quay Fish Co.|invoice|S803||2026-04-03|2026-05-03||7323.00|4882.00|',
      '10|C-40|Quay Fish Co.|invoice|S805||2026-02-15|2026-03-17||4334.03|4334.03|',
    ],
  },
  {
    what: 'kinds in short words that could be names, below whose account it is',
    file: 'ledger.csv',
    of: 'customers',
    text: [
      'Customer account: C100 Harbour Café;;;;;;',
      'Date;Doc;Ref;Debit;Credit;Balance;Due',
      '01/06/2026;INV;1001;1.200,00;;1.200,00;01/07/2026',
      '15/06/2026;INV;1007;350,50;;1.550,50;15/07/2026',
      '20/06/2026;CN;C002;;50,50;1.500,00;',
      '30/06/2026;PAY;P17;;1.200,00;300,00;',
      ';;Closing balance;;;300,00;',
      'Customer account: C200 Tide Inn;;;;;;',
      'Date;Doc;Ref;Debit;Credit;Balance;Due',
      '03/07/2026;INV;1011;780,00;;780,00;02/08/2026',
      ';;Closing balance;;;780,00;',
      ';;Grand total;;;1.080,00;',
    ].join('\n'),
    items: [
      '3|C100|Harbour Café|invoice|1001||2026-06-01|2026-07-01|||1200.00|',
      '4|C100|Harbour Café|invoice|1007||2026-06-15|2026-07-15|||350.50|',
      '5|C100|Harbour Café|credit-note|C002||2026-06-20||||-50.50|',
      '6|C100|Harbour Café|payment|P17||2026-06-30||||-1200.00|',
      '10|C200|Tide Inn|invoice|1011||2026-07-03|2026-08-02|||780.00|',
    ],
  },
  {
    what: 'ages, and what was paid on account beside them, but no column of what they come to',
    file: 'creditors.csv',
    of: 'suppliers 2026-07-31',
    text: [
      'Aged creditors at 31 July 2026,,,,,,',
      'A/C,Supplier,Not due,1-30,31-60,Over 60,Unallocated',
      'S001,Rope & Co,"1,200.00",,,,',
      'S002,Netmakers,300.00,150.00,,20.00,-75.00',
      'S003,Pier Fuel,,,90.50,,',
      'Total,,"1,500.00",150.00,90.50,20.00,-75.00',
    ].join('\n'),
    items: [
      '3|S001|Rope & Co|balance|||||||-1200.00|',
      '4|S002|Netmakers|balance|||||||-395.00|',
      '5|S003|Pier Fuel|balance|||||||-90.50|',
    ],
  },
  {
    what: 'what is paid beside what the documents came to, and no column of what is left',
    file: 'kunden.csv',
    of: 'customers',
    text: [
      'Kunde;Rg-Nr;Rg-Datum;Netto;MwSt;Brutto;bezahlt;Mahnstufe',
      'Hafencafé;R-100;05.06.2026;1.000,00;190,00;1.190,00;190,00;1',
      'Hafencafé;R-112;01.07.2026;500,00;95,00;595,00;;0',
      'Gasthof Anker;R-101;06.06.2026;200,00;38,00;238,00;238,00;0',
      'Gasthof Anker;R-120;20.07.2026;100,00;19,00;119,00;;0',
      'Gasthof Anker;G-7;21.07.2026;-50,00;-9,50;-59,50;-9,50;0',
    ].join('\n'),
    items: [
      '2||Hafencafé|invoice|R-100||2026-06-05|||1190.00|1000.00|',
      '3||Hafencafé|invoice|R-112||2026-07-01|||595.00|595.00|',
      '5||Gasthof Anker|invoice|R-120||2026-07-20|||119.00|119.00|',
      '6||Gasthof Anker|credit-note|G-7||2026-07-21|||-59.50|-50.00|',
    ],
  },
  {
    what: 'balances behind the documents of each, and a contract in the title that is no currency',
    file: 'offen.csv',
    of: 'suppliers',
    text: [
      'Offene Posten, Darlehen TL-1 ausgenommen;;;;;',
      'Lieferant 70100 Seilerei Anker;;;;;',
      'R-4711;02.06.26;02.07.26;1.190,00;H;Taue',
      'R-4799;12.07.26;11.08.26;595,00;H;',
      'GS-12;15.07.26;;119,00;S;Gutschrift',
      'Saldo;;;1.666,00;H;',
      'Lieferant 70200 Netz & Boje;;;;;',
      '88/26;20.06.26;20.07.26;2.000,00;H;Netze',
      'Saldo;;;2.000,00;H;',
      'Gesamtsaldo;;;3.666,00;H;',
    ].join('\n'),
    items: [
      '3|70100|Seilerei Anker|invoice|R-4711||2026-06-02|2026-07-02|||-1190.00|',
      '4|70100|Seilerei Anker|invoice|R-4799||2026-07-12|2026-08-11|||-595.00|',
      '5|70100|Seilerei Anker|credit-note|GS-12||2026-07-15||||119.00|',
      '8|70200|Netz & Boje|invoice|88/26||2026-06-20|2026-07-20|||-2000.00|',
    ],
  },
  {
    what: 'days since each document, which are no terms, and the country of each',
    file: 'balances.csv',
    of: 'customers 2026-07-31 EUR',
    text: [
      'Invoice Date;Invoice;Customer;Country;Days;Balance EUR;Balance LC;LC',
      '15.06.2026;2026-101;Harbour Café;IE;46;500,00;500,00;EUR',
      '06.06.2026;2026-102;Fjord AS;NO;55;89,04;1.200,00;NOK',
      '07.07.2026;2026-110;Fjord AS;NO;24;-7,42;-100,00;NOK',
    ].join('\n'),
    items: [
      '2||Harbour Café|invoice|2026-101||2026-06-15||EUR||500.00|500.00',
      '3||Fjord AS|invoice|2026-102||2026-06-06||NOK||1200.00|89.04',
      '4||Fjord AS|credit-note|2026-110||2026-07-07||NOK||-100.00|-7.42',
    ],
  },
  {
    what: 'the number and name of each in its first row alone',
    file: 'open.txt',
    of: 'customers',
    text: [
      'No;Customer;Type;Doc;Date;Due;Amount;Open',
      '10001;Harbour Café;INV;1001;01-Jun-26;01-Jul-26;500.00;500.00',
      ';;INV;1002;15-Jun-26;15-Jul-26;400.00;150.00',
      ';;CRN;C1;21-Jul-26;;100.00-;100.00-',
      '10002;Tide Inn;INV;1003;01-Jul-26;31-Jul-26;600.00;600.00',
    ].join('\n'),
    items: [
      '2|10001|Harbour Café|invoice|1001||2026-06-01|2026-07-01||500.00|500.00|',
      '3|10001|Harbour Café|invoice|1002||2026-06-15|2026-07-15||400.00|150.00|',
      '4|10001|Harbour Café|credit-note|C1||2026-07-21|||-100.00|-100.00|',
      '5|10002|Tide Inn|invoice|1003||2026-07-01|2026-07-31||600.00|600.00|',
    ],
  },
  {
    what: 'what each brought forward, in Japanese',
    file: '得意先元帳.csv',
    of: 'customers',
    text: [
      '取引先,伝票番号,日付,摘要,借方,貸方,残高',
      '港喫茶,前期繰越,,,,,"100,000"',
      '港喫茶,1001,2026/07/05,売上,"50,000",,"150,000"',
      '港喫茶,N-22,2026/07/20,入金,,"100,000","50,000"',
      '潮亭,1002,2026/07/10,売上,"8,800",,"8,800"',
    ].join('\n'),
    items: [
      '2||港喫茶|balance|前期繰越||||||100000|',
      '3||港喫茶|invoice|1001|売上|2026-07-05||||50000|',
      '4||港喫茶|payment|N-22|入金|2026-07-20||||-100000|',
      '5||潮亭|invoice|1002|売上|2026-07-10||||8800|',
    ],
  },
  {
    what: 'two parts of each document, each with a day of its own',
    file: 'customers.csv',
    of: 'customers',
    text: [
      'Customer,Ref,Date,Original,1st instalment due,1st amount,2nd instalment due,2nd amount',
      'Gull & Sons,INV-1,2026-06-01,1000.00,2026-07-01,500.00,2026-08-01,500.00',
      'Petrel,INV-2,2026-07-01,600.00,2026-08-01,,2026-09-01,300.00',
      'Total,,,1600.00,,500.00,,800.00',
    ].join('\n'),
    items: [
      '2||Gull & Sons|invoice|INV-1||2026-06-01|2026-07-01|||500.00|',
      '2||Gull & Sons|invoice|INV-1||2026-06-01|2026-08-01|||500.00|',
      '3||Petrel|invoice|INV-2||2026-07-01|2026-09-01||600.00|300.00|',
    ],
  },
  {
    what: 'what was taken off each document and what is left, by titles that nobody knows, and addresses below names',
    file: 'customers.csv',
    of: 'customers 2026-07-31',
    text: [
      'Customers 2026-07-31',
      'SOLD TO,DOC #,ISSUED,NET DUE,FACE,TAKEN OFF,STANDS',
      '"Otter Diner',
      '12 Pier Rd",10234,6/30/2026,7/30/2026,"$1,150.00",$0.00,"$1,150.00"',
      'Gannet Grill,10240,7/5/2026,8/4/2026,$480.25,$80.25,$400.00',
      'Gannet Grill,10251,7/22/2026,8/21/2026,$75.00,$0.00,$75.00',
      ',,,,"$1,705.25",$80.25,"$1,625.00"',
    ].join('\n'),
    items: [
      '3||Otter Diner|invoice|10234||2026-06-30|2026-07-30||1150.00|1150.00|',
      '4||Gannet Grill|invoice|10240||2026-07-05|2026-08-04||480.25|400.00|',
      '5||Gannet Grill|invoice|10251||2026-07-22|2026-08-21||75.00|75.00|',
    ],
  },
  {
    what: 'balances on two sides, and nothing else',
    file: 'clientes.csv',
    of: 'customers 2026-07-31',
    text: [
      'Saldo de clientes a 31/07/2026;;;',
      'Cuenta;Cliente;Saldo deudor;Saldo acreedor',
      '430000012;Bar El Puerto;1.250,40;',
      '430000018;Hotel Faro;3.400,00;',
      '430000021;Lonja Norte;;120,00',
      ';Totales;4.650,40;120,00',
    ].join('\n'),
    items: [
      '3|430000012|Bar El Puerto|balance|||||||1250.40|',
      '4|430000018|Hotel Faro|balance|||||||3400.00|',
      '5|430000021|Lonja Norte|balance|||||||-120.00|',
    ],
  },
  {
    what: 'a day until which less is paid, before the day on which all is due',
    file: 'kreditoren.csv',
    of: 'suppliers 2026-07-31 EUR',
    text: [
      'OP-Liste Kreditoren zum 31.07.2026;;;;;;',
      'Kto-Nr;Kreditor;RE-Nr.;RE-Dat.;Skonto bis;Netto bis;Offen EUR',
      '70012;Seilerei Tau KG;4411;01.07.2026;11.07.2026;31.07.2026;1.190,00 H',
      '70012;Seilerei Tau KG;4450;20.07.2026;30.07.2026;19.08.2026;595,00 H',
      '70031;Netzbau Nord;GS-9;22.07.2026;;;119,00 S',
      ';Summe;;;;;1.666,00 H',
    ].join('\n'),
    items: [
      '3|70012|Seilerei Tau KG|invoice|4411||2026-07-01|2026-07-31|EUR||-1190.00|',
      '4|70012|Seilerei Tau KG|invoice|4450||2026-07-20|2026-08-19|EUR||-595.00|',
      '5|70031|Netzbau Nord|credit-note|GS-9||2026-07-22||EUR||119.00|',
    ],
  },
  {
    what: 'a limit beside each balance, of which nothing is open',
    file: 'debtors.csv',
    of: 'customers',
    text: [
      'Debtor No,Debtor,Balance,Of which overdue,Credit limit,Last payment',
      'D01,Otter Diner,2150.00,1000.00,5000.00,12/06/2026',
      'D02,Gannet Grill,475.00,0.00,1000.00,01/07/2026',
      'D03,Pelican Bar,-50.00,0.00,500.00,20/07/2026',
      ',,2575.00,1000.00,,',
    ].join('\n'),
    items: [
      '2|D01|Otter Diner|balance|||||||2150.00|',
      '3|D02|Gannet Grill|balance|||||||475.00|',
      '4|D03|Pelican Bar|balance|||||||-50.00|',
    ],
  },
  {
    what: 'numbers of documents that look like days, beside a number for each row',
    file: 'naleznosci.csv',
    of: 'customers 2026-07-31 PLN',
    text: [
      'Lista należności na dzień 31.07.2026;;;;;',
      'Lp.;Kontrahent;NIP;Dokument;Termin;Kwota',
      '1;Kawiarnia Port;5250001234;FV 11/06/2026;2026-07-05;1 230,00 zł',
      '2;Gospoda Kotwica;7770002345;FV 14/07/2026;2026-08-10;615,50 zł',
      '3;Gospoda Kotwica;7770002345;KFV 2/07/2026;2026-07-20;-61,50 zł',
      ';;;;Razem:;1 784,00 zł',
    ].join('\n'),
    items: [
      '3||Kawiarnia Port|invoice|FV 11/06/2026|||2026-07-05|PLN||1230.00|',
      '4||Gospoda Kotwica|invoice|FV 14/07/2026|||2026-08-10|PLN||615.50|',
      '5||Gospoda Kotwica|credit-note|KFV 2/07/2026|||2026-07-20|PLN||-61.50|',
    ],
  },
  {
    what: 'what is due of documents in several currencies, one of each beside the usual one',
    file: 'invoices.csv',
    of: 'customers',
    text: [
      'Invoice Number,Customer Name,Invoice Date,Due Date,Sub Total,VAT,Total,Amount Paid,Amount Due,Currency',
      'INV-201,Dulse Bar,2026-07-01,2026-07-31,500.00,115.00,615.00,0.00,615.00,EUR',
      'INV-202,Skye Foods Ltd,2026-07-04,2026-08-03,400.00,0.00,400.00,150.00,250.00,GBP',
      'INV-203,Dulse Bar,2026-07-20,2026-08-19,100.00,23.00,123.00,0.00,123.00,EUR',
    ].join('\n'),
    items: [
      '2||Dulse Bar|invoice|INV-201||2026-07-01|2026-07-31|EUR|615.00|615.00|',
      '3||Skye Foods Ltd|invoice|INV-202||2026-07-04|2026-08-03|GBP|400.00|250.00|',
      '4||Dulse Bar|invoice|INV-203||2026-07-20|2026-08-19|EUR|123.00|123.00|',
    ],
  },
  {
    what: 'sums that are labelled by a number, with columns by their place',
    file: 'debitoren.txt',
    of: 'customers 2026-06-30',
    text: [
      'OFFENE POSTEN DEBITOREN    Stichtag 30.06.2026    Seite 1',
      'Konto   Belegdatum  Beleg      Text                  Fällig          Soll       Haben       Saldo',
      '-------------------------------------------------------------------------------------------------',
      '12001   Seegras Handel GmbH, Kiel',
      '        12.05.2026  RE-2601    Lieferung Mai         11.06.2026  1.190,00',
      '        20.05.2026  RE-2617    Lieferung Mai 2       19.06.2026    595,00',
      '        15.06.2026  ZE-0431    Teilzahlung RE-2601                             500,00',
      '        Summe 12001                                              1.785,00      500,00    1.285,00',
      '12007   Möwe & Sohn OHG',
      '        02.06.2026  RE-2630    Netze                 02.07.2026  2.380,00',
      '        10.06.2026  GU-0012    Gutschrift Netze                                238,00',
      '        Summe 12007                                              2.380,00      238,00    2.142,00',
      'Gesamt                                                           4.165,00      738,00    3.427,00',
    ].join('\n'),
    items: [
      '5|12001|Seegras Handel GmbH, Kiel|invoice|RE-2601|Lieferung Mai|2026-05-12|2026-06-11|||1190.00|',
      '6|12001|Seegras Handel GmbH, Kiel|invoice|RE-2617|Lieferung Mai 2|2026-05-20|2026-06-19|||595.00|',
      '7|12001|Seegras Handel GmbH, Kiel|payment|ZE-0431|Teilzahlung RE-2601|2026-06-15||||-500.00|',
      '10|12007|Möwe & Sohn OHG|invoice|RE-2630|Netze|2026-06-02|2026-07-02|||2380.00|',
      '11|12007|Möwe & Sohn OHG|credit-note|GU-0012|Gutschrift Netze|2026-06-10||||-238.00|',
    ],
  },
  {
    what: 'a printed ledger whose accounts stand above their documents in labels of their own, and whose sums go across columns',
    file: 'debtors.txt',
    of: 'customers 2026-07-31',
    text: [
      'DEBTORS LEDGER - OUTSTANDING ITEMS',
      'Run: 02/08/2026 09:14  User: NT   Ledger date: 31/07/2026',
      '',
      'A/c: B004  Brine & Barrel Ltd          Tel: 01632 960 111   Limit: 5,000',
      ' Date       Type  Ref        Details                 Amount    Outst.',
      ' 12/05/2026 INV   104411     Order 88               1,200.00     200.00',
      ' 14/06/2026 INV   104502     Order 93                 640.00     640.00',
      ' 20/06/2026 CRN   C00211     Returned crate           -60.00     -60.00',
      '                                    Account balance              780.00',
      '',
      'A/c: C011  Carragheen Spa              Tel: 01632 960 222   Limit: none',
      ' Date       Type  Ref        Details                 Amount    Outst.',
      ' 01/07/2026 INV   104560     Mud wraps                318.75     318.75',
      ' 30/07/2026 RCT   BACS       On account              -100.00    -100.00',
      '                                    Account balance              218.75',
      '',
      '                                    Ledger total                 998.75',
    ].join('\n'),
    items: [
      '6|B004|Brine & Barrel Ltd|invoice|104411|Order 88|2026-05-12|||1200.00|200.00|',
      '7|B004|Brine & Barrel Ltd|invoice|104502|Order 93|2026-06-14|||640.00|640.00|',
      '8|B004|Brine & Barrel Ltd|credit-note|C00211|Returned crate|2026-06-20|||-60.00|-60.00|',
      '13|C011|Carragheen Spa|invoice|104560|Mud wraps|2026-07-01|||318.75|318.75|',
      '14|C011|Carragheen Spa|payment|BACS|On account|2026-07-30|||-100.00|-100.00|',
    ],
  },
];

const itemsOf = async (lines: readonly string[]) => {
  const tables = await readAnyPaper(new TextEncoder().encode(lines.join('\n')), 'items.csv');
  return tables.ok ? readItems(tables.value, { name: 'items.csv', kind: 'customers' }) : undefined;
};

describe('lists of open items', () => {
  it.each(LISTS)('with $what', async ({ file, of, text, items }) => {
    const tables = await readAnyPaper(new TextEncoder().encode(text), file);
    const read = tables.ok ? readItems(tables.value, { name: file }) : undefined;
    if (read === undefined) throw new Error('not read');
    const amount = (units: bigint | null): string => (units === null ? '' : plainDecimal(units, read.digits));
    expect([read.kind, read.asAt, read.currency].filter((part) => part !== null).join(' ')).toBe(of);
    expect(
      read.items.map((item) =>
        [
          item.row,
          item.contactCode,
          item.contactName,
          item.documentKind,
          item.number,
          item.reference,
          item.date,
          item.due,
          item.currency,
          amount(item.original),
          amount(item.open),
          amount(item.base),
        ]
          .map((cell) => cell ?? '')
          .join('|'),
      ),
    ).toEqual(items);
  });

  it('have their numbers below names that stand above them, in one column with those', () => {
    const rows = [
      ['Customer / Invoice', 'Date', 'Not due', '1-30', 'Balance'],
      ['ALPEN SEEGRAS GMBH (10023)', '', '', '', ''],
      ['RE-1009', '03.04.2026', '', '950.00', '950.00'],
      ['RE-1044', '10.06.2026', '1200.00', '', '1200.00'],
      ['BERGALGEN AG (10031)', '', '', '', ''],
      ['RE-1031', '18.05.2026', '', '480.50', '480.50'],
    ];
    const read = readItems([{ name: '', rows }], { name: 'aging.csv' });
    expect(read?.items.map(({ contactCode, contactName, number }) => [contactCode, contactName, number])).toEqual([
      ['10023', 'ALPEN SEEGRAS GMBH', 'RE-1009'],
      ['10023', 'ALPEN SEEGRAS GMBH', 'RE-1044'],
      ['10031', 'BERGALGEN AG', 'RE-1031'],
    ]);
  });
  it('have each the currency that stands beside its amount, where no column says it', () => {
    const rows = [
      ['Supplier', 'Bill', 'Bill date', 'Amount', 'GBP equivalent'],
      ['Tidewater Packaging', 'TP/7781', '2026-07-03', '€612.00', '520.02'],
      ['Verft', '1190', '2026-06-28', 'NOK 14,500.00', '1038.05'],
      ['Harbour Office', 'DN-22', '2026-07-01', '£40.00', '40.00'],
    ];
    const read = readItems([{ name: '', rows }], { name: 'x.csv', kind: 'suppliers' });
    expect(read?.items.map(({ currency, open, base }) => [currency, open, base])).toEqual([
      ['EUR', -61_200n, -52_002n],
      ['NOK', -1_450_000n, -103_805n],
      ['GBP', -4000n, -4000n],
    ]);
  });
  it('have codes in parts that could be thousands, where their column is called one of codes', () => {
    const rows = [
      ['Cód.', 'Cliente', 'Nº factura', 'Fecha', 'Pendiente'],
      ['430.015', 'Conservas La Ría', 'A/26/0101', '03-05-26', '1.234,56'],
      ['430.022', 'Hermanos Pérez', 'A/26/0140', '30-06-26', '89,10'],
    ];
    const read = readItems([{ name: '', rows }], { name: 'x.csv' });
    expect(read?.items.map(({ contactCode }) => contactCode)).toEqual(['430.015', '430.022']);
    expect(read?.doubts).toEqual([]);
  });

  it('never drop a numbered document without a word, though neither its day nor its amount reads', () => {
    const rows = [
      ['Customer', 'Invoice', 'Date', 'Due', 'Open'],
      ...Array.from({ length: 8 }, (_, at) => ['Ash', `104${String(at)}`, `2026-07-0${String(at + 1)}`, '2026-07-31', '10.00']), // prettier-ignore
      ['Elm', '1050', '2026-07-99', '2026-08-01', 'abc'],
      ['Oak', '1051', '2026-07-03', '2026-08-02', '12.00'],
    ];
    const read = readItems([{ name: 'open', rows }], { name: 'open.csv', kind: 'customers' });
    expect(read?.items.map(({ row }) => row)).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 11]);
    expect(read?.doubts.map(({ code, path }) => [code, path?.[0]])).toEqual([['list.amount', 10]]);
  });
  it('of a workbook are those of the sheet that is of the kind asked for', () => {
    const sheetOf = (name: string, who: string, count: number) => ({
      name,
      rows: [
        ['Name', 'Ref', 'Date', 'Due', 'Open'],
        ...Array.from({ length: count }, (_, at) => [`${who} ${String(at)}`, `R-${String(at)}`, '2026-07-01', '2026-07-31', '10.00']), // prettier-ignore
      ],
    });
    const sheets = [sheetOf('Customers', 'Shop', 5), sheetOf('Suppliers', 'Mill', 3)];
    const names = (kind: 'customers' | 'suppliers') =>
      readItems(sheets, { name: 'open.xlsx', kind })?.items.map(({ contactName }) => contactName);
    expect(names('customers')).toHaveLength(5);
    expect(names('suppliers')).toEqual(['Mill 0', 'Mill 1', 'Mill 2']);
  });
  it('are due by their terms, not by how late they are or until when a discount is given', async () => {
    const due = async (...lines: readonly string[]) => {
      return (await itemsOf(lines))?.items.map(({ due: day, order }) => [day, order]);
    };
    expect(
      await due(
        'Lieferant;Rechnung;Re.-Datum;Zahlungsziel;Skonto bis;Offen',
        'Eis-Kontor;RE-77120;03.06.2026;30 Tage netto;13.06.2026;1.190,00',
        'Tau AG;RE-412;28.05.2026;sofort;;238,00',
      ),
    ).toEqual([
      ['2026-07-03', null],
      ['2026-05-28', null],
    ]);
    expect(
      await due(
        'Client;Facture;Émise le;Solde dû;Jours de retard',
        'Brasserie du Port;F26-101;15/05/2026;1 200,00;26',
        'Mairie de Sel;F26-090;21/04/2026;1 000,00;60',
      ),
    ).toEqual([
      [null, null],
      [null, null],
    ]);
    expect(
      await due(
        'Odběratel;Faktura;Vystaveno;Zbývá;Dní po splatnosti',
        'Penzion U Jezu;FV118;14.11.2025;12 100,00;33',
        'Gasthof Linde;FV128;28.11.2025;1 150,00;3',
      ),
    ).toEqual([
      [null, null],
      [null, null],
    ]);
  });
  it('are worth what is left of them, where what they were worth stands beside it', async () => {
    const lines = [
      'Dlužník;Doklad;Vystaveno;Měna;Částka v měně;Částka v Kč;Uhrazeno v měně;Zbývá v měně;Zbývá v Kč',
      'Donau Fisch;FV25-071;3.11.2025;EUR;1 000,00;24 350,00;0,00;1 000,00;24 350,00',
      'Donau Fisch;FV25-080;21.12.2025;EUR;500,00;12 105,00;200,00;300,00;7 263,00',
      'Rybárna;FV25-082;5.12.2025;CZK;12 100,00;12 100,00;0,00;12 100,00;12 100,00',
    ];
    const read = await itemsOf(lines);
    expect(read?.doubts).toEqual([]);
    expect(read?.items.map(({ open, base }) => [open, base])).toEqual([
      [100_000n, 2_435_000n],
      [30_000n, 726_300n],
      [1_210_000n, 1_210_000n],
    ]);
  });
  it('are of whoever is named above each header, without what else is said there', async () => {
    const lines = [
      'Abbey Tearooms (ABB01) - Credit limit 2000 - Tel 01234 567890',
      'Invoice,Date,Due,Total,Outstanding',
      'INV-1001,22/06/2026,22/07/2026,420.00,420.00',
      'Beck Hall - Contact Lenses (BEC02) - Credit limit 5000',
      'Invoice,Date,Due,Total,Outstanding',
      'INV-1002,10/06/2026,10/07/2026,1250.00,1250.00',
    ];
    const read = await itemsOf(lines);
    expect(read?.items.map(({ contactCode, contactName }) => [contactCode, contactName])).toEqual([
      ['ABB01', 'Abbey Tearooms'],
      ['BEC02', 'Beck Hall - Contact Lenses'],
    ]);
  });
  it('ask about the sum of a part where they print none of the whole, and about nothing that adds up', async () => {
    const doubts = async (sum: string): Promise<readonly string[]> => {
      const lines = [
        'Customer,Invoice,Date,Open',
        'Ash,1,14/01/2026,10.00',
        'Ash,2,20/01/2026,5.00',
        `Total Ash,,,${sum}`,
      ];
      const text = [...lines, 'Elm,3,14/01/2026,7.00', 'Total Elm,,,7.00'].join('\n');
      const tables = await readAnyPaper(new TextEncoder().encode(text), 'customers.csv');
      const read = tables.ok ? readItems(tables.value, { name: 'customers.csv' }) : undefined;
      return (read?.doubts ?? []).map(({ code, path }) => `${code} ${String(path?.[0] ?? '')}`);
    };
    expect(await doubts('15.00')).toEqual([]);
    expect(await doubts('15.10')).toEqual(['list.sum 4']);
  });
});
