import { lexicon } from './lexicon';

/*
 * What the titles and margins of trial balances say, in the languages of Europe and some of Asia: textbook words and the short
 * forms that printed lists use. They help where structure and arithmetic leave something open, and decide nothing alone.
 */

export const DEBIT = lexicon(
  'debit, debits, debet, debite, debito, debitos, debitor, deb, dr, dbt, debit balance*, soll, *sollsaldo, sollsaldo, debiteur, debiteurs, debitrice',
  'debe, deudor, deudora, deudores, devedor, devedora, devedores, dare, wn, winien, obciazenia, ma dati, ma dat, md, tartozik, tart, debitoare',
  'дебет, дебит, дт, дебета*, duguje, dugovno, dugovni, duguj*, breme, v breme, дугује, дуговни, χρεωση, χρεωσεις, χρεωστικο, χρεωστικα, χρεωστικη, borc, borc bakiye, debetas, debets, debeto, deebet, debetti',
  '借方, 借, 차변',
  'مدين, المدين, مدينة, بدهکار, חובה, חיוב, เดบิต, deure, du no, so du no, ben no, phat sinh no, დებეტი, դեբետ, डेबिट, नामे',
);

export const CREDIT = lexicon(
  'credit, credits, kredit, kredite, credito, creditos, cred, cr, cdt, credit balance*, haben, *habensaldo, crediteur, crediteurs, creditrice, creditor',
  'haber, acreedor, acreedora, acreedores, credor, credora, credores, avere, ma, kredyt, uznania, dal, kovetel, kov, creditoare',
  'кредит, кт, кредита*, potrazuje, potrazno, potrazni, потражује, потражни, dobro, v dobro, πιστωση, πιστωσεις, πιστωτικο, πιστωτικα, πιστωτικη, alacak, kreditas, kredits, kredito, kreedit',
  '貸方, 貸, 贷方, 贷, 대변',
  'دائن, الدائن, دائنة, بستانکار, זכות, זיכוי, เครดิต, haver, du co, so du co, ben co, phat sinh co, კრედიტი, կրեդիտ, क्रेडिट, जमा',
);

export const BALANCE = lexicon(
  'balance, balances, bal, amount, amounts, amt, net, value, total, saldo, saldi, saldos, *saldo, solde, soldes, betrag, *betrag, montant, montants, importe, importes, valor, valores, importo, importi, bedrag',
  'belopp, belob, belop, beloeb, balans, summa, jaannos, maara, staða, stada, fjarhaed, kwota, sald*, stan, zustatek, zustatky, castka, stav, zostatok, suma, egyenleg, osszeg, sold, solduri, valoare',
  'салдо, баланс, сальдо, остаток, сумма, сума, залишок, stanje, iznos, znesek, стање, износ, υπολοιπο, υπολοιπα, ποσο, bakiye, tutar, likutis, suma, atlikums, summa, saldod',
  '残高, 金額, 余额, 金额, 잔액, 금액',
  'رصيد, الرصيد, ارصدة, الارصدة, مبلغ, المبلغ, مانده, יתרה, סכום, ยอดคงเหลือ, จำนวนเงิน, so du, so tien, baki, gjendja, ნაშთი, մնացորդ, शेष',
);

/** Figures at the beginning of a span. */
export const OPENING = lexicon(
  'opening, brought forward, b f, bf, b fwd, start, starting, beginning, begin, initial, anfang*, eroffnung*, eb, ebw, vortrag*, saldovortrag, ouverture, a nouveau, a nouveaux, an, debut, report a nouveau',
  'inicial, iniciales, iniciais, apertura, abertura, inizio, iniziale, iniziali, beginbalans, beginsaldo, ingaende, ing, ib, inngaende, primo, avaus, alkusaldo, alku*, upphaf*, opnun*',
  'poczatkow*, bilans otwarcia, bo, otwarci*, pocatecni, pocatek, poc, pociatocn*, nyito, initiale, начално, начален, начални, почетно, pocetno, pocetni, zacetno, zacetni, otvoritven*, εναρξης, αρχικο, αρχικα, απογραφης, acilis, devreden, devir',
  'начало, начальн*, входящ*, вхідн*, початков*, pradzi*, pradini*, sakuma, alg*, algsaldo',
  '期首, 期初, 前月残高, 前月繰越, 前残, 前期繰越, 年初, 기초, 전기이월',
  'افتتاحي, الافتتاحي, افتتاحية, الافتتاحية, اول المدة, بداية المدة, اول الفترة, ابتدای دوره, פתיחה, יתרת פתיחה, ยอดยกมา, ต้นงวด, awal, saldo awal, baki awal, dau ky, dau nam',
);

