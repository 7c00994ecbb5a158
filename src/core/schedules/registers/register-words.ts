import { lexicon } from '../../words/lexicon';

/** The lists of single things, each with its own columns: assets, stock, the plan of a loan, what is paid beforehand. */
export const REGISTER_KINDS = ['assets', 'stock', 'loans', 'prepayments'] as const;
/**
 * Those, and the loans themselves with what is still owed of each, who holds the capital, and the returns of taxes: such lists are only
 * looked for where they are asked for.
 */
export const ALL_REGISTER_KINDS = [...REGISTER_KINDS, 'borrowings', 'holdings', 'returns'] as const;
export type RegisterKind = (typeof ALL_REGISTER_KINDS)[number];

const CODE = lexicon(
  'code, no, nr, number, id, ref, item, item code, item no, item number, article, article no, article code, sku, part no, part, product code, stock code, asset, asset no, asset id, asset code, asset number, tag, inventory no, inv no, key, plu, contract, contract no',
  'nummer, inventarnummer, inventar nr, inv nr, anlagennummer, anlagen nr, anlage, anlagegut nr, artikel, artikelnummer, artikelnr, artikel nr, art nr, reference, numero, n, code article, code produit, immo, n immo, code immo, codigo, referencia, num, articulo, cod, codice, articolo, cod articolo, n inventario, cespite, artigo, activo n, artikelcode, kod, symbol, indeks, nr inwentarzowy, nr inw, numer inwentarzowy, cislo, inventarni cislo, inv cislo, ic, kod zbozi, cikkszam, leltari szam, leltariszam, azonosito, artikelnr, anlaggningsnr, inventarienr, varenr, varenummer, anlaegsnr, anleggsnr, tuotenumero, tuotekoodi, tunnus, nimike, cod produs, nr inventar, κωδικος, κωδ, stok kodu, kodu, demirbas no, sicil no, 番号, コード, 品番, 商品コード, 資産番号, 编号, 编码, 货号',
);
const NAME = lexicon(
  'name, what, description, descr, item, article, product, asset, asset name, asset description, details, text, particulars, title, what, item name, item description, goods, material, prepayment, expense, contract, supplier and period, subject',
  'bezeichnung, beschreibung, anlagegut, wirtschaftsgut, gegenstand, artikel, artikelbezeichnung, ware, designation, libelle, article, produit, immobilisation, bien, intitule, descripcion, denominacion, articulo, producto, bien, elemento, concepto, descrizione, denominazione, articolo, bene, cespite, voce, designacao, descricao, artigo, produto, bem, omschrijving, naam, benaming, activum, bedrijfsmiddel, nazwa, opis, towar, srodek trwaly, nazwa srodka trwalego, nazwa towaru, nazev, popis, majetek, nazev majetku, zbozi, polozka, megnevezes, leiras, eszkoz, targyi eszkoz, termek, aru, benamning, beskrivning, tillgang, artikel, vara, anlaggning, betegnelse, beskrivelse, vare, anlaeg, aktiv, eiendel, anleggsmiddel, nimi, nimike, kuvaus, omaisuus, hyodyke, tuote, denumire, descriere, produs, mijloc fix, περιγραφη, ονομασια, ειδος, παγιο, aciklama, adi, urun, urun adi, stok adi, mal, demirbas, kiymet, 名称, 品名, 資産名, 摘要, 商品名, 内容',
);

