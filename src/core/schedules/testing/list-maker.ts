import { seeded } from '../../openings/search/planting';
import { DAY, bareAmount, csvOf, isoOf } from './written';

/**
 * Invents lists of open items, with what a right reading gives: for the tests and the benchmark. It shares nothing with the reader, so
 * that what one forgets the other does not forget too.
 */

export interface MadeItem {
  readonly row: number;
  readonly contactCode: string | null;
  readonly contactName: string | null;
  readonly documentKind: 'invoice' | 'credit-note' | 'payment';
  readonly number: string;
  readonly date: string;
  readonly due: string | null;
  readonly currency: string;
  readonly open: string;
}

export interface MadeList {
  readonly name: string;
  readonly text: string;
  readonly kind: 'customers' | 'suppliers';
  readonly asAt: string;
  readonly items: readonly MadeItem[];
  /** What is unusual about it. */
  readonly traits: readonly string[];
}

interface Language {
  readonly customers: string;
  readonly suppliers: string;
  readonly asAt: (day: string) => string;
  readonly code: readonly [customers: string, suppliers: string];
  readonly name: readonly [customers: string, suppliers: string];
  readonly number: string;
  readonly date: string;
  readonly due: string;
  readonly terms: string;
  readonly kind: string;
  readonly currency: string;
  readonly original: string;
  readonly open: string;
  readonly base: (currency: string) => string;
  readonly subtotal: string;
  readonly total: string;
  readonly carried: readonly [forward: string, brought: string];
  readonly notDue: string;
  readonly days: (from: number, to: number) => string;
  readonly over: (days: number) => string;
  readonly kinds: readonly [invoice: string, credit: string, payment: string];
  readonly prefixes: readonly [invoice: string, credit: string, payment: string];
  readonly who: readonly [customer: string, supplier: string];
  readonly euros: string;
  readonly names: readonly string[];
}

