import type { ReactNode } from 'react';
import { Denied } from '@/actions/kernel/action';
import { Go } from '@/ui/parts/go';

/** A page, or in its place that whoever asks may not see it, and who may. */
export const shown = async (page: () => Promise<ReactNode>): Promise<ReactNode> => {
  try {
    return await page();
  } catch (error) {
    if (!(error instanceof Denied)) throw error;
    return (
      <main className="mx-auto max-w-xl px-4 pt-16">
        <title>Not shown · Bathron</title>
        <h1 className="title text-2xl">This page is not for you</h1>
        <p className="mt-2">{error.message}</p>
        <p className="mt-4">
          <Go href="/" className="btn btn-sm">
            Back to the board
          </Go>
        </p>
      </main>
    );
  }
};
