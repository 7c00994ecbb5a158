/** A positive whole number from an address, or NaN, which finds nothing. */
export const idFrom = (text: string): number => (/^[1-9]\d{0,8}$/.test(text) ? Number(text) : NaN);
