/** Trial balances as strangers make them, each with what a right reading gives: accounts by code (or name, without codes) and amount. */
export interface AwkwardPaper {
  readonly what: string;
  readonly text: string;
  readonly asAt: string;
  /** `code amount`, debit positive. */
  readonly accounts: readonly string[];
}

export const AWKWARD_PAPERS: readonly AwkwardPaper[] = [
  {
    what: 'headings and sums by what a column calls them, sums of sums among them',
    asAt: '2025-12-31',
    text: `Kontonr.;Navn;Type;Saldo pr. 31-12-25;Budget;Afvigelse %
1000;RESULTATOPGØRELSE;Overskrift;;;
1010;Salg af varer, DK;Drift;-98.220,16;-49.120,00;-11,8
1020;Salg af varer, EU;Drift;-13.448,37;-6.730,00;13,4
1099;Omsætning i alt;Sum;-111.668,53;;
1110;Vareforbrug;Drift;58.397,56;29.190,00;-2,5
1199;Dækningsbidrag;Sum;-53.270,97;;
2210;Lønninger;Drift;56.062,58;28.030,00;-17,0
2250;Pension;Drift;4.072,57;2.030,00;14,7
2299;Personaleomkostninger i alt;Sum;60.135,15;;
3010;Husleje;Drift;10.194,56;5.090,00;6,4
3140;Småanskaffelser;Drift;1.473,35;730,00;17,4
4999;Resultat før skat;Sum;18.532,09;;
5000;STATUS;Overskrift;;;
5110;Driftsmidler;Status;10.855,08;5.420,00;11,9
5120;Afskrivninger, driftsmidler;Status;-5.388,02;-2.700,00;9,8
5510;Varelager;Status;58.200,90;29.100,00;-0,8
5600;Debitorer;Status;19.057,55;9.520,00;-15,6
5820;Bank;Status;19.723,12;9.860,00;15,9
5999;Aktiver i alt;Sum;102.448,63;;
6110;Egenkapital primo;Status;-84.188,13;-42.100,00;-4,7
6800;Kreditorer;Status;-31.727,95;-15.870,00;-16,0
6900;Moms;Status;-5.064,64;-2.540,00;-1,6
6990;Passiver i alt;Sum;-102.448,63;;`,
    accounts: [
      '1010 -98220.16',
      '1020 -13448.37',
      '1110 58397.56',
      '2210 56062.58',
      '2250 4072.57',
      '3010 10194.56',
      '3140 1473.35',
      '5110 10855.08',
      '5120 -5388.02',
      '5510 58200.90',
      '5600 19057.55',
      '5820 19723.12',
      '6110 -84188.13',
      '6800 -31727.95',
      '6900 -5064.64',
    ],
  },
  {
    what: 'what the amounts are in, on a line of its own below the titles; the last account is what all others come to',
    asAt: '2026-03-31',
    text: `Thornwick Ironworks Limited,,
Trial balance at 31 March 2026,,
,Dr,Cr
,£'000,£'000
Freehold property,"514",
Plant and machinery,"277",
Depreciation: plant,,"87"
Stock,"47",
Trade debtors,"51",
Prepayments,"4",
Cash at bank,"85",
Trade creditors,,"160"
PAYE and NI,,"12"
VAT,,"15"
Bank loan,,"124"
Share capital,,"101"
Turnover,,"1,867"
Purchases,"457",
Wages and salaries,"266",
Rent and rates,"31",
Profit and loss account b/fwd,"634",
,"2,366","2,366"`,
    accounts: [
      'Freehold property 514000.00',
      'Plant and machinery 277000.00',
      'Depreciation: plant -87000.00',
      'Stock 47000.00',
      'Trade debtors 51000.00',
      'Prepayments 4000.00',
      'Cash at bank 85000.00',
      'Trade creditors -160000.00',
      'PAYE and NI -12000.00',
      'VAT -15000.00',
      'Bank loan -124000.00',
      'Share capital -101000.00',
      'Turnover -1867000.00',
      'Purchases 457000.00',
      'Wages and salaries 266000.00',
      'Rent and rates 31000.00',
      'Profit and loss account b/fwd 634000.00',
    ],
  },
  {
    what: 'departments of one account, and a last one that is called like a total and is what all others come to',
    asAt: '2026-06-30',
    text: `Harrow Creek Nature Center
Trial Balance by Department
Through 06/30/2026

Acct	Dept	Description	Debit	Credit
1010	00	Operating cash	20,409.88	
1200	00	Grants receivable	37,714.80	
1500	00	Equipment	12,088.33	
2000	00	Accounts payable		21,758.45
4000	10	Contributions		18,828.19
4000	20	Contributions		37,656.36
4100	10	Program fees		17,624.63
4100	20	Program fees		35,249.26
5000	10	Salaries	17,919.35	
5000	20	Salaries	35,838.71	
5100	10	Supplies	1,898.94	
5100	20	Supplies	3,797.89	
3000	00	Net assets	1,448.99	
		Totals	131,116.89	131,116.89`,
    accounts: [
      '1010 20409.88',
      '1200 37714.80',
      '1500 12088.33',
      '2000 -21758.45',
      '4000 -18828.19',
      '4000 -37656.36',
      '4100 -17624.63',
      '4100 -35249.26',
      '5000 17919.35',
      '5000 35838.71',
      '5100 1898.94',
      '5100 3797.89',
      '3000 1448.99',
    ],
  },
  {
    what: 'remarks with days and commas below the list, codes as formulas',
    asAt: '2026-06-30',
    text: `Account,Description,Notes,Balance
"=""1000""",Petty cash,,286.96
"=""1010""",Bank current account,agreed to statement 12400.00,12134.12
"=""1100""",Trade debtors,,23742.93
"=""1200""",Stock,,51542.28
"=""1500""",Equipment,,41232.75
"=""1590""",Accumulated depreciation,,-520.38
"=""2000""",Trade creditors,,-54537.60
"=""2100""",PAYE,,-92.54
"=""2200""",Bank loan,,-17541.99
"=""4000""",Sales,,-103964.74
"=""5000""",Cost of sales,,41239.30
"=""6000""",Wages,,35299.23
"=""6100""",Rent,,25223.36
"=""6200""",Insurance,,245.38
"=""3000""",Retained earnings,,-54289.06

Prepared by R. Fenwick on 14/07/2026
Balances at 30/06/2026 - draft, subject to accruals`,
    accounts: [
      '1000 286.96',
      '1010 12134.12',
      '1100 23742.93',
      '1200 51542.28',
      '1500 41232.75',
      '1590 -520.38',
      '2000 -54537.60',
      '2100 -92.54',
      '2200 -17541.99',
      '4000 -103964.74',
      '5000 41239.30',
      '6000 35299.23',
      '6100 25223.36',
      '6200 245.38',
      '3000 -54289.06',
    ],
  },
];