/** What happened in a span. */
export const MOVEMENT = lexicon(
  'movement, movements, period, periods, turnover, turnovers, activity, change, changes, net change, transactions, variance, variation, variations, umsatz*, *umsatz, *umsatze, bewegung*, verkehrszahl*, *verkehrszahlen, veranderung*, mouvement, mouvements, mvt, mvts, cumul mouvements',
  'movimiento, movimientos, mov, movimento, movimentos, movimenti, variacion, variacao, variazione, mutatie, mutaties, rorelse*, bevegels*, bevaegels*, periode, perioden, perioda, kausi, muutos, hreyfing*, obrot*, obraty, obrat, pohyb, pohyby, forgalom, forg, rulaj, rulaje, rulajul',
  'оборот, обороты, обороти, променет, promet, промет, κινηση, κινησεις, hareket, hareketler, donem, apyvart*, apgrozijum*, kaive, kaibed, month, monat, mois, mes, mese, maand, manad, maned, kuukausi, miesiac, mesic, honap, luna, bruto, gross',
  '当期, 発生, 増減, 本期, 发生额, 变动, 당기, 증감',
  'حركة, الحركة, حركات, الحركات, الحركة خلال الفترة, گردش, תנועה, תנועות, เคลื่อนไหว, ระหว่างงวด, mutasi, pergerakan, phat sinh, phat sinh trong ky',
);

/** Figures at the end of a span, and those since the beginning of the year. */
export const CLOSING = lexicon(
  'closing, ending, end, carried forward, c f, cf, c fwd, final, ytd, year to date, cumulative, to date, current, schluss*, end*, abschluss*, kumuliert*, jahres*, cloture, fin, finale, cumul, cumule, a ce jour, cierre, final, finales, encerramento, chiusura, acumulado, acumulada, actual, atual, progressivo',
  'eind*, eindsaldo, slut*, utgaende, utg, ub, ultimo, ackumulerat, ackumulerade, akkumuleret, akkumulert, hittil, ar till datum, loppu*, paattav*, lok*, kertynyt, koncow*, bilans zamkniecia, bz, narastajaco, konecny, konecne, konecna, kon, kz, konecn*, zaverecn*, zaro, vegleges, final, finale, finala, cumulat*',
  'краен, крайно, крайни, крајње, zavrsn*, konacn*, koncn*, zakljucn*, τελικο, τελικα, προοδευτικ*, kapanis, donem sonu, kumulatif, конечн*, исходящ*, кінцев*, вихідн*, pabaig*, galutin*, beigu, beigas, lopp*, lopu*, saldibalans, saldibalance',
  '期末, 次期繰越, 当月末, 当月残高, 当残, 年末, 期末余额, 累计, 累計, 기말, 누계',
  'ختامي, الختامي, ختامية, الختامية, نهائي, النهائي, اخر المدة, نهاية المدة, اخر الفترة, پایان دوره, סגירה, יתרת סגירה, יתרה סופית, ยอดยกไป, ปลายงวด, akhir, saldo akhir, baki akhir, cuoi ky, cuoi nam',
);

