import { seeded } from '../../openings/search/planting';
import type { RegisterKind } from '../registers/register-words';
import { DAY, bareAmount, csvOf, isoOf, plainAmount } from './written';

/**
 * Invents registers of assets, stock lists, plans of loans and lists of prepayments, with what a right reading gives. It shares nothing
 * with the reader but the names of the kinds.
 */
export interface MadeRegister {
  readonly name: string;
  readonly text: string;
  readonly kind: RegisterKind;
  readonly asAt: string;
  readonly items: readonly Readonly<Record<string, string | number | null>>[];
  readonly traits: readonly string[];
}

interface Language {
  readonly asAt: string;
  readonly titles: readonly [assets: string, stock: string, loans: string, prepayments: string];
  readonly subtotal: string;
  readonly total: string;
  readonly groups: readonly string[];
  readonly things: readonly string[];
  readonly assets: Readonly<Record<'code' | 'name' | 'group' | 'acquired' | 'years' | 'months' | 'cost' | 'brought' | 'charge' | 'depreciation' | 'net' | 'disposed', string>>; // prettier-ignore
  readonly stock: Readonly<Record<'code' | 'name' | 'group' | 'unit' | 'quantity' | 'unitCost' | 'value' | 'price', string>>; // prettier-ignore
  readonly loans: Readonly<Record<'number' | 'date' | 'instalment' | 'interest' | 'principal' | 'outstanding', string>>;
  readonly spans: Readonly<Record<'code' | 'name' | 'from' | 'to' | 'amount' | 'used' | 'remaining', string>>;
}

