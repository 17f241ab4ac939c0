import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { NextConfig } from 'next';

const here = dirname(fileURLToPath(import.meta.url));

const config: NextConfig = {
  transpilePackages: ['@skiametra/core', '@skiametra/formats', '@skiametra/devices'],
  turbopack: { root: dirname(here) },
  typescript: { ignoreBuildErrors: false, tsconfigPath: 'tsconfig.json' },
  poweredByHeader: false,
  // pictures are drawn here or served as they are: nothing to optimise at run time
  images: { unoptimized: true },
  experimental: {
    // saves and imports have routes of their own, which cap their bodies while they stream
    serverActions: { bodySizeLimit: '2mb' },
    optimizePackageImports: ['@mantine/core', '@mantine/hooks', '@tabler/icons-react'],
  },
};

export default config;