/** Figures of another year or of a plan. */
export const ELSEWHEN = lexicon(
  'budget, budgeted, plan, plans, planned, planwert, *planwert, forecast, target, prior, prior year, last year, previous, previous year, ly, py, comparative, comparatives, vorjahr, vorjahres*, budgete, prevu, prevision, previsions, precedent, n 1, exercice precedent, anterior, ejercicio anterior, presupuesto, orcamento, exercicio anterior',
  'precedente, esercizio precedente, preventivo, begroting, begroot, vorig, vorig jaar, foregaende, fg ar, fjolar*, i fjol, fjor, sidste ar, forrige, forrige ar, budjetti, edellinen, ed vuosi, fyrra, fyrra ar, poprzedni, rok poprzedni, plan, minuly, minuly rok, minule, predchozi, predchadzajuc*, rozpocet, elozo, elozo ev, terv, anul precedent, precedent',
  'предходна, предходен, бюджет, prethodn*, proracun, лани, prejsnj*, προηγουμεν*, προυπολογισμ*, onceki, butce, предыдущ*, прошл*, план, попередн*, минул*, praejus*, ankstesn*, ieprieks*, eelmi*, eelarve',
  '前期, 前年, 予算, 上期, 上年, 预算, 전기, 전년, 예산',
  'السنة السابقة, العام السابق, موازنة, سال قبل, שנה קודמת, תקציב, ปีก่อน, งบประมาณ, tahun lalu, anggaran, bajet, nam truoc, any anterior',
);

/** Numbers beside balances that are no money. */
export const NO_MONEY = lexicon(
  'percent, pct, share, ratio, anteil, anteil in, part, quota, aandeel, andel, osuus, udzial, podil, arany, hanyad, procent, prozent, pourcentage, porcentaje, percentuale, percentage, lines, line count, count, qty, quantity, units, entries, postings, vouchers, no of, number of, anzahl, stuck, nombre, cantidad, quantidade, quantita, aantal, antal, antall, lukumaara, kpl, ilosc, pocet, darab, db, numar, брой, кол во, количество, кількість, adet, sayi, kiekis, skaits, arv',
  'rate, rates, exchange rate, kurs, kurz, cours, taux, cambio, tipo de cambio, taxa, tasso, koers, kurssi, gengi, arfolyam, curs, курс, tecaj, ισοτιμια, kur, kursas, tax rate, vat rate, page, ref, note, notes, row, line',
  '件数, 構成比, 率, 比率, 数量',
);

/** Amounts in the account's own currency, beside those in the currency of the books. */
export const FOREIGN = lexicon(
  'foreign, foreign amount, foreign balance, foreign currency, in currency, amount in currency, currency amount, balance in currency, account currency, acct currency, fc, fc amount, fc balance, fx, fx amount, document currency, transaction currency, original currency, devise, devises, en devise, en devises, fremdwahrung, wahrungsbetrag, betrag in wahrung, fw, divisa, en divisa, moneda extranjera, moeda estrangeira, valuta estera, in valuta, vreemde valuta, valutabelob, valutabelop, valutabelopp, i valuta, utlandsk valuta, valuutta, w walucie, castka v mene, cizi mena, v mene, devizaosszeg, devizaban, in valuta, във валута, u valuti, v valuti, σε συναλλαγμα, doviz, doviz bakiye, в валюте, у валюті, valiuta, valuta, valuutas',
  '外貨, 外币, 原币, 외화',
);

/** Amounts in the currency of the books, where others stand beside them. */
export const IN_BASE = lexicon(
  'base, base amount, base balance, base currency, local, local currency, home currency, functional currency, reporting currency, domestic, hauswahrung, hw, monnaie locale, monnaie de base, contre valeur, moneda local, moeda nacional, valuta locale, valuta di conto, basisvaluta, basvaluta, kotivaluutta, w zlotych, domaci mena, v kc, forintban, in lei, w pln',
  '本位币, 自国通貨, 円貨',
);

