import type { Side } from '../money/minor';
import { folded } from '../base/folded';
import { type Lexicon, lexicon } from './lexicon';

/*
 * On which side accounts usually stand, by the words of their names: what decides between two readings that both net to zero.
 * Words of several languages that mean opposite things are left out.
 */

/** Stand against assets, whatever else their names say. */
const AGAINST_ASSETS = lexicon(
  'accumulated, accum, accum dep, allowance, allowance for, doubtful debts provision, bad debt provision, provision for bad, provision for doubtful, impairment of, kumulierte, wertberichtigung*, abschreibung kumuliert, kumulierte abschreibung*, amortissements, amort, depreciations, provisions pour depreciation, amortizacion acumulada, amortizaciones acumuladas, depreciacion acumulada, deterioro, amortizacoes acumuladas, depreciacoes acumuladas, imparidade*, fondo ammortamento, f do ammortamento, fondo svalutazione, fondi ammortamento, afschrijving op, cumulatieve afschrijving*, voorziening*, ackumulerade, ack, vardeminskning*, akkumulerte, akkumulerede, akk, nedskrivning*, kertyneet, arvonalentumi*, uppsafnad*, afskrifta*, umorzenie, umorzen*, odpis*, opravky, opravna polozka, opravne polozky, ertekcsokkenes*, ertekvesztes*, amortizarea, amortizari, ajustari, амортизация на, обезценк*, ispravak, ispravka, исправка, popravek, αποσβεσθ*, αποσβεσμεν*, προβλεψ*, birikmis, karsilig*, amorti, износ, амортизация основ*, резерв*, знос, nusidevejimas, sukaupta*, nolietojum*, uzkratais, kulum, akumuleeritud, krydda, amortisation, cumulated',
  '減価償却累計, 累計額, 貸倒引当, 引当金, 累计折旧, 坏账准备, 减值准备, 감가상각누계, 대손충당',
);

/** Stand against equity, debts and income. */
const AGAINST_CREDITS = lexicon(
  'drawings, drawing, returns, sales returns, returns inwards, discounts allowed, discount allowed, allowances, treasury stock, treasury shares, own shares, rabatte, erlosschmalerungen, privatentnahmen, privat, eigene anteile, skonti, rabais accordes, remises accordees, compte de l exploitant, capital souscrit non appele, devoluciones, rappels, descuentos, resi, sconti, retouren, kortingen, prive, lamnade rabatter, rabatter, egna uttag, egne uttak, privatuttag, zwroty, slevy, vraceno, input vat, input tax, ingaende moms, vorsteuer, tva deductible, iva soportado, iadeler, iskontolar, satistan iadeler',
);

/** Stand against costs. */
const AGAINST_COSTS = lexicon(
  'purchase returns, returns outwards, discounts received, discount received, purchase rebates, rebates, closing stock, change in stock, capitalised, erhaltene skonti, erhaltene boni, bestandsveranderung*, rabais obtenus, remises obtenues, variation des stocks, devoluciones de compras, lagerforandring, closing inventory, recharges, recovered',
);

