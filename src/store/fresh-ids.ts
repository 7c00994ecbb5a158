import type { Queryable } from './database';

/** Tables whose rows get their numbers before they are written, so that the record of changes can name them. */
type Numbered = 'schedule_item' | 'contact' | 'analysis_code';

/** The number of each row that is written: its own, a fresh one where it has none yet, null where it goes. */
export const numbersOf = async (
  tx: Queryable,
  table: Numbered,
  writings: readonly { readonly id: number | null; readonly goes: boolean }[],
): Promise<readonly (number | null)[]> => {
  const unnumbered = writings.filter(({ id, goes }) => id === null && !goes).length;
  const fresh =
    unnumbered === 0
      ? []
      : await tx.query<{ id: number }>(
          'select nextval((select pg_get_serial_sequence($1, $2)::regclass))::int as id from generate_series(1, $3::int)',
          [table, 'id', unnumbered],
        );
  let next = 0;
  return writings.map(({ id, goes }) => {
    if (goes || id !== null) return goes ? null : id;
    next += 1;
    return fresh[next - 1]?.id ?? 0;
  });
};