const LANGUAGES: readonly Language[] = [
  {
    customers: 'Aged receivables', suppliers: 'Aged payables', asAt: (day) => `as at ${day}`,
    code: ['Customer no', 'Supplier no'], name: ['Customer', 'Supplier'], number: 'Invoice no', date: 'Date', due: 'Due date', terms: 'Terms (days)',
    kind: 'Type', currency: 'Currency', original: 'Amount', open: 'Outstanding', base: (c) => `Base amount ${c}`, subtotal: 'Total', total: 'Grand total',
    carried: ['Carried forward', 'Brought forward'], notDue: 'Not due', days: (a, b) => `${a}-${b} days`, over: (n) => `Over ${n} days`,
    kinds: ['Invoice', 'Credit note', 'Payment'], prefixes: ['INV-', 'CN-', 'REC-'], who: ['Customer', 'Supplier'], euros: 'All amounts in EUR',
    names: ['Ardmore Boats', 'Ballin Bakery Ltd', 'Cairn & Sons', 'Drumlin Yarns', 'Total Fitness Skerry', 'Errislannan Foods', 'Glen Joinery'],
  },
  {
    customers: 'Offene Posten Debitoren', suppliers: 'Offene Posten Kreditoren', asAt: (day) => `Stichtag ${day}`,
    code: ['Debitor', 'Kreditor'], name: ['Kunde', 'Lieferant'], number: 'Belegnr.', date: 'Belegdatum', due: 'Fällig am', terms: 'Zahlungsziel',
    kind: 'Belegart', currency: 'Währung', original: 'Rechnungsbetrag', open: 'Offener Betrag', base: (c) => `Betrag in ${c}`, subtotal: 'Summe', total: 'Gesamtsumme',
    carried: ['Übertrag', 'Übertrag'], notDue: 'Nicht fällig', days: (a, b) => `${a} bis ${b} Tage`, over: (n) => `über ${n} Tage`,
    kinds: ['Rechnung', 'Gutschrift', 'Zahlung'], prefixes: ['RE', 'GS', 'ZE'], who: ['Kunde', 'Lieferant'], euros: 'Beträge in Euro',
    names: ['Bäckerei Kröger', 'Tischlerei Wößner GmbH', 'Summe & Partner', 'Gärtnerei Ahrens', 'Druckhaus Moll', 'Weinhandlung Sturm', 'Hofladen Jäger'],
  },
  {
    customers: 'Balance âgée clients', suppliers: 'Balance âgée fournisseurs', asAt: (day) => `au ${day}`,
    code: ['Compte', 'Compte'], name: ['Client', 'Fournisseur'], number: 'N° pièce', date: 'Date', due: 'Échéance', terms: 'Délai (jours)',
    kind: 'Nature', currency: 'Devise', original: 'Montant TTC', open: 'Reste dû', base: (c) => `Contre-valeur ${c}`, subtotal: 'Total', total: 'Total général',
    carried: ['À reporter', 'Report'], notDue: 'Non échu', days: (a, b) => `${a} à ${b} j`, over: (n) => `+ de ${n} j`,
    kinds: ['Facture', 'Avoir', 'Règlement'], prefixes: ['FA', 'AV', 'RG'], who: ['Client', 'Fournisseur'], euros: 'Montants en euros',
    names: ['Boulangerie Kerdoncuff', 'Atelier Vauquelin', 'Garage Échalier', 'Sté Montplaisir', 'Librairie du Quai', 'Cave Solignac', 'Menuiserie Aubrac'],
  },
  {
    customers: 'Clientes: documentos pendientes', suppliers: 'Proveedores: documentos pendientes', asAt: (day) => `a ${day}`,
    code: ['Cuenta', 'Cuenta'], name: ['Cliente', 'Proveedor'], number: 'N.º factura', date: 'Fecha', due: 'Vencimiento', terms: 'Plazo',
    kind: 'Tipo', currency: 'Divisa', original: 'Importe', open: 'Pendiente', base: (c) => `Contravalor ${c}`, subtotal: 'Total', total: 'Total general',
    carried: ['Suma y sigue', 'Suma anterior'], notDue: 'No vencido', days: (a, b) => `${a}-${b} días`, over: (n) => `más de ${n}`,
    kinds: ['Factura', 'Abono', 'Pago'], prefixes: ['F-', 'AB-', 'ANT-'], who: ['Cliente', 'Proveedor'], euros: 'Importes en euros',
    names: ['Bodegas Ulloa, S.L.', 'Talleres Noriega', 'Panadería Castaño', 'Papelería Ibáñez', 'Suma Envases', 'Viveros del Sil', 'Hostal Peñarroya'],
  },
  {
    customers: 'Partite aperte clienti', suppliers: 'Partite aperte fornitori', asAt: (day) => `al ${day}`,
    code: ['Codice', 'Codice'], name: ['Cliente', 'Fornitore'], number: 'Numero documento', date: 'Data documento', due: 'Scadenza', terms: 'Giorni',
    kind: 'Tipo documento', currency: 'Valuta', original: 'Importo', open: 'Residuo', base: (c) => `Controvalore ${c}`, subtotal: 'Totale', total: 'Totale generale',
    carried: ['A riportare', 'Riporto'], notDue: 'A scadere', days: (a, b) => `${a}-${b} gg`, over: (n) => `oltre ${n}`,
    kinds: ['Fattura', 'Nota di credito', 'Incasso'], prefixes: ['FT', 'NC', 'IN'], who: ['Cliente', 'Fornitore'], euros: 'Importi in euro',
    names: ['Forno Bellandi', 'Officina Sereni s.r.l.', 'Cartoleria Moro', 'Vivaio Lanza', 'Trattoria Da Ugo', 'Tessuti Nardi', 'Cantina Olmo'],
  },
  {
    customers: 'Openstaande posten debiteuren', suppliers: 'Openstaande posten crediteuren', asAt: (day) => `per ${day}`,
    code: ['Debiteurnr', 'Crediteurnr'], name: ['Klant', 'Leverancier'], number: 'Factuurnr', date: 'Factuurdatum', due: 'Vervaldatum', terms: 'Betaaltermijn',
    kind: 'Soort', currency: 'Valuta', original: 'Factuurbedrag', open: 'Openstaand', base: (c) => `Tegenwaarde ${c}`, subtotal: 'Totaal', total: 'Eindtotaal',
    carried: ['Transporteren', 'Transport'], notDue: 'Niet vervallen', days: (a, b) => `${a} tot ${b} dagen`, over: (n) => `meer dan ${n}`,
    kinds: ['Factuur', 'Creditnota', 'Betaling'], prefixes: ['VF', 'CN', 'BK'], who: ['Klant', 'Leverancier'], euros: 'Bedragen in euro',
    names: ['Bakkerij Terpstra', 'Drukkerij De Wit B.V.', 'Kaashandel Boer', 'Bloemen Visser', 'Totaal Tuinen', 'Smederij Prins', 'Hotel Zeezicht'],
  },
  {
    customers: 'Rozrachunki z odbiorcami', suppliers: 'Rozrachunki z dostawcami', asAt: (day) => `na dzień ${day}`,
    code: ['Kod kontrahenta', 'Kod kontrahenta'], name: ['Nazwa', 'Nazwa'], number: 'Numer dokumentu', date: 'Data wystawienia', due: 'Termin płatności', terms: 'Termin (dni)',
    kind: 'Rodzaj', currency: 'Waluta', original: 'Kwota', open: 'Do rozliczenia', base: (c) => `Kwota w ${c}`, subtotal: 'Razem', total: 'Razem saldo',
    carried: ['Do przeniesienia', 'Z przeniesienia'], notDue: 'Niewymagalne', days: (a, b) => `${a}-${b} dni`, over: (n) => `ponad ${n}`,
    kinds: ['Faktura', 'Korekta', 'Zaliczka'], prefixes: ['FV/', 'KOR/', 'ZAL/'], who: ['Odbiorca', 'Dostawca'], euros: 'Kwoty w EUR',
    names: ['Piekarnia Zdrój', 'Stolarnia Łęg sp. z o.o.', 'Drukarnia Wąs', 'Ogrody Żuk', 'Razem Budujemy', 'Tkalnia Mróz', 'Zajazd Sójka'],
  },
  {
    customers: 'Kundreskontra, öppna poster', suppliers: 'Leverantörsreskontra, öppna poster', asAt: (day) => `per ${day}`,
    code: ['Kundnr', 'Leverantörsnr'], name: ['Kund', 'Leverantör'], number: 'Fakturanr', date: 'Fakturadatum', due: 'Förfallodatum', terms: 'Villkor (dagar)',
    kind: 'Typ', currency: 'Valuta', original: 'Fakturabelopp', open: 'Restbelopp', base: (c) => `Belopp i ${c}`, subtotal: 'Summa', total: 'Totalt',
    carried: ['Transport', 'Ingående transport'], notDue: 'Ej förfallet', days: (a, b) => `${a}-${b} dagar`, over: (n) => `över ${n}`,
    kinds: ['Faktura', 'Kreditfaktura', 'Betalning'], prefixes: ['F', 'KF', 'B'], who: ['Kund', 'Leverantör'], euros: 'Belopp i EUR',
    names: ['Bageriet Ängen', 'Snickeri Åström AB', 'Tryckeri Öberg', 'Blomster Lind', 'Vandrarhem Norr', 'Väveri Holm', 'Kafé Måsen'],
  },
]; // prettier-ignore