/** What the columns of each list are called, folded. A column of one role may be called by words of another; what is in it decides. */
const ASSETS = {
  code: CODE,
  name: NAME,
  group: lexicon(
    'class, category, group, type, asset class, asset category, asset type, kind, account, cost account, gruppe, anlagengruppe, anlageklasse, klasse, kategorie, konto, art, categorie, famille, nature, compte, categoria, clase, grupo, cuenta, gruppo, classe, conto, conta, categorie, groep, soort, rekening, grupa, kst, grupa kst, rodzaj, kategoria, konto, skupina, druh, trida, ucet, csoport, kategoria, szamla, grupp, klass, typ, konto, kategori, gruppe, ryhma, luokka, tili, grupa, cont, κατηγορια, ομαδα, λογαριασμος, grup, hesap, sinif, kategori, 種類, 分類, 区分, 勘定科目, 类别',
  ),
  acquired: lexicon(
    'acquired, acquisition date, date acquired, purchased, purchase date, date of purchase, bought, date bought, in service, in service date, date in service, capitalised, start date, in use from, date, anschaffungsdatum, zugang, zugangsdatum, kaufdatum, anschaffung am, angeschafft, inbetriebnahme, ahk datum, date d acquisition, acquisition, date acquisition, acquis le, date achat, mise en service, date de mise en service, fecha de adquisicion, fecha adquisicion, fecha compra, fecha de compra, adquirido, fecha alta, puesta en marcha, data acquisto, data di acquisto, acquistato il, data acq, data entrata in funzione, data de aquisicao, data aquisicao, adquirido em, aanschafdatum, aanschaf, datum aanschaf, aankoopdatum, gekocht, ingebruikname, data zakupu, data nabycia, data przyjecia, data przyjecia do uzywania, data ot, datum porizeni, porizeno, datum zarazeni, zarazeno, datum nakupu, beszerzes datuma, beszerzes, beszerzes napja, aktivalas, aktivalas datuma, uzembe helyezes, uzembehelyezes, inkopsdatum, anskaffningsdatum, anskaffad, inkopt, anskaffelsesdato, anskaffet, kobsdato, kjopsdato, kjopt, hankittu, hankinta pvm, hankintapaiva, hankintapvm, kayttoonotto, data achizitiei, data achizitie, achizitionat, data punerii in functiune, ημ κτησης, ημερομηνια κτησης, αγορα, ημ αγορας, alis tarihi, edinme tarihi, aktiflesme tarihi, giris tarihi, 取得日, 取得年月日, 取得年月, 购置日期',
  ),
  life: lexicon(
    'life, useful life, life yrs, life years, life months, years, yrs, months, term, lifetime, useful life years, useful life months, economic life, nutzungsdauer, nd, nd jahre, nutzungsdauer jahre, jahre, afa dauer, duree, duree ans, duree annees, duree d amortissement, duree de vie, ans, vida util, vida util anos, anos, meses, vida, vita utile, vita utile anni, anni, durata, vida util, anos vida, levensduur, gebruiksduur, afschrijvingsduur, jaren, looptijd, okres, okres amortyzacji, lat, okres uzytkowania, liczba lat, liczba miesiecy, doba odpisovani, zivotnost, roku, doba pouzitelnosti, pocet let, elettartam, hasznos elettartam, ev, evek, ho, futamido, livslangd, nyttjandeperiod, avskrivningstid, ekonomisk livslangd, ar, levetid, brugstid, okonomisk levetid, avskrivningstid, ar, poistoaika, pitoaika, vuotta, durata, durata normala, durata de viata, dnf, ani, luni, ωφελιμη ζωη, διαρκεια ζωης, ετη, faydali omur, omur, yil, 耐用年数, 年数, 使用年限',
  ),
  rate: lexicon(
    'rate, depreciation rate, rate p a, annual rate, afa satz, satz, prozent, taux, taux d amortissement, tasa, porcentaje, coeficiente, aliquota, percentuale, taxa, percentage, afschrijvingspercentage, stawka, stawka amortyzacji, sazba, leiras kulcs, kulcs, sats, avskrivningssats, afskrivningssats, poistoprosentti, prosentti, rata, cota, συντελεστης, ποσοστο, oran, amortisman orani, 償却率',
  ),
  method: lexicon(
    'method, depreciation method, afa art, methode, afa methode, abschreibungsart, mode, methode d amortissement, metodo, metodo de amortizacion, metodo ammortamento, afschrijvingsmethode, metoda, metoda amortyzacji, zpusob odpisovani, zpusob, modszer, metod, avskrivningsmetod, metode, menetelma, poistomenetelma, metoda amortizare, μεθοδος, yontem, 償却方法',
  ),
  residual: lexicon(
    'residual, residual value, salvage, salvage value, scrap value, schrottwert, restwert am ende, valeur residuelle, valor residual, valore residuo, restwaarde, wartosc rezydualna, wartosc koncowa, zbytkova hodnota, maradvanyertek, restvarde, restvaerdi, skrapverdi, jaannosarvo, valoare reziduala, υπολειμματικη αξια, hurda deger, kalinti deger, 残存価額',
  ),
  costBefore: lexicon(
    'cost b f, cost brought forward, opening cost, cost at start, cost at beginning, ahk vortrag, ahk 01 01, ahk 1 1, ahk anfang, ak 01 01, ak 1 1, vortrag, valeur debut, valeur brute debut, valor inicial, costo iniziale, valore iniziale, beginwaarde, aanschafwaarde begin, wartosc poczatkowa bo, stan na poczatek, pocatecni stav, nyito ertek, brutto nyito, ingaende anskaffningsvarde, anskaffningsvarde ib, anskaffelsessum primo, kostpris primo, anskaffelseskost 1 1, hankintameno alussa, sold initial, αξια εναρξης, acilis, 期首取得価額',
  ),
  netBefore: lexicon(
    'opening value, opening book value, opening wdv, opening nbv, net b f, nbv b f, book value b f, wdv b f, nbv at start, buchwert 01 01, buchwert 1 1, buchwert vorjahr, restbuchwert anfang, vnc debut, valeur nette debut, valor neto inicial, valore netto iniziale, boekwaarde begin, wartosc netto bo, zustatkova hodnota na zacatku, nyito netto ertek, bokfort varde ib, bogfort vaerdi primo, bokfort verdi 1 1, kirjanpitoarvo alussa, menojaannos alussa, 期首帳簿価額, 期首簿価',
  ),
  additions: lexicon(
    'additions, addition, additions in year, purchases, acquisitions, zugang, zugange, acquisitions de l exercice, entrees, augmentations, altas, adiciones, incrementi, acquisizioni, adicoes, aquisicoes, investeringen, aanschaffingen, zwiekszenia, nabycia, prirustky, prirustek, novekedes, beszerzes, arets inkop, inkop, tilgang, tilgange, lisaykset, intrari, προσθηκες, girisler, ilaveler, 当期増加額, 増加額',
  ),
  disposals: lexicon(
    'disposals, disposals in year, retirements, abgang, abgange, cessions, sorties, diminutions, bajas, decrementi, dismissioni, cessioni, abates, alienacoes, desinvesteringen, zmniejszenia, ubytky, ubytek, csokkenes, utrangeringar, afgang, afgange, avgang, vahennykset, iesiri, μειωσεις, cikislar, 当期減少額, 減少額',
  ),
  cost: lexicon(
    'cost, original cost, cost price, purchase price, historical cost, acquisition cost, gross, gross value, gross book value, cost c f, cost carried forward, closing cost, cost at end, valuation, cost or valuation, price paid, anschaffungskosten, ak, ahk, ak hk, anschaffungswert, anschaffungs und herstellungskosten, kaufpreis, bruttowert, valeur d acquisition, valeur brute, valeur d origine, cout, prix d achat, brut, base amortissable, coste, costo, coste de adquisicion, valor de adquisicion, precio de adquisicion, importe, valor bruto, costo storico, valore storico, costo di acquisto, valore lordo, valor de aquisicao, custo, valor aquisicao, custo de aquisicao, aanschafwaarde, aanschafprijs, aanschaffingswaarde, kostprijs, wartosc poczatkowa, wart poczatkowa, cena nabycia, wartosc brutto, porizovaci cena, porizovaci hodnota, vstupni cena, vc, brutto, bekerulesi ertek, beszerzesi ertek, brutto ertek, bekerules, anskaffningsvarde, anskaffningskostnad, inkopspris, anskaffelsessum, anskaffelsesvaerdi, kostpris, anskaffelseskost, anskaffelsespris, hankintameno, hankintahinta, hankinta arvo, valoare de intrare, valoare intrare, valoare inventar, cost, pret achizitie, αξια κτησης, κοστος, alis bedeli, maliyet, maliyet bedeli, edinme degeri, 取得価額, 取得原価, 原值',
  ),
  brought: lexicon(
    'depn b f, depreciation b f, dep b f, depreciation brought forward, accumulated b f, opening depreciation, depreciation to last year, depn brought forward, prior depreciation, afa vorjahre, afa bis vorjahr, kumulierte afa vorjahr, amortissements anterieurs, amort anterieurs, amort anter, amort cumules debut, amortizacion anterior, amort acum anterior, fondo iniziale, fondo anni precedenti, amortizacoes anteriores, afschrijving t m vorig jaar, afgeschreven begin, cum afschrijving begin, umorzenie na poczatek, umorzenie bo, dotychczasowe umorzenie, opravky k 1 1, opravky na zacatku, nyito ecs, nyito ertekcsokkenes, halmozott ecs nyito, ingaende avskrivningar, ack avskr ib, ing ack avskr, afskrivninger primo, avskrivninger ib, akk avskr ib, kertyneet poistot alussa, amortizare cumulata anterioara, αποσβεσεις προηγουμενες, προηγ αποσβεσεις, gecmis amortisman, onceki yil amortismani, devreden amortisman, 期首償却累計額',
  ),
  charge: lexicon(
    'charge, charge for year, charge for the year, depreciation for year, depreciation for the year, depn for year, year s charge, current year, depreciation charge, this year, ytd depreciation, depreciation this year, afa, afa lfd jahr, afa laufendes jahr, afa jahr, jahres afa, abschreibung des jahres, dotation, dotation de l exercice, dotations, amort exercice, amortizacion del ejercicio, dotacion, dotacion ejercicio, amort ejercicio, quota, quota anno, ammortamento dell esercizio, quota ammortamento, amortizacao do exercicio, amort exercicio, afschrijving dit jaar, afschrijving boekjaar, afschrijving lopend jaar, amortyzacja roczna, umorzenie biezace, amortyzacja biezaca, odpis roczny, odpis za rok, rocni odpis, odpis roku, targyevi ecs, targyevi ertekcsokkenes, eves ecs, arets avskrivning, arets avskrivningar, arets afskrivning, arets afskrivninger, arets avskrivninger, tilikauden poisto, vuoden poisto, amortizare an curent, amortizarea anului, αποσβεσεις χρησης, αποσβεση ετους, cari yil amortismani, yillik amortisman, donem amortismani, 当期償却額, 償却額',
  ),
  depreciation: lexicon(
    'depreciation, depn, dep, accumulated depreciation, accum depn, acc depn, acc dep, accumulated, total depreciation, depreciation to date, depn to date, depreciation c f, depn c f, closing depreciation, written off, cumulative depreciation, kumulierte abschreibung, kum abschreibung, kumulierte afa, kum afa, abschreibung, abschreibungen, wertberichtigung, amortissements cumules, amort cumules, cumul amort, amortissements, amortissement, cumul amortissements, amortizacion acumulada, amort acumulada, amort acum, depreciacion acumulada, amortizacion, amortizado, fondo ammortamento, f do ammortamento, fondo amm, ammortamento, amm to, fondo, amortizacoes acumuladas, depreciacoes acumuladas, depreciacao acumulada, amort acumuladas, cumulatieve afschrijving, cum afschrijving, cum afschr, afschrijving, afgeschreven, umorzenie, umorzenie narastajaco, dotychczasowe umorzenie, amortyzacja, opravky, opravky celkem, odepsano, odpisy celkem, halmozott ertekcsokkenes, halmozott ecs, elszamolt ertekcsokkenes, ertekcsokkenes, ecs, ackumulerad avskrivning, ackumulerade avskrivningar, ack avskr, ack avskrivningar, avskrivningar, avskrivet, akkumulerede afskrivninger, akk afskr, afskrivninger, akkumulerte avskrivninger, akk avskr, avskrivninger, kertyneet poistot, kertynyt poisto, poistot, amortizare cumulata, amortizare, σωρευμενες αποσβεσεις, αποσβεσεις, αποσβεσθεντα, birikmis amortisman, birikmis amort, amortisman, 減価償却累計額, 償却累計額, 累计折旧',
  ),
  net: lexicon(
    'nbv, net, net book value, book value, carrying amount, carrying value, written down value, wdv, net value, nbv c f, buchwert, restbuchwert, rbw, rest bw, restwert, nettowert, valeur nette, vnc, valeur nette comptable, net comptable, valor neto, valor neto contable, vnc, valor contable, valor en libros, neto, valore netto, valore residuo contabile, residuo, netto contabile, da ammortizzare, valor liquido, valor contabilistico, quantia escriturada, boekwaarde, nettoboekwaarde, restant, wartosc netto, netto, wart netto, zustatkova cena, zustatkova hodnota, zc, zustatek, netto ertek, konyv szerinti ertek, nyilvantartasi ertek, maradek, bokfort varde, restvarde bokfort, planenligt restvarde, bokvarde, nettovarde, bogfort vaerdi, regnskabsmaessig vaerdi, bokfort verdi, balansefort verdi, bokfort, kirjanpitoarvo, menojaannos, jaljella, valoare ramasa, valoare neta, valoare neta contabila, αναποσβεστη αξια, αναποσβεστο, λογιστικη αξια, υπολοιπο, net deger, net defter degeri, kalan deger, defter degeri, 帳簿価額, 未償却残高, 期末簿価, 簿価, 净值',
  ),
  status: lexicon(
    'remark, remarks, note, notes, comment, comments, bemerkung, bemerkungen, anmerkung, vermerk, observation, observations, remarque, observaciones, notas, note, annotazioni, observacoes, opmerking, opmerkingen, uwagi, poznamka, megjegyzes, anmarkning, bemaerkning, merknad, huomautus, observatii, mentiuni, παρατηρησεις, aciklama, 備考, 备注, примечание',
    'status, state, condition, zustand, etat, statut, estado, situacion, stato, situacao, toestand, stan, stav, allapot, statusz, tila, tilanne, stare, κατασταση, durum, 状態, 状态',
  ),
  disposed: lexicon(
    'gone, gone on, disposed, disposal, disposal date, date disposed, date of disposal, sold, sold on, date sold, scrapped, retired, out of use, abgang am, abgangsdatum, verkauft, verkauft am, ausgeschieden, ausscheidedatum, sortie, date de sortie, cede le, cession, date de cession, baja, fecha de baja, fecha baja, vendido, dismesso, dismissione, data dismissione, venduto, abate, data de abate, alienacao, afgestoten, verkocht, verkoopdatum, desinvestering, uitgegaan, likwidacja, data likwidacji, data zbycia, zbycie, sprzedano, vyrazeno, datum vyrazeni, vyrazeni, prodano, kivezetes, kivezetve, selejtezve, eladva, ertekesites, utrangerad, utrangerat, avyttrad, sald, forsaljningsdatum, solgt, afhaendet, afgangsdato, avhendet, utrangert, salgsdato, myyty, poistettu, luovutettu, scos din uz, casat, vandut, data iesirii, πωληθηκε, πωληση, διαγραφη, ημ πωλησης, satis tarihi, cikis tarihi, satildi, 除却日, 売却日, 処分日',
  ),
} as const;

