/** A positive whole number from an address, or NaN, which finds nothing. */
export const idFrom = (text: string): number => (/^[1-9]\d{0,8}$/.test(text) ? Number(text) : NaN);

/** A page of ours that an address names (`?to=`); the board where it names anything else. */
export const pageOf = (text: string | readonly string[] | undefined): string =>
  typeof text === 'string' && /^\/(?![/\\])[\w\-./?=&%]*$/.test(text) ? text : '/';
