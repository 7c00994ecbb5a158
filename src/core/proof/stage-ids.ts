export const STAGES = [
  { id: 'company', label: 'Company' },
  { id: 'calendar', label: 'Calendar' },
  { id: 'currencies', label: 'Currencies' },
  { id: 'chart', label: 'Chart' },
  { id: 'openings', label: 'Opening balances' },
  { id: 'schedules', label: 'Schedules' },
  { id: 'proof', label: 'Proof' },
  { id: 'sign-off', label: 'Sign-off' },
] as const;

export type StageId = (typeof STAGES)[number]['id'];