const STOCK = {
  code: CODE,
  name: NAME,
  group: lexicon(
    'category, group, class, type, family, dept, department, product group, stock group, section, account, warengruppe, gruppe, kategorie, artikelgruppe, famille, categorie, rayon, groupe, familia, categoria, grupo, categoria, gruppo, reparto, familia, grupo, groep, artikelgroep, productgroep, categorie, grupa, grupa towarowa, kategoria, skupina, kategorie, druh, csoport, cikkcsoport, kategoria, grupp, varugrupp, kategori, varegruppe, gruppe, ryhma, tuoteryhma, grupa, categorie, κατηγορια, ομαδα, grup, kategori, urun grubu, 分類, 区分, カテゴリ, 类别',
  ),
  unit: lexicon(
    'ед изм, ед, единица, единица измерения, од, од виміру, од вим, одиниця, мерна единица, мярка, unit, uom, unit of measure, units, measure, per, price unit, price per, pack, u m, einheit, me, mengeneinheit, meh, ve, unite, u, um, unidad, ud, uds, unid, unita, u m, um, unidade, un, eenheid, ehd, jm, j m, jednostka, jedn, mj, m j, jednotka, merna jednotka, mertekegyseg, me, egyseg, enhet, enh, enhed, yksikko, yks, unitate, um, u m, μοναδα, μμ, μ μ, birim, 単位, 单位',
  ),
  quantity: lexicon(
    'cases, no of cases, boxes, cartons, packs, packets, crates, bottles, kartons, kisten, caisses, cartons, colis, cajas, cartoni, colli, caixas, dozen, kartony, krabice, dobozok, lador, kasser, laatikot, cutii, koli',
    'quantity, qty, qty on hand, on hand, quantity on hand, counted, count, stock, in stock, balance qty, physical, physical count, pieces, pcs, number of, qty counted, counted qty, menge, bestand, anzahl, stuck, istbestand, inventurmenge, lagerbestand, quantite, qte, qte en stock, stock, en stock, nombre, cantidad, cant, existencias, stock, unidades, quantita, q ta, qta, giacenza, giac, pezzi, quantidade, qtd, qtde, existencia, aantal, voorraad, hoeveelheid, geteld, ilosc, stan, stan magazynu, mnozstvi, pocet, stav, zasoba, mn, ks, mennyiseg, db, keszlet, darab, antal, kvantitet, lager, lagersaldo, saldo, antall, beholdning, lagerbeholdning, maara, kpl, varastosaldo, saldo, cantitate, cant, stoc, ποσοτητα, ποσ, αποθεμα, τεμαχια, miktar, adet, stok, mevcut, 数量, 在庫数, 在庫数量, 库存数量',
  ),
  unitCost: lexicon(
    'unit cost, cost, cost price, unit price, price, average cost, avg cost, cost each, each, cost per unit, last cost, standard cost, purchase price, cost unit, einstandspreis, ek, ek preis, ek netto, einkaufspreis, stuckpreis, einzelpreis, preis, bewertungspreis, durchschnittspreis, preis je einheit, kosten je einheit, prix unitaire, pu, p u, cout unitaire, cump, prix d achat, prix de revient, pa, pu ht, pamp, precio unitario, coste unitario, precio coste, coste, p u, precio, costo unitario, prezzo unitario, prezzo, costo, costo medio, p unit, preco unitario, custo unitario, custo medio, preco, custo, kostprijs, inkoopprijs, stukprijs, prijs, prijs per eenheid, vvp, cena jednostkowa, cena, cena zakupu, cena ewidencyjna, cena jedn, cena nabycia, jednotkova cena, cena za jednotku, cena mj, nakupni cena, porizovaci cena, skladova cena, egysegar, beszerzesi ar, elabe egysegar, nyilvantartasi ar, ar, styckpris, a pris, apris, inkopspris, pris, snittpris, kostpris, stykpris, enhedspris, kostpris pr enhed, innkjopspris, enhetspris, stykkpris, yksikkohinta, a hinta, ahinta, hankintahinta, ostohinta, keskihinta, hinta, pret unitar, pret, pret achizitie, cost unitar, τιμη μοναδας, τιμη, τιμη κτησης, κοστος μοναδας, birim fiyat, birim maliyet, maliyet, alis fiyati, 単価, 原価, 仕入単価, 单价',
  ),
  value: lexicon(
    'value, stock value, total, total value, amount, extended, extension, ext cost, extended cost, total cost, value at cost, cost value, line value, inventory value, wert, lagerwert, bestandswert, inventurwert, gesamtwert, warenwert, betrag, summe, gesamt, valeur, montant, valeur stock, valeur du stock, valeur totale, total ht, importe, valor, valor total, valor existencias, importe total, valore, importo, valore totale, valore giacenza, totale, valor, valor total, montante, total, waarde, voorraadwaarde, totaal, totale waarde, bedrag, wartosc, wartosc zapasu, wartosc razem, kwota, wart, hodnota, cena celkem, celkem, hodnota zasoby, castka, ertek, keszletertek, osszertek, osszeg, varde, lagervarde, summa, belopp, totalt, vaerdi, lagervaerdi, vareverdi, verdi, lagerverdi, belob, belop, sum, arvo, varastoarvo, yhteensa, summa, valoare, valoare stoc, valoare totala, suma, total, αξια, συνολικη αξια, συνολο, ποσο, deger, stok degeri, tutar, toplam, 金額, 在庫金額, 評価額, 金额',
  ),
  place: lexicon(
    'place, location, bin, bin no, bin location, shelf no, warehouse, shelf, store, where, lagerort, lagerfach, regalplatz, stellplatz, fachnummer, lagerstelle, hyllypaikka, varastopaikka, hyllplats, hyllnr, reolplads, hyldeplads, hylleplass, lagerplads, lagerplass, polc szama, miejsce skladowania, skladove misto, pozice, emplacement stock, allee, scaffale, corsia, estante, pasillo, estanteria, prateleira, schap, stelling, raf no, lager, regal, lagerplatz, emplacement, depot, lieu, magasin, ubicacion, almacen, lugar, ubicazione, magazzino, posizione, deposito, local, localizacao, armazem, locatie, magazijn, plaats, magazyn, miejsce, polka, sklad, umisteni, regal, raktar, hely, polc, plats, lagerplats, hylla, lokation, lagersted, plassering, hylly, varasto, paikka, sijainti, locatie, gestiune, depozit, raft, θεση, αποθηκη, yer, depo, raf, 場所, 倉庫, 棚',
  ),
  counted: lexicon(
    'counted on, count date, date counted, date of count, last count, last counted, date, inventurdatum, gezahlt am, zahldatum, date inventaire, date d inventaire, compte le, fecha de recuento, fecha inventario, data inventario, data conta, contato il, data de contagem, teldatum, geteld op, data spisu, data inwentaryzacji, datum inventury, datum inventarizace, leltar datuma, inventeringsdatum, inventerad, optaellingsdato, talt den, telledato, inventointipvm, laskettu, data inventarierii, ημ απογραφης, sayim tarihi, 棚卸日',
  ),
  price: lexicon(
    'selling price, sales price, sale price, list price, retail price, retail, sell, vk, vk preis, verkaufspreis, listenpreis, prix de vente, pv, pv ht, prix public, precio de venta, pvp, precio venta, prezzo di vendita, prezzo vendita, listino, preco de venda, pvp, verkoopprijs, cena sprzedazy, cena prodejni, prodejni cena, eladasi ar, forsaljningspris, salgspris, utsalgspris, utpris, myyntihinta, pret de vanzare, pret vanzare, τιμη πωλησης, satis fiyati, 売価, 販売価格',
  ),
  writeDown: lexicon(
    'write down, write downs, writedown, provision, allowance, obsolescence, abwertung, wertabschlag, abschlag, wertberichtigung, gangigkeitsabschlag, depreciation, provision pour depreciation, decote, deterioro, provision deterioro, svalutazione, fondo svalutazione, imparidade, afwaardering, voorziening incourant, odpis, odpis aktualizujacy, opravna polozka, ertekvesztes, nedskrivning, inkurans, inkuransavdrag, nedskrivning ukurans, ukurans, arvonalennus, alaskirjaus, alaskirjaukset, ajustare, depreciere, απαξιωση, προβλεψη, deger dusuklugu, karsilik, 評価損',
  ),
  // Told by a percent sign beside words for writing down alone.
  rate: lexicon(''),
} as const;