export const CODE = lexicon(
  'code, account code, acc code, classificacao, classificacao contabil, clasificacion, account no, account number, account id, accountid, acct, acct no, acc no, acc, a c, ac, no, nr, num, number, nominal, nominal code, gl code, gl account, ledger code, konto, kontonr, konto nr, kontonummer, konto nummer, sachkonto, ucet, ucty, cislo uctu, cislo, compte, comptes, no compte, n compte, no de compte, numero, numero de compte, cuenta, n cuenta, codigo, conta, cod conta, conto, codice, cod, rekening, rek, rekeningnr, grootboek, grootboekrekening, tili, tilinro, lykill, bokhaldslykill, nr konta, numer konta, szamla, szamlaszam, fokonyvi szam, szla, cont, simbol, simbol cont, сметка, no сметки, конто, sifra, sifra konta, λογαριασμος, κωδικος, hesap, hesap kodu, kodu, hesap no, kod, счет, номер счета, код, рахунок, saskaita, saskaitos nr, konts, konta nr',
  '科目コード, 勘定コード, コード, 科目编码, 科目代码, 编号, 계정코드, 코드',
  'رقم الحساب, رمز الحساب, كود الحساب, كود, الكود, رمز, الرمز, رقم, الرقم, کد, کد حساب, מספר חשבון, מס חשבון, מפתח, מפתח חשבון, קוד, รหัสบัญชี, เลขที่บัญชี, รหัส, kode, kode akun, no akun, nomor akun, kode perkiraan, no perkiraan, kod, kod akaun, no akaun, so hieu, so hieu tai khoan, ma tai khoan, so tk, codi, codi del compte',
);

export const NAME = lexicon(
  'name, account name, account, account title, accountdescription, account description, description, descr, details, particulars, title, ledger, ledger account, text, bezeichnung, kontobezeichnung, kontoname, beschriftung, libelle, intitule, intitule du compte, designation, nombre, nombre de la cuenta, descripcion, concepto, denominacion, descricao, designacao, nome, denominazione, descrizione, omschrijving, naam, navn, kontonavn, tekst, benamning, kontobenamning, nimi, tilin nimi, selite, heiti, nafn, nazwa, nazwa konta, opis, nazev, nazev uctu, nazov, nazov uctu, megnevezes, szamla neve, denumire, denumirea contului, explicatie, наименование, име на сметка, назив, naziv, opis, ονομασια, περιγραφη, τιτλος, hesap adi, aciklama, hesap ismi, название, наименование счета, назва, pavadinimas, nosaukums, nimetus, konto nimetus',
  '科目名, 勘定科目, 科目, 摘要, 科目名称, 名称, 계정과목, 계정명',
  'اسم الحساب, الحساب, حساب, البيان, بيان, الاسم, نام حساب, شرح, שם חשבון, שם החשבון, שם, תיאור, ชื่อบัญชี, nama, nama akun, nama perkiraan, nama akaun, keterangan, uraian, butiran, ten tai khoan, nom del compte, llogaria, emertimi',
);

/** A column that says debit or credit with a letter. */
export const SIDE_COLUMN = lexicon(
  'dr cr, d c, d k, d h, s h, side, sign, type dr cr, sens, strana, md d, soll haben, dc, dr cr indicator, debit credit, lado, segno, teken, tecken, merkki, strona, oldal, страна, b a, d a, t k',
);

export const CURRENCY_COLUMN = lexicon(
  'currency, ccy, cur, curr, wahrung, wrg, whg, devise, devises, mena, valuta, val, moneda, moeda, divisa, divise, valuutta, gjaldmidill, waluta, penznem, deviza, валута, валюта, νομισμα, para birimi, doviz, pb, valiuta, valuuta',
  '通貨, 币种, 통화',
  'العملة, عملة, ارز, מטבע, สกุลเงิน, mata uang, mata wang, loai tien',
);

