/** Legal forms, as far as they change the books: they decide the equity accounts. */
export const LEGAL_FORMS = [
  { id: 'sole-trader', label: 'Sole trader' },
  { id: 'partnership', label: 'Partnership' },
  { id: 'limited-company', label: 'Limited company' },
  { id: 'members-company', label: 'Limited liability company of members' },
  { id: 'co-operative', label: 'Co-operative' },
  { id: 'association', label: 'Association or club' },
  { id: 'foundation', label: 'Foundation' },
  { id: 'charity', label: 'Charity or non-profit' },
  { id: 'branch', label: 'Branch of a company abroad' },
  { id: 'other', label: 'Other' },
] as const;

export type LegalForm = (typeof LEGAL_FORMS)[number]['id'];
export const LEGAL_FORM_IDS = LEGAL_FORMS.map((form) => form.id) as unknown as readonly [LegalForm, ...LegalForm[]];
export const legalFormLabel = (id: LegalForm): string => LEGAL_FORMS.find((form) => form.id === id)?.label ?? id;

/** What a legal form is called by the company laws of a country, for those who look for that word. */
const IN_COUNTRY: Readonly<Record<string, Partial<Record<LegalForm, string>>>> = {
  AT: {
    'sole-trader': 'e.U.',
    partnership: 'OG, KG',
    'limited-company': 'GmbH, AG',
    'co-operative': 'eG',
    association: 'Verein',
    foundation: 'Stiftung',
  },
  BE: {
    'sole-trader': 'eenmanszaak, entreprise individuelle',
    partnership: 'VOF, SNC',
    'limited-company': 'BV, SRL, NV, SA',
    'co-operative': 'CV, SC',
    association: 'vzw, asbl',
  },
  CH: {
    'sole-trader': 'Einzelfirma',
    partnership: 'Kollektivgesellschaft',
    'limited-company': 'GmbH, AG, Sàrl, SA',
    'co-operative': 'Genossenschaft',
    association: 'Verein',
    foundation: 'Stiftung',
  },
  CZ: {
    'sole-trader': 'OSVČ',
    partnership: 'v.o.s., k.s.',
    'limited-company': 's.r.o., a.s.',
    'co-operative': 'družstvo',
    association: 'spolek',
    foundation: 'nadace',
  },
  DE: {
    'sole-trader': 'Einzelunternehmen, e.K.',
    partnership: 'GbR, OHG, KG',
    'limited-company': 'GmbH, UG, AG',
    'co-operative': 'eG',
    association: 'e.V.',
    foundation: 'Stiftung',
    charity: 'gGmbH',
  },
  DK: {
    'sole-trader': 'enkeltmandsvirksomhed',
    partnership: 'I/S, K/S',
    'limited-company': 'ApS, A/S',
    association: 'forening',
    foundation: 'fond',
  },
  ES: {
    'sole-trader': 'autónomo',
    partnership: 'S.C.',
    'limited-company': 'S.L., S.A.',
    'co-operative': 'S.Coop.',
    association: 'asociación',
    foundation: 'fundación',
  },
  FI: {
    'sole-trader': 'toiminimi',
    partnership: 'Ay, Ky',
    'limited-company': 'Oy',
    'co-operative': 'osuuskunta',
    association: 'ry',
    foundation: 'säätiö',
  },
  FR: {
    'sole-trader': 'entreprise individuelle',
    partnership: 'SNC',
    'limited-company': 'SARL, SAS, SA',
    'co-operative': 'SCOP',
    association: 'association loi 1901',
    foundation: 'fondation',
  },
  GB: {
    partnership: 'LLP, partnership',
    'limited-company': 'Ltd, plc',
    'co-operative': 'registered society',
    charity: 'CIO, registered charity',
  },
  IE: { partnership: 'partnership, LP', 'limited-company': 'LTD, DAC, plc', charity: 'CLG' },
  IN: {
    'sole-trader': 'proprietorship',
    partnership: 'LLP, firm',
    'limited-company': 'Pvt Ltd, Ltd',
    association: 'society',
    foundation: 'trust',
  },
  IT: {
    'sole-trader': 'ditta individuale',
    partnership: 'S.n.c., S.a.s.',
    'limited-company': 'S.r.l., S.p.A.',
    'co-operative': 'soc. coop.',
    association: 'associazione',
    foundation: 'fondazione',
  },
  JP: { 'sole-trader': 'kojin jigyō', 'limited-company': 'kabushiki kaisha', 'members-company': 'gōdō kaisha' },
  NL: {
    'sole-trader': 'eenmanszaak',
    partnership: 'vof, maatschap',
    'limited-company': 'B.V., N.V.',
    'co-operative': 'coöperatie',
    association: 'vereniging',
    foundation: 'stichting',
  },
  NO: {
    'sole-trader': 'enkeltpersonforetak',
    partnership: 'ANS, DA',
    'limited-company': 'AS, ASA',
    association: 'forening',
    foundation: 'stiftelse',
  },
  PL: {
    'sole-trader': 'JDG',
    partnership: 'sp.j., sp.k.',
    'limited-company': 'sp. z o.o., S.A.',
    'co-operative': 'spółdzielnia',
    association: 'stowarzyszenie',
    foundation: 'fundacja',
  },
  PT: {
    'sole-trader': 'empresário em nome individual',
    'limited-company': 'Lda., S.A.',
    association: 'associação',
    foundation: 'fundação',
  },
  SE: {
    'sole-trader': 'enskild firma',
    partnership: 'HB, KB',
    'limited-company': 'AB',
    'co-operative': 'ekonomisk förening',
    association: 'ideell förening',
    foundation: 'stiftelse',
  },
  US: {
    'sole-trader': 'sole proprietorship',
    partnership: 'GP, LP, LLP',
    'limited-company': 'Inc., corporation',
    'members-company': 'LLC',
    charity: 'nonprofit corporation',
  },
};

/**
 * The label of a legal form with the country's own word beside it, where it is known.
 *
 * @example legalFormIn('limited-company', 'DE') // 'Limited company (GmbH, UG, AG)'
 */
export const legalFormIn = (id: LegalForm, country: string): string => {
  const word = IN_COUNTRY[country]?.[id];
  return word === undefined ? legalFormLabel(id) : `${legalFormLabel(id)} (${word})`;
};

/** Forms that have funds instead of owners. */
export const hasFunds = (form: LegalForm): boolean =>
  form === 'charity' || form === 'association' || form === 'foundation';
