import type { NextConfig } from 'next';

const config: NextConfig = {
  // Native and stateful packages stay outside the bundle.
  serverExternalPackages: ['sequelize', 'pg', 'umzug', '@node-rs/argon2', 'pino'],
  poweredByHeader: false,
  reactStrictMode: true,
  // The build and the tests use separate output folders so that neither disturbs a running studio.
  distDir: process.env['PEWTERER_DIST'] ?? '.next',
  experimental: { serverActions: { bodySizeLimit: '1mb' } },
};

export default config;