/** A line that adds up others. */
export const TOTAL = lexicon(
  'total, totals, grand total, sub total, subtotal, subtotals, sum, sums, summe, summen, zwischensumme, gesamt*, insgesamt, somme, sommes, totaux, sous total, suma, sumas, sumas iguales, sumas y saldos, totales, soma, somas, totais, totale, totali, somma, totaal, totalen, subtotaal, totalt, summa, sum total, i alt, ialt, sumsaldo, yhteensa, valisumma, samtals, alls',
  'razem, ogolem, lacznie, celkem, soucet, mezisoucet, soucty, spolu, celkom, sucet, medzisucet, osszesen, osszes, mindosszesen, reszosszeg, total general, общо, всичко, сбор, ukupno, svega, zbroj, sveukupno, medjuzbroj, укупно, skupaj, vsota, συνολο, συνολα, αθροισμα, γενικο συνολο, toplam, genel toplam, ara toplam, yekun, итого, всего, итог, всього, разом, підсумок, is viso, viso, kopa, pavisam, kokku, net assets',
  '合計, 小計, 総計, 総合計, 合计, 小计, 总计, 共计, 합계, 소계, 총계',
  'مجموع, المجموع, اجمالي, الاجمالي, الاجماليات, المجموع الكلي, مجموع فرعي, جمع, جمع کل, סה כ, סהכ, סך הכל, סיכום, סיכום ביניים, รวม, รวมทั้งสิ้น, ยอดรวม, jumlah, jumlah besar, sub jumlah, tong cong, cong, ჯამი, ընդամենը, कुल, योग, jami, cemi',
);

/** A line that carries a page's sums to the next one. */
export const CARRIED = lexicon(
  'carried forward, brought forward, carried down, balance forward, c fwd, b fwd, c f, b f, ubertrag*, a reporter, report, a reporter page suivante, suma y sigue, suma anterior, sumas anteriores, a transportar, transporte, riporto, a riportare, transport, transporteren, te transporteren, overforing, overforsel, transport fran, siirto, flutt*, przeniesienie, do przeniesienia, z przeniesienia, prevod*, prenos*, prenesene, atvitel, athozat, nakli yekun, devreden yekun, de reportat, reportat, пренос, перенос, донос, donos, prijenos, μεταφορα, εις μεταφοραν, εκ μεταφορας, pernesta, parnests, ulekanne',
  '次頁繰越, 前頁繰越, 次葉へ, 过次页, 承前页, 차기이월',
  'ما بعده, ما قبله, منقول, مرحل, העברה, להעברה, ยกไป, ยกมา, dipindahkan, pindahan, cong mang sang, mang sang trang',
);

/** A line for what is left between two sides. */
export const DIFFERENCE = lexicon(
  'difference, differences, out of balance, net, check, control, differenz, kontrolle, ecart, diferencia, cuadre, descuadre, diferenca, differenza, sbilancio, verschil, verschillen, differens, forskel, forskjell, erotus, mismunur, roznica, rozdil, kontrola, rozdiel, kulonbozet, elteres, diferenta, разлика, razlika, διαφορα, fark, разница, різниця, skirtumas, starpiba, vahe',
  '差額, 差异, 差额, 차액',
  'فرق, الفرق, اختلاف, הפרש, ผลต่าง, selisih, perbezaan, chenh lech',
);

/** A line for the year's result, worked out by the old system. */
export const RESULT = lexicon(
  'profit, loss, profit or loss, net profit, net loss, net income, net result, result, result for, surplus, deficit, calculated result, gewinn, verlust, ergebnis, *ergebnis, jahresuberschuss, jahresfehlbetrag, reingewinn, resultat, benefice, perte, resultado, resultado del ejercicio, ganancia, perdida, resultado liquido, lucro, prejuizo, utile, utile d esercizio, perdita, perdita d esercizio, risultato, winst, verlies, nettoresultaat, arets resultat, beraknat resultat, overskud, underskud, overskudd, tulos, tilikauden tulos, voitto, tappio, hagnadur, tap, afkoma, wynik, wynik finansowy, zysk, strata, vysledek, hospodarsky vysledek, vysledek hospodareni, zisk, ztrata, vysledok, vysledok hospodarenia, eredmeny, nyereseg, veszteseg, adozott eredmeny, profit net, pierdere, rezultat, печалба, загуба, резултат, dobit, dobitak, gubitak, добит, губитак, poslovni izid, κερδος, κερδη, ζημια, ζημιες, αποτελεσμα, kar, zarar, donem kari, donem net kari, прибыль, убыток, прибуток, збиток, результат, pelnas, nuostolis, pelna, zaudejumi, kasum, kahjum, puhaskasum',
  '当期純利益, 当期純損失, 当期利益, 本年利润, 净利润, 당기순이익',
  'صافي الربح, صافي الخسارة, صافي الدخل, ربح السنة, خسارة السنة, سود خالص, רווח נקי, הפסד נקי, רווח השנה, กำไรสุทธิ, ขาดทุนสุทธิ, laba bersih, rugi bersih, laba tahun berjalan, untung bersih, loi nhuan trong nam',
);

