'use client';

/** Endings of files that a table is read from, but for PDF; what a file is, its bytes say. */
export const SHEETS = '.csv,.tsv,.txt,.md,.xlsx,.ods,.xls,.slk,.dif,.html,.htm,.xml';
export const TABLES = `${SHEETS},.pdf`;

interface Props {
  readonly label: string;
  /** Endings that the browser's dialog offers. */
  readonly accept: string;
  readonly multiple?: boolean;
  readonly small?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A button that chooses files; the same file can be chosen twice in a row. */
export const FileButton = ({ label, accept, multiple = false, small = false, onFiles }: Props) => (
  <label className={`btn ${small ? 'btn-xs' : 'btn-sm'} focus-within:outline-2 focus-within:outline-madder`}>
    {label}
    <input
      type="file"
      accept={accept}
      multiple={multiple}
      className="sr-only"
      onChange={(event) => {
        const files = [...(event.target.files ?? [])];
        event.target.value = '';
        if (files.length > 0) onFiles(files);
      }}
    />
  </label>
);