const INSTALMENTS =
  'instalment, installment, payment, total payment, repayment total, annuity, amount due, total due, total, monthly payment, rate, gesamtrate, annuitat, leistung, zahlung, ratenbetrag, kapitaldienst, echeance, mensualite, annuite, versement, montant echeance, total echeance, cuota, cuota total, pago, importe cuota, anualidad, rata, importo rata, rata totale, canone, prestacao, prestacao total, valor prestacao, termijnbedrag, annuiteit, te betalen, betaling, rata, rata lacznie, rata razem, kwota raty, do zaplaty, splatka, splatka celkem, celkem, anuita, torleszto, torlesztoreszlet, torlesztes osszesen, fizetendo, reszlet, att betala, annuitet, betalning, totalbelopp, ydelse, ydelse i alt, belob, terminbelop, terminbelop totalt, betaling, maksuera, era yhteensa, annuiteetti, yhteensa, rata totala, rata de plata, total de plata, δοση, συνολο δοσης, καταβολη, taksit, taksit tutari, odeme, 返済額, 返済金額, 支払額, 还款额';

const LOANS = {
  number: lexicon(
    'no, nr, number, instalment no, instalment number, period, payment no, rate nr, lfd nr, nummer, n, numero, echeance n, num, cuota, cuota n, n rata, rata, prestacao, termijn, nr raty, rata nr, lp, cislo, splatka c, poradi, sorszam, reszlet, avi, termin, nr termin, termin nr, era, rata nr, αριθμος, δοση, no, taksit, taksit no, 回, 回数, 期',
  ),
  date: lexicon(
    'date, due, due date, payment date, due on, falls due, day, datum, fallig am, falligkeit, zahlungstermin, falligkeitsdatum, zahltag, termin, date, echeance, date d echeance, date echeance, fecha, vencimiento, fecha de pago, fecha vencimiento, data, scadenza, data scadenza, vencimento, data de vencimento, vervaldatum, vervaldag, betaaldatum, data, termin platnosci, termin splaty, data splaty, datum, datum splatnosti, splatnost, datum splatky, esedekesseg, datum, esedekes, forfallodag, forfallodatum, betalningsdag, dato, forfaldsdato, forfallsdato, forfall, betalingsdato, erapaiva, erapvm, pvm, data scadenta, scadenta, data, ημερομηνια, ημ πληρωμης, ληξη, vade, vade tarihi, tarih, odeme tarihi, 返済日, 支払日, 期日, 日付',
  ),
  instalment: lexicon(INSTALMENTS),
  interest: lexicon(
    'interest, interest part, interest portion, finance charge, zinsen, zins, zinsanteil, davon zinsen, interets, interet, dont interets, part interets, intereses, interes, interessi, quota interessi, juros, rente, rentedeel, rentebedrag, odsetki, czesc odsetkowa, rata odsetkowa, urok, uroky, urokova cast, kamat, kamatresz, ranta, rantebelopp, renter, rente, rentebelob, rentebelop, korko, korot, korkoosuus, dobanda, τοκοι, τοκος, faiz, faiz tutari, 利息, 利息額',
  ),
  principal: lexicon(
    'principal, capital, capital repayment, principal repaid, principal part, principal portion, repayment, redemption, amortisation, amortization, tilgung, tilgungsanteil, davon tilgung, kapital, capital, amortissement, capital rembourse, part capital, dont capital, amortizacion, capital amortizado, amortizacion capital, quota capitale, capitale, amortizacao, amortizacao de capital, capital amortizado, aflossing, aflossingsdeel, kapital, kapital raty, czesc kapitalowa, rata kapitalowa, splata kapitalu, jistina, umor, splatka jistiny, toke, toketorlesztes, tokeresz, torlesztes, amortering, amorteringsbelopp, afdrag, avdrag, lyhennys, paaoman lyhennys, principal, rata principal, capital rambursat, κεφαλαιο, χρεολυσιο, anapara, ana para, 元金, 元金額, 元本, 本金',
  ),
  outstanding: lexicon(
    'still owed, owed, amount owed, outstanding, balance, closing, closing balance, balance after, remaining, remaining balance, balance outstanding, principal outstanding, capital outstanding, left, balance c f, restschuld, restsaldo, saldo, restkapital, schuldenstand, kapitalstand, restdarlehen, capital restant du, crd, restant du, solde, capital restant, reste du, capital pendiente, saldo, saldo pendiente, capital vivo, pendiente, debito residuo, capitale residuo, residuo, saldo, capital em divida, saldo devedor, saldo em divida, restschuld, resterend, saldo, restant hoofdsom, resterende hoofdsom, restant, restant schuld, restschuld, openstaand, openstaande hoofdsom, saldo, saldo kapitalu, kapital pozostaly, pozostalo, saldo zadluzenia, pozostaly kapital, zustatek, zustatek jistiny, zbyva, zustatek uveru, zbyvajici jistina, fennallo toke, tokeegyenleg, fennallo tartozas, egyenleg, hatralevo toke, restskuld, aterstaende skuld, kvarvarande skuld, skuld, saldo, restgaeld, restgjeld, rest, saldo, laanesaldo, jaljella, lainaa jaljella, paaoma jaljella, jaannos, saldo, sold, sold ramas, sold credit, capital ramas, υπολοιπο, ανεξοφλητο κεφαλαιο, υπολοιπο κεφαλαιου, kalan, kalan anapara, bakiye, kalan borc, 残高, 借入残高, 元金残高, 剩余本金',
  ),
  before: lexicon(
    'capital restant du avant, crd avant, capital restant avant, restschuld vor, restschuld vorher, anfangsschuld, debito residuo iniziale, capital pendiente inicial, beginning balance, balance before payment, restskuld fore, saldo przed splata, restant inainte',
    'opening balance, balance before, balance b f, opening, brought forward, anfangssaldo, schuld anfang, stand vorher, capital debut, solde debut, saldo inicial, saldo iniziale, beginsaldo, schuld begin, saldo poczatkowe, kapital przed, pocatecni zustatek, nyito toke, nyito, ingaende skuld, primo, restgaeld primo, inngaende, alkusaldo, sold initial, αρχικο υπολοιπο, devreden, 期首残高',
  ),
  fee: lexicon(
    'fee, fees, charges, insurance, gebuhr, gebuhren, kosten, frais, assurance, comision, gastos, seguro, spese, commissioni, comissao, despesas, provisie, prowizja, oplata, ubezpieczenie, poplatek, poplatky, dij, kezelesi koltseg, avgift, aviavgift, gebyr, bidrag, palkkio, kulut, comision, comisioane, εξοδα, προμηθεια, komisyon, masraf, 手数料',
  ),
} as const;

