'use client';

import { Toaster } from 'sonner';

/** Where passing messages appear; what must not be missed is said on the sheet itself. */
export const Toasts = () => (
  <Toaster
    position="bottom-center"
    offset={84}
    toastOptions={{
      style: {
        background: 'var(--color-base-200)',
        color: 'var(--color-base-content)',
        border: '1px solid var(--rule)',
        borderRadius: '3px',
        boxShadow: 'none',
        fontFamily: 'var(--font-sans)',
      },
    }}
  />
);
