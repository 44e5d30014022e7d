import type { NextConfig } from 'next';

const config: NextConfig = {
  // Native and stateful packages stay outside the bundle.
  serverExternalPackages: [
    'sequelize',
    'pg',
    'umzug',
    '@node-rs/argon2',
    'pino',
    'sharp',
    'pdfkit',
    'fontkit',
    'bwip-js',
  ],
  // Photographs are made small in the browser, but a list of 20,000 rows is sent whole.
  experimental: { serverActions: { bodySizeLimit: '12mb' } },
  // What makes classes of plain values looks for the server's buffers, and works without: a browser has none and is sent none.
  turbopack: { resolveAlias: { 'next/dist/compiled/buffer': { browser: './src/app/lib/noBuffer.ts' } } },
  // A browser that left a page before it read which icon it has asks for this one.
  rewrites: () => Promise.resolve([{ source: '/favicon.ico', destination: '/icon.svg' }]),
  // ./run check looks at the types of everything; whoever only starts the studio need not wait for it.
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  reactStrictMode: true,
};

export default config;
