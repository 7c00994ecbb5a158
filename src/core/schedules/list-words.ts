import { lexicon } from '../words/lexicon';

/**
 * Words by which lists of open items, contacts and statements name their columns, in the languages of the papers. A word only
 * proposes a column; what stands in it decides.
 */
export const COLUMN_WORDS = {
  contactCode: lexicon(
    'код, kodas, kods, kood, код контрагента, код клиента, код покупателя, код поставщика, код покупця, код постачальника, код на клиент, код на доставчик, sifra, sifra partnera, sifra kupca, sifra dobavljaca, sifra dobavitelja, kliento kodas, pirkejo kodas, tiekejo kodas, klienta kods, kliendi kood, kliendinr, hankija kood, numer vidskiptamanns, מספר לקוח, קוד לקוח, מספר ספק, קוד ספק, رقم العميل, كود العميل, رقم المورد, كود المورد, 거래처코드, 거래처 코드',
    'id, kode, kundekode, leverandorkode',
    'skrot, symbol, akronim, zkratka, kurzel, kurzzeichen, kurzname, matchcode, suchbegriff, alias, short code, short name, sigla, zoeknaam, zoekcode, kortnavn, lyhenne',
    'cari kodu, kodu',
    'コード, 得意先コード, 得意先cd, 取引先コード, 取引先cd, 仕入先コード, 仕入先cd, 顧客コード, 客户编号, 客户代码, 供应商编号, 供应商代码',
    'account, account no, account number, acct, a c, customer no, customer number, customer code, customer id, supplier no, supplier number, supplier code, supplier id, vendor no, vendor id, client code, client no, contact code, debtor no, creditor no, ledger account, code',
    'konto, kontonr, kontonummer, kundennr, kundennummer, kunden nr, debitorennr, debitor nr, debitor, kreditorennr, kreditor nr, kreditor, lieferantennr, lieferanten nr, lieferantennummer, personenkonto, nr',
    'compte, n compte, no compte, code client, code fournisseur, code tiers, compte tiers, n client, n fournisseur, tiers',
    'cuenta, codigo, cod, codigo cliente, codigo proveedor, cod cliente, n cliente, n proveedor, subcuenta',
    'conto, codice, cod, codice cliente, codice fornitore, cod cliente, cod fornitore, conta, codigo do cliente, codigo do fornecedor, n cliente, n fornecedor, terceiro',
    'debiteurnr, debiteurnummer, debiteur nr, debnr, crediteurnr, crediteurnummer, crediteur nr, crednr, klantnr, klantnummer, leveranciersnr, relatienr, rekening',
    'kontrahent, kod, kod kontrahenta, nr kontrahenta, symbol, id kontrahenta, kod odberatele, cislo odberatele, kod dodavatele, kod partnera, partner kod, vevokod, szallitokod, kod',
    'kundnr, kundnummer, kund nr, leverantorsnr, leverantorsnummer, kundenr, kundenummer, leverandornr, leverandornummer, debitornr, kreditornr, asiakasnro, asiakasnumero, toimittajanro, toimittajanumero, tunnus, kod partener, cont, κωδικος, musteri kodu, cari kod, hesap kodu',
  ),
  contactName: lexicon(
    'контрагент, клиент, покупатель, поставщик, заказчик, наименование, наименование контрагента, название, покупець, постачальник, замовник, назва, найменування, доставчик, име, партньор, kupac, dobavljac, naziv, naziv partnera, kupec, dobavitelj, stranka, klientas, pirkejas, tiekejas, pavadinimas, klients, pircejs, piegadatajs, nosaukums, klient, ostja, tarnija, hankija, nimetus, vidskiptamadur, vidskiptavinur, birgir, nafn, לקוח, שם לקוח, ספק, שם ספק, שם, العميل, اسم العميل, المورد, اسم المورد, الاسم, 거래처, 거래처명, 고객, 고객명, 공급업체',
    'debitor, kreditor, debitorer, kreditorer, motpart, modpart, medkontrahent, counterparty, payer, who, partner name, zakaznik',
    'nazov, nazov firmy, partner, obchodne meno, adi, ad, unvani, musteri adi, cari adi, firma adi, tedarikci adi',
    '名称, 得意先名, 得意先, 取引先名, 取引先, 仕入先名, 仕入先, 顧客名, 会社名, 氏名, 客户, 客户名称, 供应商, 供应商名称',
    'organisation, organization, organisation name, business, business name, legal name, trading name, trading as, firm, bill to, sold to, razon social, ragione sociale, raison sociale, razao social, firma, firmenname, bedrijf, bedrijfsnaam, yritys, virksomhed, foretag, selskap',
    'name, customer, customer name, supplier, supplier name, vendor, vendor name, client, client name, company, contact, contact name, debtor, creditor, payee, legal name, account name',
    'kunde, kundenname, lieferant, lieferantenname, firma, bezeichnung, geschaftspartner',
    'nom, nom du client, client, fournisseur, raison sociale, libelle, intitule, nom client, nom fournisseur, denomination',
    'nombre, cliente, proveedor, razon social, titular, denominacion, acreedor, deudor',
    'nome, fornitore, ragione sociale, cliente, fornecedor, entidade, designacao, intestatario, denominazione',
    'naam, klant, debiteur, crediteur, leverancier, bedrijfsnaam, relatie',
    'nazwa, nazwa kontrahenta, odbiorca, dostawca, klient, nazev, nazev firmy, odberatel, dodavatel, partner, partner neve, vevo, szallito, megnevezes, nazov',
    'namn, kund, kundnamn, leverantor, leverantorsnamn, navn, kundenavn, leverandor, asiakas, nimi, toimittaja, denumire, client, furnizor, επωνυμια, πελατης, προμηθευτης, unvan, cari unvan, musteri, tedarikci',
  ),
  kind: lexicon(
    'вид, вид документа, тип, тип документа, вид документ, vrsta, vrsta dokumenta, tipas, dokumento tipas, veids, tuup, liik, tegund, סוג, סוג מסמך, النوع, نوع المستند, 구분, 유형',
    '区分, 種別, 伝票区分, 取引区分, 类型',
    'type, kind, doc type, document type, transaction type, transaction, tran, trans, tran type, trans type, tx type, entry type',
    'bilagsart, verifikatslag, lag, transaktionstyp, transaktionstype, posteringstype, dokladovy typ, typ dokladu, typ dokumentu, art, belegart, typ, buchungsart, nature, type piece, type de piece, tipo, tipo doc, tipo documento, clase, soort, type document, rodzaj, rodzaj dokumentu, druh, tipus, bizonylat tipus, jenis, tyyppi, laji, bilagstype, tip, tip document, ειδος, turu, belge turu',
  ),
  number: lexicon(
    'документ, номер, номер документа, счет фактура, номер счета, рахунок, номер рахунку, фактура, номер на документ, racun, broj racuna, broj dokumenta, br racuna, stevilka, st racuna, stevilka racuna, saskaita, saskaitos nr, dokumento nr, dokumentas, rekins, rekina nr, dokumenta nr, arve, arve nr, arve number, reikningur, reikningsnumer, חשבונית, מספר חשבונית, מסמך, מספר מסמך, אסמכתא, الفاتورة, رقم الفاتورة, رقم المستند, 전표번호, 계산서번호, 송장번호, 문서번호',
    'prot, n prot, prot n, n reg, reg n, nr int, titulo, n titulo, titulo n, variabilny symbol, cislo faktury, c faktury, cislo dokladu, faktura c',
    'ver, ver nr, vernr, registro, fis no, boekstuk, bill, bill no, bill number, num, invoice id, doc, doc number, document id, laskun nro, laskun numero, tositenro, rechnungsnr, rechnungs nr, belegnummer, nr rechnung, n de piece, n de facture, numero de facture, numero de factura, num documento, n da fatura, numero fatura, nr faktury vat, numer faktury, cislo faktury, c dokladu, faktura cislo, fakturanr kund, bilagsnr, bilag nr, nr fact, numar factura, nr doc, αριθμος τιμολογιου, fatura numarasi, 請求書番号, 請求番号, 伝票番号, 伝票no, 請求書no, 発票番号, 发票号, 发票号码',
    'number, no, inv, doc no, document, document no, document number, invoice, invoice no, invoice number, inv no, invoice ref, transaction no, tran no, voucher, voucher no, our ref, our reference, our no, register no, entry no',
    'beleg, belegnr, beleg nr, belegnummer, rechnung, rechnungsnr, rechnung nr, rechnungsnummer, re nr, belegfeld 1, opos nr, unsere nr',
    'piece, n piece, no piece, facture, n facture, no facture, numero, document, n document, notre ref',
    'factura, n factura, num factura, documento, n documento, n registro, registro, asiento, nuestra ref',
    'fattura, n fattura, numero fattura, numero documento, n doc, protocollo, fatura, n fatura, nosso n',
    'factuur, factuurnr, factuurnummer, factuur nr, boekstuk, boekstuknr, stuk, stuknr, ons nummer',
    'numer, nr dokumentu, numer dokumentu, dokument, nr faktury, faktura, cislo dokladu, doklad, cislo faktury, cislo, szamlaszam, bizonylatszam, bizonylat, szamla, sorszam',
    'fakturanr, fakturanummer, faktura nr, faktura, fakt nr, bilag, bilagsnr, bilagsnummer, verifikation, ver nr, laskunro, laskunumero, lasku nro, tosite, numar, nr factura, nr document, factura, αριθμος, παραστατικο, αρ παραστατικου, fatura no, belge no, evrak no',
  ),
  reference: lexicon(
    'libelle, opis operacji, causale, concepto, buchungstext',
    'tekst, beskrivelse, forklaring, beschreibung, bemerkung, verwendung, bezug, observaciones, observacoes, note, remarks, remark, particulars, description of transaction, poznamka, uwagi, huomautus, 摘要, 備考, 貴社番号, 注文番号, 备注',
    'reference, ref, your ref, your reference, their ref, their reference, external ref, customer ref, supplier ref, supplier invoice, supplier invoice no, their invoice, their no, vendor invoice, ext doc no, external document no, details, description, narrative, comment, memo',
    'ihre ref, ihr zeichen, fremdbeleg, fremdbelegnr, externe belegnr, belegfeld 2, buchungstext, text, verwendungszweck, lieferantenrechnung, lieferanten rechnung, ext beleg',
    'votre ref, votre reference, ref, reference, ref externe, ref client, ref fournisseur, facture fournisseur, libelle ecriture, objet, commentaire',
    'su factura, su ref, su referencia, referencia, ref proveedor, n factura proveedor, concepto, factura proveedor',
    'rif, riferimento, vs rif, vostro rif, n fatt fornitore, fattura fornitore, descrizione, causale, referencia, v ref, vossa ref, descricao',
    'uw ref, uw referentie, referentie, kenmerk, uw kenmerk, omschrijving, factuur leverancier, betalingskenmerk',
    'referencja, numer obcy, nr obcy, opis, tytul, variabilni symbol, var symbol, vs, popis, cizi cislo, hivatkozas, megjegyzes',
    'er ref, er referens, referens, deres ref, deres reference, referanse, betalningsref, ocr, ext ref, lev fakturanr, leverantorens fakturanr, viite, viitenumero, viesti, referinta, explicatii, σχολια, αιτιολογια, aciklama, referans',
  ),
  order: lexicon(
    'order, order no, order number, po, po no, po number, purchase order, our order, our order no, sales order, customer order',
    'auftrag, auftragsnr, bestellung, bestellnr, bestell nr, bestellnummer, commande, n commande, no commande, notre commande, bon de commande, pedido, n pedido, nuestro pedido, ordine, n ordine, encomenda, n encomenda, ordernr, ordernummer, bestelnr, bestelling, onze order, zamowienie, nr zamowienia, objednavka, cislo objednavky, rendeles, rendelesszam, order nr, ordrenr, ordrenummer, tilausnro, tilaus, comanda, παραγγελια, siparis, siparis no',
  ),
  date: lexicon(
    'bu tag, buch tag, bu datum, buchungstag, buchtag, tag',
    'data fatt, data ft, data fattura, invoice date, date of invoice, belegdatum, rechnungsdatum, date facture, fecha factura, data da fatura, factuurdatum, data faktury, datum faktury, szamla kelte, fakturadatum, fakturadato, laskun pvm, data facturii, ημ τιμολογιου, fatura tarihi, 請求日, 发票日期',
    'дата, дата документа, дата счета, дата рахунку, дата на документ, datum racuna, datum dokumenta, datum izdaje, saskaitos data, israsymo data, datums, rekina datums, kuupaev, arve kuupaev, kuup, dagsetning, dags, תאריך, תאריך מסמך, תאריך חשבונית, التاريخ, تاريخ الفاتورة, 일자, 날짜, 발행일',
    'εκδοσης, ημ νια εκδοσης, ημερομηνια εκδοσης, dated, bill dated, wystawiono, emitido, emitida el',
    'datum vystavenia, vystavena dna, datum vyhotovenia, datum dokladu',
    'vystavena, vystaveny, vydana, dokl ze dne, kelte, udstedt, utstedt, utfardat, emis, issued on',
    'bill date, laskun pvm, laskupvm, laskupaiva, paivays, tositepvm, kelt, kelte, szamla kelte, kiallitas, vystaveno, vystaveno dne, datum vyst, data wyst, data wystaw, utfardad, bokf datum, bokforingsdatum, bogforingsdato, bilagsdato, fakturadato, data facturii, data emiterii, ημερομηνια, ημ νια, ημερομηνια εκδοσης, tarih, fatura tarihi, evrak tarihi, belge tarihi, ausgestellt, rechnungsdat, date piece comptable, date emission, emitida, emision, emissione, 請求日, 発行日, 伝票日付, 日付, 計上日, 取引日, 发票日期, 日期',
    'date, doc date, document date, invoice date, inv date, transaction date, tran date, posting date, issued, issue date, dated, booking date, entry date',
    'datum, belegdatum, rechnungsdatum, buchungsdatum, re datum, date piece, date facture, date de facture, date document, date ecriture, date operation, fecha, fecha factura, fecha documento, f factura, f emision, fecha emision, data, data documento, data fattura, data doc, data fatura, data emissao, factuurdatum, boekdatum, datum factuur, data wystawienia, data dokumentu, data faktury, datum vystaveni, datum dokladu, vystaveno, kelt, kelte, szamla kelte, bizonylat kelte, teljesites, fakturadatum, bilagsdato, fakturadato, dato, bokforingsdatum, paivays, laskupvm, pvm, paivamaara, data factura, data document, ημερομηνια, ημ νια, tarih, belge tarihi, fatura tarihi',
  ),
  due: lexicon(
    'срок оплаты, срок платежа, оплатить до, термін оплати, термін сплати, сплатити до, падеж, дата на падеж, срок за плащане, dospijece, datum dospijeca, zapadlost, datum zapadlosti, rok placila, apmoketi iki, mokejimo terminas, apmaksas termins, apmaksat lidz, maksetahtaeg, tahtaeg, gjalddagi, eindagi, תאריך פרעון, לתשלום עד, تاريخ الاستحقاق, الاستحقاق, 만기일, 지급기일',
    'ληξης, ημ νια ληξης, ημερομηνια ληξης',
    'datum splatnosti, splatna dna, splatne dna',
    'splatna, splatny, splatno, forf datum, forf dato, forfaller den, echeant, vencim',
    'due by, payable by, net due, net due date, bill due, erapvm, erapaiva, maksupaiva, esedekes, fizetesi hatarido, splatne, splatne dne, forfald, forfaldsdato, forfallsdato, forfallodag, forfaller, scadenta, data scadentei, scadent la, ληξη, ημερομηνια ληξης, vade, vade tarihi, son odeme tarihi, zahlungsziel am, faellig, d echeance, date d ech, vence el, f vto, data scad, data de vencimento, 支払期日, 支払期限, 期日, 入金予定日, 支払予定日, 到期日',
    'due, due date, due on, payment due, pay by, maturity, date due',
    'netto bis, netto am, fallig, fallig am, falligkeit, falligkeitsdatum, zahlbar bis, netto fallig, echeance, date echeance, date d echeance, ech, vencimiento, vto, fecha vencimiento, f vencimiento, fecha vto, vence, scadenza, data scadenza, scad, vencimento, data vencimento, vervaldatum, vervalt, vervaldag, termin, termin platnosci, data platnosci, platne do, splatnost, datum splatnosti, esedekesseg, hatarido, fizetesi hatarido, lejarat, forfallodatum, forfallo, forfallodag, forfall, forfallsdato, forfaldsdato, forfald, forfalder, erapaiva, erapvm, scadenta, data scadenta, ληξη, ημ ληξης, vade, vade tarihi',
  ),
  terms: lexicon(
    'отсрочка, отсрочка дней, срок оплаты дней, rok placanja, rok placila, mokejimo salygos, apmaksas noteikumi, maksetingimus, gjaldfrestur, תנאי תשלום, شروط الدفع, 결제조건',
    'forma de pago, formas de pago, condiciones de pago, zahlungsbedingungen, zahlungsbedingung, zahlungskondition, zahlungskonditionen, conditions de paiement, condition de paiement, mode de reglement, conditions de reglement, condizioni di pagamento, modalita di pagamento, pagamento, condicoes de pagamento, betalingsconditie, betaalconditie, betalingsvoorwaarden, warunki platnosci, forma platnosci, platebni podminky, fizetesi feltetelek, fizetesi mod, betalningsvillkor, betalingsbetingelser, betalingsvilkar, maksuehdot, termen de plata, conditii de plata, odeme kosulu, odeme kosullari, οροι πληρωμης',
    '支払条件, サイト',
    'terms, days, term days, payment terms, payment days, credit days, terms days, net days',
    'ziel, zahlungsziel, zahlungsziel tage, ziel tage, tage, conditions, delai, delai jours, jours, plazo, dias, giorni, termini, prazo, betaaltermijn, termijn, dagen, termin dni, dni, ilosc dni, splatnost dni, dnu, nap, fizetesi nap, betalningsvillkor, villkor, dagar, dage, dager, betingelser, maksuehto, paivaa, zile, ημερες, gun, vade gun',
  ),
  currency: lexicon(
    'валюта, valiuta, valuuta, mynt, gjaldmidill, מטבע, العملة, 통화',
    '通貨, 币种, hl mena, mena dokl, waluta dok',
    'currency, curr, cur, ccy, wahrung, wkz, whg, wahr, devise, dev, monnaie, moneda, divisa, div, valuta, val, moeda, munt, waluta, mena, penznem, devizanem, deviza, valutta, valuuta, para birimi, doviz, νομισμα',
  ),
  original: lexicon(
    'сумма, сумма документа, сумма счета, сума, сума документа, сума рахунку, стойност, iznos, iznos racuna, znesek, znesek racuna, suma, saskaitos suma, summa, rekina summa, arve summa, upphaed, סכום, סכום חשבונית, المبلغ, قيمة الفاتورة, 금액, 청구금액',
    'suma faktury, celkom, celkom s dph, fakturovana suma',
    'bill amount, invoice value, amount due originally, laskun summa, loppusumma, laskun loppusumma, vegosszeg, brutto ertek, szamla osszege, celkem, celkem s dph, castka celkem, fakturovano, belob, fakturabelob, belop, fakturabelop, valoare, valoare factura, valoare totala, ποσο, αξια, συνολικη αξια, tutar, fatura tutari, toplam tutar, 請求金額, 請求額, 発生額, 金額, 发票金额',
    'orig amt, original amt, orig amount, inv amt, invoice amt, gross amt, amount, original, original amount, gross, gross amount, invoice amount, invoice total, total, document amount, doc amount, invoiced, value, amount original',
    'betrag, rechnungsbetrag, belegbetrag, bruttobetrag, brutto, urspr betrag, ursprungsbetrag, montant, montant ttc, montant initial, montant facture, montant origine, ttc, importe, importe original, importe factura, total factura, importo, importo originale, importo fattura, totale documento, valor, valor original, valor documento, bedrag, factuurbedrag, oorspronkelijk, origineel bedrag, kwota, kwota dok, kwota dokumentu, kwota brutto, wartosc, castka, castka dokladu, fakturovano, puvodni castka, osszeg, szamla osszege, eredeti osszeg, brutto osszeg, belopp, fakturabelopp, ursprungligt belopp, belob, fakturabelob, belop, fakturabelop, opprinnelig belop, summa, laskun summa, alkuperainen, suma, valoare, valoare factura, ποσο, αξια, tutar, fatura tutari',
  ),
  open: lexicon(
    'долг, остаток, остаток долга, задолженность, к оплате, не оплачено, сальдо, борг, залишок, заборгованість, до сплати, остатък, неплатена сума, дължимо, салдо, за плащане, otvoreno, otvoreni iznos, ostatak, preostalo, odprto, odprti znesek, ostanek, likutis, skola, neapmoketa, atlikums, parads, neapmaksats, jaak, tasumata, volg, eftirstodvar, ogreitt, יתרה, יתרה פתוחה, לתשלום, الرصيد, المتبقي, المستحق, 잔액, 미수금, 미수잔액, 미지급금',
    'owed, owing, total owing, amount owing, we owe, due to us, tartozas, ανεισπρακτο, ανεισπρακτα, pozostaje, do zaplacenia, tilbage, gjenstar',
    'zostava uhradit, zostava, zostatok, nezaplatene, neuhradene, ostava uhradit, k uhrade',
    'open balance, amount outstanding, balance outstanding, to pay, to be paid, still due, avoinna, avoinna eur, avoin, avoin saldo, maksamatta, hatralek, nyitott, nyitott osszeg, egyenleg, fizetendo, zbyva, zbyva uhradit, k uhrade, neuhrazeno, zustatek, rest, restbelob, restbelop, resterende, aterstaende, kvar att betala, saldo restant, sold, rest de plata, rest de incasat, neachitat, υπολοιπο, ανεξοφλητο, kalan, kalan tutar, bakiye, acik tutar, acik bakiye, 残高, 未収残高, 未払残高, 未回収額, 未払額, 未収金額, 余额',
    'bal, bal due, open bal, open, open amount, outstanding, outstanding amount, balance, balance due, amount due, amount open, remaining, remaining amount, unpaid, still open, due amount, open balance, o s, left to pay, unallocated',
    'offen, offener betrag, restbetrag, rest, offener saldo, saldo, offener posten, noch offen, opos, solde, solde du, restant du, reste du, reste a payer, montant ouvert, ouvert, montant du, a payer, pendiente, importe pendiente, saldo, saldo pendiente, por cobrar, por pagar, residuo, importo residuo, aperto, da pagare, da incassare, in sospeso, em aberto, valor em aberto, saldo em aberto, pendente, por liquidar, openstaand, openstaand bedrag, open bedrag, nog open, resterend, saldo, do rozliczenia, do zaplaty, pozostalo, nierozliczone, saldo dokumentu, kwota pozostala, zbyva, zbyva uhradit, neuhrazeno, k uhrade, zustatek, nyitott, nyitott osszeg, hatralek, fennallo, egyenleg, kiegyenlitetlen, rest, restbelopp, kvar, kvar att betala, saldo, restsaldo, restbelob, restbelop, utestaende, utestaaende, aapen, avoin, avoinna, avoin summa, saldo, sold, rest de plata, rest de incasat, neachitat, υπολοιπο, ανοικτο, kalan, kalan tutar, bakiye, acik tutar',
  ),
  base: lexicon(
    '円換算額, zbyva v czk, celkem v czk, eur ellenertek',
    'company currency, amount in company currency, amount in local currency, functional currency, accounting currency, base, base amount, local, local amount, local currency, amount lcy, lcy, home currency, base currency, equivalent, in base, balance lcy, remaining lcy',
    'hauswahrung, eigenwahrung, in hauswahrung, contre valeur, contrevaleur, devise locale, contravalor, moneda local, controvalore, valuta locale, contravalor, moeda local, tegenwaarde, in huisvaluta, basisvaluta, w walucie krajowej, w pln, w walucie ksiegowej, v czk, v domaci mene, v mene uctovnictvi, forintban, huf ertek, konyvelesi penznem, i sek, basvaluta, i dkk, i nok, basisvaluta, grundvaluta, euroina, kirjanpitovaluutta, in lei, echivalent lei, σε ευρω, tl karsiligi, yerel para',
  ),
  debit: lexicon(
    'saidas, gastos, wyplywy, vydaje, kiadasok, menot',
    '発生, 借方',
    'debit, dr, debits, soll, debe, dare, debito, debet, wn, winien, ma dati, md, tartozik, debiter, debiteur, χρεωση, borc, charge, charges, invoices, paid out, withdrawal, withdrawals, money out, payments out, belastung, lastschrift, ausgang, cargo, cargos, addebito, addebiti, uscite, af, afschrijving, bij debet, obciazenie, obciazenia, wyplata, vydej, kiadas, terheles, ut, uttag, ut av konto, haevet, panot ulos, plati, cikis',
  ),
  credit: lexicon(
    'inn, inn pa konto, inn på konto, entradas, ingresos, credits in, wplywy, prijmy, bevetelek, tulot',
    '入金, 貸方',
    'credit, cr, credits, ma, haben, haber, avere, credito, kredit, ct, dal, d, kovetel, crediter, πιστωση, alacak, payments, receipts, paid in, deposit, deposits, money in, gutschrift, eingang, abono, abonos, accredito, accrediti, entrate, bij, bijschrijving, uznanie, uznania, wplata, prijem, bevetel, jovairas, in, insattning, inn paa konto, indsat, sisaan, panot, incasari, giris',
  ),
} as const;

