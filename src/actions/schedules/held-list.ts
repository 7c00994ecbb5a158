import type { IsoDate } from '@/core/base/iso-date';
import type { Result } from '@/core/base/result';
import type { ListRead, ListWanted } from '@/core/schedules/read-list';
import { reading } from '../kernel/context';

/** So many lists are held at most as they were read: a list is taken right after it was shown. */
const MOST_HELD = 2;

const held = new Map<string, ListRead>();

interface Asked {
  readonly wanted: ListWanted;
  readonly date: IsoDate;
  /** Whether the account stands on the credit side. */
  readonly credit: boolean;
  /** What price levels are called in the books. */
  readonly levels: readonly string[];
}

/** A list as a thread of the pool reads it, held for when it is taken; `hash` is that of its bytes. */
export const readHeld = async (
  hash: string,
  name: string,
  asked: Asked,
  bytes: () => Uint8Array,
): Promise<Result<ListRead>> => {
  const key = JSON.stringify([hash, name, asked]);
  const known = held.get(key);
  if (known !== undefined) return { ok: true, value: known };
  const read = await reading().read('list', { bytes: bytes(), name, ...asked });
  if (!read.ok) return read;
  held.set(key, read.value);
  for (const oldest of held.keys()) {
    if (held.size <= MOST_HELD) break;
    held.delete(oldest);
  }
  return read;
};