const PREPAYMENTS = {
  code: CODE,
  name: NAME,
  group: lexicon(
    'category, group, type, account, expense account, kategorie, konto, aufwandskonto, gruppe, compte, compte de charge, nature, categorie, cuenta, tipo, conto, categoria, conta, rekening, grootboek, konto, kategoria, ucet, szamla, konto, tili, cont, λογαριασμος, hesap, 勘定科目',
  ),
  document: lexicon(
    'document, invoice, invoice no, reference, ref, voucher, beleg, belegnr, rechnung, piece, facture, factura, documento, fattura, fatura, factuur, dokument, nr dokumentu, faktura, doklad, bizonylat, szamla szama, verifikation, ver, bilag, tosite, lasku, document, παραστατικο, belge, fatura no',
  ),
  supplier: lexicon(
    'supplier, vendor, with, who, payee, paid to, lieferant, fournisseur, proveedor, fornitore, fornecedor, leverancier, dostawca, dodavatel, szallito, leverantor, leverandor, toimittaja, furnizor, προμηθευτης, tedarikci, 支払先',
  ),
  from: lexicon(
    'fr o m, period fr o m, period from, f o m, fom, period fra, fra og med, vigencia desde, du periode, od dnia',
    'from, start, starts, start date, period from, begin, begins, beginning, first day, cover from, service from, valid from, von, ab, beginn, zeitraum von, laufzeit von, vom, du, debut, date debut, debut periode, desde, inicio, fecha inicio, de, dal, inizio, data inizio, de, inicio, data inicio, van, begindatum, start, ingang, vanaf, od, okres od, poczatek, data od, data rozpoczecia, od, obdobi od, zacatek, platnost od, tol, kezdet, kezdete, idoszak kezdete, mettol, fran, fran och med, fom, startdatum, periodstart, fra, startdato, alkaa, alku, alkupvm, alkaen, de la, inceput, data inceput, απο, εναρξη, baslangic, baslangic tarihi, 開始日, 自, 从',
  ),
  to: lexicon(
    't o m, period t o m, tom, til og med, period to, period til, t e m, vigencia hasta, do dnia',
    'to, until, end, ends, end date, period to, expires, expiry, last day, cover to, through, till, valid to, service to, bis, ende, zeitraum bis, laufzeit bis, au, fin, date fin, fin periode, jusqu au, hasta, fin, fecha fin, a, al, fine, data fine, scadenza, ate, fim, data fim, tot, t m, einddatum, eind, tot en met, do, okres do, koniec, data do, data zakonczenia, do, obdobi do, konec, platnost do, ig, vege, veg, idoszak vege, meddig, till, till och med, tom, slutdatum, periodslut, til, slut, slutdato, sluttdato, slutt, paattyy, loppu, loppupvm, asti, pana la, sfarsit, data sfarsit, εως, ληξη, μεχρι, bitis, bitis tarihi, 終了日, 至, 到',
  ),
  period: lexicon(
    'period, cover, covers, term, dates, for, zeitraum, laufzeit, abgrenzungszeitraum, periode, duree, pour la periode, periodo, plazo, competenza dal al, vigencia, looptijd, okres, okres rozliczenia, obdobi, platnost, idoszak, giltighetstid, avser, gaelder, gjelder, jakso, ajalta, perioada, περιοδος, donem, sure, 期間, 対象期間, 期间',
  ),
  months: lexicon(
    'months, mths, number of months, no of months, months covered, term months, months total, monate, laufzeit monate, laufzeit in monaten, anzahl monate, mois, nb mois, nombre de mois, duree mois, duree en mois, meses, num meses, numero de meses, mesi, n mesi, numero mesi, durata mesi, maanden, aantal maanden, miesiace, liczba miesiecy, mesice, pocet mesicu, honap, honapok szama, manader, antal manader, maneder, antal maneder, kuukaudet, kuukausia, luni, numar luni, μηνες, ay, ay sayisi, 月数, ヶ月, 个月',
  ),
  amount: lexicon(
    'whole, amount, total, whole amount, total amount, invoice amount, paid, amount paid, cost, premium, full amount, gross amount, value, original amount, invoiced, betrag, gesamtbetrag, rechnungsbetrag, bezahlt, pramie, montant, montant total, montant ht, montant facture, paye, total, importe, importe total, pagado, importo, importo totale, pagato, costo totale, valor, valor total, montante, pago, bedrag, totaalbedrag, betaald, factuurbedrag, kwota, wartosc, kwota calkowita, razem, zaplacono, castka, celkem, celkova castka, zaplaceno, osszeg, teljes osszeg, fizetve, brutto osszeg, belopp, totalbelopp, betalt, belob, samlet belob, betalt, belop, totalbelop, summa, kokonaissumma, maksettu, suma, suma totala, valoare, platit, ποσο, συνολο, συνολικο ποσο, tutar, toplam tutar, odenen, 金額, 支払額, 総額, 金额',
  ),
  used: lexicon(
    'up to now, used, expensed, expired, released, recognised, to date, consumed, charged, amortised, written off, released to date, used to date, this year, current year, verbraucht, aufgelost, aufwand, aufwand lfd jahr, verbrauch, consomme, charge de l exercice, part exercice, consumido, gasto, imputado, gasto ejercicio, di competenza, competenza, costo di competenza, maturato, gasto do exercicio, imputado, verbruikt, ten laste van, geboekt, zuzyte, odpisane, rozliczono, wykorzystano, spotrebovano, rozpusteno, naklad, elszamolt, felhasznalt, forbrukat, kostnadsfort, periodiserat, forbrugt, udgiftsfort, omkostningsfort, kostnadsfort, forbrukt, kaytetty, kuluksi kirjattu, jaksotettu, consumat, cheltuit, αναλωθεν, εξοδο, kullanilan, giderlesen, 費用化額, 償却済',
  ),
  remaining: lexicon(
    'after, remaining, prepaid, prepaid c f, prepaid carried forward, prepaid at, balance, unexpired, left, deferred, carried forward, prepayment, to carry forward, unused, prepaid portion, next year, amount prepaid, remaining balance, rap, abgrenzung, abzugrenzen, rest, restbetrag, verbleibend, rechnungsabgrenzung, arap, cca, constate d avance, charge constatee d avance, reste, restant, a reporter, pendiente, periodificacion, gasto anticipado, restante, risconto, risconti, risconto attivo, residuo, rinvio, diferimento, a diferir, gasto a reconhecer, por reconhecer, vooruitbetaald, restant, over te dragen, nog te verdelen, pozostalo, do rozliczenia, rmk, czynne rmk, saldo, pozostaje, zbyva, naklady pristich obdobi, casove rozliseni, zustatek, nasledujici rok, idobeli elhatarolas, elhatarolas, elhatarolt, fennmarado, maradek, forutbetald, forutbetalt, kvar, aterstar, interimspost, periodeafgraensning, forudbetalt, rest, resterende, gjenstaende, gjenvaerende, jaljella, ennakkomaksu, siirtosaamiset, siirtyva, ramas, cheltuieli in avans, in avans, rest, υπολοιπο, επομενων χρησεων, προπληρωθεν, εξοδα επομενων χρησεων, kalan, gelecek donem, pesin odenen, 前払費用, 残高, 未経過, 未经过',
  ),
  monthly: lexicon(
    'per month, monthly, monthly amount, a month, monatlich, pro monat, monatsbetrag, par mois, mensuel, al mes, mensual, al mese, mensile, por mes, mensal, per maand, maandbedrag, miesiecznie, na miesiac, mesicne, havonta, havi, per manad, manadsbelopp, pr maned, pr md, kuukaudessa, pe luna, lunar, μηνιαιο, aylik, 月額',
  ),
} as const;

