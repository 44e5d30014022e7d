import type { NextConfig } from 'next';

const config: NextConfig = {
  // Native and stateful packages stay outside the bundle.
  serverExternalPackages: ['sequelize', 'pg', 'umzug', '@node-rs/argon2', 'pino'],
  poweredByHeader: false,
  reactStrictMode: true,
};

export default config;
