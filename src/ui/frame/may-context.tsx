'use client';

import { type ReactNode, createContext, useContext } from 'react';
import type { Deed } from '@/core/access/deeds';

const Context = createContext<readonly Deed[]>([]);

/** What whoever looks may do in these books, for parts that show a deed or leave it out; the server decides each time. */
export const MayProvider = ({ may, children }: { readonly may: readonly Deed[]; readonly children: ReactNode }) => (
  <Context value={may}>{children}</Context>
);

export const useMay = (deed: Deed): boolean => useContext(Context).includes(deed);