const LANGUAGES: readonly Language[] = [
  {
    asAt: 'as at', titles: ['Fixed asset register', 'Stock valuation', 'Repayment schedule', 'Prepayments'], subtotal: 'Total', total: 'Grand total',
    groups: ['Boats', 'DRYING RACKS', 'Vans and trailers', 'Office'], things: ['Rope press', 'Total station, surveying', 'Drying rack, steel', 'Hull "Brine"', 'Sum board', 'Trailer 750 kg', 'Scales'],
    assets: { code: 'No', name: 'Description', group: 'Class', acquired: 'Acquired', years: 'Life (years)', months: 'Life in months', cost: 'Cost', brought: 'Depreciation b/f', charge: 'Charge for the year', depreciation: 'Accumulated depreciation', net: 'Net book value', disposed: 'Sold on' },
    stock: { code: 'Code', name: 'Article', group: 'Group', unit: 'Unit', quantity: 'Quantity', unitCost: 'Unit cost', value: 'Value', price: 'Selling price' },
    loans: { number: 'No', date: 'Due date', instalment: 'Payment', interest: 'Interest', principal: 'Principal', outstanding: 'Balance' },
    spans: { code: 'Ref', name: 'What', from: 'From', to: 'To', amount: 'Amount', used: 'Used', remaining: 'Prepaid' },
  },
  {
    asAt: 'zum', titles: ['Anlagenverzeichnis', 'Inventurliste', 'Tilgungsplan', 'Rechnungsabgrenzung'], subtotal: 'Summe', total: 'Gesamtsumme',
    groups: ['Boote', 'MASCHINEN', 'Fuhrpark', 'Büroausstattung'], things: ['Trockner groß', 'Summenzähler', 'Anhänger 750 kg', 'Seilwinde', 'Gabelstapler', 'Kühlraum', 'Waage'],
    assets: { code: 'Inventarnr.', name: 'Bezeichnung', group: 'Anlagengruppe', acquired: 'Anschaffungsdatum', years: 'Nutzungsdauer', months: 'ND Monate', cost: 'Anschaffungskosten', brought: 'AfA Vorjahre', charge: 'AfA lfd. Jahr', depreciation: 'Kum. Abschreibung', net: 'Restbuchwert', disposed: 'Abgang am' },
    stock: { code: 'Artikelnr.', name: 'Bezeichnung', group: 'Warengruppe', unit: 'ME', quantity: 'Bestand', unitCost: 'Einstandspreis', value: 'Lagerwert', price: 'VK-Preis' },
    loans: { number: 'Nr.', date: 'Fällig am', instalment: 'Rate', interest: 'Zinsen', principal: 'Tilgung', outstanding: 'Restschuld' },
    spans: { code: 'Nr.', name: 'Bezeichnung', from: 'von', to: 'bis', amount: 'Betrag', used: 'Verbraucht', remaining: 'Abgrenzung' },
  },
  {
    asAt: 'au', titles: ['État des immobilisations', 'Inventaire des stocks', 'Tableau d’amortissement', 'Charges constatées d’avance'], subtotal: 'Total', total: 'Total général',
    groups: ['Bateaux', 'MATÉRIEL', 'Véhicules', 'Mobilier'], things: ['Séchoir', 'Balance', 'Remorque', 'Treuil à main', 'Chambre froide', 'Coque d’appoint', 'Cordages'],
    assets: { code: 'N°', name: 'Désignation', group: 'Famille', acquired: 'Date d’acquisition', years: 'Durée (ans)', months: 'Durée (mois)', cost: 'Valeur brute', brought: 'Amort. antérieurs', charge: 'Dotation', depreciation: 'Amort. cumulés', net: 'VNC', disposed: 'Cédé le' },
    stock: { code: 'Référence', name: 'Désignation', group: 'Famille', unit: 'Unité', quantity: 'Qté', unitCost: 'P.U.', value: 'Montant', price: 'Prix de vente' },
    loans: { number: 'N°', date: 'Date', instalment: 'Échéance', interest: 'Intérêts', principal: 'Amortissement', outstanding: 'Capital restant dû' },
    spans: { code: 'Réf', name: 'Libellé', from: 'Du', to: 'Au', amount: 'Montant', used: 'Consommé', remaining: 'CCA' },
  },
  {
    asAt: 'na dzień', titles: ['Ewidencja środków trwałych', 'Spis z natury', 'Harmonogram spłat', 'Rozliczenia międzyokresowe'], subtotal: 'Razem', total: 'Ogółem',
    groups: ['Łodzie', 'MASZYNY', 'Samochody', 'Wyposażenie'], things: ['Suszarnia', 'Waga pomostowa', 'Przyczepa', 'Wciągarka', 'Chłodnia', 'Liny', 'Razemek zestaw'],
    assets: { code: 'Nr inw.', name: 'Nazwa', group: 'Grupa KŚT', acquired: 'Data zakupu', years: 'Lat', months: 'Okres (miesiące)', cost: 'Wartość początkowa', brought: 'Umorzenie BO', charge: 'Amortyzacja roczna', depreciation: 'Umorzenie', net: 'Wartość netto', disposed: 'Data zbycia' },
    stock: { code: 'Symbol', name: 'Nazwa towaru', group: 'Grupa', unit: 'J.m.', quantity: 'Ilość', unitCost: 'Cena zakupu', value: 'Wartość', price: 'Cena sprzedaży' },
    loans: { number: 'Lp.', date: 'Termin płatności', instalment: 'Rata', interest: 'Odsetki', principal: 'Kapitał', outstanding: 'Saldo' },
    spans: { code: 'Nr', name: 'Opis', from: 'Od', to: 'Do', amount: 'Kwota', used: 'Rozliczono', remaining: 'Pozostało' },
  },
  {
    asAt: 'per', titles: ['Anläggningsregister', 'Lagerlista', 'Amorteringsplan', 'Förutbetalda kostnader'], subtotal: 'Summa', total: 'Totalt',
    groups: ['Båtar', 'MASKINER', 'Fordon', 'Inventarier'], things: ['Torkställ', 'Våg', 'Släpkärra', 'Vinsch', 'Kylrum', 'Rep och linor', 'Truck'],
    assets: { code: 'Anläggningsnr', name: 'Benämning', group: 'Kategori', acquired: 'Inköpsdatum', years: 'Livslängd (år)', months: 'Månader', cost: 'Anskaffningsvärde', brought: 'Ingående avskrivningar', charge: 'Årets avskrivning', depreciation: 'Ack. avskrivningar', net: 'Bokfört värde', disposed: 'Såld' },
    stock: { code: 'Artikelnr', name: 'Benämning', group: 'Varugrupp', unit: 'Enhet', quantity: 'Antal', unitCost: 'Inköpspris', value: 'Lagervärde', price: 'Försäljningspris' },
    loans: { number: 'Avi', date: 'Förfallodag', instalment: 'Att betala', interest: 'Ränta', principal: 'Amortering', outstanding: 'Restskuld' },
    spans: { code: 'Ver', name: 'Text', from: 'Från', to: 'Till', amount: 'Belopp', used: 'Periodiserat', remaining: 'Kvar' },
  },
]; // prettier-ignore