const BORROWINGS = {
  lender: lexicon(
    'lender, verstrekker, bank, creditor, lessor, with, from, loan from, borrowed from, darlehensgeber, kreditgeber, glaubiger, leasinggeber, preteur, banque, organisme, bailleur, prestamista, banco, entidad, acreedor, finanziatore, banca, ente, mutuante, emprestador, credor, kredietverstrekker, geldverstrekker, kredytodawca, pozyczkodawca, veritel, banka, hitelezo, langivare, kreditgivare, laangiver, langiver, lainanantaja, pankki, δανειστης, τραπεζα, kredi veren, 借入先, 金融機関, 貸主, 银行',
  ),
  code: lexicon(
    'contract, contract no, contract number, agreement, agreement no, loan no, loan number, loan, account, number, no, ref, reference, vertrag, vertragsnr, vertragsnummer, darlehensnr, darlehen, kontonr, konto, contrat, n contrat, n pret, pret, contrato, n contrato, prestamo, n prestamo, contratto, n contratto, mutuo, contractnr, leningnummer, lening, umowa, nr umowy, nr kredytu, smlouva, cislo smlouvy, szerzodes, szerzodesszam, avtal, avtalsnr, lanenummer, lan, aftale, aftalenr, lanenr, laannr, sopimus, sopimusnro, laina, nr contract, συμβαση, sozlesme no, 契約番号, 合同号',
  ),
  name: lexicon(
    'note, what, purpose, description, loan for, name, zweck, bezeichnung, verwendung, objet, designation, finalidad, descripcion, scopo, descrizione, doel, omschrijving, cel, opis, ucel, popis, megnevezes, andamal, formal, tarkoitus, scop, σκοπος, amac, 用途',
  ),
  begun: lexicon(
    'begun, start, start date, begins, drawn, drawn on, drawn down, date, date of loan, taken, taken on, beginn, auszahlung, auszahlungsdatum, ausgezahlt, vertragsdatum, debut, date de debut, deblocage, date pret, date, fecha, inicio, fecha inicio, formalizacion, data, data inizio, erogazione, data erogazione, datum, ingang, ingangsdatum, startdatum, opname, data umowy, uruchomienie, cerpani, zacatek, folyositas, kezdet, utbetalning, startdato, udbetalt, dato, alku, nostopaiva, acordare, data acordarii, εναρξη, baslangic, tarih, 借入日, 起始日',
  ),
  lent: lexicon(
    'lent, borrowed, original, drawn, advanced, facility, principal, original amount, amount, loan amount, original principal, original loan, drawn amount, capital, darlehensbetrag, kreditbetrag, ursprungsbetrag, nennbetrag, betrag, montant, montant emprunte, capital emprunte, montant initial, importe, importe inicial, principal, capital inicial, importo, importo originario, capitale iniziale, valor, montante inicial, hoofdsom, oorspronkelijk bedrag, leenbedrag, bedrag, kwota, kwota kredytu, kwota pierwotna, castka, vyse uveru, hitelosszeg, eredeti osszeg, osszeg, lanebelopp, ursprungligt belopp, lanebelob, hovedstol, oprindelig hovedstol, lanebelop, lainan maara, alkuperainen maara, suma, valoare initiala, αρχικο ποσο, kredi tutari, 借入額, 当初借入額, 贷款金额',
  ),
  rate: lexicon(
    'rate, interest rate, interest, rate of interest, apr, zins, zinssatz, sollzins, taux, taux d interet, interes, tipo, tipo interes, tasso, taxa, rente, rentepercentage, oprocentowanie, stopa, urok, urokova sazba, kamat, kamatlab, ranta, rantesats, rentesats, korko, dobanda, επιτοκιο, faiz, faiz orani, 利率',
  ),
  instalment: lexicon(
    `${INSTALMENTS}, repayment, repayments, monthly repayment, quarterly repayment, annual repayment, monthly, quarterly, monatlich, mensuel, mensual, mensile, mensal, maandelijks, miesiecznie, mesicne, havonta, manadsvis, manedlig, kuukausittain, lunar, regular repayment, monthly instalment, instalment amount, payment per month, per month, monthly amount, monatsrate, rate monatlich, monatliche rate, monatliche zahlung, quartalsrate, mensualite ttc, cuota mensual, rata mensile, canone mensile, prestacao mensal, maandbedrag, maandtermijn, maandlast, aflossing per maand, aflossing p m, aflossing maand, termijn p m, p m, rata miesieczna, mesicni splatka, havi torleszto, havi torlesztoreszlet, manadsbetalning, manedlig ydelse, manedlig betaling, kuukausiera, kuukausimaksu, rata lunara, μηνιαια δοση, aylik taksit, 月返済額, 毎月返済額, 月还款额`,
  ),
  every: lexicon(
    'term, termijn, periode, period, paid every, months, every, rhythm, interval, payment interval, frequency, payments, months between payments, rhythmus, turnus, zahlungsweise, periodicite, periodicidad, periodicita, periodicidade, frequentie, betaaltermijn, czestotliwosc, splatky, gyakorisag, intervall, betalningsintervall, vali, maksuvali, frecventa, συχνοτητα, siklik, 返済間隔',
  ),
  last: lexicon(
    'last payment, end, end date, final payment, maturity, maturity date, matures, ends, until, laufzeit bis, ende, endfalligkeit, fallig, echeance finale, fin, date de fin, derniere echeance, vencimiento, fecha fin, scadenza, fine, vencimento, vervaldatum, einddatum, looptijd tot, data splaty, koniec, termin splaty, splatnost, konec, lejarat, vege, slutdatum, forfallodag, slutbetalas, udlob, slutdato, forfall, loppu, erapaiva, scadenta, ληξη, vade, bitis, 最終返済日, 返済期限, 到期日',
  ),
  outstanding: LOANS.outstanding,
  within: lexicon(
    'up to 1 jahr, up to 1 j, up to 1 an, up to 1 ano, up to 1 anno, up to 1 jaar, up to 1 rok, up to 1 ar, up to 12 monate, up to 12 mois, up to 12 meses, up to 12 mesi, restlaufzeit bis 1 jahr, rlz bis 1 jahr, davon bis 1 jahr, up to 1 yr, up to 1 year, up to one year, up to 12 months, less than 1 year, less than one year, under 1 year, within 1 year, within 12 months, next 12 months, within a year, within one year, due within one year, due within a year, current portion, short term, davon kurzfristig, innerhalb eines jahres, bis 1 jahr, kurzfristig, a moins d un an, part a moins d un an, a corto plazo, corto plazo, entro l anno, entro 12 mesi, a breve, curto prazo, binnen een jaar, kortlopend, do roku, czesc krotkoterminowa, do 1 roku, kratkodoba cast, even belul, rovid lejaratu, inom ett ar, kortfristig del, inden for 1 ar, kortfristet del, innen ett ar, alle vuoden, lyhytaikainen osuus, pana la un an, εντος ετους, bir yil icinde, 1年以内',
  ),
} as const;

