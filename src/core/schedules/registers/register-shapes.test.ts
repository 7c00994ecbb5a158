import { describe, expect, it } from 'vitest';
import { readCsv } from '../../files/csv';
import { readRegister } from './read-register';
import type { RegisterKind } from './register-words';

/** Lists in shapes of their own, each with what a right reading gives: fields parted by bars, amounts in the list's decimals. */
const LISTS: readonly {
  readonly what: string;
  readonly of: string;
  readonly doubts: readonly string[];
  readonly text: readonly string[];
  readonly items: readonly string[];
}[] = [
  {
    what: 'movements of the year beside what stands at its end, under a header of two rows',
    of: 'assets 2025-12-31 2',
    doubts: ['list.disposed'],
    text: [
      'Corrib Glass CLG',
      'Asset register 31.12.2025',
      ';;;Cost;;;;Depreciation;;;;NBV;',
      'Asset;Name;Bought;B/f;Additions;Disposals;C/f;B/f;Charge;Disposals;C/f;2025;2024',
      'Furnaces',
      'K1;Kiln large;01.03.2015;40.000,00;0,00;0,00;40.000,00;36.000,00;4.000,00;0,00;40.000,00;0,00;4.000,00',
      'K2;Kiln small;05.06.2020;12.500,00;0,00;0,00;12.500,00;5.625,00;1.250,00;0,00;6.875,00;5.625,00;6.875,00',
      'Total furnaces;;;52.500,00;0,00;0,00;52.500,00;41.625,00;5.250,00;0,00;46.875,00;5.625,00;10.875,00',
      'Tools',
      'T1;Lathe;10.10.2025;0,00;3.200,00;0,00;3.200,00;0,00;160,00;0,00;160,00;3.040,00;0,00',
      'T2;Saw;10.10.2018;900,00;0,00;900,00;0,00;630,00;0,00;630,00;0,00;0,00;270,00',
      'Total tools;;;900,00;3.200,00;900,00;3.200,00;630,00;160,00;630,00;160,00;3.040,00;270,00',
      'Total;;;53.400,00;3.200,00;900,00;55.700,00;42.255,00;5.410,00;630,00;47.035,00;8.665,00;11.145,00',
    ],
    items: [
      '6|K1|Kiln large|Furnaces|2015-03-01|4000000|4000000|0|||',
      '7|K2|Kiln small|Furnaces|2020-06-05|1250000|687500|562500|||',
      '10|T1|Lathe|Tools|2025-10-10|320000|16000|304000|||',
      '11|T2|Saw|Tools|2018-10-10|0|0|0|||',
    ],
  },
  {
    what: 'rates and methods in words, a sum without a word',
    of: 'assets  2',
    doubts: [],
    text: [
      'Register,,,,,,,',
      'Tag,Thing,Class,In service,Method,Rate,Cost,To date,Left',
      '1001,Forklift,Plant,2021-04-01,SL,20%,"18,000.00","15,300.00","2,700.00"',
      '1002,Pallet racks,Plant,2019-11-15,SL,10%,"7,450.00","4,594.17","2,855.83"',
      '1003,Van,Vehicles,2023-02-01,RB,25%,"24,500.00","11,484.38","13,015.62"',
      ',,,,,,"49,950.00","31,378.55","18,571.45"',
    ],
    items: [
      '3|1001|Forklift|Plant|2021-04-01|1800000|1530000|270000||20|',
      '4|1002|Pallet racks|Plant|2019-11-15|745000|459417|285583||10|',
      '5|1003|Van|Vehicles|2023-02-01|2450000|1148438|1301562||25|',
    ],
  },
  {
    what: 'no decimals, sums that repeat the heading',
    of: 'stock 2026-03-31 0',
    doubts: [],
    text: [
      '棚卸表 2026年3月31日',
      '品番,品名,単位,数量,単価,金額',
      '包装資材',
      'B-01,段ボール 大,枚,"1,200",85,"102,000"',
      'B-02,段ボール 小,枚,850,52,"44,200"',
      '包装資材 計,,,,,"146,200"',
      '商品',
      'S-10,自転車ベル,個,36,"1,480","53,280"',
      'S-11,ヘルメット,個,12,"6,200","74,400"',
      '商品 計,,,,,"127,680"',
      '合計,,,,,"273,880"',
    ],
    items: [
      '4|B-01|段ボール 大|包装資材|枚|1200|85|102000',
      '5|B-02|段ボール 小|包装資材|枚|850|52|44200',
      '8|S-10|自転車ベル|商品|個|36|1480|53280',
      '9|S-11|ヘルメット|商品|個|12|6200|74400',
    ],
  },
  {
    what: 'quantity and cost without a value',
    of: 'stock 2026-06-30 0',
    doubts: [],
    text: [
      'Stock count 30/06/2026',
      'Item,Description,Qty,Cost',
      'A1,Bolts,"1,000",0.12',
      'A2,Nuts,950,0.08',
      'A3,Washers,2300,0.015',
    ],
    items: ['3|A1|Bolts|||1000|0.12|', '4|A2|Nuts|||950|0.08|', '5|A3|Washers|||2300|0.015|'],
  },
  {
    what: 'units behind the quantities',
    of: 'stock 2026-05-31 2',
    doubts: [],
    text: [
      'Count sheet at 31 May 2026;;;',
      'Article;Counted;Price;Worth',
      'Flour T65;125,5 kg;0,82;102,91',
      'Rye flour;60 kg;1,15;69,00',
      'Yeast;3,25 kg;6,40;20,80',
      'Boxes;400 pc;0,14;56,00',
      ';;;248,71',
    ],
    items: [
      '3||Flour T65||kg|125.5|0.82|10291',
      '4||Rye flour||kg|60|1.15|6900',
      '5||Yeast||kg|3.25|6.4|2080',
      '6||Boxes||pc|400|0.14|5600',
    ],
  },
  {
    what: 'values at cost and at what it is sold for',
    of: 'stock 2026-01-31 2',
    doubts: [],
    text: [
      'Shop stock at cost 31.01.2026,,,,,,,',
      'SKU,Product,Dept,On hand,Cost,Retail,At cost,At retail',
      '100,Lamp,Lighting,4,12.50,29.99,50.00,119.96',
      '101,Shade,Lighting,10,3.20,9.50,32.00,95.00',
      '102,Bulb,Lighting,120,0.85,2.40,102.00,288.00',
      '200,Rug,Floor,2,88.00,199.00,176.00,398.00',
      'Total,,,,,,360.00,900.96',
    ],
    items: [
      '3|100|Lamp|Lighting||4|12.5|5000',
      '4|101|Shade|Lighting||10|3.2|3200',
      '5|102|Bulb|Lighting||120|0.85|10200',
      '6|200|Rug|Floor||2|88|17600',
    ],
  },
  {
    what: 'what is owed before and after, a fee, sums of years',
    of: 'loans  2',
    doubts: [],
    text: [
      'Western Coast Development Bank',
      'Loan 44-8821  Repayment plan',
      'Date,Opening balance,Interest,Capital,Fee,Total,Closing balance',
      '31/03/2025,"60,000.00",225.00,"1,250.00",5.00,"1,480.00","58,750.00"',
      '30/06/2025,"58,750.00",220.31,"1,250.00",5.00,"1,475.31","57,500.00"',
      '30/09/2025,"57,500.00",215.63,"1,250.00",5.00,"1,470.63","56,250.00"',
      '31/12/2025,"56,250.00",210.94,"1,250.00",5.00,"1,465.94","55,000.00"',
      '2025,,871.88,"5,000.00",20.00,"5,891.88",',
      '31/03/2026,"55,000.00",206.25,"1,250.00",5.00,"1,461.25","53,750.00"',
      '30/06/2026,"53,750.00",201.56,"1,250.00",5.00,"1,456.56","52,500.00"',
      '2026,,407.81,"2,500.00",10.00,"2,917.81",',
    ],
    items: [
      '4|2025-03-31|148000|22500|125000|5875000',
      '5|2025-06-30|147531|22031|125000|5750000',
      '6|2025-09-30|147063|21563|125000|5625000',
      '7|2025-12-31|146594|21094|125000|5500000',
      '9|2026-03-31|146125|20625|125000|5375000',
      '10|2026-06-30|145656|20156|125000|5250000',
    ],
  },
  {
    what: 'amounts as the lender sees them',
    of: 'loans  2',
    doubts: [],
    text: [
      'Lainan lyhennyssuunnitelma',
      'Pvm;Lyhennys;Korko;Yhteensä;Jäljellä',
      '15.01.2026;-500,00;-42,10;-542,10;9 500,00',
      '15.02.2026;-500,00;-40,00;-540,00;9 000,00',
      '15.03.2026;-500,00;-37,90;-537,90;8 500,00',
    ],
    items: [
      '3|2026-01-15|54210|4210|50000|950000',
      '4|2026-02-15|54000|4000|50000|900000',
      '5|2026-03-15|53790|3790|50000|850000',
    ],
  },
  {
    what: 'first and last day in one cell',
    of: 'prepayments 2026-07-31 2',
    doubts: [],
    text: [
      'Prepaid expenses at 31 July 2026',
      'Description,Period,Invoice,Paid,Prepaid at 31/07/2026',
      'Mooring fees,01/02/2026 - 31/01/2027,K-881,"3,600.00","1,815.00"',
      'Insurance boats,01/05/2026 - 30/04/2027,P-10,"4,800.00","3,590.14"',
      'Software,15/07/2026 to 14/07/2027,S-3,365.00,348.00',
      'Total,,,"8,765.00","5,753.14"',
    ],
    items: [
      '3|Mooring fees|2026-02-01|2027-01-31|360000|181500',
      '4|Insurance boats|2026-05-01|2027-04-30|480000|359014',
      '5|Software|2026-07-15|2027-07-14|36500|34800',
    ],
  },
  {
    what: 'months of purchase without a day',
    of: 'assets 2025-12-31 2',
    doubts: [],
    text: [
      'Register 12/2025',
      'Nr;Bezeichnung;Zugang;AHK;AfA kum.;RBW',
      '10;Ofen;03/2019;9.600,00;6.400,00;3.200,00',
      '11;Tisch;11/2022;1.200,00;380,00;820,00',
      'Summe;;;10.800,00;6.780,00;4.020,00',
    ],
    items: ['3|10|Ofen||2019-03-01|960000|640000|320000|||', '4|11|Tisch||2022-11-01|120000|38000|82000|||'],
  },
  {
    what: 'months first, settled by one date',
    of: 'assets  2',
    doubts: [],
    text: [
      'Fixed assets',
      'Asset,Placed,Basis,Accum,Book',
      'Laptop,3/15/2024,"1,500.00",875.00,625.00',
      'Desk,11/2/2021,800.00,457.14,342.86',
      ',,"2,300.00","1,332.14",967.86',
    ],
    items: ['3||Laptop||2024-03-15|150000|87500|62500|||', '4||Desk||2021-11-02|80000|45714|34286|||'],
  },
  {
    what: 'no header at all',
    of: 'stock  2',
    doubts: [],
    text: [
      'Vorräte 31.12.2025',
      'R-100;Rohseide weiß;kg;12,500;84,20;1.052,50',
      'R-101;Rohseide natur;kg;7,250;79,90;579,28',
      'F-200;Faden rot;Sp;140;1,15;161,00',
      ';;;;;1.792,78',
    ],
    items: [
      '2|R-100|Rohseide weiß|||12.5|84.2|105250',
      '3|R-101|Rohseide natur|||7.25|79.9|57928',
      '4|F-200|Faden rot|||140|1.15|16100',
    ],
  },
  {
    what: 'a code in front of each heading, a class that is called after transport',
    of: 'assets 2025-12-31 2',
    doubts: ['list.disposed'],
    text: [
      'Tejería Hondonada SL;;;;;;;;;',
      'Cuadro de amortización del inmovilizado al 31/12/2025;;;;;;;;;',
      'Cuenta;Elemento;F. alta;Valor adquisición;% amort.;Amort. acum. 2024;Dotación 2025;Amort. acum. 2025;Valor neto;F. baja',
      '213;MAQUINARIA;;;;;;;;',
      '213001;Horno túnel;15/03/2012;180.000,00;8;180.000,00;0,00;180.000,00;0,00;',
      '213002;Prensa;01/07/2019;45.600,00;10;25.080,00;4.560,00;29.640,00;15.960,00;',
      '213;Suma MAQUINARIA;;225.600,00;;205.080,00;4.560,00;209.640,00;15.960,00;',
      '218;ELEMENTOS DE TRANSPORTE;;;;;;;;',
      '218001;Camión;10/01/2018;62.000,00;16;62.000,00;0,00;62.000,00;0,00;30/09/2025',
      '218002;Furgoneta;22/05/2023;24.300,00;16;6.253,15;3.888,00;10.141,15;14.158,85;',
      '218;Suma ELEMENTOS DE TRANSPORTE;;86.300,00;;68.253,15;3.888,00;72.141,15;14.158,85;',
      ';TOTAL;;311.900,00;;273.333,15;8.448,00;281.781,15;30.118,85;',
    ],
    items: [
      '5|213001|Horno túnel|MAQUINARIA|2012-03-15|18000000|18000000|0||8|',
      '6|213002|Prensa|MAQUINARIA|2019-07-01|4560000|2964000|1596000||10|',
      '9|218001|Camión|ELEMENTOS DE TRANSPORTE|2018-01-10|6200000|6200000|0||16|2025-09-30',
      '10|218002|Furgoneta|ELEMENTOS DE TRANSPORTE|2023-05-22|2430000|1014115|1415885||16|',
    ],
  },
  {
    what: 'tabs, sums in front of the names of what they are of',
    of: 'stock 2026-03-31 0',
    doubts: [],
    text: [
      'Leltár 2026.03.31.',
      'Cikkszám\tMegnevezés\tMe.\tMennyiség\tEgységár\tÉrték',
      'Alapanyag',
      'A-001\tLiszt BL55\tkg\t1 250\t152,40\t190 500',
      'A-002\tÉlesztő\tkg\t18,5\t640\t11 840',
      'Összesen: Alapanyag\t\t\t\t\t202 340',
      'Késztermék',
      'K-010\tKenyér 1 kg\tdb\t96\t410\t39 360',
      'K-011\tKifli\tdb\t1 400\t38,5\t53 900',
      'Összesen: Késztermék\t\t\t\t\t93 260',
      'Mindösszesen\t\t\t\t\t295 600',
    ],
    items: [
      '4|A-001|Liszt BL55|Alapanyag|kg|1250|152.4|190500',
      '5|A-002|Élesztő|Alapanyag|kg|18.5|640|11840',
      '8|K-010|Kenyér 1 kg|Késztermék|db|96|410|39360',
      '9|K-011|Kifli|Késztermék|db|1400|38.5|53900',
    ],
  },
  {
    what: 'a total in a column of its own, less than none',
    of: 'stock 2026-06-30 2',
    doubts: [],
    text: [
      'Etat du stock au 30/06/2026',
      'Famille;Réf.;Désignation;Emplacement;Stock;PMP;Valeur;PV TTC',
      'Vis;V4;Vis 4 mm;A1;12 500;0,021;262,50;0,10',
      'Vis;V6;Vis 6 mm;A1;8 200;0,034;278,80;0,15',
      'Bois;B1;Planche chêne 2 m;B3;42;18,40;772,80;49,90',
      'Bois;B2;Tasseau;B3;-4;2,10;-8,40;6,50',
      ';;;;;Total;1 305,70;',
    ],
    items: [
      '3|V4|Vis 4 mm|Vis||12500|0.021|26250',
      '4|V6|Vis 6 mm|Vis||8200|0.034|27880',
      '5|B1|Planche chêne 2 m|Bois||42|18.4|77280',
      '6|B2|Tasseau|Bois||-4|2.1|-840',
    ],
  },
  {
    what: 'what was lent in a row of its own',
    of: 'loans  2',
    doubts: [],
    text: [
      'Uferbank Moosach',
      'Darlehenskonto 6001234567',
      'Zahlungsplan',
      'Nr.;Datum;Rate;davon Zinsen;davon Tilgung;Restschuld',
      ';01.01.2026;;;;48.000,00',
      '1;31.01.2026;1.033,33;200,00;833,33;47.166,67',
      '2;28.02.2026;1.033,33;196,53;836,80;46.329,87',
      '3;31.03.2026;1.033,33;193,04;840,29;45.489,58',
      'Summe 2026;;3.099,99;589,57;2.510,42;',
    ],
    items: [
      '6|2026-01-31|103333|20000|83333|4716667',
      '7|2026-02-28|103333|19653|83680|4632987',
      '8|2026-03-31|103333|19304|84029|4548958',
    ],
  },
  {
    what: 'what is of the year beside what is not',
    of: 'prepayments 2025-12-31 2',
    doubts: [],
    text: [
      'Risconti attivi al 31/12/2025;;;;;;',
      'Fornitore;Descrizione;Doc.;Dal;Al;Importo;Competenza 2025;Risconto',
      'Assicura Nord;Polizza RC;FT 88;01/07/2025;30/06/2026;1.200,00;604,93;595,07',
      'Softlab;Licenze;FT 1204;01/12/2025;30/11/2026;3.650,00;310,00;3.340,00',
      'Totale;;;;;4.850,00;914,93;3.935,07',
    ],
    items: ['3|Polizza RC|2025-07-01|2026-06-30|120000|59507', '4|Licenze|2025-12-01|2026-11-30|365000|334000'],
  },
  {
    what: 'prices for so many pieces',
    of: 'stock  2',
    doubts: [],
    text: [
      'Inventory,,,,,',
      'Part,Description,On hand,Per,Price,Extended',
      'P1,Screws,"4,500",100,1.20,54.00',
      'P2,Nuts,"10,000",1000,8.50,85.00',
      'P3,Hinge,25,1,3.10,77.50',
      'P4,Washers,"2,000",100,0.40,8.00',
      'Total,,,,,224.50',
    ],
    items: [
      '3|P1|Screws||100|4500|1.2|5400',
      '4|P2|Nuts||1000|10000|8.5|8500',
      '5|P3|Hinge||1|25|3.1|7750',
      '6|P4|Washers||100|2000|0.4|800',
    ],
  },
  {
    what: 'months beside amounts',
    of: 'prepayments 2026-03-31 2',
    doubts: [],
    text: [
      'Prepayments schedule 31 March 2026,,,,,,',
      'Ref,Supplier,Detail,Start,End,Total £,Months,Monthly £,Mths left,Prepaid c/f £',
      '1,Fenmore,Insurance,01-Oct-25,30-Sep-26,"2,400.00",12,200.00,6,"1,200.00"',
      '2,Dunmore,Rent,01-Apr-26,30-Jun-26,"4,500.00",3,"1,500.00",3,"4,500.00"',
      '3,Nettle IT,Support,01-Jan-26,31-Dec-26,960.00,12,80.00,9,720.00',
      ',,,,,"7,860.00",,,,"6,420.00"',
    ],
    items: [
      '3|Insurance|2025-10-01|2026-09-30|240000|120000',
      '4|Rent|2026-04-01|2026-06-30|450000|450000',
      '5|Support|2026-01-01|2026-12-31|96000|72000',
    ],
  },
  {
    what: 'classes above and below, residual values',
    of: 'assets  2',
    doubts: [],
    text: [
      'Activa;Aanschaf;Aanschafwaarde;Restwaarde;Afschr. t/m 2024;Afschr. 2025;Boekwaarde',
      'Inventaris',
      'Toonbank;12-5-2021;4.500,00;500,00;2.666,67;800,00;1.033,33',
      'Koeling;3-1-2023;8.200,00;0,00;3.280,00;1.640,00;3.280,00',
      'Totaal inventaris;;12.700,00;500,00;5.946,67;2.440,00;4.313,33',
      'Vervoer',
      'Bakfiets;20-8-2022;3.600,00;600,00;1.400,00;600,00;1.600,00',
      'Totaal vervoer;;3.600,00;600,00;1.400,00;600,00;1.600,00',
      'Totaal;;16.300,00;1.100,00;7.346,67;3.040,00;5.913,33',
    ],
    items: [
      '3||Toonbank|Inventaris|2021-05-12|450000|346667|103333|||',
      '4||Koeling|Inventaris|2023-01-03|820000|492000|328000|||',
      '7||Bakfiets|Vervoer|2022-08-20|360000|200000|160000|||',
    ],
  },
  {
    what: 'a header of two rows, and write-downs',
    of: 'stock  2',
    doubts: [],
    text: [
      'Lagerliste;;;;;;;',
      'Artikel;;Lager;;Bewertung;;',
      'Nr.;Text;Menge;ME;EK;Wert;Abschlag',
      '100;Ziegel rot;12.400;St;0,62;7.688,00;',
      '101;Ziegel gelb;3.150;St;0,71;2.236,50;223,65',
      '102;Sand;18,4;t;14,50;266,80;',
      'Summe;;;;;10.191,30;223,65',
    ],
    items: [
      '4|100|Ziegel rot||St|12400|0.62|768800',
      '5|101|Ziegel gelb||St|3150|0.71|223650',
      '6|102|Sand||t|18.4|14.5|26680',
    ],
  },
];