/** A line that says when or by whom a list was printed, not of what day it is. */
export const PRINTED = lexicon(
  'printed, print, print date, run, run date, run on, report date, created, exported, export, output, generated, prepared, produced, extracted, as of time, gedruckt, druckdatum, erstellt, erstellt am, ausdruck, ausgabe, imprime, imprime le, edite, edite le, edition, tirage, emitido, emitida, emision, impreso, fecha de impresion, generado, impresso, emissao, stampato, stampa, data stampa, elaborato, afgedrukt, afdrukdatum, gemaakt, opgemaakt, utskriven, utskrivet, utskrift, utskriftsdatum, udskrevet, udskrift, dannet, skrevet ut, utskriftsdato, tulostettu, tulostuspaiva, prentad, utprentun, wydruk, wydrukowano, data wydruku, sporzadzono, wygenerowano, vytisteno, tisk, vytisk, datum tisku, vytlacene, tlac, datum tlace, nyomtatva, nyomtatas, keszult, kelt, tiparit, listat, data listarii, intocmit, отпечатано, отпечатан, изготвил, дата на печат, ispis, ispisano, datum ispisa, tiskano, izpis, izpisano, штампано, εκτυπωση, ημερομηνια εκτυπωσης, yazdirma, basim, dokum, dokum tarihi, rapor tarihi, duzenleme, напечатано, дата печати, сформирован, сформировано, распечатано, роздруковано, надруковано, сформовано, spausdinta, atspausdinta, sudaryta, izdrukats, drukats, sagatavots, prinditud, koostatud, valja trukitud',
  '出力, 出力日, 印刷, 印刷日, 作成日, 发行, 打印, 打印日期, 制表, 인쇄, 출력',
  'تاريخ الطباعة, طبع في, طباعة, תאריך הדפסה, הודפס, พิมพ์เมื่อ, dicetak, tanggal cetak, tarikh cetak, ngay in',
);

/** Says that what follows is a date, and not of what. */
export const A_DATE = lexicon(
  'date, datum, fecha, data, dato, pvm, paivays, tarih, dagsetning, dátum, datums, data i godzina, date heure, дата, ημερομηνια, kuupaev',
  '日付, 日期, 날짜',
  'تاريخ, التاريخ, تاریخ, תאריך, วันที่, tanggal, tarikh, ngay',
);

/** Stands before the day that a list is of. */
export const AS_AT = lexicon(
  'as at, as of, at, to, until, up to, balance at, balances at, year ended, period ended, ended, ending, month end, year end, stichtag, zum, per, bis, am, stand, au, arrete au, arretee au, jusqu au, situation au, a fecha, a la fecha, al, hasta, a dia, cerrado a, a, ate, em, a data de, reportado a, alla data, al giorno, fino al, op, tot, tot en met, t m, t o m, tom, pr, den, till, per den, frem til, tilanne, asti, saakka, per dags, na dzien, stan na, do, wg stanu na, k, ke dni, k datu, ku dnu, stav k, napjan, allapot, fordulonap, la, la data, la data de, към, към дата, na dan, s stanjem, на дан, στις, την, μεχρι, ημερομηνια, tarihi, tarihi itibariyla, itibariyla, itibari, на, по состоянию на, станом на, за состоянием, datai, pagal, uz, uz datumu, seisuga, seisuga',
  '現在, 時点, 截至, 截止, 현재',
  'كما في, في, حتى, المنتهية في, حتى تاريخ, در تاریخ, ליום, נכון ליום, עד ליום, ณ วันที่, pada, sampai dengan, s d, berakhir, setakat, tai ngay, den ngay',
);