const CREDITS = lexicon(
  'payable, payables, creditor, creditors, supplier, suppliers, accrued, accrual, accruals, loan, loans, overdraft, mortgage, capital, equity, retained, reserve, reserves, share capital, sales, revenue, revenues, income, fees earned, grants received, donations, deferred income, unearned, advances received, customer deposits, output, withheld, liability, liabilities, provision, provisions, dividend payable, interest received, rent received, gain, gains',
  'verbindlichkeit*, kreditor*, ruckstellung*, darlehen, eigenkapital, gezeichnetes, rucklage*, gewinnvortrag, gewinnrucklage*, umsatzsteuer, mehrwertsteuer, lohnsteuer, erlos*, umsatzerlos*, ertrag*, ertrage, erhaltene, zinsertrag*, *verbindlichkeiten, *erlose, *ertrage, *rucklage, *darlehen',
  'fournisseurs, fournisseur, dettes, emprunt, emprunts, capital, reserves, report a nouveau, ventes, vente, produits, produit, prestations de services, subventions, tva collectee, personnel remunerations dues, urssaf, produits constates d avance, avances recues, provisions pour risques',
  'proveedores, proveedor, acreedores, deudas, prestamo, prestamos, capital social, reservas, reserva, ventas, ingresos, iva repercutido, hacienda acreedora, seguridad social acreedora, remuneraciones pendientes, anticipos de clientes, subvenciones, remanente',
  'fornecedores, emprestimo*, capital social, reservas, vendas, receitas, rendimentos, prestacoes de servicos, iva liquidado, adiantamentos de clientes, resultados transitados',
  'fornitori, debiti, debito, mutuo, mutui, capitale, riserva, riserve, ricavi, vendite, proventi, iva a debito, iva vendite, erario c, tfr, ratei passivi, risconti passivi, utili a nuovo, trattamento di fine',
  'crediteuren, leveranciers, lening, leningen, hypotheek, kapitaal, aandelenkapitaal, reserve, reserves, omzet, opbrengst*, verkopen, te betalen, af te dragen, btw te betalen, verschuldigde, vooruitontvangen, loonheffing, *schuld, *schulden, *lening, *omzet',
  'leverantorsskulder, skulder, *skulder, *skuld, lan, banklan, aktiekapital, *kapital, balanserad*, balanserat, reservfond, utgaende moms, moms utgaende, forsaljning*, intakter, *intakter, upplupna, forutbetalda intakter, kallskatt, personalens kallskatt, sociala avgifter skuld, forskott fran',
  'leverandorgjeld, gjeld, *gjeld, leverandorer, kreditorer, *lan, aksjekapital, egenkapital, opptjent, skyldig*, utgaende mva, salgsinntekt*, *inntekt, *inntekter, salg, forskuddstrekk, arbeidsgiveravgift skyldig, omsaetning, nettoomsaetning, *gaeld, gaeld, udgaende moms, anpartskapital, overfort resultat, overfort',
  'ostovelat, velat, *velat, laina, lainat, *laina, osakepaaoma, oma paaoma, *rahasto, liikevaihto, myynti, myyntituotot, *tuotot, siirtovelat, arvonlisaverovelka, ennakonpidatysvelka, lanardrottn*, skuldir, *skuldir, hlutafe, eigid fe, oradstafad, sala, tekjur, *tekjur, utskattur',
  'zobowiazani*, dostawcy, kredyt bankowy, kredyty, pozyczk*, kapital, kapitaly, zysk z lat, przychody, przychod, sprzedaz, vat nalezny, rozliczenia miedzyokresowe przychodow, rozrachunki z dostawcami, zus',
  'dodavatele, zavazky, zavazek, uver, uvery, pujcky, zakladni kapital, rezervni fond, rezervy, nerozdeleny zisk, trzby, vynosy, dph na vystupu, mzdy zavazky, zamestnanci, socialni pojisteni zavazky, prijate zalohy, vynosy pristich, dodavatelia, zavazky, zakladne imanie, trzby, uvery, prijate preddavky, fond, fondy',
  'szallitok, szallito, kotelezettseg*, hitel, hitelek, kolcson, jegyzett toke, tokekovetel*, eredmenytartalek, arbevetel, *arbevetel, bevetel*, *bevetel, fizetendo afa, fizetendo, jovedelemelszamol*, ertekesites*, *ertekesites, tamogatas*, kapott elol*, celtartalek',
  'furnizori, furnizor, datorii, imprumut*, credite bancare, capital social, capital subscris, rezerve, rezultatul reportat, venituri, vanzari, tva colectata, salarii datorate, asigurari sociale, clienti creditori, avansuri primite',
  'доставчици, задължения, заеми, кредити, основен капитал, капитал, резерви, неразпределена печалба, приходи, продажби, ддс продажби, персонал задължения, dobavljaci, obveze, kredit, krediti, zajmovi, temeljni kapital, rezerve, zadrzana dobit, prihodi, prihod, добављачи, обавезе, основни капитал, приходи, dobavitelji, obveznosti, posojila, osnovni kapital, rezerve, prihodki',
  'προμηθευτες, πιστωτες, υποχρεωσεις, δανεια, δανειο, κεφαλαιο, μετοχικο, αποθεματικ*, πωλησεις, εσοδα, εσοδο, φπα εκροων, ασφαλιστικοι οργανισμοι, κερδη εις νεο',
  'saticilar, satici*, borclar, kredi*, banka kredileri, sermaye, odenmis sermaye, yedekler, yedek, gecmis yillar karlari, satislar, yurt ici satislar, yurtici satislar, yurt disi satislar, hasilat, gelirler, gelir, hesaplanan kdv, hesaplanan, odenecek*, alinan avanslar, alinan siparis, personele borclar',
  'поставщики, кредиторы, кредиты, займы, уставный капитал, нераспределенная прибыль, выручка, доходы, продажи, ндс к уплате, расчеты с поставщиками, постачальники, кредити, позики, статутний капітал, нерозподілений прибуток, дохід, доходи, виручка',
  'tiekej*, skolos, paskolos, istatinis kapital*, kapitalas, pajamos, pardavimo pajamos, moketinas pvm, mokesciai moketini, piegadataj*, aiznemum*, pamatkapital*, nesadalita pelna, ienemumi, hankijad, volad tarnijatele, laen, laenud, aktsiakapital, osakapital, jaotamata kasum, muugitulu, tulud, müügitulu',
  '買掛, 未払, 前受, 預り, 借入, 資本金, 剰余金, 売上, 受取利息, 仮受, 应付, 预收, 借款, 实收资本, 未分配利润, 盈余公积, 收入, 매입채무, 미지급, 선수금, 차입금, 자본금, 이익잉여금, 매출, 예수금, 외상매입',
);

