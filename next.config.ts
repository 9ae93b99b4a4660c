import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['sequelize', 'sqlite3', 'umzug', 'pdfkit', 'fontkit'],
  poweredByHeader: false,
  devIndicators: false,
  reactStrictMode: true,
  distDir: process.env.GRAY_PIN_BUILD ?? '.next',
  experimental: { optimizePackageImports: ['@mui/material'] },
};

export default config;
