import { folded } from '../files/cells';

/**
 * Words of the trade that mean one thing, in the languages of the papers that come in; folded. The first of a group stands
 * for all of it.
 */
const GROUPS: readonly string[] = [
  'receivable receivables debtors debtor forderungen debitoren pohledavky odberatele creances clients kunder debiteuren clientes',
  'payable payables creditors creditor verbindlichkeiten kreditoren zavazky dodavatele fournisseurs leverandorer crediteuren proveedores suppliers supplier',
  'customer customers',
  'stock stocks inventory inventories vorrate zasoby lager voorraad existencias',
  'sales sale turnover revenue revenues umsatz umsatzerlose erlose trzby ventes salg omzet ventas',
  'wages wage salaries salary payroll lohne gehalter mzdy salaires lonn lonen sueldos',
  'bank banks banka banque banco',
  'cash till kasse pokladna caisse kassa caja',
  'rent lease miete najem najemne loyer husleie huur alquiler',
  'insurance versicherung pojisteni assurance forsikring verzekering seguro',
  'vat mwst dph tva iva btw mva moms gst',
  'capital kapital jmeni',
  'reserves reserve rucklagen',
  'depreciation amortisation amortization abschreibungen abschreibung odpisy amortissements avskrivning afschrijving amortizacion',
  'accumulated cumulated kumulierte opravky',
  'loan loans darlehen kredit uver emprunt lan lening prestamo borrowings',
  'interest zinsen uroky interets renter rente intereses',
  'purchases purchase einkauf wareneinkauf nakup achats innkjop inkoop compras',
  'motor vehicle vehicles car cars van vans fahrzeuge vozidla vehicules',
  'machinery machine machines maschinen stroje plant equipment zarizeni',
  'premises buildings building gebaude budovy batiments property',
  'prepaid prepayments prepayment deferred rechnungsabgrenzung',
  'accrued accruals accrual',
  'telephone phone telefon telecom internet',
  'repairs repair maintenance reparaturen instandhaltung opravy entretien',
  'advertising marketing promotion werbung reklama publicite',
  'fuel petrol diesel kraftstoff pohonne',
  'electricity light heat power energy strom energie utilities',
  'fees fee charges charge gebuhren poplatky frais',
  'retained accumulated profits gewinnvortrag nerozdeleny',
  'drawings draw withdrawals privatentnahmen',
  'grant grants subsidy subsidies zuschuss dotace subvention',
  'freight carriage shipping postage fracht doprava port',
  'office buro kancelar bureau',
  'travel travelling reise cestovne deplacement',
];

const CANONICAL: ReadonlyMap<string, string> = new Map(
  GROUPS.flatMap((group) => {
    const words = group.split(' ');
    return words.map((word): [string, string] => [word, words[0] ?? word]);
  }),
);

/** Words that say nothing about which account is meant. */
const EMPTY: ReadonlySet<string> = new Set(
  'account accounts acc trade control a c the of and for at in on to other current general misc sundry from with und der die das fur aus a v na z de la le les et du des og van y ltd limited'.split(
    ' ',
  ),
);

/** What a name is about: its words in the trade's sense, without those that say nothing. */
export const meaning = (name: string): ReadonlySet<string> =>
  new Set(
    folded(name)
      .split(' ')
      .filter((word) => word !== '' && !EMPTY.has(word) && (word.length > 1 || /\d/.test(word)))
      .map((word) => CANONICAL.get(word) ?? word),
  );
