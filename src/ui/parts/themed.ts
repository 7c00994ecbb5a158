/** What the theme makes of colours that are named: the browser resolves light-dark(), and a probe reads it. */
export const themed = (names: readonly string[]): readonly string[] => {
  const probe = document.createElement('span');
  document.body.append(probe);
  const found = names.map((name) => {
    probe.style.color = `var(${name})`;
    return getComputedStyle(probe).color;
  });
  probe.remove();
  return found;
};

/** The application's own type, for drawings. */
export const drawnFont = (): string =>
  getComputedStyle(document.documentElement).getPropertyValue('--font-sans').trim() || 'IBM Plex Sans Variable';