const FIELDS: Readonly<Partial<Record<RegisterKind, readonly string[]>>> = {
  assets: ['row', 'code', 'name', 'class', 'acquired', 'cost', 'depreciation', 'net', 'lifeMonths', 'rate', 'disposed'],
  stock: ['row', 'code', 'name', 'category', 'unit', 'quantity', 'unitCost', 'value'],
  loans: ['row', 'date', 'instalment', 'interest', 'principal', 'outstanding'],
  prepayments: ['row', 'name', 'from', 'to', 'amount', 'remaining'],
};
const tablesOf = (lines: readonly string[]) => {
  const read = readCsv(new TextEncoder().encode(lines.join('\n')), 'list.csv');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

describe('a register', () => {
  it.each(LISTS)('with $what', ({ of, doubts, text, items }) => {
    const read = readRegister(tablesOf(text), undefined, { name: 'list.csv' });
    if (read === undefined) throw new Error('no list');
    expect(`${read.kind} ${read.asAt ?? ''} ${String(read.digits)}`).toBe(of);
    const row = (item: object): string => {
      const values = item as Readonly<Record<string, string | number | bigint | null>>;
      return (FIELDS[read.kind] ?? []).map((field) => String(values[field] ?? '')).join('|');
    };
    expect(read.items.map(row)).toEqual(items);
    expect(read.doubts.map(({ code }) => code)).toEqual(doubts);
  });
  it('still has what is written off and went in part, and not what went whole', () => {
    const read = readRegister(
      tablesOf([
        'Code,Asset,Cost b/f,Additions,Disposals,Depreciation,Net book value',
        'A,Chairs,900.00,0.00,300.00,600.00,0.00',
        'B,Saw,500.00,0.00,500.00,0.00,0.00',
        'C,Lathe,800.00,200.00,0.00,400.00,600.00',
      ]),
      'assets',
      { name: 'list.csv' },
    );
    expect(read?.items.map((item) => ('disposed' in item ? [item.cost, item.disposed] : []))).toEqual([
      [60_000n, null],
      [0n, ''],
      [100_000n, null],
    ]);
  });
  it('has what is written off by the last day, where what came and went stands beside it', () => {
    const read = readRegister(
      tablesOf([
        'Inv.-Nr.;Bezeichnung;AHK 01.01.;Zugänge;Abgänge;AHK 31.12.;kum. AfA 01.01.;AfA;Abgang AfA;kum. AfA 31.12.;Restbuchwert',
        '100;Lieferwagen;30.000,00;0,00;0,00;30.000,00;14.166,67;5.000,00;0,00;19.166,67;10.833,33',
        '101;Anhänger;0,00;4.000,00;0,00;4.000,00;0,00;250,00;0,00;250,00;3.750,00',
        '102;Altwagen;12.000,00;0,00;12.000,00;0,00;12.000,00;0,00;12.000,00;0,00;0,00',
        ';Summe;42.000,00;4.000,00;12.000,00;34.000,00;26.166,67;5.250,00;12.000,00;19.416,67;14.583,33',
      ]),
      'assets',
      { name: 'list.csv' },
    );
    expect(read?.items.map((item) => ('disposed' in item ? [item.cost, item.depreciation, item.net] : []))).toEqual([
      [3_000_000n, 1_916_667n, 1_083_333n],
      [400_000n, 25_000n, 375_000n],
      [0n, 0n, 0n],
    ]);
    expect(read?.printed).toEqual({ cost: 3_400_000n, depreciation: 1_941_667n, net: 1_458_333n });
  });
  it('works out what of a loan is repaid from what is owed before and after each payment', () => {
    const read = readRegister(
      tablesOf([
        'No;Due;Opening;Payment;Of which interest;Closing',
        '1;31.01.2026;12.000,00;1.030,00;30,00;11.000,00',
        '2;28.02.2026;11.000,00;1.027,50;27,50;10.000,00',
      ]),
      'loans',
      { name: 'plan.csv' },
    );
    expect(
      read?.items.map((item) => ('principal' in item ? [item.date, item.principal, item.outstanding] : [])),
    ).toEqual([
      ['2026-01-31', 100_000n, 1_100_000n],
      ['2026-02-28', 100_000n, 1_000_000n],
    ]);
    expect(read?.doubts).toEqual([]);
  });
  it('of loans tells what is due within a year from what is later by the marks of their names', () => {
    const read = readRegister(
      tablesOf([
        'Lender,Ref,Drawn,Original,Rate,Maturity,Balance,< 1 yr,> 1 yr',
        'Skerry Bank,TL-1,2024-01-31,"40,000.00",4.50%,2029-01-31,"21,500.00","8,000.00","13,500.00"',
        'Tideline,HP 7003,2025-08-01,"12,000.00",6.9%,2028-07-31,"8,200.00","3,950.00","4,250.00"',
        'Total,,,"52,000.00",,,"29,700.00","11,950.00","17,750.00"',
      ]),
      'borrowings',
      { name: 'loans.csv' },
    );
    expect(read?.items.map((item) => ('within' in item ? [item.lent, item.outstanding, item.within] : []))).toEqual([
      [4_000_000n, 2_150_000n, 800_000n],
      [1_200_000n, 820_000n, 395_000n],
    ]);
    expect(read?.doubts).toEqual([]);
  });
  it('of loans tells whose they are by what is in words, and the rhythm of payments by a word for it', () => {
    const read = readRegister(
      tablesOf([
        'What for,Given by,Contract,Start date,End date,Principal,Rate %,Period,Outstanding',
        'Loan for the shed,Kustbank,KB-8812,2018-07-01,2038-07-01,"240,000.00",2.85,month,"151,000.00"',
        'Loan for the boat,Scheepskrediet,SK-104,2022-03-15,2027-03-15,"60,000.00",4.50,kwartaal,"15,000.00"',
      ]),
      'borrowings',
      { name: 'loans.csv' },
    );
    expect(read?.items.map((item) => ('every' in item ? [item.lender, item.every, item.outstanding] : []))).toEqual([
      ['Kustbank', 1, 15_100_000n],
      ['Scheepskrediet', 3, 1_500_000n],
    ]);
  });
  it.each([
    ['a percent sign in its name', 'Gross value,Write-down %', '10', '50'],
    ['percent signs in its cells', 'Value,Provision', '10%', '50%'],
    ['the amount', 'Value,Write-down', '80.00', '150.00'],
    ['what is left', 'Value,Net value', '720.00', '150.00'],
  ])('of stock tells what is written down by %s', (_, titles, first, last) => {
    const read = readRegister(
      tablesOf([
        `Code,Article,Qty,Unit cost,${titles}`,
        `A1,Dulse,100,8.00,800.00,${first}`,
        `A2,Nori,40,20.00,800.00,${titles.endsWith('Net value') ? '800.00' : ''}`,
        `A3,Old sacks,200,1.50,300.00,${last}`,
      ]),
      'stock',
      { name: 'stock.csv' },
    );
    expect(read?.items.map((item) => ('writeDown' in item ? [item.value, item.writeDown] : []))).toEqual([
      [80_000n, 8_000n],
      [80_000n, null],
      [30_000n, 15_000n],
    ]);
    expect(read?.doubts).toEqual([]);
  });
  it('has classes above headers that differ a little, and sums of two words', () => {
    const read = readRegister(
      tablesOf([
        'Fixed asset listing @ 30 June 2026,,,,,,,',
        'Motor vehicles,,,,,,,',
        'Reg,Make,Purchased,Price,Rate,Depreciation to 30/06/25,Depreciation 25/26,WDV',
        '12-WW-100,Van,01/07/2022,25000.00,25%,14453.13,2636.72,7910.15',
        '18-WW-20,Pickup,15/01/2025,18000.00,25%,1875.00,4031.25,12093.75',
        'Sub total,,,43000.00,,16328.13,6667.97,20003.90',
        'Plant,,,,,,,',
        'Tag,Item,Purchased,Price,Rate,Depreciation to 30/06/25,Depreciation 25/26,WDV',
        'P-1,Dryer,01/09/2023,12000.00,20%,4080.00,1584.00,6336.00',
        'Sub total,,,12000.00,,4080.00,1584.00,6336.00',
        'TOTAL,,,55000.00,,20408.13,8251.97,26339.90',
      ]),
      'assets',
      { name: 'register.csv' },
    );
    expect(read?.items.map((item) => ('net' in item ? [item.code, item.name, item.class, item.net] : []))).toEqual([
      ['12-WW-100', 'Van', 'Motor vehicles', 791_015n],
      ['18-WW-20', 'Pickup', 'Motor vehicles', 1_209_375n],
      ['P-1', 'Dryer', 'Plant', 633_600n],
    ]);
    expect(read?.doubts).toEqual([]);
  });
  it('has a header two rows high in which a day is the name of a column', () => {
    const read = readRegister(
      tablesOf([
        'Fixed asset register,,,,,COST,,,DEPRECIATION,,,NBV',
        'Ref,Description,Date,Method,Life,B/f,Additions,C/f,B/f,Charge,C/f,31/07/2026',
        'F1,Boat,01/08/2020,SL,10,60000,0,60000,30000,6000,36000,24000',
        'F2,Winch,01/02/2026,SL,5,0,3000,3000,0,300,300,2700',
        ',Total,,,,60000,3000,63000,30000,6300,36300,26700',
      ]),
      'assets',
      { name: 'register.csv' },
    );
    expect(
      read?.items.map((item) => ('net' in item ? [item.code, item.cost, item.depreciation, item.net] : [])),
    ).toEqual([
      ['F1', 60_000n, 36_000n, 24_000n],
      ['F2', 3_000n, 300n, 2_700n],
    ]);
    expect(read?.doubts).toEqual([]);
  });
  it('has methods in words as such, whatever their column is called, and the class above the things', () => {
    const read = readRegister(
      tablesOf([
        'Inv.-Nr.;Bezeichnung;Ansch.-Datum;ND (Mon.);AHK;AfA kum.;Restbuchwert;Art',
        'Boote;;;;;;;',
        '1001;Arbeitsboot;01.02.2019;120;84.000,00;63.000,00;21.000,00;linear',
        'Ausstattung;;;;;;;',
        '2001;Trockner;01.08.2022;96;18.000,00;9.000,00;9.000,00;linear',
        '2002;Sammelposten;31.12.2025;60;2.400,00;480,00;1.920,00;Pool',
      ]),
      'assets',
      { name: 'register.csv' },
    );
    expect(read?.items.map((item) => ('method' in item ? [item.class, item.method] : []))).toEqual([
      ['Boote', 'linear'],
      ['Ausstattung', 'linear'],
      ['Ausstattung', 'Pool'],
    ]);
  });
  it('has the class above its header, where the others stand below by the same word', () => {
    const read = readRegister(
      tablesOf([
        'Class: Boats,,,,,',
        'Asset No.,Description,Acquired,Cost,Acc Dep,WDV',
        'B01,Workboat,2021-08-01,"60,000","30,000","30,000"',
        'B02,Dinghy,2024-02-01,"4,000","2,006","1,994"',
        'Class: Plant,,,,,',
        'P01,Dryer,2023-01-15,"18,000","12,750","5,250"',
      ]),
      'assets',
      { name: 'register.csv' },
    );
    expect(read?.items.map((item) => ('class' in item ? item.class : ''))).toEqual(['Boats', 'Boats', 'Plant']);
  });
  it('has the rhythm of payments in the title of their column, for those that are paid so', () => {
    const read = readRegister(
      tablesOf([
        'Lender,Agreement,Drawn down,Original amount,Rate,Monthly repayment,Balance 31/07/2026,Final payment',
        'Skerry Bank,TL-20931,01/09/2023,"50,000.00",4.25% fixed,926.48,"24,117.55",01/09/2028',
        'N. Thrift,-,12/05/2022,"10,000.00",0%,on demand,"7,500.00",',
      ]),
      'borrowings',
      { name: 'loans.csv' },
    );
    expect(read?.items.map((item) => ('every' in item ? [item.instalment, item.every] : []))).toEqual([
      [92_648n, 1],
      [null, null],
    ]);
  });
  it('has the rhythm of payments behind their amount', () => {
    const read = readRegister(
      tablesOf([
        'Entidad;Fecha;Vencimiento;Importe concedido;Tipo;Cuota;Capital pendiente',
        'Caja Arlanza;01/03/2019;01/03/2034;180.000,00;2,75 %;1.221,55 mensual;118.402,11',
        'Banco Teide;15/06/2024;15/06/2029;24.000,00;4,10% fijo;1.334,10 trimestral;17.210,38',
        'Socio M. Arranz;10/10/2023;;15.000,00;0%;;15.000,00',
      ]),
      'borrowings',
      { name: 'prestamos.csv' },
    );
    expect(read?.items.map((item) => ('every' in item ? [item.instalment, item.every] : []))).toEqual([
      [122_155n, 1],
      [133_410n, 3],
      [null, null],
    ]);
  });
  it('has the period of a return by its days, or in words', () => {
    const read = readRegister(
      tablesOf([
        'Period,Due,Filed,Receipt no,Amount due',
        '01/02/26 - 30/04/26,07/06/26,02/06/26,RX-77120,"4,210.33"',
        'PAYE month 4,22/08/26,,,"1,120.00"',
      ]),
      'returns',
      { name: 'returns.csv' },
    );
    expect(read?.items.map((item) => ('period' in item ? [item.period, item.code, item.amount] : []))).toEqual([
      ['01/02/26 - 30/04/26', 'RX-77120', 421_033n],
      ['PAYE month 4', null, 112_000n],
    ]);
  });
  it('takes how long a loan lasts for no code of it', () => {
    const read = readRegister(
      tablesOf([
        'Financiering;Verstrekker;Startdatum;Hoofdsom;Rente;Looptijd (mnd);Aflossing p/m;Restant 31-12-2025;Waarvan < 1 jaar',
        'Hypotheek;Waddenbank;01-01-2020;240.000,00;2,9%;240;1.000,00;168.000,00;12.000,00',
        'Lening machine;Lease & Co;15-06-2024;36.000,00;5,25%;48;750,00;22.500,00;9.000,00',
      ]),
      'borrowings',
      { name: 'leningen.csv' },
    );
    expect(
      read?.items.map((item) => ('every' in item ? [item.code, item.instalment, item.every, item.outstanding] : [])),
    ).toEqual([
      [null, 100_000n, 1, 16_800_000n],
      [null, 75_000n, 1, 2_250_000n],
    ]);
  });
  it('reads a printed register of several pages by its rules, with a sum wider than its column', () => {
    const header = [
      '                 FIXED ASSET REGISTER',
      'Asset   Description            Purchased      Cost   Depn to date     NBV',
      '------  --------------------  ----------  ---------  ------------  ---------',
    ];
    const read = readRegister(
      tablesOf([
        ...header,
        'BOAT-1  Workboat "Fulmar"     12/04/2019  86,000.00     61,200.00  24,800.00',
        'BOAT-2  Skiff                 03/06/2022   9,500.00      3,879.17   5,620.83',
        ...header,
        'TRK-1   Pick-up               15/02/2018  21,000.00     21,000.00       0.00',
        '                                          ---------  ------------  ---------',
        '        Total                           116,500.00      86,079.17  30,420.83',
      ]),
      'assets',
      { name: 'register.txt' },
    );
    expect(read?.doubts).toEqual([]);
    expect(
      read?.items.map((item) => ('acquired' in item ? [item.code, item.acquired, item.cost, item.net] : [])),
    ).toEqual([
      ['BOAT-1', '2019-04-12', 8_600_000n, 2_480_000n],
      ['BOAT-2', '2022-06-03', 950_000n, 562_083n],
      ['TRK-1', '2018-02-15', 2_100_000n, 0n],
    ]);
  });
  it('takes a large number of months for how long a loan lasts, and compares a sum of what is owed alone', () => {
    const read = readRegister(
      tablesOf([
        'Lender,Agreement,Start,Term (months),Original amount,Monthly payment,Balance',
        'Coast Bank,CB-7,15/09/2021,84,150000.00,2068.90,54870.12',
        'Harbour Leasing,HL-9,15/02/2024,48,36000.00,859.80,15801.44',
        'Total,,,,,,70671.56',
      ]),
      'borrowings',
      { name: 'loans.csv' },
    );
    expect(read?.doubts).toEqual([]);
    expect(read?.items.map((item) => ('every' in item ? [item.code, item.every, item.last] : []))).toEqual([
      ['CB-7', 1, '2028-09-15'],
      ['HL-9', 1, '2028-02-15'],
    ]);
  });
  it('takes what is paid on shares for paid, where another amount is what is called', () => {
    const read = readRegister(
      tablesOf([
        'Member,Class,Shares held,Nominal,Amount called,Amount paid',
        'A. Brannock,Ordinary A,600,1.00,600.00,600.00',
        'D. Keane,Ordinary A,300,1.00,300.00,300.00',
        'Strand Nominees,Ordinary B,100,1.00,100.00,25.00',
      ]),
      'holdings',
      { name: 'members.csv' },
    );
    expect(read?.items.map((item) => ('shares' in item ? [item.shares, item.paid] : []))).toEqual([
      ['600', 60_000n],
      ['300', 30_000n],
      ['100', 2_500n],
    ]);
  });
  it('has of a return what is outstanding, not what it was of', () => {
    const read = readRegister(
      tablesOf([
        'Tax,Period,Return due,Filed,Net VAT due,Paid on,Outstanding',
        'VAT,01/04/2026 - 30/06/2026,07/08/2026,25/07/2026,4120.00,,4120.00',
        'VAT,01/01/2026 - 31/03/2026,07/05/2026,03/05/2026,3880.50,06/05/2026,0.00',
      ]),
      'returns',
      { name: 'returns.csv' },
    );
    expect(read?.items.map((item) => ('period' in item ? [item.due, item.amount] : []))).toEqual([
      ['2026-08-07', 412_000n],
      ['2026-05-07', 0n],
    ]);
  });
  it('takes the day on which a holder was born for no day of holding, and a code of bars for no other code', () => {
    const holders = readRegister(
      tablesOf([
        'Gesellschafter;Geburtsdatum;Anzahl;Nennbetrag;Stammeinlage',
        'Ulrike Sande;12.03.1970;15.000;1,00;15.000,00',
        'Jörn Petersen;01.09.1968;10.000;1,00;10.000,00',
      ]),
      'holdings',
      { name: 'liste.csv' },
    );
    expect(holders?.items.map((item) => 'since' in item && item.since)).toEqual([null, null]);
    const stock = readRegister(
      tablesOf([
        'Barcode,Product code,Product,Qty,Cost,Value',
        '5012345000017,P-01,Sea salt,120,1.15,138.00',
        '5012345000024,P-02,Kelp noodles,64,2.05,131.20',
      ]),
      'stock',
      { name: 'stock.csv' },
    );
    expect(stock?.items.map((item) => 'unitCost' in item && item.code)).toEqual(['P-01', 'P-02']);
  });
  it.each([
    ['assets', 'Asset,Bought,Cost\nVan,15/04/2024,12000.00'],
    ['stock', 'Item,Value\nStock of books,2450.00'],
    ['borrowings', 'Lender,Balance\nDirector,2500.00'],
    ['holdings', 'Shareholder,Shares,Nominal,Paid\nJ. Kestrel,100,1.00,100.00'],
    ['prepayments', 'What,From,To,Amount\nInsurance,01/01/2026,31/12/2026,1200.00'],
    ['returns', 'Tax,Period,Due,Amount\nVAT,Q2 2026,31/08/2026,4120.00'],
  ] as const)('of one thing and few columns is one of %s where somebody says so', (kind, text) => {
    const read = readRegister(tablesOf([text]), kind, { name: 'list.csv' });
    expect(read?.items).toHaveLength(1);
    expect(read?.doubts).toEqual([]);
  });
  it('has what is paid each month under that word alone', () => {
    const read = readRegister(
      tablesOf(['Lender,Start,Original,Rate,Monthly,Balance', 'Tarn Bank,15/03/2024,20000.00,5.5%,382.00,14210.33']),
      'borrowings',
      { name: 'loans.csv' },
    );
    expect(read?.items.map((item) => ('every' in item ? [item.instalment, item.every] : []))).toEqual([[38_200n, 1]]);
  });
  it('takes short texts behind the amounts for no code', () => {
    const read = readRegister(
      tablesOf(['Article;Quantity;Price;Value;Xyz', 'Siika;340;6,20;2.108,00;A1', 'Suola;1.500;0,42;630,00;B2']),
      'stock',
      { name: 'stock.csv' },
    );
    expect(read?.items.map((item) => 'unitCost' in item && item.code)).toEqual([null, null]);
  });
  it('says what does not add up, what does not read, and what is no register', () => {
    const read = readRegister(
      tablesOf([
        'Code,Article,Quantity,Unit cost,Value',
        'A,Rope,2,3.00,6.00',
        'B,Twine,5,1.10,5.60',
        'C,Wax,x1,2.00,2.0O',
        'D,Tar,4,2.00,8.00',
        ',Total,,,25.00',
      ]),
      'stock',
      { name: 'list.csv' },
    );
    expect(read?.doubts.map(({ code, path }) => [code, path?.[0]])).toEqual([
      ['list.total', 6],
      ['list.sum', 6],
      ['list.unread', 4],
      ['list.figures', 3],
    ]);
    expect(
      readRegister(tablesOf(['Name,Phone', 'Carr,123', 'Dunn,456']), undefined, { name: 'list.csv' }),
    ).toBeUndefined();
    expect(readRegister(tablesOf(['Just a text']), 'assets', { name: 'list.csv' })).toBeUndefined();
  });
});
