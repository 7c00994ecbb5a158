/** The field that narrows a sheet to the accounts with a text in their code or name. */
export const FindField = ({
  value,
  onChange,
}: {
  readonly value: string;
  readonly onChange: (value: string) => void;
}) => (
  <input
    type="search"
    aria-label="Find on the sheet"
    placeholder="Find an account"
    value={value}
    onChange={(event) => onChange(event.target.value)}
    className="input input-xs w-40"
  />
);