export type ListColumn = keyof typeof COLUMN_WORDS;

/** What two columns of balances are called, one for each side; they tell where no columns of debits and credits do. */
export const BALANCE_SIDES = {
  debit: lexicon(
    'deudor, deudores, saldo deudor, saldo debitore, devedor, saldo devedor, solde debiteur, sollsaldo, saldo soll, debit balance, dr balance, balance dr, saldo wn, saldo ma dati',
  ),
  credit: lexicon(
    'acreedor, acreedores, saldo acreedor, saldo creditore, credor, saldo credor, solde crediteur, habensaldo, saldo haben, credit balance, cr balance, balance cr, saldo ma, saldo dal',
  ),
} as const;

/** Columns that count the rows of the list, where that is what stands in them. */
export const ORDINAL = lexicon(
  '#, no, nr, n, number, line, line no, row, item, item no, pos, position, s no, sl no, sr no, serial, serial no, lfd nr, lfd, laufende nr, zeile, n ord, no ordre, ligne, orden, n orden, linea, num, n ordine, riga, nr ordem, linha, volgnr, regel, lp, l p, liczba porzadkowa, poradi, p c, por c, c, rad, sorszam, ssz, s sz, rad nr, lopnr, linje, lbnr, rivi, jarjestysnro, nr crt, crt, α α, αα, sira, sira no, 番号, 行, 序号',
);

