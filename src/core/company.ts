/** Legal forms, as far as they change the books: they decide the equity accounts. */
export const LEGAL_FORMS = [
  { id: 'sole-trader', label: 'Sole trader' },
  { id: 'partnership', label: 'Partnership' },
  { id: 'limited-company', label: 'Limited company' },
  { id: 'co-operative', label: 'Co-operative' },
  { id: 'charity', label: 'Charity or non-profit' },
  { id: 'branch', label: 'Branch of a company abroad' },
  { id: 'other', label: 'Other' },
] as const;

export type LegalForm = (typeof LEGAL_FORMS)[number]['id'];
export const LEGAL_FORM_IDS = LEGAL_FORMS.map((form) => form.id) as unknown as readonly [LegalForm, ...LegalForm[]];
export const legalFormLabel = (id: LegalForm): string => LEGAL_FORMS.find((form) => form.id === id)?.label ?? id;

/** Names as people compare them: case, accents, punctuation and legal endings do not tell two companies apart. */
export const comparableName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\b(ltd|limited|plc|llp|llc|inc|gmbh|ag|sro|s r o|co|company|co operative|cooperative)\b/g, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, '');

/** The other books whose name reads the same, so that a client is not set up twice by mistake. */
export const sameNames = <B extends { readonly name: string }>(name: string, others: readonly B[]): readonly B[] => {
  const wanted = comparableName(name);
  return wanted === '' ? [] : others.filter((other) => comparableName(other.name) === wanted);
};