/** A list from a seed. */
export const makeList = (seed: number): MadeList => {
  const random = seeded(seed * 7919 + 17);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
  const whether = (chance: number): boolean => random() < chance;
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const language = pick(LANGUAGES);
  const traits: string[] = [];
  const kind = pick(['customers', 'suppliers'] as const);
  const side = kind === 'customers' ? 0 : 1;
  const asAt = isoOf(Date.UTC(2026, whole(0, 8), 0));
  const numbers = pick([
    ['.', ','],
    [',', '.'],
    [' ', ','],
    ['\u202f', ','],
    ['', '.'],
    ["'", '.'],
  ] as const);
  const dates = pick([
    'dmy.',
    'dmy/',
    'iso',
    'dmy-',
    ...(language === LANGUAGES[0] ? (['mdy/'] as const) : []),
  ] as const);
  const dayText = (iso: string): string => {
    const [year = '', month = '', day = ''] = iso.split('-');
    switch (dates) {
      case 'iso':
        return iso;
      case 'mdy/':
        return `${month}/${day}/${year}`;
      default:
        return [day, month, year].join(dates.slice(-1));
    }
  };
  const bare = (units: number): string => bareAmount(units, numbers);
  const minus = pick(['leading', 'trailing', 'brackets'] as const);
  const amountText = (units: number): string => {
    if (units >= 0) return bare(units);
    return minus === 'leading' ? `-${bare(units)}` : minus === 'trailing' ? `${bare(units)}-` : `(${bare(units)})`;
  };
  const layout = pick(['flat', 'flat', 'headings', 'first row only'] as const);
  const ageing = whether(0.25);
  const kinded = whether(0.4);
  // Without a sign only a column of kinds tells what counts against.
  const unsigned = kinded && !ageing && whether(0.4);
  const terms = !ageing && whether(0.25);
  const foreign = !ageing && whether(0.3);
  const original = !ageing && whether(0.6);
  const pages = layout !== 'first row only' && whether(0.25);
  const subtotals = whether(0.5);
  // Titles that no language has, where what stands in a column tells what it is.
  const strange = whether(0.3);
  const printedPositive = kind === 'suppliers' ? whether(0.6) : true;
  traits.push(
    layout,
    minus,
    ...(ageing ? ['ageing'] : []),
    ...(unsigned ? ['unsigned'] : []),
    ...(strange ? ['strange titles'] : []),
    ...(terms ? ['terms'] : []),
    ...(foreign ? ['foreign'] : []),
    ...(pages ? ['pages'] : []),
    dates,
    kind,
  );

  const cells: string[][] = [];
  const items: MadeItem[] = [];
  const grid: readonly (readonly [string, string])[] = [
    ...(layout === 'headings'
      ? []
      : ([
          ['code', strange && !foreign ? 'Qwf' : language.code[side]],
          ['name', language.name[side]],
        ] as const)),
    ...(kinded ? ([['kind', language.kind]] as const) : []),
    ['number', strange && layout !== 'headings' && whether(0.5) ? 'Snk' : language.number],
    ['date', language.date],
    terms ? ['terms', language.terms] : ['due', language.due],
    ...(foreign ? ([['currency', language.currency]] as const) : []),
    ...(original ? ([['original', strange ? 'Brx' : language.original]] as const) : []),
    ...(ageing
      ? ([
          ['age0', language.notDue],

          ['age1', language.days(1, 30)],
          ['age2', language.days(31, 60)],
          ['age3', language.days(61, 90)],
          ['age4', language.over(90)],
        ] as const)
      : ([['open', strange && !foreign && whether(0.5) ? 'Gvr' : language.open]] as const)),
    ...(foreign ? ([['base', language.base('EUR')]] as const) : []),
  ];
  const row = (values: Readonly<Record<string, string>>): string[] => grid.map(([column]) => values[column] ?? '');
  const header = grid.map(([, title]) => title);
  const titles = [
    ['Harbour Lane Stores'],
    [`${kind === 'customers' ? language.customers : language.suppliers} ${language.asAt(dayText(asAt))}`],
    ...(foreign ? [] : [[language.euros]]),
  ];
  cells.push(...titles, ...(whether(0.5) ? [[]] : []), header);
  let running = 0;
  let count = 0;
  const totalsRow = (label: string, sums: Readonly<Record<string, number>>): string[] => {
    const place = layout === 'headings' ? 'number' : whether(0.5) ? 'name' : 'code';
    return row({
      [place]: label,
      ...Object.fromEntries(Object.entries(sums).map(([column, units]) => [column, amountText(units)])),
    });
  };
  const all: Record<string, number> = {};
  const contacts = whole(3, 7);
  for (let contact = 0; contact < contacts; contact += 1) {
    const code = `${side === 0 ? 'K' : 'L'}${String(10_000 + contact * 37)}`;
    const name = language.names[(contact + seed) % language.names.length] ?? '';
    if (layout === 'headings')
      cells.push(whether(0.5) ? [`${language.who[side]}: ${code} - ${name}`] : [`${code} ${name}`]);
    const currency = foreign ? pick(['EUR', 'EUR', 'GBP', 'NOK'] as const) : 'EUR';
    const rate = currency === 'EUR' ? 1 : currency === 'GBP' ? 1.17 : 0.087;
    const own: Record<string, number> = {};
    const documents = whole(1, 6);
    for (let place = 0; place < documents; place += 1) {
      const roll = place === 0 ? 0 : random();
      const which = roll < 0.8 ? 0 : roll < 0.92 ? 1 : 2;
      const documentKind = (['invoice', 'credit-note', 'payment'] as const)[which];
      const number = `${language.prefixes[which]}${String(26_000 + count * 7 + which)}`;
      const day = Date.parse(asAt) - whole(0, 150) * DAY;
      const days = pick([14, 30, 30, 45]);
      const due = which === 2 ? null : isoOf(day + days * DAY);
      const size = whole(1000, 900_000);
      const open = whether(0.2) ? Math.max(1, Math.floor(size / 2)) : size;
      const books = (which === 0 ? 1 : -1) * (side === 0 ? 1 : -1);
      const printed = unsigned ? 1 : books * (side === 1 && printedPositive ? -1 : 1);
      const late = due === null ? -1 : Math.round((Date.parse(asAt) - Date.parse(due)) / DAY);
      const bucket = late <= 0 ? 0 : late <= 30 ? 1 : late <= 60 ? 2 : late <= 90 ? 3 : 4;
      const base = Math.round(open * rate);
      const sums: Record<string, number> = ageing
        ? { [`age${String(bucket)}`]: printed * open }
        : {
            ...(original && !foreign ? { original: printed * size } : {}),
            ...(foreign ? { base: printed * base } : { open: printed * open }),
          };
      // What is printed without a sign is still added up with one.
      const factor = unsigned ? (which === 0 ? 1 : -1) : 1;
      for (const [column, units] of Object.entries(sums)) {
        own[column] = (own[column] ?? 0) + units * factor;
        all[column] = (all[column] ?? 0) + units * factor;
      }
      running += Object.values(sums)[0] ?? 0;
      const shown = layout === 'flat' || place === 0;
      cells.push(
        row({
          ...(shown ? { code, name } : {}),
          kind: language.kinds[which],
          number,
          date: dayText(isoOf(day)),
          due: due === null ? '' : dayText(due),
          terms: due === null ? '' : String(days),
          currency,
          original: amountText(printed * size),
          ...(ageing ? { [`age${String(bucket)}`]: amountText(printed * open) } : { open: amountText(printed * open) }),
          ...(foreign ? { base: amountText(printed * base) } : {}),
        }),
      );
      items.push({
        row: cells.length,
        contactCode: code,
        contactName: name,
        documentKind,
        number,
        date: isoOf(day),
        due,
        currency,
        open: `${books < 0 ? '-' : ''}${String(Math.floor(open / 100))}.${String(open % 100).padStart(2, '0')}`,
      });
      count += 1;
      if (pages && count % 9 === 0 && place + 1 < documents) {
        cells.push(totalsRow(language.carried[0], { [ageing ? 'age0' : foreign ? 'base' : 'open']: running }));
        cells.push(
          ...titles,
          header,
          totalsRow(language.carried[1], { [ageing ? 'age0' : foreign ? 'base' : 'open']: running }),
        );
      }
    }
    if (subtotals) cells.push(totalsRow(whether(0.5) ? language.subtotal : `${language.subtotal} ${name}`, own));
  }
  cells.push(totalsRow(language.total, all));
  const text = csvOf(cells, grid.length);
  return { name: `list-${String(seed)}.csv`, text, kind, asAt, items, traits };
};