const DEBITS = lexicon(
  'cash, bank, receivable, receivables, debtor, debtors, customers, stock, inventory, inventories, prepaid, prepayment, prepayments, deposit, equipment, machinery, machines, vehicles, vehicle, furniture, fixtures, land, building, buildings, premises, goodwill, software, tools, cost, costs, purchases, wages, salaries, rent, insurance, travel, advertising, marketing, repairs, telephone, utilities, electricity, depreciation, expense, expenses, interest paid, bank charges, drawings, returns, discounts allowed, petty cash, savings, work in progress, input, motor, office, freight, materials, supplies, training, bad debts',
  'kasse, bank, girokonto, forderung*, debitoren, vorsteuer, vorrat*, warenbestand, maschinen, fuhrpark, gebaude, grundstuck*, geschaftsausstattung, *aufwand, *aufwendungen, lohne, gehalter, miete, versicherung*, *kosten, reisekosten, werbung, abschreibungen auf, zinsaufwand, wareneingang, geleistete, bezogene, fremdleistungen, privatentnahme*, aktive rechnungs*, anlagen, bga, transporter, *lager, *konto',
  'caisse, banque, clients, client, creances, stock, stocks, materiel, mobilier, terrains, constructions, achats, achat, charges, salaires, loyer, loyers, assurances, assurance, publicite, entretien, honoraires, electricite, deplacements, tva deductible, dotations, charges constatees d avance, fournitures, frais, interets des emprunts, rabais accordes',
  'caja, bancos, banco, clientes, deudores, existencias, mercaderias, maquinaria, mobiliario, terrenos, construcciones, vehiculos, compras, gastos, sueldos, salarios, alquiler*, arrendamiento*, seguros, primas de seguros, publicidad, reparaciones, suministros, iva soportado, amortizacion del, intereses de deudas, hacienda deudora',
  'depositos a ordem, clientes, inventarios, equipamento, edificios, gastos com, fornecimentos e servicos, salarios, rendas, seguros, iva dedutivel, viaturas, custo das',
  'cassa, banca, crediti, credito, clienti, rimanenze, magazzino, macchinari, impianti, attrezzature, fabbricati, terreni, automezzi, acquisti, costi, costo, spese, salari, stipendi, affitti, affitto, assicurazioni, utenze, iva a credito, iva acquisti, ammortamento, ammortamenti, interessi passivi, ratei attivi, risconti attivi',
  'kas, debiteuren, voorraad, voorraden, inventaris, machines, gebouwen, bedrijfspand, bestelbus, auto, auto s, inkoop*, inkopen, kosten, *kosten, lonen, salarissen, huur, verzekering*, reclame, te vorderen, btw te vorderen, vooruitbetaald*, afschrijving*kosten, rente en bankkosten, *banken',
  'kassa, foretagskonto, kundfordringar, *fordringar, *fordran, lager, varulager, inventarier, maskiner, byggnad*, mark, bilar, fordon, inkop, *kostnader, *kostnad, lon, loner, hyra, lokalhyra, forsakring*, reklam, ingaende moms, forutbetalda, forutbetald, avskrivningar pa, avskrivningar, rantekostnad*, el, rabatter',
  'bankinnskudd, kundefordringer, varelager, driftsmidler, biler, varekjop, lonn*, husleie, forsikring*, reklame, inngaende mva, kontanter, tilgodehavende*, debitorer, varebeholdning*, lokaleomkostninger, *omkostninger, vareforbrug, husleje, indgaende moms, kob, varekob, gager, lonninger, avskrivning*, *udgifter, *utgifter',
  'pankkitili, rahat, kateinen, myyntisaamiset, *saamiset, varasto, koneet, kalusto, rakennukset, ostot, palkat, vuokra*, vakuutu*, mainonta, poistot, *kulut, *menot, korkokulut, bankareikning*, vidskiptakrofur, *krofur, birgdir, laun, husaleiga, tryggingar, vorukaup, kaup, kostnadur, *kostnadur, innskattur, sjodur, fasteign*, vel*, bifreid*',
  'kasa, rachunek biezacy, rachunek bankowy, bank, naleznosci, odbiorcy, zapasy, materialy, towary, srodki trwale, maszyny, budynki, zuzycie, wynagrodzenia, uslugi obce, koszty, koszt, ubezpieczenia, czynsz, amortyzacja, vat naliczony, podroze, odsetki zaplacone, rozliczenia miedzyokresowe kosztow',
  'pokladna, banka, bankovni ucet, bankovni ucty, odberatele, pohledavky, zasoby, material, zbozi, stroje, budovy, stavby, pozemky, automobily, spotreba, mzdove naklady, naklady, sluzby, najem, najemne, pojisteni majetku, odpisy dlouhodob*, dph na vstupu, poskytnute zalohy, uroky nakladove, mzdove, odberatelia, pohladavky, zasoby, spotreba, mzdove, pokladnica, bankove ucty',
  'penztar, bankszamla, elszamolasi betetszamla, vevok, vevo, vevokoveteles*, *keszlet, *keszletek, anyagok, alapanyag, keszterm*, telek, epulet, *epulet, gepek, jarmuvek, szellemi, anyagkoltseg, *koltseg, *koltsegek, berkoltseg, *berek, bereket, berleti, biztositas*, igenybe vett, levonhato afa, elozetes, elolegek adott, adott elol*, ertekcsokkenesi leiras, raforditas*, *raforditas, kamatraforditas*, elabe',
  'casa, conturi la banci, clienti, client, creante, stocuri, marfuri, materii prime, cladiri, terenuri, mijloace de transport, cheltuieli, salarii personal, chirii, prime de asigurare, tva deductibila, cheltuiala, cheltuieli cu, echipamente, utilaje',
  'каса, разплащателна сметка, клиенти, вземания, материали, стоки, машини, сгради, транспортни средства, разходи, разход, заплати разходи, наеми, застраховки, ддс покупки, blagajna, ziro racun, ziro-racun, kupci, potrazivanja, zalihe, materijal, roba, strojevi, zgrade, troskovi, trosak, place, najam, osiguranje, pretporez, благајна, купци, потраживања, залихе, трошкови, zaloge, terjatve, stroski, strosek, stroji, transakcijski racun',
  'ταμειο, καταθεσεις, τραπεζα, πελατες, χρεωστες, απαιτησεις, αποθεματα, εμπορευματα, μηχανηματα, κτιρια, μεταφορικα, γηπεδα, αγορες, εξοδα, δαπανες, αμοιβες, ενοικια, ασφαλιστρα, φπα εισροων, αποσβεσεις, χρεωστικοι τοκοι, επιπλα',
  'bankalar, bankasi, alicilar, musteriler, alacaklar, alacak senetleri, stoklar, ilk madde, mamuller, yari mamuller, ticari mallar, binalar, tasitlar, demirbaslar, tesis*, makine*, giderler, gideri, giderleri, maliyeti, maliyet, ucret, kira, sigorta, indirilecek kdv, indirilecek, devreden katma, devreden kdv, verilen avanslar, verilen siparis, finansman giderleri, pazarlama, genel yonetim',
  'касса, расчетный счет, расчетные счета, покупатели, дебиторы, материалы, товары, основные средства, здания, оборудование, себестоимость, расходы, зарплата, аренда, страхование, ндс входящий, готовая продукция, каса, поточний рахунок, покупці, дебітори, матеріали, товари, основні засоби, собівартість, витрати, оренда',
  'kasa, bankas, banke, pirkej*, atsargos, iranga, pastatai, sanaudos, savikaina, nuoma, draudimas, gautinas pvm, darbo uzmokescio sanaudos, kase, pirceji, debitori, krajumi, iekartas, ekas, izmaksas, izdevumi, noma, apdrosinasana, kassa, pangakonto, arvelduskonto, ostjad, nouded, varud, seadmed, hooned, kulud, *kulu, *kulud, ruumide rent, palgakulu',
  '現金, 預金, 売掛, 商品, 製品, 原材料, 前払, 建物, 機械, 車両, 備品, 土地, 仕入, 給料, 賃借料, 保険料, 旅費, 減価償却費, 支払利息, 仮払, 材料, 库存现金, 银行存款, 应收, 存货, 预付, 固定资产, 费用, 成本, 工资, 租金, 현금, 예금, 매출채권, 외상매출, 재고, 상품, 급여, 임차료, 보험료, 비용, 비품, 건물',
);

