import '@fontsource-variable/public-sans';
import '@fontsource-variable/spline-sans-mono';
import '@mantine/core/styles.css';
import '@mantine/dates/styles.css';
import '@mantine/notifications/styles.css';
import '@mantine/spotlight/styles.css';
import './globals.css';
import './styles/frame.css';
import './styles/log.css';
import './styles/marks.css';
import './styles/picture.css';
import './styles/structure.css';
import './styles/strip.css';
import './styles/table.css';
import './styles/trade.css';
import './styles/words.css';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import { headers } from 'next/headers';
import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { Providers } from '../parts/Providers';

export const metadata: Metadata = { title: 'Skiametra', description: 'Asked, predicted, measured.' };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // made anew for every page by the server in front
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang="en" {...mantineHtmlProps}>
      <head>
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
      </head>
      <body>
        <Providers>{children}</Providers>
      </body>
    </html>
  );
}
