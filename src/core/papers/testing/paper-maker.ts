/**
 * Invents trial balances from a seed: charts, figures, layouts, languages, encodings and traps as old systems have them, with what
 * a right reading gives. It shares no code with the reader, so that both cannot be wrong in the same way.
 */
import * as XLSX from '@e965/xlsx';

export interface Made {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly digits: number;
  readonly currency: string;
  readonly asAt: string;
  readonly rows: readonly { readonly code: string; readonly name: string; readonly amount: bigint }[];
  /** What is awkward about it, for counting. */
  readonly traits: readonly string[];
}

/** A small generator of numbers (mulberry32): the same seed makes the same paper. */
class Dice {
  #state: number;
  constructor(seed: number) {
    this.#state = (seed * 2654435761) >>> 0;
  }
  next(): number {
    this.#state = (this.#state + 0x6d2b79f5) >>> 0;
    let t = this.#state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  }
  int(from: number, to: number): number {
    return from + Math.floor(this.next() * (to - from + 1));
  }
  pick<T>(list: readonly T[]): T {
    const found = list[this.int(0, list.length - 1)];
    if (found === undefined) throw new Error('nothing to pick from');
    return found;
  }
  chance(share: number): boolean {
    return this.next() < share;
  }
}

interface Language {
  readonly id: string;
  readonly encodings: readonly string[];
  readonly currency: string;
  readonly style: Style;
  /** Section names: assets, liabilities, equity, income, expenses. */
  readonly sections: readonly [string, string, string, string, string];
  /** Names of accounts in each of them; those that begin with ! stand on the other side. */
  readonly names: readonly [string, string, string, string, string];
  readonly code: string;
  readonly name: string;
  readonly debit: string;
  readonly credit: string;
  readonly balance: string;
  readonly opening: string;
  readonly movement: string;
  readonly closing: string;
  readonly lastYear: string;
  readonly budget: string;
  readonly total: string;
  readonly carried: string;
  readonly page: string;
  readonly title: string;
  readonly asAt: (date: string) => string;
  readonly printed: (date: string) => string;
  readonly sides: readonly [string, string];
  readonly side: string;
  readonly result: string;
}

interface Style {
  readonly group: string;
  readonly decimal: string;
}

const DOT: Style = { group: '.', decimal: ',' };
const COMMA: Style = { group: ',', decimal: '.' };
const SPACE: Style = { group: '\u00a0', decimal: ',' };

const parts = (date: string): readonly [string, string, string] => {
  const [year = '', month = '', day = ''] = date.split('-');
  return [year, month, day];
};
const dotted = (date: string): string => {
  const [year, month, day] = parts(date);
  return `${day}.${month}.${year}`;
};
const slashed = (date: string): string => dotted(date).replaceAll('.', '/');
const worded = (date: string, months: string, write: (day: string, month: string, year: string) => string): string => {
  const [year, month, day] = parts(date);
  return write(String(Number(day)), months.split(' ')[Number(month) - 1] ?? '', year);
};

const EN_MONTHS = 'January February March April May June July August September October November December';

const LANGUAGES: readonly Language[] = [
  {
    id: 'en',
    encodings: ['utf-8', 'windows-1252'],
    currency: 'GBP',
    style: COMMA,
    sections: ['Assets', 'Liabilities', 'Equity', 'Income', 'Expenses'],
    names: [
      'Petty cash|Current account, Tidewater Bank|Deposit account|Trade debtors|Stock of rope|Prepayments|Plant and machinery|!Plant and machinery, accumulated depreciation|Motor vans|!Motor vans, accumulated depreciation|VAT recoverable',
      'Trade creditors|PAYE and NIC|Accruals|VAT payable|Bank loan|Directors’ loan account|Deposits from customers',
      'Share capital|Retained earnings|General reserve|!Dividends paid',
      'Sales, UK|Sales, export|Rent receivable|!Sales returns|Interest received',
      'Purchases|Carriage inwards|Wages|Employer’s NIC|Rent of workshop|Heat and light|Insurance|Telephone|Motor expenses|Depreciation charge|Bank charges|Loan interest|!Discounts received',
    ],
    code: 'Code',
    name: 'Account',
    debit: 'Debit',
    credit: 'Credit',
    balance: 'Balance',
    opening: 'Opening',
    movement: 'Movement',
    closing: 'Closing',
    lastYear: 'Last year',
    budget: 'Budget',
    total: 'Total',
    carried: 'Carried forward',
    page: 'Page',
    title: 'Trial balance',
    asAt: (date) => `As at ${worded(date, EN_MONTHS, (d, m, y) => `${d} ${m} ${y}`)}`,
    printed: (date) => `Printed ${slashed(date)} 09:12`,
    sides: ['Dr', 'Cr'],
    side: 'Dr/Cr',
    result: 'Profit for the period',
  },
  {
    id: 'de',
    encodings: ['windows-1252', 'utf-8', 'cp850'],
    currency: 'EUR',
    style: DOT,
    sections: ['Aktiva', 'Verbindlichkeiten', 'Eigenkapital', 'Erträge', 'Aufwendungen'],
    names: [
      'Kasse|Bankkonto Küstenbank|Festgeld|Forderungen aus Lieferungen und Leistungen|Vorräte Öl|Aktive Rechnungsabgrenzung|Maschinen|!Maschinen, kumulierte Abschreibungen|Fuhrpark|!Fuhrpark, kumulierte Abschreibungen|Vorsteuer',
      'Verbindlichkeiten aus Lieferungen und Leistungen|Lohnsteuer|Rückstellungen|Umsatzsteuer|Bankdarlehen|Gesellschafterdarlehen|Erhaltene Anzahlungen',
      'Gezeichnetes Kapital|Gewinnvortrag|Gewinnrücklagen|!Privatentnahmen',
      'Umsatzerlöse Inland|Umsatzerlöse Ausland|Mieterträge|!Erlösschmälerungen|Zinserträge',
      'Wareneinkauf|Bezugsnebenkosten|Löhne|Soziale Aufwendungen|Miete Werkstatt|Strom und Wärme|Versicherungen|Telefon|Kfz-Kosten|Abschreibungen auf Sachanlagen|Bankgebühren|Zinsaufwand|!Erhaltene Skonti',
    ],
    code: 'Konto',
    name: 'Bezeichnung',
    debit: 'Soll',
    credit: 'Haben',
    balance: 'Saldo',
    opening: 'Anfangsbestand',
    movement: 'Umsatz',
    closing: 'Endbestand',
    lastYear: 'Vorjahr',
    budget: 'Plan',
    total: 'Summe',
    carried: 'Übertrag',
    page: 'Seite',
    title: 'Summen- und Saldenliste',
    asAt: (date) => `Stichtag ${dotted(date)}`,
    printed: (date) => `Gedruckt am ${dotted(date)}`,
    sides: ['S', 'H'],
    side: 'S/H',
    result: 'Ergebnis',
  },
  {
    id: 'fr',
    encodings: ['windows-1252', 'utf-8', 'macintosh'],
    currency: 'EUR',
    style: SPACE,
    sections: ['Actif', 'Dettes', 'Capitaux propres', 'Produits', 'Charges'],
    names: [
      'Caisse|Banque des Marées|Dépôt à terme|Clients|Stocks de matières premières|Charges constatées d’avance|Matériel|!Amortissements du matériel|Véhicules|!Amortissements des véhicules|TVA déductible',
      'Fournisseurs|Personnel, rémunérations dues|Charges à payer|TVA collectée|Emprunt bancaire|Comptes courants d’associés|Avances reçues des clients',
      'Capital social|Report à nouveau|Réserve légale|!Compte de l’exploitant',
      'Ventes en France|Ventes à l’étranger|Loyers perçus, produits|!Rabais accordés|Produits financiers',
      'Achats de marchandises|Frais de transport|Salaires|Charges sociales|Loyer de l’atelier|Électricité|Assurances|Téléphone|Carburant|Dotations aux amortissements|Frais bancaires|Intérêts des emprunts|!Rabais obtenus',
    ],
    code: 'Compte',
    name: 'Intitulé',
    debit: 'Débit',
    credit: 'Crédit',
    balance: 'Solde',
    opening: 'Ouverture',
    movement: 'Mouvements',
    closing: 'Clôture',
    lastYear: 'Exercice précédent',
    budget: 'Budget',
    total: 'Total',
    carried: 'À reporter',
    page: 'Page',
    title: 'Balance générale',
    asAt: (date) => `Arrêtée au ${slashed(date)}`,
    printed: (date) => `Imprimé le ${slashed(date)}`,
    sides: ['D', 'C'],
    side: 'Sens',
    result: 'Résultat de l’exercice',
  },
  {
    id: 'es',
    encodings: ['windows-1252', 'utf-8'],
    currency: 'EUR',
    style: DOT,
    sections: ['Activo', 'Pasivo', 'Patrimonio neto', 'Ingresos', 'Gastos'],
    names: [
      'Caja|Bancos, cuenta corriente|Imposición a plazo|Clientes|Existencias|Gastos anticipados|Maquinaria|!Amortización acumulada de maquinaria|Elementos de transporte|!Amortización acumulada de transporte|Hacienda, IVA soportado',
      'Proveedores|Organismos de la seguridad social, acreedores|Remuneraciones pendientes de pago|Hacienda, IVA repercutido|Préstamo bancario|Deudas con socios|Anticipos de clientes',
      'Capital social|Remanente|Reserva legal|!Dividendo a cuenta',
      'Ventas nacionales|Ventas al extranjero|Ingresos por arrendamientos|!Devoluciones de ventas|Ingresos financieros',
      'Compras|Transportes de compras, gastos|Sueldos y salarios|Seguridad social a cargo de la empresa|Alquiler del taller|Suministros|Primas de seguros|Teléfono|Reparaciones|Amortización del inmovilizado|Servicios bancarios|Intereses de deudas|!Rappels por compras',
    ],
    code: 'Cuenta',
    name: 'Descripción',
    debit: 'Debe',
    credit: 'Haber',
    balance: 'Saldo',
    opening: 'Apertura',
    movement: 'Movimientos',
    closing: 'Cierre',
    lastYear: 'Ejercicio anterior',
    budget: 'Presupuesto',
    total: 'Total',
    carried: 'Suma y sigue',
    page: 'Página',
    title: 'Balance de sumas y saldos',
    asAt: (date) =>
      `A ${worded(date, 'enero febrero marzo abril mayo junio julio agosto septiembre octubre noviembre diciembre', (d, m, y) => `${d} de ${m} de ${y}`)}`,
    printed: (date) => `Emitido el ${slashed(date)}`,
    sides: ['D', 'H'],
    side: 'D/H',
    result: 'Resultado del ejercicio',
  },
  {
    id: 'it',
    encodings: ['windows-1252', 'utf-8'],
    currency: 'EUR',
    style: DOT,
    sections: ['Attività', 'Passività', 'Patrimonio netto', 'Ricavi', 'Costi'],
    names: [
      'Cassa|Banca c/c|Deposito vincolato|Crediti verso clienti|Rimanenze di merci|Risconti attivi|Macchinari|!Fondo ammortamento macchinari|Automezzi|!Fondo ammortamento automezzi|IVA a credito',
      'Debiti verso fornitori|Debiti verso istituti previdenziali|Ratei passivi|IVA a debito|Mutuo bancario|Debiti verso soci|Acconti da clienti, debiti',
      'Capitale sociale|Utili a nuovo|Riserva legale|!Acconti su dividendi',
      'Ricavi di vendita Italia|Ricavi di vendita estero|Fitti attivi, proventi|!Resi su vendite|Interessi attivi, proventi',
      'Acquisti di merci|Spese di trasporto|Salari e stipendi|Oneri sociali|Affitto laboratorio|Energia elettrica|Assicurazioni|Spese telefoniche|Manutenzioni, costi|Ammortamenti|Spese bancarie|Interessi passivi|!Sconti su acquisti',
    ],
    code: 'Conto',
    name: 'Descrizione',
    debit: 'Dare',
    credit: 'Avere',
    balance: 'Saldo',
    opening: 'Apertura',
    movement: 'Movimenti',
    closing: 'Chiusura',
    lastYear: 'Esercizio precedente',
    budget: 'Preventivo',
    total: 'Totale',
    carried: 'A riportare',
    page: 'Pagina',
    title: 'Bilancio di verifica',
    asAt: (date) => `Alla data del ${slashed(date)}`,
    printed: (date) => `Stampato il ${slashed(date)}`,
    sides: ['D', 'A'],
    side: 'D/A',
    result: 'Utile d’esercizio',
  },
  {
    id: 'nl',
    encodings: ['windows-1252', 'utf-8'],
    currency: 'EUR',
    style: DOT,
    sections: ['Activa', 'Schulden', 'Eigen vermogen', 'Opbrengsten', 'Kosten'],
    names: [
      'Kas|Getijdenbank rekening-courant|Spaarrekening bank|Debiteuren|Voorraad touw|Vooruitbetaalde kosten|Machines|!Cumulatieve afschrijving machines|Bestelauto|!Cumulatieve afschrijving bestelauto|Te vorderen btw',
      'Crediteuren|Loonheffing|Nog te betalen kosten|Af te dragen btw|Banklening|Rekening-courant directie, schuld|Vooruitontvangen bedragen',
      'Aandelenkapitaal|Overige reserves|Wettelijke reserve|!Privéopnamen',
      'Omzet binnenland|Omzet export|Huuropbrengsten|!Kortingen|Rentebaten',
      'Inkopen|Vrachtkosten|Lonen|Sociale lasten, kosten|Huur werkplaats|Energiekosten|Verzekeringen|Telefoonkosten|Autokosten|Afschrijvingskosten|Bankkosten|Rentekosten|!Betalingskortingen ontvangen',
    ],
    code: 'Rekening',
    name: 'Omschrijving',
    debit: 'Debet',
    credit: 'Credit',
    balance: 'Saldo',
    opening: 'Beginbalans',
    movement: 'Mutaties',
    closing: 'Eindbalans',
    lastYear: 'Vorig jaar',
    budget: 'Begroting',
    total: 'Totaal',
    carried: 'Transporteren',
    page: 'Pagina',
    title: 'Kolommenbalans',
    asAt: (date) =>
      `Per ${worded(date, 'januari februari maart april mei juni juli augustus september oktober november december', (d, m, y) => `${d} ${m} ${y}`)}`,
    printed: (date) => `Afgedrukt op ${dotted(date).replaceAll('.', '-')}`,
    sides: ['D', 'C'],
    side: 'D/C',
    result: 'Winst',
  },
  {
    id: 'pl',
    encodings: ['windows-1250', 'utf-8', 'iso-8859-2', 'cp852'],
    currency: 'PLN',
    style: SPACE,
    sections: ['Aktywa', 'Zobowiązania', 'Kapitał własny', 'Przychody', 'Koszty'],
    names: [
      'Kasa|Rachunek bieżący|Lokata|Rozrachunki z odbiorcami|Materiały na składzie|Rozliczenia międzyokresowe kosztów|Maszyny|!Umorzenie maszyn|Środki transportu|!Umorzenie środków transportu|VAT naliczony',
      'Rozrachunki z dostawcami|Zobowiązania wobec ZUS|Zobowiązania z tytułu wynagrodzeń|VAT należny|Kredyt bankowy|Pożyczka od wspólnika|Zaliczki otrzymane, zobowiązania',
      'Kapitał zakładowy|Zysk z lat ubiegłych|Kapitał zapasowy|!Należne wpłaty na kapitał',
      'Przychody ze sprzedaży krajowej|Przychody ze sprzedaży zagranicznej|Przychody z najmu|!Zwroty sprzedaży|Odsetki uzyskane, przychody',
      'Zużycie materiałów|Usługi obce|Wynagrodzenia|Ubezpieczenia społeczne|Czynsz|Energia, koszty|Ubezpieczenia majątkowe|Telefony, koszty|Podróże służbowe|Amortyzacja|Opłaty bankowe, koszty|Odsetki zapłacone|!Rabaty otrzymane',
    ],
    code: 'Konto',
    name: 'Nazwa konta',
    debit: 'Wn',
    credit: 'Ma',
    balance: 'Saldo',
    opening: 'Bilans otwarcia',
    movement: 'Obroty',
    closing: 'Saldo końcowe',
    lastYear: 'Rok poprzedni',
    budget: 'Budżet',
    total: 'Razem',
    carried: 'Do przeniesienia',
    page: 'Strona',
    title: 'Zestawienie obrotów i sald',
    asAt: (date) => `Na dzień ${dotted(date)}`,
    printed: (date) => `Wydrukowano ${dotted(date)}`,
    sides: ['Wn', 'Ma'],
    side: 'Strona',
    result: 'Zysk netto',
  },
  {
    id: 'cs',
    encodings: ['windows-1250', 'utf-8', 'cp852'],
    currency: 'CZK',
    style: SPACE,
    sections: ['Aktiva', 'Závazky', 'Vlastní kapitál', 'Výnosy', 'Náklady'],
    names: [
      'Pokladna|Běžný účet u banky|Termínovaný vklad, banka|Odběratelé|Materiál na skladě|Náklady příštích období|Stroje|!Oprávky ke strojům|Automobily|!Oprávky k automobilům|DPH na vstupu',
      'Dodavatelé|Závazky vůči zaměstnancům|Závazky ze sociálního pojištění|DPH na výstupu|Bankovní úvěr|Závazky ke společníkům|Přijaté zálohy',
      'Základní kapitál|Nerozdělený zisk minulých let|Rezervní fond|!Pohledávky za upsaný kapitál',
      'Tržby za zboží|Tržby za služby|Výnosy z pronájmu|!Slevy poskytnuté|Výnosové úroky',
      'Spotřeba materiálu|Přepravné, náklady|Mzdové náklady|Sociální pojištění, náklady|Nájemné|Spotřeba energie|Pojištění majetku|Telefony, náklady|Opravy, náklady|Odpisy dlouhodobého majetku|Bankovní poplatky, náklady|Nákladové úroky|!Bonusy přijaté',
    ],
    code: 'Účet',
    name: 'Název účtu',
    debit: 'MD',
    credit: 'D',
    balance: 'Zůstatek',
    opening: 'Počáteční stav',
    movement: 'Obrat',
    closing: 'Konečný stav',
    lastYear: 'Minulý rok',
    budget: 'Plán',
    total: 'Celkem',
    carried: 'Převod',
    page: 'Strana',
    title: 'Obratová předvaha',
    asAt: (date) => `Ke dni ${dotted(date)}`,
    printed: (date) => `Vytištěno ${dotted(date)}`,
    sides: ['MD', 'D'],
    side: 'Strana',
    result: 'Výsledek hospodaření',
  },
  {
    id: 'hu',
    encodings: ['windows-1250', 'utf-8', 'iso-8859-2'],
    currency: 'HUF',
    style: { group: ' ', decimal: ',' },
    sections: ['Eszközök', 'Kötelezettségek', 'Saját tőke', 'Bevételek', 'Ráfordítások'],
    names: [
      'Pénztár|Elszámolási betétszámla|Lekötött betét, bankszámla|Belföldi vevők|Anyagok készlete|Aktív időbeli elhatárolás, költségek|Gépek|!Gépek értékcsökkenése|Járművek|!Járművek értékcsökkenése|Előzetesen felszámított áfa',
      'Belföldi szállítók|Jövedelemelszámolási számla|Társadalombiztosítási kötelezettség|Fizetendő áfa|Bankhitel|Tagi kölcsön|Vevőktől kapott előleg',
      'Jegyzett tőke|Eredménytartalék|Lekötött tartalék, tőketartalék|!Jegyzett, be nem fizetett tőke, követelés',
      'Belföldi értékesítés árbevétele|Exportértékesítés|Bérleti bevételek|!Adott engedmények|Kapott kamatok, bevételek',
      'Anyagköltség|Szállítási költség|Bérköltség|Bérjárulékok költsége|Bérleti díjak költsége|Energiaköltség|Biztosítási díjak|Telefonköltség|Javítási költség|Értékcsökkenési leírás|Bankköltség|Fizetett kamatok, ráfordítás|!Kapott engedmények',
    ],
    code: 'Számla',
    name: 'Megnevezés',
    debit: 'Tartozik',
    credit: 'Követel',
    balance: 'Egyenleg',
    opening: 'Nyitó',
    movement: 'Forgalom',
    closing: 'Záró',
    lastYear: 'Előző év',
    budget: 'Terv',
    total: 'Összesen',
    carried: 'Átvitel',
    page: 'Oldal',
    title: 'Főkönyvi kivonat',
    asAt: (date) =>
      worded(
        date,
        'január február március április május június július augusztus szeptember október november december',
        (d, m, y) => `Állapot: ${y}. ${m} ${d}.`,
      ),
    printed: (date) => `Készült: ${date.replaceAll('-', '. ')}.`,
    sides: ['T', 'K'],
    side: 'T/K',
    result: 'Adózott eredmény',
  },
  {
    id: 'sv',
    encodings: ['windows-1252', 'utf-8', 'cp850'],
    currency: 'SEK',
    style: SPACE,
    sections: ['Tillgångar', 'Skulder', 'Eget kapital', 'Intäkter', 'Kostnader'],
    names: [
      'Kassa|Företagskonto bank|Placeringskonto bank|Kundfordringar|Varulager|Förutbetalda kostnader|Maskiner|!Ackumulerade avskrivningar maskiner|Bilar|!Ackumulerade avskrivningar bilar|Ingående moms',
      'Leverantörsskulder|Personalens källskatt|Upplupna löner|Utgående moms|Banklån|Skulder till delägare|Förskott från kunder',
      'Aktiekapital|Balanserad vinst|Reservfond|!Egna uttag',
      'Försäljning Sverige|Försäljning export|Hyresintäkter|!Lämnade rabatter|Ränteintäkter',
      'Inköp av varor, kostnader|Fraktkostnader|Löner|Sociala avgifter, kostnader|Lokalhyra|Elkostnader|Försäkringar|Telefonkostnader|Bilkostnader|Avskrivningar på maskiner|Bankkostnader|Räntekostnader|!Erhållna rabatter',
    ],
    code: 'Konto',
    name: 'Benämning',
    debit: 'Debet',
    credit: 'Kredit',
    balance: 'Saldo',
    opening: 'Ing. balans',
    movement: 'Period',
    closing: 'Utg. balans',
    lastYear: 'Föregående år',
    budget: 'Budget',
    total: 'Summa',
    carried: 'Transport',
    page: 'Sida',
    title: 'Saldobalans',
    asAt: (date) => `T.o.m. ${date}`,
    printed: (date) => `Utskrivet ${date}`,
    sides: ['D', 'K'],
    side: 'D/K',
    result: 'Beräknat resultat',
  },
  {
    id: 'da',
    encodings: ['windows-1252', 'utf-8'],
    currency: 'DKK',
    style: DOT,
    sections: ['Aktiver', 'Gæld', 'Egenkapital', 'Indtægter', 'Omkostninger'],
    names: [
      'Kasse|Bankkonto|Aftaleindskud, bank|Tilgodehavender fra salg|Varebeholdninger|Forudbetalte omkostninger|Maskiner|!Akkumulerede afskrivninger, maskiner|Biler|!Akkumulerede afskrivninger, biler|Indgående moms',
      'Leverandørgæld|Skyldig A-skat|Skyldig løn|Udgående moms|Bankgæld|Gæld til ejere|Forudbetalinger, kundegæld',
      'Anpartskapital|Overført resultat|Lovpligtig reserve|!Udbytte udbetalt, tilgodehavende',
      'Salg, Danmark|Salg, udland|Lejeindtægter|!Rabatter|Renteindtægter',
      'Varekøb|Fragtomkostninger|Lønninger|Pensionsomkostninger|Husleje|Elomkostninger|Forsikringer|Telefonudgifter|Autoudgifter|Afskrivninger på driftsmidler, omkostninger|Bankomkostninger|Renteudgifter|!Modtagne rabatter',
    ],
    code: 'Kontonr.',
    name: 'Kontonavn',
    debit: 'Debet',
    credit: 'Kredit',
    balance: 'Saldo',
    opening: 'Primo',
    movement: 'Bevægelse',
    closing: 'Ultimo',
    lastYear: 'Sidste år',
    budget: 'Budget',
    total: 'I alt',
    carried: 'Overføres',
    page: 'Side',
    title: 'Saldobalance',
    asAt: (date) => `Pr. ${dotted(date)}`,
    printed: (date) => `Udskrevet ${dotted(date)}`,
    sides: ['D', 'K'],
    side: 'D/K',
    result: 'Resultat',
  },
  {
    id: 'tr',
    encodings: ['windows-1254', 'utf-8'],
    currency: 'TRY',
    style: DOT,
    sections: ['Varlıklar', 'Borçlar', 'Özkaynaklar', 'Gelirler', 'Giderler'],
    names: [
      'Kasa|Bankalar|Vadeli mevduat, bankalar|Alıcılar|Ticari mallar|Gelecek aylara ait giderler|Makineler|!Birikmiş amortismanlar, makineler|Taşıtlar|!Birikmiş amortismanlar, taşıtlar|İndirilecek KDV',
      'Satıcılar|Ödenecek vergi ve fonlar|Personele borçlar|Hesaplanan KDV|Banka kredileri|Ortaklara borçlar|Alınan sipariş avansları',
      'Sermaye|Geçmiş yıllar kârları|Yasal yedekler|!Ödenmemiş sermaye alacakları',
      'Yurt içi satışlar|Yurt dışı satışlar|Kira gelirleri|!Satıştan iadeler|Faiz gelirleri',
      'Satılan mal maliyeti|Nakliye giderleri|İşçi ücretleri, giderler|Sosyal güvenlik giderleri|Kira giderleri|Enerji giderleri|Sigorta giderleri|Telefon giderleri|Taşıt giderleri|Amortisman giderleri|Banka giderleri|Faiz giderleri|!Alınan iskontolar',
    ],
    code: 'Hesap kodu',
    name: 'Hesap adı',
    debit: 'Borç',
    credit: 'Alacak',
    balance: 'Bakiye',
    opening: 'Açılış',
    movement: 'Dönem hareketi',
    closing: 'Kapanış',
    lastYear: 'Önceki dönem',
    budget: 'Bütçe',
    total: 'Toplam',
    carried: 'Nakli yekûn',
    page: 'Sayfa',
    title: 'Mizan',
    asAt: (date) => `${dotted(date)} itibarıyla`,
    printed: (date) => `Döküm tarihi: ${dotted(date)}`,
    sides: ['B', 'A'],
    side: 'B/A',
    result: 'Dönem net kârı',
  },
  {
    id: 'ru',
    encodings: ['windows-1251', 'utf-8'],
    currency: 'RUB',
    style: SPACE,
    sections: ['Активы', 'Обязательства', 'Капитал', 'Доходы', 'Расходы'],
    names: [
      'Касса|Расчетный счет|Депозитный счет, расчетные счета|Покупатели и заказчики|Материалы|Расходы будущих периодов|Оборудование|!Амортизация основных средств, оборудование|Транспорт, основные средства|!Амортизация основных средств, транспорт|НДС входящий',
      'Поставщики и подрядчики|Расчеты с персоналом, обязательства|Кредиторы прочие|НДС к уплате|Кредиты банка|Займы учредителей|Авансы полученные, кредиторы',
      'Уставный капитал|Нераспределенная прибыль|Резервный капитал|!Задолженность учредителей, расходы',
      'Выручка на внутреннем рынке|Выручка от экспорта|Доходы от аренды|!Возвраты, расходы|Проценты полученные, доходы',
      'Себестоимость продаж|Транспортные расходы|Заработная плата, расходы|Страховые взносы, расходы|Аренда цеха|Расходы на энергию|Страхование имущества|Расходы на связь|Расходы на автомобили|Расходы на амортизацию|Банковские расходы|Проценты уплаченные, расходы|!Скидки полученные, доходы',
    ],
    code: 'Счет',
    name: 'Наименование',
    debit: 'Дебет',
    credit: 'Кредит',
    balance: 'Сальдо',
    opening: 'Сальдо на начало',
    movement: 'Обороты',
    closing: 'Сальдо на конец',
    lastYear: 'Прошлый год',
    budget: 'План',
    total: 'Итого',
    carried: 'Перенос',
    page: 'Страница',
    title: 'Оборотно-сальдовая ведомость',
    asAt: (date) => `На ${dotted(date)}`,
    printed: (date) => `Сформировано ${dotted(date)}`,
    sides: ['Д', 'К'],
    side: 'Д/К',
    result: 'Прибыль',
  },
  {
    id: 'el',
    encodings: ['windows-1253', 'utf-8'],
    currency: 'EUR',
    style: DOT,
    sections: ['Ενεργητικό', 'Υποχρεώσεις', 'Καθαρή θέση', 'Έσοδα', 'Έξοδα'],
    names: [
      'Ταμείο|Καταθέσεις όψεως|Προθεσμιακές καταθέσεις|Πελάτες|Αποθέματα|Προπληρωμένα έξοδα|Μηχανήματα|!Αποσβεσμένα μηχανήματα|Μεταφορικά μέσα|!Αποσβεσμένα μεταφορικά μέσα|ΦΠΑ εισροών',
      'Προμηθευτές|Ασφαλιστικοί οργανισμοί|Πιστωτές διάφοροι|ΦΠΑ εκροών|Δάνειο τράπεζας|Υποχρεώσεις προς εταίρους|Υποχρεώσεις από προκαταβολές',
      'Μετοχικό κεφάλαιο|Κέρδη εις νέο|Τακτικό αποθεματικό|!Οφειλόμενο, απαιτήσεις',
      'Πωλήσεις εσωτερικού|Πωλήσεις εξωτερικού|Έσοδα από ενοίκια|!Εκπτώσεις, έξοδα|Έσοδα τόκων',
      'Αγορές εμπορευμάτων|Έξοδα μεταφοράς|Αμοιβές προσωπικού|Έξοδα ασφάλισης|Ενοίκια|Έξοδα ενέργειας|Ασφάλιστρα|Έξοδα τηλεφώνου|Έξοδα κίνησης|Αποσβέσεις|Έξοδα τραπεζών|Χρεωστικοί τόκοι|!Έσοδα εκπτώσεων',
    ],
    code: 'Κωδικός',
    name: 'Περιγραφή',
    debit: 'Χρέωση',
    credit: 'Πίστωση',
    balance: 'Υπόλοιπο',
    opening: 'Υπόλοιπο έναρξης',
    movement: 'Κίνηση',
    closing: 'Τελικό υπόλοιπο',
    lastYear: 'Προηγούμενο έτος',
    budget: 'Προϋπολογισμός',
    total: 'Σύνολο',
    carried: 'Μεταφορά',
    page: 'Σελίδα',
    title: 'Ισοζύγιο',
    asAt: (date) => `Στις ${slashed(date)}`,
    printed: (date) => `Εκτύπωση ${slashed(date)}`,
    sides: ['Χ', 'Π'],
    side: 'Χ/Π',
    result: 'Κέρδος χρήσης',
  },
];

/* ---------------------------------------------------------------- figures */

interface Account {
  readonly code: string;
  readonly name: string;
  /** 0 assets, 1 liabilities, 2 equity, 3 income, 4 expenses. */
  readonly section: number;
  readonly amount: bigint;
}

const DEBIT_SECTION = [true, false, false, false, true];

const figures = (
  dice: Dice,
  language: Language,
  digits: number,
  code: (section: number, at: number) => string,
): readonly Account[] => {
  const unit = 10n ** BigInt(digits);
  const made: Account[] = [];
  language.names.forEach((list, section) => {
    const names = list.split('|').filter(() => dice.chance(0.85));
    const kept = names.length < 2 ? list.split('|').slice(0, 2) : names;
    kept.forEach((raw, at) => {
      const against = raw.startsWith('!');
      const size =
        BigInt(dice.int(1, 9) * 10 ** dice.int(1, 4) + dice.int(0, 999)) * unit +
        BigInt(digits === 0 ? 0 : dice.int(0, Number(unit) - 1));
      const nil = dice.chance(0.06);
      // What stands against others is smaller than they are.
      const amount = nil ? 0n : against ? size / 20n + 1n : size;
      const debit = DEBIT_SECTION[section] !== against;
      made.push({ code: code(section, at), name: raw.replace('!', ''), section, amount: debit ? amount : -amount });
    });
  });
  // Retained earnings take what is left, so that it nets to zero.
  const net = made.reduce((sum, one) => sum + one.amount, 0n);
  const equity = made.findIndex((one) => one.section === 2 && one.amount < 0n);
  const balancing = made[equity < 0 ? made.length - 1 : equity];
  if (balancing === undefined) return made;
  return made.map((one) => (one === balancing ? { ...one, amount: one.amount - net } : one));
};

const CODES: readonly ((dice: Dice) => (section: number, at: number) => string)[] = [
  () => (section, at) => `${String(section + 1)}${String(at * 10).padStart(3, '0')}`,
  () => (section, at) => `0${String(section + 1)}${String(100 + at * 5)}`,
  () => (section, at) => `${String(section + 1)}${String(Math.floor(at / 4))}.${String(at + 1).padStart(3, '0')}`,
  () => (section, at) => `${String(section + 1)}${String(10 + at)}`,
  (dice) => {
    const letter = dice.pick(['A', 'K', 'GL', 'N']);
    return (section, at) => `${letter}${String((section + 1) * 1000 + at * 7)}`;
  },
  () => (section, at) => `${String(section + 1)}-${String(1000 + at * 20)}`,
];

/* ----------------------------------------------------------------- layout */

type Text = string;

interface Layout {
  readonly shape:
    'pair' | 'signed' | 'credit-plus' | 'sided' | 'sections' | 'phases' | 'phase-pairs' | 'gross' | 'years' | 'suffix';
  readonly joined: boolean;
  readonly coded: boolean;
  readonly style: Style;
  readonly negative: 'before' | 'after' | 'brackets';
  readonly nil: '' | '-' | 'zero';
  readonly totals: 'worded' | 'unlabelled' | 'none';
  readonly headings: boolean;
  readonly grand: boolean;
  readonly pages: boolean;
  readonly titled: boolean;
  readonly header: boolean;
  /** Codes of groups stand above their accounts with what these come to. */
  readonly parents: boolean;
  /** Lines without a code divide some accounts, by place or project. */
  readonly divided: boolean;
  /** A column of a plan or of shares stands beside the amounts. */
  readonly beside: 'none' | 'budget' | 'share' | 'count' | 'currency';
  /** Results are shown with the opposite sign, in a part of their own. */
  readonly parts: boolean;
  /** The year's result stands at the end of assets and liabilities. */
  readonly result: boolean;
  /** Debits and credits are each told in a line at the end. */
  readonly sums: boolean;
  /** One figure is wrong by a digit. */
  readonly wrong: boolean;
  readonly carried: boolean;
  readonly indent: boolean;
}

const SHAPES: readonly Layout['shape'][] = [
  'pair',
  'signed',
  'credit-plus',
  'sided',
  'sections',
  'phases',
  'phase-pairs',
  'gross',
  'years',
  'suffix',
];

const write = (amount: bigint, digits: number, { style, negative, nil }: Layout): Text => {
  if (amount === 0n && nil !== 'zero') return nil;
  const size = String(amount < 0n ? -amount : amount).padStart(digits + 1, '0');
  const whole = size.slice(0, size.length - digits);
  let grouped = '';
  for (let at = 0; at < whole.length; at += 1)
    grouped += (at > 0 && (whole.length - at) % 3 === 0 ? style.group : '') + (whole[at] ?? '');
  const text = digits === 0 ? grouped : `${grouped}${style.decimal}${size.slice(size.length - digits)}`;
  if (amount >= 0n) return text;
  return negative === 'brackets' ? `(${text})` : negative === 'after' ? `${text}-` : `-${text}`;
};

const abs = (amount: bigint): bigint => (amount < 0n ? -amount : amount);

/** A row's amount cells; `sum` are those of totals, which have no side letter where they add up both. */
const cellsOf = (dice: Dice, layout: Layout, language: Language, digits: number) => {
  const w = (amount: bigint): Text => write(amount, digits, layout);
  const pair = (amount: bigint): readonly Text[] => [amount > 0n ? w(amount) : w(0n), amount < 0n ? w(-amount) : w(0n)];
  const part = (amount: bigint): bigint => (amount * BigInt(dice.int(20, 90))) / 100n;
  return (amount: bigint, section: number): { readonly cells: readonly Text[]; readonly more: readonly bigint[] } => {
    switch (layout.shape) {
      case 'pair':
        return { cells: pair(amount), more: [] };
      case 'signed':
        return { cells: [w(layout.parts && section >= 3 ? -amount : amount)], more: [] };
      case 'credit-plus':
        return { cells: [w(-amount)], more: [] };
      case 'sided':
        return {
          cells: [w(abs(amount)), amount === 0n ? '' : amount > 0n ? language.sides[0] : language.sides[1]],
          more: [],
        };
      case 'suffix':
        return { cells: [amount === 0n ? w(0n) : `${w(abs(amount))} ${amount > 0n ? 'Dr' : 'Cr'}`], more: [] };
      case 'sections':
        return { cells: [w(DEBIT_SECTION[section] === true ? amount : -amount)], more: [] };
      case 'phases': {
        const opening = section >= 3 ? 0n : part(amount);
        return { cells: [w(opening), w(amount - opening), w(amount)], more: [opening] };
      }
      case 'phase-pairs': {
        const opening = section >= 3 ? 0n : part(amount);
        return { cells: [...pair(opening), ...pair(amount - opening), ...pair(amount)], more: [opening] };
      }
      case 'gross': {
        const turned = abs(part(amount)) + BigInt(dice.int(0, 9999));
        const [debit, credit] = amount > 0n ? [amount + turned, turned] : [turned, turned - amount];
        return { cells: [w(debit), w(credit), ...pair(amount)], more: [] };
      }
      case 'years': {
        const before = part(amount);
        return { cells: [w(amount), w(before)], more: [before] };
      }
    }
  };
};

const encode = (text: string, encoding: string): Uint8Array => {
  if (encoding === 'utf-8') return new TextEncoder().encode(text);
  const table = TABLES.get(encoding);
  if (table === undefined) throw new Error(encoding);
  const bytes = new Uint8Array(text.length);
  Array.from(text).forEach((character, at) => {
    const code = character.charCodeAt(0);
    bytes[at] = code < 128 ? code : (table.get(character) ?? 0x3f);
  });
  return bytes.subarray(0, Array.from(text).length);
};

/** Upper halves of the tables, by the platform's own decoder, or written out for those that it has not. */
const CP850 = 'ÇüéâäàåçêëèïîìÄÅÉæÆôöòûùÿÖÜø£Ø×ƒáíóúñÑªº¿®¬½¼¡«»';
const CP852 = 'ÇüéâäůćçłëŐőîŹÄĆÉĹĺôöĽľŚśÖÜŤťŁ×čáíóúĄąŽžĘę¬źČş«»';
const CP852_MORE: Readonly<Record<string, number>> = {
  Á: 0xb5,
  Â: 0xb6,
  Ě: 0xb7,
  Ż: 0xbd,
  ż: 0xbe,
  ě: 0xd8,
  Ů: 0xde,
  Ó: 0xe0,
  Ń: 0xe3,
  ń: 0xe4,
  ň: 0xe5,
  Š: 0xe6,
  š: 0xe7,
  Ú: 0xe9,
  ý: 0xec,
  Ý: 0xed,
  ř: 0xfd,
  Ř: 0xfc,
  ď: 0xd4,
  '\u00a0': 0xff,
};
const TABLES: ReadonlyMap<string, ReadonlyMap<string, number>> = new Map(
  [
    'windows-1252',
    'windows-1250',
    'windows-1251',
    'windows-1253',
    'windows-1254',
    'iso-8859-2',
    'macintosh',
    'cp850',
    'cp852',
  ].map((encoding) => {
    const table = new Map<string, number>();
    if (encoding === 'cp850') Array.from(CP850).forEach((character, at) => table.set(character, 0x80 + at));
    else if (encoding === 'cp852') {
      Array.from(CP852).forEach((character, at) => table.set(character, 0x80 + at));
      for (const [character, byte] of Object.entries(CP852_MORE)) table.set(character, byte);
    } else {
      const decoder = new TextDecoder(encoding);
      for (let byte = 0x80; byte < 0x100; byte += 1) table.set(decoder.decode(Uint8Array.of(byte)), byte);
    }
    if (encoding === 'windows-1252')
      for (const [character, byte] of [
        ['’', 0x92],
        ['€', 0x80],
        ['–', 0x96],
        ['ž', 0x9e],
        ['š', 0x9a],
      ] as const)
        table.set(character, byte);
    if (encoding === 'cp850') table.set('ß', 0xe1).set('\u00a0', 0xff).set('õ', 0xe4).set('Ó', 0xe0).set('ó', 0xa2);
    if (!table.has('’')) table.set('’', 0x27);
    return [encoding, table];
  }),
);

const quoted = (cell: Text, delimiter: string): Text =>
  cell.includes(delimiter) || /["\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell;

/** The paper of a seed. */
export const makePaper = (seed: number, hard = false): Made => {
  const dice = new Dice(hard ? seed + 7_000_003 : seed);
  const language = dice.pick(LANGUAGES);
  const digits = language.id === 'hu' ? 0 : 2;
  const year = dice.int(2023, 2026);
  const asAt = `${String(year)}-${dice.pick(['12-31', '06-30', '03-31', '09-30', '07-31'])}`;
  const [, month] = parts(asAt);
  const printedOn = `${String(month === '12' ? year + 1 : year)}-${month === '12' ? '01' : String(Number(month) + 1).padStart(2, '0')}-${String(dice.int(10, 27))}`;
  const shape = dice.pick(SHAPES);
  const kind = dice.pick(['csv', 'csv', 'csv', 'tsv', 'bars', 'fixed', 'xlsx'] as const);
  const coded = !dice.chance(0.12);
  const layout: Layout = {
    shape,
    coded,
    joined: coded && kind !== 'fixed' && dice.chance(0.15),
    style: dice.chance(0.8) ? language.style : dice.pick([DOT, COMMA, SPACE]),
    negative: dice.pick(['before', 'before', 'after', 'brackets']),
    // Without codes, a name beside an empty cell is a heading to everybody.
    nil: dice.pick(coded ? ['', '-', 'zero', 'zero'] : ['-', 'zero']),
    totals: dice.pick(['worded', 'worded', 'unlabelled', 'none']),
    headings: shape === 'sections' || dice.chance(0.6),
    grand: dice.chance(0.7),
    pages: dice.chance(0.25),
    titled: dice.chance(0.85),
    header: dice.chance(0.95),
    parents: hard && coded && dice.chance(0.25),
    divided: hard && coded && shape !== 'sections' && dice.chance(0.2),
    beside: hard ? dice.pick(['none', 'none', 'budget', 'share', 'count', 'currency'] as const) : 'none',
    parts: hard && shape === 'signed' && coded && dice.chance(0.5),
    result: hard && coded && (shape === 'signed' || shape === 'pair') && dice.chance(0.3),
    sums: hard && coded && ['pair', 'sided', 'suffix'].includes(shape) && dice.chance(0.3),
    wrong: hard && dice.chance(0.06),
    carried: hard && coded && ['pair', 'gross'].includes(shape) && dice.chance(0.4),
    indent: hard && dice.chance(0.3),
  };
  const accounts = figures(dice, language, digits, dice.pick(CODES)(dice));
  const amounts = cellsOf(dice, layout, language, digits);
  const heads: Readonly<Record<Layout['shape'], readonly (readonly Text[])[]>> = {
    pair: [[language.debit, language.credit]],
    signed: [[language.balance]],
    'credit-plus': [[language.balance]],
    sided: [[language.balance, language.side]],
    suffix: [[language.balance]],
    sections: [[language.balance]],
    phases: [[language.opening, language.movement, language.closing]],
    'phase-pairs': [
      [language.opening, '', language.movement, '', language.closing, ''],
      [language.debit, language.credit, language.debit, language.credit, language.debit, language.credit],
    ],
    gross: [
      [language.movement, '', language.closing, ''],
      [language.debit, language.credit, language.debit, language.credit],
    ],
    years: [[slashed(asAt), slashed(`${String(year - 1)}${asAt.slice(4)}`)]],
  };
  const lead = (code: Text, name: Text): readonly Text[] =>
    !layout.coded ? [name] : layout.joined ? [code === '' ? name : `${code} ${name}`] : [code, name];
  const headLead = !layout.coded || layout.joined ? [language.name] : [language.code, language.name];
  const own = heads[shape];
  const header: readonly (readonly Text[])[] = own.map((row, at) => [
    ...(at === own.length - 1 ? headLead : headLead.map(() => '')),
    ...row,
  ]);
  const width = headLead.length + (own[0]?.length ?? 0) + (layout.beside === 'none' ? 0 : 1);
  const rows: (readonly Text[])[] = [];
  const blank = (): void => {
    rows.push(Array.from({ length: width }, () => ''));
  };
  if (layout.titled) {
    rows.push([`Inchmoor ${String(seed)} ${language.id.toUpperCase()}`]);
    rows.push([language.title, ...(dice.chance(0.3) ? ['', language.currency] : [])]);
    rows.push([`${language.asAt(asAt)}, ${language.currency}`]);
    if (dice.chance(0.6)) rows.push([language.printed(printedOn)]);
    if (dice.chance(0.7)) blank();
  }
  if (layout.header) rows.push(...header);
  const sumCells = (list: readonly Account[]): readonly Text[] => {
    const w = (amount: bigint): Text => write(amount, digits, layout);
    const side = (sign: 1 | -1): bigint =>
      list.reduce((sum, one) => (one.amount > 0n === (sign === 1) ? sum + abs(one.amount) : sum), 0n);
    const net = list.reduce((sum, one) => sum + one.amount, 0n);
    switch (shape) {
      case 'pair':
        return [w(side(1)), w(side(-1))];
      case 'signed':
        return [w(layout.parts && (list[0]?.section ?? 0) >= 3 ? -net : net)];
      case 'credit-plus':
        return [w(-net)];
      case 'sided':
        return [w(abs(net)), net === 0n ? '' : net > 0n ? language.sides[0] : language.sides[1]];
      case 'suffix':
        return [net === 0n ? w(0n) : `${w(abs(net))} ${net > 0n ? 'Dr' : 'Cr'}`];
      case 'sections':
        return [w(DEBIT_SECTION[list[0]?.section ?? 0] === true ? net : -net)];
      default:
        return [];
    }
  };
  const carriedCells = (list: readonly Account[]): readonly Text[] => {
    const w = (amount: bigint): Text => write(amount, digits, layout);
    const side = (sign: 1 | -1): bigint =>
      list.reduce((sum, one) => (one.amount > 0n === (sign === 1) ? sum + abs(one.amount) : sum), 0n);
    return shape === 'gross' ? ['', '', w(side(1)), w(side(-1))] : [w(side(1)), w(side(-1))];
  };
  const summed = !['phases', 'phase-pairs', 'gross', 'years'].includes(shape);
  const perPage = dice.int(14, 26);
  const extra = layout.beside === 'none' ? [] : [''];
  const besideHead = { none: '', budget: language.budget, share: '%', count: 'No.', currency: language.currency }[
    layout.beside
  ];
  if (layout.header && extra.length > 0) {
    const last = rows.length - 1;
    for (let at = rows.length - header.length; at < rows.length; at += 1)
      rows[at] = [...(rows[at] ?? []), at === last ? besideHead : ''];
  }
  const beside = (amount: bigint): readonly Text[] => {
    if (layout.beside === 'none') return [];
    if (layout.beside === 'budget') return [write((amount * BigInt(dice.int(80, 120))) / 100n, digits, layout)];
    if (layout.beside === 'share')
      return [`${String(dice.int(0, 40))}${layout.style.decimal}${String(dice.int(10, 99))} %`];
    return [layout.beside === 'count' ? String(dice.int(0, 300)) : language.currency];
  };
  const shown = (one: Account, name: Text): readonly Text[] => [
    ...lead(one.code, name),
    ...amounts(one.amount, one.section).cells,
    ...beside(one.amount),
  ];
  const repeated = (): void => {
    for (const row of header) rows.push([...row, ...extra.map(() => (row === header.at(-1) ? besideHead : ''))]);
  };
  let printed = 0;
  let page = 1;
  const soFar: Account[] = [];
  const bad = layout.wrong ? dice.int(0, accounts.length - 1) : -1;
  const expected: Account[] = [];
  language.sections.forEach((section, number) => {
    const list = accounts.filter((one) => one.section === number);
    if (layout.parts && number === 3) {
      if (layout.result) rows.push([...lead('', language.result), ...sumCells(soFar)]);
      blank();
      if (layout.header) repeated();
    }
    if (layout.headings) rows.push([...lead('', section)]);
    const group = list[0]?.code.slice(0, layout.parents ? 1 : 0) ?? '';
    if (layout.parents && list.every(({ code }) => code.startsWith(group)) && summed)
      rows.push([...lead(group, section.toUpperCase()), ...sumCells(list), ...(layout.beside === 'none' ? [] : [''])]);
    for (const one of list) {
      if (layout.pages && printed > 0 && printed % perPage === 0) {
        if (layout.carried) rows.push([...lead('', language.carried), ...carriedCells(soFar)]);
        rows.push([`${language.page} ${String(page)}`]);
        page += 1;
        if (layout.header) repeated();
        if (layout.carried) rows.push([...lead('', language.carried), ...carriedCells(soFar)]);
      }
      printed += 1;
      const wrong =
        printed - 1 === bad && one.amount !== 0n
          ? { ...one, amount: one.amount + (one.amount > 0n ? 300n : -300n) }
          : one;
      expected.push(wrong);
      soFar.push(wrong);
      rows.push(shown(wrong, layout.indent ? `  ${one.name}` : one.name));
      if (layout.divided && one.amount !== 0n && dice.chance(0.3) && summed) {
        const half = (wrong.amount * BigInt(dice.int(20, 70))) / 100n;
        for (const [name, amount] of [
          ['North', half],
          ['South', wrong.amount - half],
        ] as const)
          rows.push([...lead('', layout.indent ? `    ${name}` : name), ...amounts(amount, number).cells, ...extra]);
      }
    }
    if (layout.totals !== 'none' && layout.headings && summed && (layout.coded || layout.totals === 'worded')) {
      rows.push([
        ...lead('', layout.totals === 'worded' ? `${language.total} ${section.toLowerCase()}` : ''),
        ...sumCells(list.map((one) => soFar.find(({ code, name }) => code === one.code && name === one.name) ?? one)),
      ]);
      if (dice.chance(0.4)) blank();
    }
  });
  const grand = layout.grand && !layout.parts && (shape === 'pair' || shape === 'signed' || shape === 'suffix');
  if (grand) rows.push([...lead('', language.total), ...sumCells(soFar)]);
  if (layout.sums) {
    const side = (sign: 1 | -1): bigint =>
      soFar.reduce((sum, one) => (one.amount > 0n === (sign === 1) ? sum + abs(one.amount) : sum), 0n);
    rows.push([
      ...lead('', language.debit),
      write(side(1), digits, layout),
      ...(shape === 'pair' ? [''] : shape === 'sided' ? [language.sides[0]] : []),
    ]);
    rows.push([
      ...lead('', language.credit),
      ...(shape === 'pair' ? [''] : []),
      write(side(-1), digits, layout),
      ...(shape === 'sided' ? [language.sides[1]] : []),
    ]);
  }

  const delimiter =
    kind === 'tsv'
      ? '\t'
      : kind === 'bars'
        ? '|'
        : layout.style.decimal === ','
          ? dice.pick([';', ';', '\t'])
          : dice.pick([',', ';']);
  const encoding = dice.pick(language.encodings);
  let bytes: Uint8Array;
  let name = `paper-${String(seed)}`;
  if (kind === 'xlsx') {
    const sheet = XLSX.utils.aoa_to_sheet(rows.map((row) => [...row]));
    const book = XLSX.utils.book_new();
    XLSX.utils.book_append_sheet(book, sheet, 'Sheet');
    bytes = new Uint8Array(XLSX.write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer);
    name += '.xlsx';
  } else if (kind === 'fixed') {
    const body = rows.filter((row) => row.length > 1);
    const widths = Array.from({ length: width }, (_, at) => Math.max(...body.map((row) => (row[at] ?? '').length)));
    const text = rows
      .map((row) =>
        row.length === 1
          ? (row[0] ?? '')
          : row
              .map((cell, at) =>
                at < headLead.length ? cell.padEnd((widths[at] ?? 0) + 2) : cell.padStart((widths[at] ?? 0) + 2),
              )
              .join('')
              .trimEnd(),
      )
      .join('\r\n');
    bytes = encode(text, encoding);
    name += '.txt';
  } else {
    bytes = encode(
      rows.map((row) => row.map((cell) => quoted(cell, delimiter)).join(delimiter)).join(dice.pick(['\n', '\r\n'])),
      encoding,
    );
    name += kind === 'csv' ? '.csv' : '.txt';
  }
  return {
    name,
    bytes,
    digits,
    currency: language.currency,
    asAt,
    rows: expected.map(({ code, name: account, amount }) => ({
      code: layout.coded ? code : '',
      name: account,
      amount,
    })),
    traits: [
      `language ${language.id}`,
      `shape ${shape}`,
      `file ${kind}`,
      kind === 'xlsx' ? 'encoding xlsx' : `encoding ${encoding}`,
      `nil ${layout.nil === '' ? 'empty' : layout.nil}`,
      `negative ${layout.negative}`,
      `totals ${layout.headings ? layout.totals : 'no headings'}`,
      layout.coded ? (layout.joined ? 'code and name in one' : 'codes') : 'no codes',
      layout.pages ? 'pages' : 'one page',
      ...(['parents', 'divided', 'parts', 'result', 'sums', 'wrong', 'carried', 'indent'] as const)
        .filter((trait) => layout[trait])
        .map((trait) => `with ${trait}`),
      ...(layout.beside === 'none' ? [] : [`beside ${layout.beside}`]),
      layout.header ? 'header' : 'no header',
      layout.titled ? 'titles' : 'no titles',
    ],
  };
};

/** Names of accounts per language, in the same order in each: the first of one is the first of another. */
export const namesByLanguage = (): ReadonlyMap<
  string,
  readonly { readonly name: string; readonly debit: boolean; readonly section: number }[]
> =>
  new Map(
    LANGUAGES.map(({ id, names }) => [
      id,
      names.flatMap((list, section) =>
        list.split('|').map((raw) => ({
          name: raw.replace('!', ''),
          debit: (DEBIT_SECTION[section] === true) !== raw.startsWith('!'),
          section,
        })),
      ),
    ]),
  );
