import type { NextConfig } from 'next';

const config: NextConfig = {
  serverExternalPackages: ['sequelize', 'sqlite3', 'umzug', 'pdfkit', 'fontkit'],
  // The browser is on this machine: packing and unpacking would take longer than what they spare.
  compress: false,
  poweredByHeader: false,
  devIndicators: false,
  // `npm test` looks at the types, once.
  typescript: { ignoreBuildErrors: true },
  reactStrictMode: true,
  distDir: process.env.GRAY_PIN_BUILD ?? '.next',
  experimental: {
    optimizePackageImports: ['@mui/material'],
    // A file with everything of another computer has to come through whole.
    proxyClientMaxBodySize: '110mb',
  },
};

export default config;
