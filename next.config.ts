import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['@electric-sql/pglite', 'pg', 'pdfmake', 'pino', 'proper-lockfile'],
  poweredByHeader: false,
  reactStrictMode: true,
  // `npm test` checks the types, of everything and once.
  typescript: { ignoreBuildErrors: true },
  devIndicators: false,
  // Uploads go through a route handler that bounds them itself; server actions carry cells, not files.
  experimental: { serverActions: { bodySizeLimit: '4mb' } },
  headers: () =>
    Promise.resolve([
      {
        source: '/:path*',
        headers: [
          { key: 'X-Content-Type-Options', value: 'nosniff' },
          { key: 'X-Frame-Options', value: 'DENY' },
          { key: 'Referrer-Policy', value: 'same-origin' },
          {
            key: 'Content-Security-Policy',
            value: [
              "default-src 'self'",
              // Next.js writes its data into inline scripts; everything else is our own origin.
              `script-src 'self' 'unsafe-inline'${process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : ''}`,
              "style-src 'self' 'unsafe-inline'",
              "img-src 'self' data: blob:",
              "font-src 'self' data:",
              "connect-src 'self'",
              "object-src 'none'",
              "base-uri 'self'",
              "form-action 'self'",
              "frame-ancestors 'none'",
            ].join('; '),
          },
        ],
      },
    ]),
};

export default config;
