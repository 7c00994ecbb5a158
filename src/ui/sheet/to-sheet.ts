/** The field that a page asks for first: of the section that it names (`data-asks`), one that says nothing yet. */
const fieldAsked = (): HTMLElement | undefined => {
  const section = document.querySelector<HTMLElement>('[data-asks]')?.dataset.asks ?? '';
  const fields = [
    ...(document.getElementById(section)?.querySelectorAll<HTMLInputElement>('input, select, textarea') ?? []),
  ];
  return fields.find(({ value }) => value === '' || value === 'unknown') ?? fields[0];
};

/**
 * Puts the focus on the sheet of the page, on the cell where somebody stood; on a page without one, on what it asks for first, else
 * on its main part.
 */
export const goToSheet = (): void => {
  const target =
    document.querySelector<HTMLElement>(':is([role="grid"], [role="treegrid"]) [tabindex="0"]') ??
    fieldAsked() ??
    document.querySelector<HTMLElement>('#page');
  target?.focus();
  target?.scrollIntoView({ block: 'nearest' });
};
