const ASKED = 'bathron:account-asked';

/** The command list asks the page that is open for an account, without a round trip to the server. */
export const askForAccount = (account: number): void => {
  dispatchEvent(new CustomEvent(ASKED, { detail: account }));
};

export const onAccountAsked = (listen: (account: number) => void): (() => void) => {
  const hear = (event: Event): void => {
    const { detail } = event as CustomEvent<unknown>;
    if (typeof detail === 'number') listen(detail);
  };
  addEventListener(ASKED, hear);
  return () => removeEventListener(ASKED, hear);
};
