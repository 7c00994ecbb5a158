/**
 * What a page asks for first: of the section that it names (`data-asks`), a field that says nothing yet; a button where the section has
 * no fields.
 */
const asked = (): HTMLElement | undefined => {
  const section = document.querySelector<HTMLElement>('[data-asks]')?.dataset.asks ?? '';
  const within = document.getElementById(section);
  const fields = [...(within?.querySelectorAll<HTMLInputElement>('input, select, textarea') ?? [])];
  return (
    fields.find(({ value }) => value === '' || value === 'unknown') ??
    fields[0] ??
    within?.querySelector<HTMLElement>('button:enabled') ??
    undefined
  );
};

/**
 * Puts the focus on the sheet of the page, on the cell where somebody stood; on a page without one, on what it asks for first, else
 * on its main part.
 */
export const goToSheet = (): void => {
  const target =
    document.querySelector<HTMLElement>(':is([role="grid"], [role="treegrid"]) [tabindex="0"]') ??
    asked() ??
    document.querySelector<HTMLElement>('#page');
  target?.focus();
  target?.scrollIntoView({ block: 'nearest' });
};