const strength = (lexicon: Lexicon, words: string): number => lexicon.in(words)?.length ?? 0;

/** Whether an account of this name stands against the others of its kind: drawings against equity, what is lost in value against assets. */
export const standsAgainst = (name: string, of: 'assets' | 'costs' | 'credits'): boolean =>
  name.length <= 300 &&
  strength({ assets: AGAINST_ASSETS, costs: AGAINST_COSTS, credits: AGAINST_CREDITS }[of], folded(name)) > 0;

/**
 * The side on which an account of this name usually stands, where its words tell; `section` is the side of the section in which
 * it stands, against which some accounts are shown.
 */
export const usualSide = (name: string, section?: Side): Side | undefined => {
  if (name.length > 300) return undefined;
  const words = folded(name);
  if (section === 'credit') return standsAgainst(name, 'credits') ? 'debit' : 'credit';
  if (standsAgainst(name, 'assets')) return 'credit';
  if (section === 'debit') return standsAgainst(name, 'costs') ? 'credit' : 'debit';
  const [debit, credit] = [strength(DEBITS, words), strength(CREDITS, words)];
  return debit === credit ? undefined : debit > credit ? 'debit' : 'credit';
};

/** Headings of sections, which say the side of all that stands under them. */
const DEBIT_SECTIONS = lexicon(
  'assets, current assets, fixed assets, non current assets, expenses, expense, costs, cost of sales, overheads, expenditure, aktiva, vermogen, anlagevermogen, umlaufvermogen, aufwendungen, aufwand, aufwande, kosten, actif, immobilisations, charges, depenses, activo, activos, activo corriente, activo no corriente, gastos, ativo, ativos, gastos e perdas, attivo, attivita, costi, oneri, activa, lasten, vaste activa, vlottende activa, tillgangar, kostnader, *kostnader, eiendeler, driftskostnader, aktiver, omkostninger, udgifter, utgifter, vastaavaa, varat, kulut, eignir, gjold, kostnadur, aktywa, koszty, aktiva, naklady, aktivum, eszkozok, raforditasok, koltsegek, active, cheltuieli, активи, разходи, aktiva, imovina, rashodi, troskovi, имовина, расходи, трошкови, sredstva, odhodki, stroski, ενεργητικο, εξοδα, δαπανες, aktif, varliklar, donen varliklar, duran varliklar, giderler, maliyetler, активы, актив, расходы, затраты, актив, витрати, turtas, sanaudos, aktivi, izmaksas, izdevumi, varad, aktiva, kulud',
  '資産, 資産の部, 費用, 费用, 资产, 成本, 자산, 비용',
);