type Values = Readonly<Record<string, string>>;

export const makeRegister = (seed: number, of?: RegisterKind): MadeRegister => {
  const random = seeded(seed * 6_007 + 29);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
  const whether = (chance: number): boolean => random() < chance;
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const kind = of ?? pick(['assets', 'stock', 'loans', 'prepayments'] as const);
  const language = pick(LANGUAGES);
  const asAt = isoOf(Date.UTC(2026, whole(0, 8), 0));
  const numbers = pick([['.', ','], [',', '.'], [' ', ','], ['', '.'], ['', ',']] as const); // prettier-ignore
  const dates = pick(['iso', 'dmy.', 'dmy/', 'dmy-'] as const);
  const dayText = (iso: string | null): string => {
    const [year = '', month = '', day = ''] = (iso ?? '').split('-');
    return iso === null ? '' : dates === 'iso' ? iso : [day, month, year].join(dates.slice(-1));
  };
  const sign = pick(['-', '(']);
  const money = (units: number): string =>
    units >= 0 ? bareAmount(units, numbers) : sign === '-' ? `-${bareAmount(units, numbers)}` : `(${bareAmount(units, numbers)})`; // prettier-ignore
  /** A figure of `scale` decimals, zeros at its end left out or not. */
  const figure = (units: number, scale: number): string => {
    const digits = String(Math.abs(units)).padStart(scale + 1, '0');
    const fraction = digits.slice(digits.length - scale);
    return `${units < 0 ? '-' : ''}${digits.slice(0, digits.length - scale)}${scale === 0 ? '' : `${numbers[1]}${fraction}`}`;
  };
  const plain = (units: number, scale: number): string => {
    const text = `${units < 0 ? '-' : ''}${String(Math.abs(units)).padStart(scale + 1, '0').slice(0, -scale || undefined)}${scale === 0 ? '' : `.${String(Math.abs(units)).padStart(scale + 1, '0').slice(-scale)}`}`; // prettier-ignore
    if (scale === 0) return text;
    let end = text.length;
    while (text[end - 1] === '0') end -= 1;
    return text.slice(0, text[end - 1] === '.' ? end - 1 : end);
  };
  const grouping = pick(['section', 'column', 'column', 'footer', 'none'] as const);
  const strange = whether(0.25);
  const subtotals = grouping === 'footer' || (grouping === 'section' && whether(0.7));
  const pages = whether(0.2);
  const traits: string[] = [kind, language.total, grouping, dates, numbers.join(''), ...(strange ? ['strange titles'] : []), ...(pages ? ['pages'] : [])]; // prettier-ignore
  const items: Record<string, string | number | null>[] = [];
  const cells: string[][] = [];
  const title = language.titles[['assets', 'stock', 'loans', 'prepayments'].indexOf(kind)] ?? '';
  const titles = [['Harbour Lane Stores'], [`${title} ${language.asAt} ${dayText(asAt)}`]];

  let grid: readonly (readonly [string, string])[] = [];
  const row = (values: Values): string[] => grid.map(([column]) => values[column] ?? '');
  const begin = (columns: readonly (readonly [string, string] | false)[]): void => {
    grid = columns.filter((one) => one !== false);
    cells.push(
      ...titles,
      ...(whether(0.5) ? [[]] : []),
      grid.map(([, name]) => name),
    );
  };
  const odd = (name: string, other: string): string => (strange ? other : name);
  const sumRow = (label: string, sums: Readonly<Record<string, number>>): void => {
    const place = grid.some(([column]) => column === 'name') ? 'name' : (grid[0]?.[0] ?? 'date');
    cells.push(row({ [place]: label, ...Object.fromEntries(Object.entries(sums).map(([column, units]) => [column, money(units)])) })); // prettier-ignore
  };
  const addUp = (sums: Record<string, number>, of: Readonly<Record<string, number>>): void => {
    for (const [column, units] of Object.entries(of)) sums[column] = (sums[column] ?? 0) + units;
  };
  /** Things in groups, with headings, sums and what is printed on every page. */
  const grouped = (
    each: (
      group: string | null,
      place: number,
    ) => {
      readonly values: Values;
      readonly sums: Readonly<Record<string, number>>;
      readonly item: Record<string, string | number | null>;
    },
  ): void => {
    // prettier-ignore
    const all: Record<string, number> = {};
    const groups = grouping === 'none' ? [null] : language.groups.slice(0, whole(2, 4));
    let place = 0;
    for (const group of groups) {
      if (grouping === 'section') cells.push([group ?? '']);
      const own: Record<string, number> = {};
      const count = group === null ? whole(6, 14) : whole(2, 6);
      for (let at = 0; at < count; at += 1) {
        place += 1;
        const { values, sums, item } = each(group, place);
        cells.push(row({ ...values, ...(grouping === 'column' ? { group: group ?? '' } : {}) }));
        items.push({ row: cells.length, ...item });
        addUp(own, sums);
        addUp(all, sums);
        if (pages && place % 5 === 0 && at + 1 < count)
          cells.push(
            ...titles,
            grid.map(([, name]) => name),
          );
      }
      if (subtotals) sumRow(`${language.subtotal} ${group ?? ''}`.trim(), own);
    }
    sumRow(language.total, all);
  };

  if (kind === 'assets') {
    const names = language.assets;
    const coded = whether(0.8);
    const two = whether(0.5);
    const lived = whether(0.7);
    const inMonths = whether(0.4);
    const gone = whether(0.3);
    const negative = !two && whether(0.3);
    traits.push(two ? 'two columns of depreciation' : 'one column', ...(negative ? ['negative depreciation'] : []), ...(gone ? ['disposed'] : [])); // prettier-ignore
    begin([
      coded && ['code', odd(names.code, 'Zlb')],
      ['name', names.name],
      grouping === 'column' && ['group', names.group],
      ['acquired', odd(names.acquired, 'Pqd')],
      lived && ['life', inMonths ? names.months : names.years],
      ['cost', names.cost],
      ...(two ? ([['brought', names.brought], ['charge', names.charge]] as const) : ([['depreciation', odd(names.depreciation, 'Vrt')]] as const)), // prettier-ignore
      ['net', odd(names.net, 'Knw')],
      gone && ['disposed', names.disposed],
    ]);
    grouped((group, place) => {
      const years = pick([3, 4, 5, 8, 10, 20]);
      const cost = whole(20_000, 9_000_000);
      const land = whether(0.1);
      const sold = gone && !land && whether(0.15);
      const brought = land ? 0 : Math.min(cost, Math.floor((cost * whole(0, 100)) / 100));
      const charge = land ? 0 : Math.min(cost - brought, Math.floor(cost / years));
      const depreciation = two ? brought + charge : brought;
      const net = sold ? 0 : cost - depreciation;
      const acquired = isoOf(Date.parse(asAt) - whole(30, 4000) * DAY);
      const disposed = sold ? isoOf(Date.parse(asAt) - whole(1, 29) * DAY) : null;
      const [code, name] = [`A${String(100 + place * 3)}`, pick(language.things)];
      return {
        values: { code, name, acquired: dayText(acquired), life: land ? '' : String(inMonths ? years * 12 : years), cost: money(cost), brought: money(brought), charge: money(charge), depreciation: money(negative ? -depreciation : depreciation), net: money(net), disposed: dayText(disposed) }, // prettier-ignore
        sums: sold ? {} : { cost, ...(two ? { brought, charge } : { depreciation: negative ? -depreciation : depreciation }), net }, // prettier-ignore
        item: { code: coded ? code : null, name, class: group, acquired, cost: plainAmount(cost), depreciation: plainAmount(depreciation), net: plainAmount(net), lifeMonths: lived && !land ? years * 12 : null, disposed }, // prettier-ignore
      };
    });
  } else if (kind === 'stock') {
    const names = language.stock;
    const unitAt = whether(0.7);
    const priced = whether(0.3);
    const [quantities, costs] = [pick([0, 0, 3]), pick([2, 4])];
    begin([
      ['code', odd(names.code, 'Zlb')],
      ['name', names.name],
      grouping === 'column' && ['group', names.group],
      unitAt && ['unit', names.unit],
      ['quantity', odd(names.quantity, 'Mnr')],
      ['unitCost', names.unitCost],
      priced && ['price', names.price],
      ['value', odd(names.value, 'Tws')],
    ]);
    grouped((group, place) => {
      const quantity = (whether(0.08) ? -1 : 1) * whole(1, 900) * (quantities === 3 ? pick([1, 250, 1000]) : 1);
      const cost = whole(10, 90_000) * (costs === 4 ? 7 : 1);
      const exact = quantity * cost;
      const scale = 10 ** (quantities + costs - 2);
      const value = Math.sign(exact) * Math.round(Math.abs(exact) / scale);
      const [code, name, unit] = [`${pick(['RP', 'FT', '00'])}${String(1000 + place * 7)}`, pick(language.things), pick(['kg', 'm', 'pc'])]; // prettier-ignore
      return {
        values: { code, name, unit, quantity: figure(quantity, quantities), unitCost: figure(cost, costs), price: figure(Math.round(cost * 1.4), costs), value: money(value) }, // prettier-ignore
        sums: { value },
        item: { code, name, category: group, unit: unitAt ? unit : null, quantity: plain(quantity, quantities), unitCost: plain(cost, costs), value: plainAmount(value) }, // prettier-ignore
      };
    });
  } else if (kind === 'loans') {
    const names = language.loans;
    const numbered = whether(0.6);
    begin([
      numbered && ['number', names.number],
      ['date', odd(names.date, 'Pqd')],
      ['instalment', odd(names.instalment, 'Zkr')],
      ['interest', names.interest],
      ['principal', names.principal],
      ['outstanding', odd(names.outstanding, 'Vrt')],
    ]);
    const count = whole(8, 40);
    const principal = whole(50_000, 900_000);
    let left = principal * count;
    const all = { instalment: 0, interest: 0, principal: 0 };
    if (whether(0.4)) cells.push(row({ date: dayText(isoOf(Date.UTC(2025, 0, 31))), outstanding: money(left) }));
    for (let place = 1; place <= count; place += 1) {
      const interest = Math.round((left * whole(2, 6)) / 1200);
      left -= principal;
      const date = isoOf(Date.UTC(2025, place + 1, 0));
      const instalment = interest + principal;
      cells.push(row({ number: String(place), date: dayText(date), instalment: money(instalment), interest: money(interest), principal: money(principal), outstanding: money(left) })); // prettier-ignore
      items.push({ row: cells.length, date, instalment: plainAmount(instalment), interest: plainAmount(interest), principal: plainAmount(principal), outstanding: plainAmount(left) }); // prettier-ignore
      addUp(all, { instalment, interest, principal });
      if (pages && place % 12 === 0 && place < count)
        cells.push(
          ...titles,
          grid.map(([, name]) => name),
        );
    }
    if (whether(0.7)) sumRow(language.total, all);
  } else {
    const names = language.spans;
    const coded = whether(0.6);
    const used = whether(0.6);
    begin([
      coded && ['code', names.code],
      ['name', names.name],
      ['from', names.from],
      ['to', odd(names.to, 'Pqd')],
      ['amount', names.amount],
      used && ['used', names.used],
      ['remaining', names.remaining],
    ]);
    const all = { amount: 0, ...(used ? { used: 0 } : {}), remaining: 0 };
    const count = whole(4, 14);
    for (let place = 1; place <= count; place += 1) {
      const from = isoOf(Date.parse(asAt) - whole(20, 300) * DAY);
      const to = isoOf(Date.parse(from) + 364 * DAY);
      const amount = whole(5_000, 900_000);
      const remaining = Math.floor((amount * whole(5, 95)) / 100);
      const name = `${pick(language.things)} ${String(place)}`;
      cells.push(row({ code: `P-${String(300 + place)}`, name, from: dayText(from), to: dayText(to), amount: money(amount), used: money(amount - remaining), remaining: money(remaining) })); // prettier-ignore
      items.push({ row: cells.length, name, from, to, amount: plainAmount(amount), remaining: plainAmount(remaining) });
      addUp(all, { amount, ...(used ? { used: amount - remaining } : {}), remaining });
    }
    sumRow(language.total, all);
  }
  const text = csvOf(cells, grid.length);
  return { name: `register-${String(seed)}.csv`, text, kind, asAt, items, traits };
};
