'use client';

import { SunMoon } from 'lucide-react';

/** Turns between limestone and basalt; the choice is kept in a cookie, so that the next page comes right from the server. */
export const ThemeSwitch = () => (
  <button
    type="button"
    className="btn btn-ghost btn-xs no-print"
    onClick={() => {
      const root = document.documentElement;
      const dark =
        root.dataset.theme === 'basalt' ||
        (root.dataset.theme === undefined && matchMedia('(prefers-color-scheme: dark)').matches);
      root.dataset.theme = dark ? 'limestone' : 'basalt';
      document.cookie = `theme=${root.dataset.theme}; path=/; max-age=31536000; samesite=lax`;
    }}
  >
    <SunMoon aria-hidden className="size-4" />
    <span className="max-md:sr-only">Light or dark</span>
  </button>
);
