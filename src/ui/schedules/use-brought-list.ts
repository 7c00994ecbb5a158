import { useState } from 'react';
import type { ListPreview } from '@/actions/schedules/bring';
import type { Problem } from '@/core/base/result';
import { sendList } from './bring-list';

/** A list on its way to a page: what is going on, what it holds once it is read, and why it could not be. */
export const useBroughtList = (books: number, account: number | null) => {
  const [preview, setPreview] = useState<ListPreview | undefined>();
  const [busy, setBusy] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const bring = async (file: File | undefined): Promise<void> => {
    if (file === undefined) return;
    setBusy(`reading ${file.name}…`);
    const read = await sendList(books, account, file);
    setBusy('');
    setProblems(read.ok ? [] : read.problems);
    setPreview(read.ok ? read.value : undefined);
  };
  return { preview, busy, problems, bring, close: () => setPreview(undefined) };
};
