const UNIT_BEHIND =
  /^([-+]?\p{Sc}?\s?\d[\d.,'’ \u00a0]*?)(?:\s|\s?\/\s?)(?:(?:per|par|por|pro)\s)?(\p{L}[\p{L}\d.]{0,11})$/u;

/**
 * A figure and what stands behind it: the unit of a quantity, or how often an amount is paid.
 *
 * @example [unitBehind('12.5 kg'), unitBehind('450.00 per month'), unitBehind('7')] // [{ figure: '12.5', unit: 'kg' }, { figure: '450.00', unit: 'month' }, { figure: '7', unit: '' }]
 */
export const unitBehind = (text: string): { readonly figure: string; readonly unit: string } => {
  const [, figure = text, unit = ''] = UNIT_BEHIND.exec(text) ?? [];
  return { figure, unit };
};
