/** Opens the data before the first request, and closes it before the process ends. */
export const register = async (): Promise<void> => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ serve }, { askedBy }, { askingNow, turnedAway }] = await Promise.all([
    import('./actions/kernel/serve'),
    import('./actions/kernel/context'),
    import('./app/asking'),
  ]);
  askedBy(askingNow, turnedAway);
  await serve();
};

/** A page that failed: its digest is the reference shown on screen. */
export const onRequestError = async (error: unknown, request: { readonly path: string }): Promise<void> => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const [{ log }, { withoutFigures }] = await Promise.all([
    import('./actions/kernel/context'),
    import('./actions/kernel/database-errors'),
  ]);
  log.error(
    { err: withoutFigures(error), reference: (error as { digest?: string }).digest, path: request.path },
    'page failed',
  );
};
