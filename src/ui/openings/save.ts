import type { Saved } from '@/actions/openings/figures';
import { fromWire, toWire } from '@/core/money/wire';
import type { Result } from '@/core/base/result';
import { noted } from '../parts/send';
import type { Save } from './figures';

/** Bytes that a browser sends on after its page is gone, less what headers take (Fetch standard, 4.6: 64 kibibytes). */
const SENT_ON = 60_000;

/** Saves figures of one version of the opening balances. What is on its way when the tab is closed still arrives. */
export const saveTo =
  (books: number, set: number): Save =>
  async (entries) => {
    const body = toWire({ set, entries });
    const response = await fetch(`/books/${String(books)}/openings/figures`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      // In UTF-8 a character has at most three bytes for each of its units here.
      keepalive: body.length * 3 < SENT_ON,
    });
    return noted(fromWire(await response.text()) as Result<Saved>);
  };