/** Columns of the day on which a document was entered in the books, beside its own. */
export const POSTED_WORDS = lexicon(
  'gl date, gl dt, accounting date, period date, posted, posting date, post date, entry date, booked, booking date, registered, registration date, reg date, date entered, buchungsdatum, buchungstag, gebucht, erfasst am, erfassungsdatum, date comptable, date d enregistrement, date saisie, date ecriture, fecha registro, fecha contable, fecha asiento, data reg, data registrazione, data registo, data lancamento, boekdatum, invoerdatum, data ksiegowania, data rejestracji, datum zauctovani, datum uctovani, konyveles datuma, konyvelesi datum, bokforingsdatum, bokforingsdag, bokford, bogforingsdato, bogfort, bokforingsdato, kirjauspaiva, kirjauspvm, data inregistrarii, ημ καταχωρησης, kayit tarihi, 計上日, 登録日, 记账日期',
);

/** Columns of amounts that a list may have beside what is open, and of which nothing is open. */
export const ASIDE_WORDS = lexicon(
  'kreditmaks, kreditmaksimum, kreditgrense, kreditgrans, luottoraja, limite de credito, limite credito, kredietlimiet, limit kredytowy, uverovy limit, hitelkeret, limita de credit, kredi limiti, past due, forfalden, forfallet, forfallen, eraantynyt, vencido, scaduto, echu, vervallen, przeterminowane, po splatnosti, lejart',
  'overdue, limit, credit limit, turnover, sales, purchases, budget, tax, vat, gst, discount, cash discount, net, interest, charges, last payment, price, quantity, hours, days, uberfallig, kreditlimit, umsatz, steuer, mwst, ust, skonto, netto, zinsen, plafond, encours autorise, chiffre d affaires, tva, escompte, ht, limite, ventas, iva, descuento, neto, fido, fatturato, sconto, imponibile, omzet, btw, korting, obrot, podatek, limit kupiecki, obrat, dph, forgalom, afa, moms, omsattning, omsetning, omsaetning, alv, myynti, cifra de afaceri, cota tva, ciro, kdv',
);

