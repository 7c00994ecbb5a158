'use client';

import { Upload } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type DragEvent, useState } from 'react';
import { toast } from 'sonner';
import type { bringPaper } from '@/actions/papers';
import { MOST_BYTES, MOST_ROWS } from '@/core/papers/cells';
import { type Problem, plural } from '@/core/result';
import { FileButton } from '../parts/file-button';
import { Problems } from '../parts/problems';

type Brought = Awaited<ReturnType<typeof bringPaper>>;

const bring = async (books: number, name: string, content: Blob): Promise<Brought> => {
  if (content.size > MOST_BYTES)
    return {
      ok: false,
      problems: [
        {
          code: 'paper.large',
          message: `${name} has ${String(Math.ceil(content.size / 1024 / 1024))} MB; ${String(MOST_BYTES / 1024 / 1024)} MB is the most that is taken.`,
        },
      ],
    };
  const sent = await fetch(`/books/${String(books)}/papers/bring`, {
    method: 'POST',
    headers: { 'x-paper-name': encodeURIComponent(name), 'content-type': 'application/octet-stream' },
    body: content,
  });
  return (await sent.json()) as Brought;
};

/** Where papers are dropped, chosen or pasted. One paper opens at once; several are listed. */
export const DropPaper = ({ books }: { readonly books: number }) => {
  const router = useRouter();
  const [over, setOver] = useState(false);
  const [busy, setBusy] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [pasted, setPasted] = useState('');

  const take = async (files: readonly (readonly [string, Blob])[]): Promise<void> => {
    const wrong: Problem[] = [];
    const papers: number[] = [];
    for (const [at, [name, content]] of files.entries()) {
      setBusy(`reading ${name}${files.length > 1 ? `, ${String(at + 1)} of ${String(files.length)}` : ''}…`);
      const brought = await bring(books, name, content).catch((): Brought => ({
        ok: false,
        problems: [{ code: 'offline', message: `${name} did not arrive: Bathron did not answer. Bring it again.` }],
      }));
      if (brought.ok) {
        papers.push(brought.value.paper);
        if (brought.value.known) toast(`${name} was here already`);
      } else wrong.push(...brought.problems);
    }
    setBusy('');
    setProblems(wrong);
    const [only] = papers;
    if (papers.length === 1 && wrong.length === 0 && only !== undefined)
      router.push(`/books/${String(books)}/papers/${String(only)}`);
    else if (papers.length > 0) {
      toast(`${plural(papers.length, 'paper')} brought`);
      router.push(`/books/${String(books)}/papers`);
      router.refresh();
    }
  };
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
            CSV or XLSX, up to {MOST_BYTES / 1024 / 1024} MB and {MOST_ROWS.toLocaleString('en-GB')} rows. It is stored
            as it is; nothing is taken from it before you have seen how it reads.
          </span>
        </p>
        <FileButton
          label="Choose files"
          accept=".csv,.tsv,.txt,.xlsx"
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
      <p role="status" className="note">
        {busy}
      </p>
      <Problems problems={problems} />
    </div>
  );
};