const CREDIT_SECTIONS = lexicon(
  'liabilities, creditors amounts falling due within one year, creditors amounts falling due after one year, creditors amounts falling due after more than one year, creditors due within one year, creditors due after one year, amounts falling due within one year, amounts falling due after more than one year, current liabilities, long term liabilities, equity, capital, capital and reserves, reserves, net assets, funds, income, revenue, revenues, sales, turnover, passiva, eigenkapital, fremdkapital, verbindlichkeiten, ruckstellungen, schulden, erlose, ertrage, passif, capitaux propres, dettes, produits, recettes, pasivo, pasivos, patrimonio neto, patrimonio, ingresos, passivo, passivos, capital proprio, rendimentos, rendimentos e ganhos, passivita, patrimonio netto, ricavi, proventi, eigen vermogen, opbrengsten, baten, omzet, schulden, skulder, eget kapital, intakter, *intakter, gjeld, egenkapital, inntekter, driftsinntekter, passiver, gaeld, indtaegter, omsaetning, vastattavaa, velat, oma paaoma, tuotot, skuldir, eigid fe, tekjur, pasywa, zobowiazania, kapital wlasny, kapitaly, przychody, pasiva, zavazky, vlastni kapital, vynosy, vlastne imanie, vynosy, forrasok, kotelezettsegek, sajat toke, bevetelek, pasive, datorii, capitaluri, venituri, пасиви, задължения, собствен капитал, приходи, pasiva, obveze, kapital, prihodi, обавезе, капитал, приходи, obveznosti, prihodki, παθητικο, υποχρεωσεις, ιδια κεφαλαια, καθαρη θεση, εσοδα, pasif, yukumlulukler, borclar, ozkaynaklar, gelirler, hasilat, пассивы, пассив, обязательства, капитал, доходы, выручка, пасив, зобовязання, капітал, доходи, isipareigojimai, nuosavas kapitalas, pajamos, pasivi, saistibas, pasu kapitals, ienemumi, kohustused, omakapital, tulud',
  '負債, 負債の部, 純資産, 資本, 収益, 负债, 所有者权益, 收入, 부채, 자본, 수익',
);

/** Words between the names of two sections. */
const AND = / (?:and|und|et|y|e|ed|en|och|og|ja|i|a|es|si|ve|и|і|και) /;

/** Whether a text is the name of a section, or of two ("assets and expenses"), and nothing else. */
export const isSectionName = (text: string): boolean => {
  const isOne = (words: string): boolean => DEBIT_SECTIONS.is(words) || CREDIT_SECTIONS.is(words);
  const words = folded(text);
  return isOne(words) || words.split(AND).every(isOne);
};

/** The side of the accounts under a heading, where its words name a section of the statements. */
export const sectionSide = (heading: string): Side | undefined => {
  if (heading.length > 120) return undefined;
  const words = folded(heading);
  const [debit, credit] = [strength(DEBIT_SECTIONS, words), strength(CREDIT_SECTIONS, words)];
  return debit === credit ? undefined : debit > credit ? 'debit' : 'credit';
};