/** In front of what is a part of the amount before it. */
const OF_WHICH = lexicon(
  'of which, thereof, davon, darunter, dont, de los cuales, de los que, di cui, dos quais, waarvan, w tym, z toho, ebbol, varav, heraf, herav, hvorav, josta, din care, bundan',
);

/** Whether a column's name (folded) says that nothing of what stands in it is open by itself. */
export const isAside = (words: string): boolean => {
  const part = OF_WHICH.in(words);
  return (
    ASIDE_WORDS.is(words) || DISCOUNT_WORDS.in(words) !== undefined || (part !== undefined && words.startsWith(part))
  );
};

/** Columns of codes that stand for something else than somebody. */
export const OTHER_CODES = lexicon(
  'contract, contract no, project, project no, job, job no, site, cost centre, cost center, department, dept, division, region, area, rep, sales rep, salesperson, branch, vertrag, vertragsnr, projekt, projektnr, kostenstelle, abteilung, filiale, vertreter, gebiet, contrat, projet, chantier, affaire, agence, contrato, proyecto, obra, delegacion, contratto, progetto, commessa, cantiere, filiale, projeto, umowa, smlouva, zakazka, stredisko, szerzodes, avtal, kontrakt, prosjekt, avdeling, avdelning, afdeling, sopimus, projekti, santiye, proje',
);