/** When somebody was born tells nothing of what they hold. */
export const BORN = lexicon(
  'born, birth, birthday, birth date, date of birth, dob, geburtsdatum, geboren, geb, date de naissance, ne le, nacimiento, fecha de nacimiento, data di nascita, nato il, data de nascimento, geboortedatum, data urodzenia, datum narozeni, narozen, szuletesi datum, fodelsedatum, fodt, fodselsdato, syntymaaika, data nasterii, ημερομηνια γεννησης, dogum tarihi, 生年月日',
);

const PAID_WORDS =
  'paid in, paid, paid up, amount paid, amount paid up, paid amount, paid in capital, paid up capital, called up and paid, geleistete einlage, eingezahlt, libere, capital libere, verse, desembolsado, capital versato, versato, realizado, gestort, wplacone, splaceno, befizetett, insatt, inbetalt, indbetalt, maksettu, varsat, καταβεβλημενο, odenen, 払込額';
/** What of a capital is paid. */
export const PAID = lexicon(PAID_WORDS);

const HOLDINGS = {
  holder: lexicon(
    'holder, shareholder, stockholder, member, partner, owner, name, fund, gesellschafter, aktionar, inhaber, kommanditist, mitglied, associe, actionnaire, titulaire, socio, accionista, participe, quotista, azionista, acionista, vennoot, aandeelhouder, wspolnik, akcjonariusz, udzialowiec, spolecnik, akcionar, tag, reszvenyes, aktieagare, delagare, aktionaer, anpartshaver, interessent, aksjonaer, eier, osakas, osakkeenomistaja, asociat, actionar, εταιρος, μετοχος, ortak, hissedar, акционер, участник, 株主, 社員, 股东',
  ),
  group: lexicon(
    'class, share class, kind of share, type of share, type, art, aktiengattung, gattung, categorie, clase, categoria, classe, soort, rodzaj, serie, druh, fajta, aktieslag, klasse, laji, clasa, κατηγορια, tur, 種類',
  ),
  quantity: lexicon(
    'shares, number of shares, no of shares, number, quantity, units, anzahl, stuck, anzahl anteile, anteile, actions, parts, nombre de parts, nombre d actions, nombre, acciones, participaciones, num acciones, azioni, quote, n azioni, quotas, acoes, aandelen, aantal, aantal aandelen, udzialy, liczba udzialow, akcje, podily, pocet akcii, reszveny, darab, aktier, antal aktier, anparter, antall aksjer, aksjer, osakkeet, osakemaara, actiuni, parti sociale, numar, μετοχες, μεριδια, hisse, pay adedi, 株数, 持株数, 股数',
  ),
  unitCost: lexicon(
    'nominal, nominal value, par value, par, face value, per share, nennbetrag, nennwert, valeur nominale, valor nominal, valore nominale, nominale waarde, wartosc nominalna, nominalni hodnota, nevertek, kvotvarde, nominelt belob, palydende, nimellisarvo, valoare nominala, ονομαστικη αξια, nominal deger, 額面',
  ),
  begun: lexicon(
    'since, date, issued, issue date, allotted, from, seit, beitritt, datum, depuis, desde, fecha, dal, data, sinds, od, od dnia, kezdete, sedan, siden, alkaen, din, απο, tarih, 取得日',
  ),
  value: lexicon(
    `${PAID_WORDS}, capital, amount, contribution, capital contribution, balance, fund balance, stammeinlage, einlage, kapital, betrag, apport, montant, aportacion, importe, conferimento, importo, capital social, entrada, inbreng, kapitaal, bedrag, wklad, wartosc udzialow, vklad, splaceno, torzsbetet, befizetett, insatt, inbetalt, aktiekapital, indskud, innskudd, sijoitus, aport, capital subscris, καταβεβλημενο, sermaye, odenen, 払込額, 出資額, 出资额`,
  ),
} as const;

