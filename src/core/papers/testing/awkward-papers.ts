/** Trial balances as strangers make them, each with what a right reading gives: accounts by code (or name, without codes) and amount. */
export interface AwkwardPaper {
  readonly what: string;
  readonly text: string;
  readonly asAt: string;
  /** `code amount`, debit positive. */
  readonly accounts: readonly string[];
  /** What is asked about it; any, where nothing is said. */
  readonly asked?: readonly string[];
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
  {
    what: 'sums above what they are of, without codes and without indentation',
    asAt: '2026-03-31',
    text: `Marigold Spice Mills Pvt. Ltd.
Trial Balance
1-Apr-2025 to 31-Mar-2026
Particulars	Closing Balance
Current Assets	1,15,01,174.50 Dr
Cash in hand	28,666.88 Dr
Kaveri Bank A/c	40,88,267.91 Dr
Sundry Debtors	42,36,185.89 Dr
Stock-in-trade	31,48,053.82 Dr
Fixed Assets	42,48,113.08 Dr
Plant & Machinery	42,48,113.08 Dr
Current Liabilities	18,88,184.21 Cr
Sundry Creditors	18,69,672.81 Cr
GST Payable	18,511.40 Cr
Loans (Liability)	39,34,364.01 Cr
Secured Loans	39,34,364.01 Cr
Sales Accounts	1,81,57,293.49 Cr
Sales A/c	1,81,57,293.49 Cr
Purchase Accounts	58,71,413.27 Dr
Purchase A/c	58,71,413.27 Dr
Indirect Expenses	7,05,770.86 Dr
Salaries	6,62,078.32 Dr
Electricity	43,692.54 Dr
Capital Account	16,53,370.00 Dr
Capital A/c	16,53,370.00 Dr
Grand Total	`,
    accounts: [
      'Cash in hand 28666.88',
      'Kaveri Bank A/c 4088267.91',
      'Sundry Debtors 4236185.89',
      'Stock-in-trade 3148053.82',
      'Plant & Machinery 4248113.08',
      'Sundry Creditors -1869672.81',
      'GST Payable -18511.40',
      'Secured Loans -3934364.01',
      'Sales A/c -18157293.49',
      'Purchase A/c 5871413.27',
      'Salaries 662078.32',
      'Electricity 43692.54',
      'Capital A/c 1653370.00',
    ],
  },
  {
    what: 'branches beside what they come to, and its title over the names',
    asAt: '2025-12-31',
    text: `;Combined trial balance at 31.12.2025;;;;
Account;Name;North;South;West;All
1000;Petty cash;176.06;197.00;455.17;828.23
1010;Bank current account;26,949.38;42,576.86;5,007.14;74,533.38
1100;Trade debtors;42,852.85;47,887.09;52,900.91;143,640.85
1200;Stock;52,038.50;5,292.93;30,766.82;88,098.25
1500;Equipment;36,099.36;13,635.77;38,723.70;88,458.83
1590;Accumulated depreciation;-160.36;-256.10;-211.40;-627.86
2000;Trade creditors;-44,195.98;-45,450.11;-17,923.76;-107,569.85
2100;PAYE;-415.38;-87.28;-129.22;-631.88
2200;Bank loan;-56,500.22;-32,164.82;-53,337.00;-142,002.04
4000;Sales;-129,959.41;-144,960.68;-93,983.61;-368,903.70
5000;Cost of sales;59,785.26;4,330.55;37,324.82;101,440.63
6000;Wages;18,217.15;51,783.01;7,031.78;77,031.94
6100;Rent;10,270.09;48,712.29;8,006.09;66,988.47
6200;Insurance;388.43;220.45;264.38;873.26
3000;Retained earnings;-15,545.73;8,283.04;-14,895.82;-22,158.51`,
    accounts: [
      '1000 828.23',
      '1010 74533.38',
      '1100 143640.85',
      '1200 88098.25',
      '1500 88458.83',
      '1590 -627.86',
      '2000 -107569.85',
      '2100 -631.88',
      '2200 -142002.04',
      '4000 -368903.70',
      '5000 101440.63',
      '6000 77031.94',
      '6100 66988.47',
      '6200 873.26',
      '3000 -22158.51',
    ],
  },
  {
    what: 'a mark for credits alone, in a column without a title in which every page has its number',
    asAt: '2026-06-30',
    text: `STONECHAT GARAGE LTD                              PAGE 1
TRIAL BALANCE AS AT 30/06/26

ACCOUNT                                    BALANCE
--------------------------------------------------
Petty cash                               180.96
Bank current account                  16,100.20
Trade debtors                          6,275.71
Stock                                 33,043.94
Equipment                             13,302.03
Accumulated depreciation                 387.13 CR
Trade creditors                       15,847.04 CR
PAYE                                     479.42 CR
CARRIED FORWARD                       52,189.25

STONECHAT GARAGE LTD                              PAGE 2
TRIAL BALANCE AS AT 30/06/26

ACCOUNT                                    BALANCE
--------------------------------------------------
BROUGHT FORWARD                       52,189.25
Bank loan                             29,618.19 CR
Sales                                128,096.16 CR
Cost of sales                          7,321.01
Wages                                 38,917.64
Rent                                  27,218.29
Insurance                                474.10
Retained earnings                     31,594.06
TOTAL                                      0.00`,
    accounts: [
      'Petty cash 180.96',
      'Bank current account 16100.20',
      'Trade debtors 6275.71',
      'Stock 33043.94',
      'Equipment 13302.03',
      'Accumulated depreciation -387.13',
      'Trade creditors -15847.04',
      'PAYE -479.42',
      'Bank loan -29618.19',
      'Sales -128096.16',
      'Cost of sales 7321.01',
      'Wages 38917.64',
      'Rent 27218.29',
      'Insurance 474.10',
      'Retained earnings 31594.06',
    ],
  },
  {
    what: 'two sides that the year’s result makes even, which has no code',
    asAt: '2025-12-31',
    text: `Aktiva;;;Passiva;;
Konto;Bezeichnung;EUR;Konto;Bezeichnung;EUR
0420;Büroeinrichtung;4.200,00;0800;Gezeichnetes Kapital;25.000,00
0520;Fuhrpark;18.000,00;0860;Gewinnvortrag;3.110,40
1200;Bank;11.310,40;1600;Verbindlichkeiten;6.400,00
1400;Forderungen;7.500,00;1776;Umsatzsteuer 19 %;1.900,00
;;;;Jahresüberschuss;4.600,00
;Summe Aktiva;41.010,40;;Summe Passiva;41.010,40
Stand: 31.12.2025;;;;;`,
    accounts: [
      '0420 4200.00',
      '0520 18000.00',
      '1200 11310.40',
      '1400 7500.00',
      '0800 -25000.00',
      '0860 -3110.40',
      '1600 -6400.00',
      '1776 -1900.00',
      'Jahresüberschuss -4600.00',
    ],
  },
  {
    what: 'names above their figures, and the day in the second line of a page that has no header',
    asAt: '2025-12-31',
    text: `WHIMBREL BOATYARD                      TRIAL BALANCE                    PAGE 1
                                       PERIOD 12 TO 31/12/2025

1000 CASH AT BANK
                                                 12,410.33
1100 TRADE DEBTORS
                                                  8,900.00
1500 SLIPWAY AND PLANT
                                                 40,000.00
1510 PROVISION FOR DEPRECIATION
                                                                  16,000.00
2000 TRADE CREDITORS
                                                                   5,210.33
3000 CAPITAL
                                                                  30,000.00
4000 SALES
                                                                  55,000.00
5000 PURCHASES
                                                 28,900.00
6000 WAGES
                                                 16,000.00
                                                ----------       ----------
                                                106,210.33       106,210.33`,
    accounts: [
      '1000 12410.33',
      '1100 8900.00',
      '1500 40000.00',
      '1510 -16000.00',
      '2000 -5210.33',
      '3000 -30000.00',
      '4000 -55000.00',
      '5000 28900.00',
      '6000 16000.00',
    ],
  },
  {
    what: 'no codes, and a heading that is called as an account is',
    asAt: '2026-01-31',
    text: `Trial balance;Ptarmigan Textiles;GBP
31 January 2026;;
;Dr;Cr
Fixed assets;;
Looms;32,500;
Looms: accumulated depreciation;;12,100
Current assets;;
Yarn stock;9,870;
Debtors;6,615;
Bank;;2,380
Cash;120;
Creditors: amounts falling due within one year;;
Creditors;;7,433
VAT;;1,902
PAYE and NI;;655
Capital and reserves;;
Share capital;;1,000
Profit and loss account b/f;;18,740
Profit and loss;;
Turnover;;61,330
Purchases;27,410;
Wages;24,800;
Rent;4,225;
Totals;105,540;105,540`,
    accounts: [
      'Looms 32500.00',
      'Looms: accumulated depreciation -12100.00',
      'Yarn stock 9870.00',
      'Debtors 6615.00',
      'Bank -2380.00',
      'Cash 120.00',
      'Creditors -7433.00',
      'VAT -1902.00',
      'PAYE and NI -655.00',
      'Share capital -1000.00',
      'Profit and loss account b/f -18740.00',
      'Turnover -61330.00',
      'Purchases 27410.00',
      'Wages 24800.00',
      'Rent 4225.00',
    ],
  },
  {
    what: 'codes in groups behind the amounts, which have their side and currency before them',
    asAt: '2026-07-31',
    text: `Balances at 31 July 2026;;
Account name;Balance c/f;GL code
Till;DR EUR 1,250.50;10 00 00
Bank;DR EUR 18,453.20;10 10 00
Stock;DR EUR 4,550.00;12 00 00
Trade payables;CR EUR 8,732.40;20 00 00
Loan;CR EUR 5,000.00;25 00 00
Capital;CR EUR 10,521.30;30 00 00
`,
    accounts: [
      '10 00 00 1250.50',
      '10 10 00 18453.20',
      '12 00 00 4550.00',
      '20 00 00 -8732.40',
      '25 00 00 -5000.00',
      '30 00 00 -10521.30',
    ],
  },
  {
    what: 'codes as another program wrote numbers out, whole amounts with a dash for their decimals',
    asAt: '2026-07-31',
    text: `Saldobilanz per 31. Juli 2026 in CHF
Kto.;Text;Soll;Haben
1000.0;Kasse;1'250.–;
1010.0;Bank;18'453.–;
1200.0;Warenlager;4'550.–;
2000.0;Kreditoren;;8'732.–
2500.0;Darlehen;;5'000.–
2800.0;Kapital;;10'521.–
`,
    accounts: ['1000 1250.00', '1010 18453.00', '1200 4550.00', '2000 -8732.00', '2500 -5000.00', '2800 -10521.00'],
  },
  {
    what: 'groups with their sums on the line of their name, figures grouped in twos, columns by their place',
    asAt: '2026-03-31',
    text: `Saltpan Traders
Trial Balance
1-Apr-2025 to 31-Mar-2026

Particulars                              Closing Balance
                                     Debit            Credit
Capital Account                1,80,000.00      23,76,785.00
  Owner's capital                               23,76,785.00
  Drawings                     1,80,000.00
Current Liabilities                              5,23,515.00
  Sundry creditors                               4,85,300.00
  Duties payable                                   38,215.00
Fixed Assets                  21,00,000.00       4,20,000.00
  Plant                       21,00,000.00
  Accumulated depreciation                       4,20,000.00
Current Assets                10,40,300.00
  Sundry debtors               7,72,100.00
  Cash in hand                 2,68,200.00
Grand Total                   33,20,300.00      33,20,300.00
`,
    accounts: [
      "Owner's capital -2376785.00",
      'Drawings 180000.00',
      'Sundry creditors -485300.00',
      'Duties payable -38215.00',
      'Plant 2100000.00',
      'Accumulated depreciation -420000.00',
      'Sundry debtors 772100.00',
      'Cash in hand 268200.00',
    ],
    asked: [],
  },
  {
    what: 'two statements one below the other without a header, labels where codes stand, the result at the foot of each',
    asAt: '2025-12-31',
    text: `Levä Oy;;
Tase 31.12.2025;;
Vastaavaa;;
1700;Koneet ja kalusto;42 000,00
1710;Myyntisaamiset;21 300,50
1910;Pankkitili;33 200,25
Vastaavaa yhteensä;;96 500,75
Vastattavaa;;
2000;Osakepääoma;2 500,00
2250;Edellisten tilikausien voitto;31 000,00
2871;Ostovelat;19 000,75
2939;Arvonlisäverovelka;4 100,00
Tilikauden voitto;;39 900,00
Vastattavaa yhteensä;;96 500,75
;;
Tuloslaskelma 1.1.2025 - 31.12.2025;;
3000;Myynti;120 000,00
Liikevaihto yhteensä;;120 000,00
4000;Ostot;-51 000,00
5000;Palkat;-24 000,00
7230;Vuokrat;-5 100,00
Kulut yhteensä;;-80 100,00
Tilikauden voitto;;39 900,00
`,
    accounts: [
      '1700 42000.00',
      '1710 21300.50',
      '1910 33200.25',
      '2000 -2500.00',
      '2250 -31000.00',
      '2871 -19000.75',
      '2939 -4100.00',
      '3000 -120000.00',
      '4000 51000.00',
      '5000 24000.00',
      '7230 5100.00',
    ],
    asked: [],
  },
  {
    what: 'the total of an account by its number, below other accounts',
    asAt: '2025-12-31',
    text: `Obratová předvaha k 31.12.2025;;
Účet;Název;Konečný stav
211001;Pokladna;450,20
221001;Běžný účet CZK;39 122,00
221002;Běžný účet EUR;12 005,00
Celkem za účet 221;;51 127,00
321001;Dodavatelé;-18 300,44
411001;Základní kapitál;-33 276,76
`,
    accounts: ['211001 450.20', '221001 39122.00', '221002 12005.00', '321001 -18300.44', '411001 -33276.76'],
    asked: [],
  },
  {
    what: 'a column of types beside amounts without a sign, some of them against their kind',
    asAt: '2026-06-30',
    text: `As at 30 June 2026,,,
No,Account name,Account type,Amount
1,Till,Asset,200.00
2,Van,Asset,15500.00
3,Van written down,Contra asset,6200.00
4,Suppliers owing,Liability,2811.90
5,VAT owing,Liability,1204.33
6,Owner,Equity,7483.77
7,Taken out,Contra equity,1800.00
8,Sales,Income,2400.00
9,Fuel,Expense,2600.00
`,
    accounts: [
      '1 200.00',
      '2 15500.00',
      '3 -6200.00',
      '4 -2811.90',
      '5 -1204.33',
      '6 -7483.77',
      '7 1800.00',
      '8 -2400.00',
      '9 2600.00',
    ],
    asked: [],
  },
  {
    what: 'columns from right to left, in Arabic',
    asAt: '2025-12-31',
    text: `ميزان المراجعة
كما في 31 ديسمبر 2025
دائن,مدين,اسم الحساب,رقم الحساب
,"4,250.75",الصندوق,1101
,"61,200.10",البنك,1102
"5,400.00",,مجمع الإهلاك,1591
"60,050.85",,رأس المال,3101
"65,450.85","65,450.85",المجموع,
`,
    accounts: ['1101 4250.75', '1102 61200.10', '1591 -5400.00', '3101 -60050.85'],
    asked: [],
  },
  {
    what: 'a currency’s mark before each amount, in Indonesian',
    asAt: '2025-12-31',
    text: `CV Ombak Biru
NERACA SALDO
Per 31 Desember 2025
No. Akun;Nama Akun;Debet;Kredit
1-1100;Kas;Rp 15.250.000,00;-
1-1300;Piutang;Rp 4.750.000,00;-
3-1100;Modal Pemilik;-;Rp 12.000.000,00
4-1100;Penjualan;-;Rp 8.000.000,00
;Jumlah;Rp 20.000.000,00;Rp 20.000.000,00
`,
    accounts: ['1-1100 15250000.00', '1-1300 4750000.00', '3-1100 -12000000.00', '4-1100 -8000000.00'],
    asked: [],
  },
  {
    what: 'the quarters of a year before all of it, and a plan behind',
    asAt: '2026-08-31',
    text: `Year to 31 August 2026,,,,,,,
A/c,Description,Q1,Q2,Q3,Q4,Year to date,Budget
1010,Bank current account,90.00,60.00,30.00,20.00,200.00,180.00
2010,Trade creditors,-25.00,-21.00,-14.00,-10.00,-70.00,-60.00
4010,Sales,-80.00,-49.00,-25.00,-16.00,-170.00,-160.00
5010,Wages,15.00,10.00,9.00,6.00,40.00,40.00
`,
    accounts: ['1010 200.00', '2010 -70.00', '4010 -170.00', '5010 40.00'],
    asked: [],
  },
  {
    what: 'amounts in hundredths, as their title says',
    asAt: '2026-07-31',
    text: `Extract;as at 31 July 2026;
account_id;account_name;balance_cents
1010;Bank current account;1822031
2000;Trade creditors;-612077
4000;Sales;-2209954
5000;Wages;1000000
`,
    accounts: ['1010 18220.31', '2000 -6120.77', '4000 -22099.54', '5000 10000.00'],
    asked: ['reading.other'],
  },
];
