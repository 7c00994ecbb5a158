export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

export const monthName = (month: number): string => MONTHS[month - 1] ?? '';

/** How a set of books writes dates where they stand in columns, on reports and in files. */
export interface DateStyle {
  readonly order: 'dmy' | 'mdy' | 'ymd';
  readonly separator: ' ' | '.' | '/' | '-';
  readonly year: 2 | 4;
  readonly month: 'name' | 'number';
}

export const PLAIN_DATES: DateStyle = { order: 'dmy', separator: ' ', year: 4, month: 'name' };

/** A `YYYY-MM-DD` in the books' style: "31 Jul 2026", "31.07.2026", "07/31/26", "2026-07-31". */
export const writeStyled = (iso: string, style: DateStyle): string => {
  const parts = {
    y: style.year === 2 ? iso.slice(2, 4) : iso.slice(0, 4),
    m: style.month === 'name' ? monthName(Number(iso.slice(5, 7))) : iso.slice(5, 7),
    d: style.month === 'name' ? String(Number(iso.slice(8, 10))) : iso.slice(8, 10),
  };
  return Array.from(style.order, (part) => parts[part as 'd' | 'm' | 'y']).join(style.separator);
};