/** Columns of the day until which less is paid: no document is due on it. */
export const DISCOUNT_WORDS = lexicon(
  'discount, discount date, discount until, skonto, skonto bis, skontofrist, skontodatum, skonto tage, escompte, descuento, pronto pago, sconto, desconto, korting, kassarabatt, kassakonto, kontantrabat, rabatt',
);

/** Columns of how late something is: no days within which it is due. */
export const LATE_WORDS = lexicon(
  'overdue, days overdue, late, days late, past due, age, uberfallig, tage uberfallig, verzug, verzugstage, retard, jours de retard, dias vencidos, dias de atraso, atraso, ritardo, giorni di ritardo, giorni scaduti, te laat, dagen te laat, dagen over, po terminie, dni po terminie, opoznienie, po splatnosti, dnu po splatnosti, dni po splatnosti, prodleni, keses, kesedelem, forsenad, dagar forsenad, forsinket, forsinkelse, dage over forfald, myohassa, viivastys, intarziere, zile intarziere, καθυστερηση, gecikme, 延滞, 延滞日数',
);

/** Columns of the day on which something happened last with somebody: no document's day. */
export const LAST_WORDS = lexicon(
  'last invoice, last invoiced, last payment, last paid, last receipt, last sale, last purchase, last activity, last transaction, last movement, last entry, letzte rechnung, letzte zahlung, letzte bewegung, letzte buchung, derniere facture, dernier paiement, dernier reglement, dernier mouvement, ultima factura, ultimo pago, ultimo cobro, ultimo movimiento, ultima fattura, ultimo pagamento, ultimo movimento, ultima fatura, laatste factuur, laatste betaling, ostatnia faktura, ostatnia wplata, ostatnia platnosc, posledni faktura, posledni platba, utolso szamla, utolso fizetes, senaste faktura, senaste betalning, seneste faktura, sidste faktura, sidste betaling, siste faktura, siste betaling, viimeisin lasku, viimeisin maksu, ultima factura, ultima plata, τελευταια πληρωμη, τελευταια κινηση, son fatura, son odeme, 最終入金日, 最終取引日',
);

