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
