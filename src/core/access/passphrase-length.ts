/** How long a passphrase is: apart from the lists that it is compared with, which are large. */
export const FEWEST_CHARACTERS = 12;
export const MOST_CHARACTERS = 128;