/** Columns of what is paid already. */
export const PAID_WORDS = lexicon(
  'paid, amount paid, paid amount, received, settled, allocated, applied, bezahlt, gezahlt, zahlung, zahlungen, zahlung eur, ausgeglichen, regle, paye, deja paye, acompte, encaisse, cobrado, pagado, abonado, pagato, incassato, pago, recebido, liquidado, betaald, voldaan, ontvangen, zaplacono, rozliczono, uhrazeno, zaplaceno, befizetve, fizetve, kiegyenlitve, betalt, betald, innbetalt, indbetalt, inbetalt, maksettu, platit, incasat, achitat, εισπραχθεν, πληρωθεν, εξοφληθεν, odenen, tahsil edilen, 入金済, 入金額, 支払済, 已收, 已付',
);

/** Columns of the rates of currencies. */
export const RATE_WORDS = lexicon(
  'rate, fx rate, exchange rate, fx, kurs, wechselkurs, devisenkurs, umrechnungskurs, cours, cours de change, taux de change, taux, tipo de cambio, t c, tc, cambio, tasso, tasso di cambio, cambio aplicado, koers, wisselkoers, kurz, arfolyam, valutakurs, vaxelkurs, kurssi, curs, curs valutar, ισοτιμια, kur, doviz kuru, レート, 換算レート, 汇率',
);

/** Columns of how to reach somebody. */
export const PHONE_WORDS = lexicon(
  'phone, phone no, phone number, tel, telephone, tel no, mobile, fax, telefon, telefonnr, telefonnummer, handy, mobil, rufnummer, telephone, portable, telefono, movil, cellulare, fax, telefone, telemovel, telefoon, telefoonnummer, komorka, mobilni, puhelin, puhelinnumero, τηλεφωνο, cep, cep telefonu, 電話, 電話番号, 电话',
);

/** Columns that hold numbers of registers of companies, which stand for the tax number where no other does. */
export const REGISTRATION_WORDS = lexicon(
  'orgnr, org nr, organisationsnr, organisationsnummer, org number, siret, siren, kvk, kvk nr, kvk nummer, company no, company number, reg no, registration no, registration number, hrb, handelsregister, regon, krs, ico, cegjegyzekszam, rea',
);

/** Columns that hold the tax numbers of companies. */
export const TAX_NUMBER_WORDS = lexicon(
  'инн, еик, іпн, єдрпоу, булстат, oib, davcna stevilka, id za ddv, pib, pvm kodas, pvn numurs, kmkr, kmkr nr, vsk numer, ח פ, עוסק מורשה, الرقم الضريبي, 사업자등록번호',
  '登録番号, 税番号, rfc, r f c, ico dph, ico dic',
  'vat, vat no, vat number, vat reg no, vat id, tax no, tax number, tax id, tin, ein, fein, gst no, abn, ust id, ust idnr, ust id nr, ustid, steuernummer, uid, tva, n tva, no tva, tva intracommunautaire, siret, siren, nif, cif, nif cif, cif nif, p iva, partita iva, piva, codice fiscale, contribuinte, btw, btw nr, btw nummer, kvk, nip, dic, ic dph, adoszam, momsnr, moms nr, momsregnr, moms reg nr, momsregistreringsnummer, momsregistreringsnr, vat registration no, vat registration number, orgnr, organisationsnummer, company no, company number, registration no, org nr, cvr, cvr nr, vat nr, y tunnus, alv tunnus, cui, cod fiscal, αφμ, vkn, vergi no',
);

/** Columns that number the entries of the books, beside those that number the documents. */
export const VOUCHER_WORDS = lexicon(
  'prot, n prot, prot n, n reg, reg n, nr int, nr intern, nr intrare',
  'voucher, voucher no, register no, entry no, journal no, our no, our ref, our reference, transaction no, tran no, beleg, belegnr, belegnummer, buchungsnr, unsere nr, piece, n piece, no piece, registro, n registro, asiento, n asiento, protocollo, n protocollo, boekstuk, boekstuknr, ons nummer, lp, nr ewid, nr ksiegowy, cislo dokladu, interni cislo, bizonylat, bizonylatszam, iktatoszam, bilag, bilagsnr, bilagsnummer, bilag nr, ver, ver nr, vernr, verifikation, verifikationsnr, tosite, tositenro, tosite nro, nr nota, fis no, 伝票番号, 伝票no',
);

