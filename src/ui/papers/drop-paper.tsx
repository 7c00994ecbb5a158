'use client';

import { Upload } from 'lucide-react';
import { type DragEvent, useState } from 'react';
import { MOST_BYTES, MOST_ROWS } from '@/core/files/limits';
import { FileButton } from '../parts/file-button';
import { Problems } from '../parts/problems';
import { useBring } from './use-bring';

/** Where papers are dropped, chosen or pasted. One paper opens at once; several are listed. */
export const DropPaper = ({ books }: { readonly books: number }) => {
  const [over, setOver] = useState(false);
  const [pasted, setPasted] = useState('');
  const { busy, problems, refused, take, cancel } = useBring(books);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    void take([...event.dataTransfer.files].map((file) => [file.name, file] as const));
  };
  return (
    <div className="flex flex-col gap-2">
      <div
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        className={`flex flex-wrap items-center gap-x-4 gap-y-2 border border-dashed px-4 py-4 ${over ? 'border-madder bg-madder-wash' : 'border-ink-2 bg-paper-2'}`}
      >
        <Upload aria-hidden className="size-5 text-ink-2" />
        <p className="min-w-0 flex-1">
          Drop the old trial balance here.{' '}
          <span className="note">
            CSV, TSV, XLSX, ODS, HTML, PDF or an audit file (SAF-T), up to {MOST_BYTES / 1024 / 1024} MB and{' '}
            {MOST_ROWS.toLocaleString('en-GB')} rows; it is stored as it is, and nothing is taken from it before you
            have seen how it reads. Pictures, messages and any other file are kept as evidence.
          </span>
        </p>
        <FileButton
          label="Choose files"
          accept=""
          multiple
          onFiles={(files) => void take(files.map((file) => [file.name, file] as const))}
        />
      </div>
      <details>
        <summary className="text-sm">Or paste from a spreadsheet</summary>
        <div className="mt-2 flex flex-col gap-2">
          <textarea
            aria-label="Pasted rows"
            value={pasted}
            onChange={(event) => setPasted(event.target.value)}
            rows={4}
            className="textarea textarea-sm w-full font-mono"
            placeholder="Copy the rows with their header in the spreadsheet and paste them here"
          />
          <button
            type="button"
            className="btn btn-sm self-start"
            disabled={pasted.trim() === ''}
            onClick={() => void take([['pasted.tsv', new Blob([pasted])]])}
          >
            Read what was pasted
          </button>
        </div>
      </details>
      <p role="status" className="note flex flex-wrap items-center gap-3">
        {busy}
        {busy !== '' && (
          <button type="button" className="btn btn-xs" onClick={cancel}>
            Cancel
          </button>
        )}
      </p>
      <Problems problems={problems} />
      {refused.length > 0 && (
        <p className="flex flex-wrap items-center gap-3 text-sm">
          {refused.length === 1
            ? 'It can be kept all the same, as it is.'
            : 'They can be kept all the same, as they are.'}
          <button type="button" className="btn btn-xs" onClick={() => void take(refused, true)}>
            {refused.length === 1 ? 'Keep it as evidence' : 'Keep them as evidence'}
          </button>
        </p>
      )}
    </div>
  );
};
