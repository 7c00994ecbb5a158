interface Named {
  readonly id: number;
  readonly name: string;
  /** Rows of a template. */
  readonly accounts?: number;
}

/** From whom a chart can be copied, as options whose values are the query of the page that shows it: "books=3". */
export const SourceOptions = ({
  others,
  templates,
}: {
  readonly others: readonly Named[];
  readonly templates: readonly Named[];
}) => (
  <>
    {(
      [
        ['template', 'Templates of the practice', templates],
        ['books', 'Other clients', others],
      ] as const
    ).map(
      ([kind, label, sources]) =>
        sources.length > 0 && (
          <optgroup key={kind} label={label}>
            {sources.map(({ id, name, accounts }) => (
              <option key={id} value={`${kind}=${String(id)}`}>
                {name}
                {accounts === undefined ? '' : ` (${String(accounts)})`}
              </option>
            ))}
          </optgroup>
        ),
    )}
  </>
);