const STILL_OWED_WORDS =
  'outstanding, amount outstanding, still owed, still due, unpaid, balance due, left to pay, open, open amount, offen, offener betrag, restbetrag, noch offen, restschuld, reste a payer, restant du, reste du, pendiente, pendiente de pago, saldo pendiente, da versare, residuo, residuo da versare, em divida, por pagar, openstaand, nog te betalen, do zaplaty, pozostalo do zaplaty, zbyva uhradit, k uhrade, nedoplatek, hatralek, kvar att betala, utestaende, restbelob, skyldig rest, restanse, avoinna, maksamatta, rest de plata, υπολοιπο, kalan, 未払額';
/** What of a return is not paid yet. */
export const STILL_OWED = lexicon(STILL_OWED_WORDS);

const RETURNS = {
  name: lexicon(
    'what, tax, kind, description, kind of tax, tax type, type of tax, type, name, authority, steuer, art, steuerart, abgabe, impot, taxe, nature, impuesto, modelo, imposta, tributo, imposto, belasting, podatek, dan, ado, adonem, skatt, avgift, afgift, vero, taxa, impozit, φορος, vergi, налог, 税目, 税种',
  ),
  taxPeriod: lexicon(
    'period, for, month, quarter, tax period, period covered, return period, tax month, tax quarter, zeitraum, voranmeldungszeitraum, monat, periode, mois, trimestre, periodo, mes, mese, maand, okres, miesiac, obdobi, mesic, idoszak, honap, manad, maned, kausi, verokausi, kuukausi, perioada, luna, περιοδος, μηνας, donem, ay, период, 期間, 所属期',
  ),
  code: lexicon(
    'return, return no, return number, reference, ref, number, no, form, declaration, meldung, aktenzeichen, n, declaracion, dichiarazione, aangifte, deklaracja, priznani, bevallas, deklaration, angivelse, ilmoitus, declaratie, δηλωση, beyanname, 申告',
  ),
  date: lexicon(
    'of, date, period end, end, filed, filed on, submitted, submitted on, stichtag, bis, datum, au, hasta, al, tot, do, dnia, ig, till, til, asti, la, εως, tarih, fecha, data, дата, 日付',
  ),
  to: lexicon(
    'to be paid by, due, due date, due by, due on, payable by, pay by, payment due, return due, filing due, fallig, falligkeit, fallig am, zahlbar bis, echeance, a payer le, vencimiento, scadenza, vencimento, vervaldatum, te betalen voor, termin, termin platnosci, splatnost, hatarido, esedekes, forfallodag, forfaldsdato, forfall, erapaiva, scadenta, προθεσμια, vade, срок, 納期限',
  ),
  amount: lexicon(
    `${STILL_OWED_WORDS}, owed, payable, amount, amount due, balance, to pay, liability, recoverable, betrag, zahllast, schuld, offen, montant, a payer, solde, importe, a pagar, importo, da versare, da pagare, valor, bedrag, te betalen, kwota, do zaplaty, castka, k uhrade, osszeg, fizetendo, belopp, att betala, belob, skyldig, belop, maara, maksettava, suma, de plata, ποσο, tutar, odenecek, сумма, 税額, 未払額`,
  ),
} as const;

/** Words for how often a loan is paid, with the months between. */
export const RHYTHMS: readonly (readonly [months: number, words: ReturnType<typeof lexicon>])[] = [
  [1, lexicon('p m, pm, month, monat, mois, mes, mese, maand, miesiac, mesic, honap, manad, maned, kuukausi, monthly, each month, monatlich, mensuel, mensuelle, mensual, mensile, mensal, maandelijks, miesiecznie, miesieczna, mesicne, havi, havonta, manadsvis, manatligen, manedlig, manedlig, kuukausittain, lunar, μηνιαια, aylik, 毎月')], // prettier-ignore
  [3, lexicon('quarter, quartal, trimestre, kwartaal, kwartal, ctvrtleti, negyedev, kvartal, quarterly, each quarter, vierteljahrlich, quartalsweise, trimestriel, trimestrielle, trimestral, trimestrale, per kwartaal, kwartalnie, kwartalna, ctvrtletne, negyedevente, kvartalsvis, kvartalsvis, neljannesvuosittain, trimestrial, τριμηνιαια, uc aylik')], // prettier-ignore
  [6, lexicon('half year, halbjahr, semestre, halfjaar, polrocze, pololeti, felev, halvar, half yearly, halfyearly, semi annual, semi annually, every six months, halbjahrlich, semestriel, semestrielle, semestral, semestrale, halfjaarlijks, polrocznie, pololetne, felevente, halvarsvis, puolivuosittain, semestrial, εξαμηνιαια')], // prettier-ignore
  [12, lexicon('year, jahr, an, annee, ano, anno, jaar, rok, ev, vuosi, yearly, annual, annually, each year, jahrlich, annuel, annuelle, anual, annuale, jaarlijks, rocznie, rocne, evente, arsvis, arligen, arlig, vuosittain, ετησια, yillik')], // prettier-ignore
];

/** How methods of writing off are said. */
export const METHOD_CALLED = {
  'straight-line': lexicon(
    'sl, straight line, straight, linear, linear*, lineair*, lineaire, lineal, liniowa, linearni, linearis, linjar*, lin, l, quote costanti, tasapoisto, liniara, σταθερη, dogrusal, 定額, 定額法, 直线法',
  ),
  reducing: lexicon(
    'rb, db, reducing, reducing balance, declining, declining balance, diminishing, degressiv*, degressief, degressif, dd, decroissant, degresiv*, decreciente, degresywna, degresszivnek, saldo, saldoavskrivning, menojaannospoisto, mj, azalan, 定率, 定率法, φθινουσα',
  ),
  none: lexicon('none, no, land, nicht, keine, aucun, ninguno, nessuno, geen, brak, zadne, nincs, ingen, ei, 非償却'),
} as const;

/** Words of a state that say that a thing is not owned any more. */
export const GONE = lexicon(
  'disposed*, sold, scrapped, retired, written off, abgegangen, verkauft, ausgeschieden, verschrottet, cede, cedee, vendu, vendue, sorti, sortie, mis au rebut, rebut, vendido, vendida, dado de baja, baja, desguazado, venduto, dismesso, rottamato, abatido, vendida, alienado, verkocht, afgestoten, gesloopt, zlikwidowan*, sprzedan*, vyrazen*, prodan*, selejtez*, eladva, eladott, utrangerad, sald, skrotad, avyttrad, solgt, skrottet, udgaet, utrangert, poistettu, myyty, romutettu, casat*, vandut*, scos din uz, πουληθηκε, πωληθηκε, καταστραφηκε, satildi, hurda, 除却, 売却, 报废, 已处置',
);

export const REGISTER_WORDS = {
  assets: ASSETS,
  stock: STOCK,
  loans: LOANS,
  prepayments: PREPAYMENTS,
  borrowings: BORROWINGS,
  holdings: HOLDINGS,
  returns: RETURNS,
} as const;

/** What a column of any of these lists is. */
export type RegisterRole = {
  readonly [K in RegisterKind]: keyof (typeof REGISTER_WORDS)[K];
}[RegisterKind];