/** A line of a page, not of the list. */
export const PAGE = lexicon(
  'page, pages, seite, blatt, pagina, paginas, pag, hoja, folha, foglio, blad, bladzijde, sida, side, sivu, bls, blads, strona, str, strana, oldal, lap, stran, стр, страница, страна, сторінка, лист, σελιδα, σελ, sayfa, sayfa no, puslapis, psl, lapa, lpp, lk, lehekulg, continued, fortsetzung, suite, sigue, continua, vervolg, forts, jatkuu, pokracovani, folytatas',
  '頁, ページ, 页, 페이지',
  'صفحة, الصفحة, صفحه, עמוד, דף, หน้า, halaman, hal, muka surat, trang',
);

/** What may stand beside a total's word without making it the name of an account. */
export const SMALL = lexicon(
  'of, the, all, in, and, for, to, this, per, der, des, die, das, den, dem, aller, alle, und, de, du, des, la, le, les, et, del, los, las, y, e, da, do, dos, das, di, dei, delle, della, il, van, het, en, og, och, av, af, ja, z, i, w, a, si, na, за, по, на, και, των, ve, accounts, account, konten, comptes, cuentas, rekeningen, konton, konti, konta, uctu, balances, balance, report, period',
);

/** What a paper says of amounts that are written without their last three figures. */
export const THOUSANDS = lexicon(
  'thousands, in thousands, thousand euro, thousand pounds, thousands of, thousand dollars, tausend, in tausend, tsd, tausend euro, teur, milliers, en milliers, milliers d euros, en miles, en miles de, miles de euros, milhares, em milhares, milhares de euros',
  'migliaia, in migliaia, migliaia di euro, duizenden, in duizenden, duizendtallen, duizend euro, tusental, tusentals, i tusental, i tusen, hele tusen, tusen kroner, tusen kronor, tkr, i tusinde, tusinder, i tusinder, t kr, tuhansina, tuhatta, tuhansissa',
  'tys, w tys, tysiacach, w tysiacach, tis, v tis, v tisicich, tisicich, tisic, ezer forint*, ezer ft, ezer eur*, ezer huf, ezer euro*, e ft, eft ban, mii lei, mii de lei, in mii, mii ron, χιλιαδες, σε χιλιαδες, χιλ, bin tl, bin lira, bin turk lirasi, tisuca, u tisucama, tisoc, v tisoc',
  'тыс, тысяч, в тысячах, тис, в тисячах, хил, в хиляди, хиляди, tukst, tukstanciais, tukst eur, tuhandetes, tuhat eurot, tukstos, tukst',
  '千円, 千元, 单位 千元, 単位 千円, 천원, 千单位',
  'بالالاف, بآلاف, الاف, الاف الدنانير, الاف الريالات, هزار ریال, באלפים, אלפי, באלפי, พันบาท, ribuan, dalam ribuan, ribuan rupiah, nghin dong',
);

export const MILLIONS = lexicon(
  'in millions, millions of, in millionen, mio eur, mio euro, en millions, en millones, em milhoes, in milioni, in miljoenen, miljoner kronor, mkr, i millioner, milj eur, miljoonina, w mln, mln zl, v mil, mil kc, mln, mln eur, millio forint, millio ft, milioane lei, mil lei, εκατομμυρια, milyon tl',
  'млн, в миллионах, млн руб, млн грн, млн лв',
  '百万円, 百万元, 백만원',
  'بالملايين, ملايين, میلیون ریال, במיליונים, ล้านบาท, jutaan, dalam jutaan, jutaan rupiah, trieu dong',
);

/** Says that a column's amounts are in hundredths. */
export const HUNDREDTHS = lexicon(
  'cents, cent, pence, centimes, centimos, centavos, minor units, in cents, in pence, eurocent, eurocents, rappen, ore, oere, halere, haleru, filler, bani, kurus, centesimi, centow, groszy, grosze, kopecks, kopek',
);
