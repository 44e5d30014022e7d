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
  poweredByHeader: false,
  reactStrictMode: true,
};

export default config;