/** Columns of other lists, of stock and of fixed assets: what is counted, priced by the piece or written down is no open item. */
export const OTHER_LIST = lexicon(
  'quantity, qty, qty on hand, on hand, unit cost, unit price, menge, bestand, stuckpreis, einzelpreis, quantite, prix unitaire, cantidad, precio unitario, quantita, prezzo unitario, quantidade, preco unitario, aantal, stukprijs, kostprijs, ilosc, cena jednostkowa, mnozstvi, jednotkova cena, mennyiseg, egysegar, antal, styckpris, stykpris, stykkpris, maara, yksikkohinta, cantitate, pret unitar, ποσοτητα, miktar, birim fiyat',
  'nbv, net book value, book value, depreciation, accumulated depreciation, depn, depn b f, life, useful life, buchwert, restbuchwert, abschreibung, nutzungsdauer, valeur nette, amortissement, amortissements, valor neto, amortizacion, valore netto, ammortamento, boekwaarde, afschrijving, amortyzacja, umorzenie, odpis, zustatkova hodnota, ertekcsokkenes, avskrivning, afskrivning, poistot, amortizare, αποσβεση, amortisman',
);

/** The first column of ageing, without days of its own: what is not due yet. */
export const NOT_DUE = lexicon(
  'current, not due, not yet due, nicht fallig, nicht fallige, noch nicht fallig, non echu, non echue, a echoir, no vencido, por vencer, non scaduto, a scadere, nao vencido, niet vervallen, nog niet vervallen, niewymagalne, biezace, nieprzeterminowane, do splatnosti, pred splatnosti, nesplatne, le nem jart, nem esedekes, nem lejart, ej forfallet, ej forfallna, ikke forfaldent, ikke forfalt, eraantymatta, eraantymattomat, in termen, nescadent, μη ληξιπροθεσμα, vadesi gelmemis',
);

/** A column of ageing: days from and to, or beyond. */
export const AGE_COLUMN =
  /(?:^|\D)\d{1,3}\s?(?:-|–|—|à|a|to|bis|do|tot|till|til|al|au|\.\.)\s?\d{1,3}(?:\D|$)|^(?:>|\+|plus de|over|ueber|über|mehr als|more than|más de|mas de|oltre|mais de|meer dan|boven|ponad|powyżej|powyzej|nad|över|yli|peste|fazla|άνω)\s?(?:de\s)?\d{2,3}|^\d{2,3}\s?\+|^\d{2,3}\s(?:days|tage|jours|j|días|dias|dni|giorni|dagen|dagar|dage|nap)\b|^(?:<|<=|up to|bis|bis zu|jusqu)\s?\d{1,3}/iu;

/** A column of ageing by whole months, and the last one without a number. */
export const AGE_MONTHS =
  /^[<>]?\s?\d{1,2}\s?(?:-\s?\d{1,2}\s?)?(?:months?|mths?|monate?|mois|meses|mes|mesi|mese|maanden|maand|miesiące|miesiąc|měsíce|měsíc|hónap|månader|måneder|kk)\b/iu;
export const OLDER = lexicon(
  'older, and older, earlier, prior, alter, aelter, plus ancien, anterieur, mas antiguo, anteriores, piu vecchi, precedenti, mais antigo, ouder, starsze, starsi, regebbi, aldre, eldre, vanhemmat, mai vechi, παλαιοτερα, daha eski',
);

/** Words of titles that say whose list it is. */
export const CUSTOMERS = lexicon(
  'покупател*, заказчик*, дебитор*, клиент*, покупц*, замовник*, дебітор*, kupac*, kupci, kupcem, potrazivanja, terjatve, pirkej*, pircej*, ostja*, vidskiptamenn, vidskiptakrofur, לקוחות, לקוח, العملاء, العميل, 매출처, 매출채권, 외상매출금, 미수금',
  'facturas emitidas, fatture emesse, factures emises, faturas emitidas, faktury wystawione, faktury vydane, issued invoices, utstalda fakturor',
  'pohladav*, vydane faktury, odberatelske',
  'neincasat*, de incasat, por cobrar, da incassare, vydane faktury, pohledav*, kimeno szamlak, utgaende fakturor, kundefordringer',
  '得意先, 売掛, 顧客, 客户, 应收, ostereskontra asiakkaat, myyntireskontra, myyntilaskut, avoimet myyntilaskut, vevoszaml*, alici*, musteri*, πελατ*, clienti incerti',
  'a r, ar aging, ar ageing, customer*, client*, debtor*, debitor*, receivable*, sales ledger, aged debt, aged debtors, accounts receivable, kunden*, forderung*, offene posten debitoren, client*, clients, creances, balance clients, cliente*, deudores, por cobrar, clienti, crediti, clientes, a receber, debiteur*, klanten, vorderingen, odbiorc*, odbiorcami, naleznosci, klient*, odberatel*, pohledav*, vevo*, vevok, koveteles*, kund*, kundreskontra, kundfordringar, kunder, debitorer, tilgodehavender, kundefordringer, asiakas*, asiakkaat, myyntireskontra, myyntisaamiset, clienti, creante, πελατ*, απαιτησεις, musteri*, alicilar',
);
export const SUPPLIERS = lexicon(
  'поставщик*, кредитор*, постачальник*, доставчи*, dobavljac*, dobavitelj*, tiekej*, piegadataj*, tarnija*, hankija*, birgj*, lanardrottn*, ספקים, ספק, الموردين, الموردون, المورد, 매입처, 공급업체, 매입채무, 외상매입금, 미지급금',
  'facturas recibidas, fatture ricevute, factures recues, faturas recebidas, faktury otrzymane, faktury prijate, received invoices, mottagna fakturor',
  'neplatit*, neachitat*, de platit, da pagare, prijate faktury, bejovo szamlak, ingaende fakturor',
  '仕入先, 買掛, 支払先, 供应商, 应付, ostoreskontra, ostolaskut, avoimet ostolaskut, toimittaj*, szallitoi*, satici*, tedarikci*, προμηθευτ*, bills to pay, unpaid bills, aged payable*',
  'a p, ap aging, ap ageing, supplier*, vendor*, creditor*, payable*, purchase ledger, aged creditors, accounts payable, lieferant*, kreditor*, verbindlichkeit*, fournisseur*, dettes, proveedor*, acreedor*, por pagar, fornitor*, debiti, fornecedor*, a pagar, crediteur*, leverancier*, schulden, dostawc*, dostawcami, zobowiaza*, dodavatel*, zavaz*, szallito*, kotelezettseg*, leverantor*, leverantorsskulder, leverandor*, leverandorgjaeld, leverandorgjeld, kreditorer, toimittaja*, ostoreskontra, ostovelat, furnizor*, datorii, προμηθευτ*, υποχρεωσεις, tedarikci*, saticilar',
);

