import { readCsv } from '../src/core/files/csv';
import { readRegister } from '../src/core/schedules/registers/read-register';
import { registerTable } from '../src/core/schedules/registers/register-table';
const LISTS: Record<string, string> = {
moves: `Corrib Glass CLG
Asset register 31.12.2025
;;;Cost;;;;Depreciation;;;;NBV;
Asset;Name;Bought;B/f;Additions;Disposals;C/f;B/f;Charge;Disposals;C/f;2025;2024
Furnaces
K1;Kiln large;01.03.2015;40.000,00;0,00;0,00;40.000,00;36.000,00;4.000,00;0,00;40.000,00;0,00;4.000,00
K2;Kiln small;05.06.2020;12.500,00;0,00;0,00;12.500,00;5.625,00;1.250,00;0,00;6.875,00;5.625,00;6.875,00
Total furnaces;;;52.500,00;0,00;0,00;52.500,00;41.625,00;5.250,00;0,00;46.875,00;5.625,00;10.875,00
Tools
T1;Lathe;10.10.2025;0,00;3.200,00;0,00;3.200,00;0,00;160,00;0,00;160,00;3.040,00;0,00
T2;Saw;10.10.2018;900,00;0,00;900,00;0,00;630,00;0,00;630,00;0,00;0,00;270,00
Total tools;;;900,00;3.200,00;900,00;3.200,00;630,00;160,00;630,00;160,00;3.040,00;270,00
Total;;;53.400,00;3.200,00;900,00;55.700,00;42.255,00;5.410,00;630,00;47.035,00;8.665,00;11.145,00`,
rates: `Register,,,,,,,
Tag,Thing,Class,In service,Method,Rate,Cost,To date,Left
1001,Forklift,Plant,2021-04-01,SL,20%,"18,000.00","15,300.00","2,700.00"
1002,Pallet racks,Plant,2019-11-15,SL,10%,"7,450.00","4,594.17","2,855.83"
1003,Van,Vehicles,2023-02-01,RB,25%,"24,500.00","11,484.38","13,015.62"
,,,,,,"49,950.00","31,378.55","18,571.45"`,
yen: `棚卸表 2026年3月31日
品番,品名,単位,数量,単価,金額
包装資材
B-01,段ボール 大,枚,"1,200",85,"102,000"
B-02,段ボール 小,枚,850,52,"44,200"
包装資材 計,,,,,"146,200"
商品
S-10,自転車ベル,個,36,"1,480","53,280"
S-11,ヘルメット,個,12,"6,200","74,400"
商品 計,,,,,"127,680"
合計,,,,,"273,880"`,
novalue: `Stock count 30/06/2026
Item,Description,Qty,Cost
A1,Bolts,"1,000",0.12
A2,Nuts,950,0.08
A3,Washers,2300,0.015`,
behind: `Count sheet at 31 May 2026;;;
Article;Counted;Price;Worth
Flour T65;125,5 kg;0,82;102,91
Rye flour;60 kg;1,15;69,00
Yeast;3,25 kg;6,40;20,80
Boxes;400 pc;0,14;56,00
;;;248,71`,
retail: `Shop stock at cost 31.01.2026,,,,,,,
SKU,Product,Dept,On hand,Cost,Retail,At cost,At retail
100,Lamp,Lighting,4,12.50,29.99,50.00,119.96
101,Shade,Lighting,10,3.20,9.50,32.00,95.00
102,Bulb,Lighting,120,0.85,2.40,102.00,288.00
200,Rug,Floor,2,88.00,199.00,176.00,398.00
Total,,,,,,360.00,900.96`,
plan: `Western Coast Development Bank
Loan 44-8821  Repayment plan
Date,Opening balance,Interest,Capital,Fee,Total,Closing balance
31/03/2025,"60,000.00",225.00,"1,250.00",5.00,"1,480.00","58,750.00"
30/06/2025,"58,750.00",220.31,"1,250.00",5.00,"1,475.31","57,500.00"
30/09/2025,"57,500.00",215.63,"1,250.00",5.00,"1,470.63","56,250.00"
31/12/2025,"56,250.00",210.94,"1,250.00",5.00,"1,465.94","55,000.00"
2025,,871.88,"5,000.00",20.00,"5,891.88",
31/03/2026,"55,000.00",206.25,"1,250.00",5.00,"1,461.25","53,750.00"
30/06/2026,"53,750.00",201.56,"1,250.00",5.00,"1,456.56","52,500.00"
2026,,407.81,"2,500.00",10.00,"2,917.81",`,
planneg: `Lainan lyhennyssuunnitelma
Pvm;Lyhennys;Korko;Yhteensä;Jäljellä
15.01.2026;-500,00;-42,10;-542,10;9 500,00
15.02.2026;-500,00;-40,00;-540,00;9 000,00
15.03.2026;-500,00;-37,90;-537,90;8 500,00`,
spans: `Prepaid expenses at 31 July 2026
Description,Period,Invoice,Paid,Prepaid at 31/07/2026
Mooring fees,01/02/2026 - 31/01/2027,K-881,"3,600.00","1,815.00"
Insurance boats,01/05/2026 - 30/04/2027,P-10,"4,800.00","3,590.14"
Software,15/07/2026 to 14/07/2027,S-3,365.00,348.00
Total,,,"8,765.00","5,753.14"`,
months: `Register 12/2025
Nr;Bezeichnung;Zugang;AHK;AfA kum.;RBW
10;Ofen;03/2019;9.600,00;6.400,00;3.200,00
11;Tisch;11/2022;1.200,00;380,00;820,00
Summe;;;10.800,00;6.780,00;4.020,00`,
mdy: `Fixed assets
Asset,Placed,Basis,Accum,Book
Laptop,3/15/2024,"1,500.00",875.00,625.00
Desk,11/2/2021,800.00,457.14,342.86
,,"2,300.00","1,332.14",967.86`,
nohead: `Vorräte 31.12.2025
R-100;Rohseide weiß;kg;12,500;84,20;1.052,50
R-101;Rohseide natur;kg;7,250;79,90;579,28
F-200;Faden rot;Sp;140;1,15;161,00
;;;;;1.792,78`,
};
const only = process.argv.slice(2);
for (const [what, text] of Object.entries(LISTS)) {
  if (only.length && !only.includes(what)) continue;
  const t = readCsv(new TextEncoder().encode(text), `${what}.csv`);
  if (!t.ok) { console.log(what, 'no table'); continue; }
  const got = readRegister(t.value, undefined, { name: `${what}.csv` });
  console.log('=====', what, got?.kind, got?.asAt, got?.currency, got?.printed, got?.doubts.map((d) => d.message));
  if (got) { const table = registerTable(t.value[0]!, got.kind); console.log(table?.headings.map((h, i) => `${h}=${table.roles[i] ?? '?'}`).join(' | '), table?.holds, table?.style); }
  for (const item of got?.items ?? []) console.log(' ', Object.values(item).map((v) => String(v)).join('|'));
}
