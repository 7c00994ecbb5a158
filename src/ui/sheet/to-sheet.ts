/** Puts the focus on the sheet of the page, on the cell where somebody stood; on a page without one, on its main part. */
export const goToSheet = (): void => {
  const target =
    document.querySelector<HTMLElement>(':is([role="grid"], [role="treegrid"]) [tabindex="0"]') ??
    document.querySelector<HTMLElement>('#page');
  target?.focus();
  target?.scrollIntoView({ block: 'nearest' });
};