/** What kinds of documents are called or how their numbers begin; a payment is what is not matched with an invoice yet. */
export const INVOICE_WORDS = lexicon(
  'счет фактура, счет, накладная, товарная накладная, упд, реализация, рахунок, видаткова накладна, racun, arve, saskaita, rekins, reikningur, חשבונית, فاتورة, 계산서',
  'invoice, inv, si, pi, sin, pin, bill, rechnung, re, ar, er, facture, fa, fac, fv, fz, fs, factura, fra, fattura, ft, fatura, factuur, vf, if, faktura, fakt, fak, szamla, sz, lasku, factura, τιμολογιο, τπυ, τδα, debit note, dn, f, i',
);
export const CREDIT_WORDS = lexicon(
  'корректировка, корректировочный счет, возврат, коригування, повернення, кредитно известие, odobrenje, kreditine saskaita, kreditrekins, kreditreikningur, זיכוי, חשבונית זיכוי, اشعار دائن, 대변표',
  'iad, ko, c, g, cm, rect, rectif, kfs, kfz, πτ, πις, πιστ, πιστωτικο, πιστωτικο τιμολογιο, πιστ τιμ, iade, iade faturasi, 赤伝, 返品, 値引, 贷项, storno*, hyvityslasku, hyvitys, hl, kreditnota, krediitarve, jovairo szamla, stornovana',
  'credit note, credit, credit memo, cn, cr, crn, sc, pc, scr, pcr, scn, pcn, gutschrift, gs, gu, rechnungskorrektur, rk, storno, avoir, av, avo, note de credit, nc, abono, ab, abn, rectificativa, nota de credito, nota de abono, nota credito, nota di credito, ndc, creditnota, creditfactuur, cf, korekta, kor, fvk, fk, fkv, kfv, zks, dobropis, db, dob, opravny doklad, jovairo, jovairas, js, kreditfaktura, kreditnota, kf, kn, kr, kre, hyvityslasku, hl, hyvitys, nota de creditare, storno, πιστωτικο, iade, iade faturasi, refund invoice',
);
export const PAYMENT_WORDS = lexicon(
  'оплата, платеж, аванс, предоплата, поступление, платіж, передоплата, плащане, авансово плащане, uplata, placanje, predujam, placilo, makse, laekumine, ettemaks, mokejimas, apmokejimas, maksajums, greidsla, innborgun, תשלום, קבלה, دفعة, سداد, 입금, 지급',
  'anz, anzahlg, inc, riba, bonif, ricevuta, cobros, enc, encaisst, zahlg, vplata, wplata, wpl',
  'bet, inbet, utbet, innbet, indbet, inbetalning, utbetalning, innbetaling, utbetaling, indbetaling, udbetaling, tahsilat, tah, odeme, tediye, πληρωμη, εισπραξη, 入金, 支払, 前受金, 前払金, 付款, 收款, maksu, suoritus, incasare, plata, avans, platba, uhrada, zaloha, kifizetes, befizetes, eloleg',
  'payment, pay, pmt, payment on account, poa, on account, receipt, rec, rct, rcpt, sa, pa, sr, pp, cash, unallocated, deposit, prepayment, advance, bank, zahlung, za, zahlungseingang, ze, anzahlung, az, akonto, a conto, vorauszahlung, bk, reglement, rg, rgt, acompte, ac, a affecter, virement, vir, encaissement, paiement, pago, cobro, anticipo, ant, a cuenta, entrega a cuenta, pagamento, incasso, acconto, in conto, bonifico, recebimento, rc, adiantamento, por conta, betaling, vooruitbetaling, aanbetaling, ontvangst, wplata, zaplata, zaliczka, zal, wb, wyciag, kp, przedplata, platba, uhrada, zaloha, zal, fizetes, befizetes, eloleg, el, elol, betalning, inbetalning, forskott, a conto, forskudd, forskud, indbetaling, innbetaling, suoritus, maksu, ennakko, ennakkomaksu, plata, incasare, avans, εισπραξη, πληρωμη, προκαταβολη, odeme, tahsilat, avans, unmatched',
);
export const BALANCE_WORDS = lexicon(
  '繰越, 前期繰越, 前月繰越, 期首残高, eb, balance, opening balance, balance brought forward, brought forward, b f, bf, bfwd, saldo, saldovortrag, sv, eb wert, eroffnungssaldo, anfangsbestand, solde, solde initial, report, a nouveau, an, saldo inicial, saldo anterior, saldo iniziale, apertura, beginsaldo, saldo begin, bilans otwarcia, bo, ob, pocatecni stav, ps, nyito, nyito egyenleg, ingaende saldo, ib, primo, primosaldo, inngaende saldo, alkusaldo, sold initial, υπολοιπο εναρξης, devir, acilis',
);
export const REFUND_WORDS = lexicon(
  'refund, rueckzahlung, ruckzahlung, erstattung, remboursement, reembolso, rimborso, terugbetaling, zwrot, vratka, visszaterites, aterbetalning, tilbagebetaling, tilbakebetaling, palautus, rambursare, iade odemesi',
);

/** Whether a text (folded) is a word for a kind of document. */
export const isKindWord = (words: string): boolean =>
  [INVOICE_WORDS, CREDIT_WORDS, PAYMENT_WORDS, BALANCE_WORDS, REFUND_WORDS].some((list) => list.is(words));
