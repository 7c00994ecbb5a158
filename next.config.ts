import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: [
    '@electric-sql/pglite',
    'better-auth',
    'nodemailer',
    'pg',
    'exceljs',
    'fontkit',
    'pdfmake',
    'pino',
    'piscina',
    'proper-lockfile',
  ],
  poweredByHeader: false,
  reactStrictMode: true,
  // `npm test` checks the types, of everything and once.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // Uploads go through a route handler that bounds them itself; server actions carry cells, not files.
  experimental: { serverActions: { bodySizeLimit: '4mb' } },
};

export default config;
