/** How large a file is, as people say it. */
export const size = (bytes: number): string =>
  bytes < 1024 * 1024
    ? `${String(Math.max(1, Math.round(bytes / 1024)))} kB`
    : `${String(Math.round(bytes / 1024 / 1024))} MB`;
