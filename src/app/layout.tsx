import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import type { ReactNode } from 'react';
import { Toasts } from '@/ui/parts/toasts';

export const metadata: Metadata = {
  // Each page names itself: those of books are named with them, once they are read.
  description: 'Takes a company’s books from nothing to ready for the first entry.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const theme = (await cookies()).get('theme')?.value;
  return (
    <html lang="en-GB" {...(theme === 'limestone' || theme === 'basalt' ? { 'data-theme': theme } : {})}>
      <body>
        {children}
        <Toasts />
      </body>
    </html>
  );
}
