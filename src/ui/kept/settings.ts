import type { KeptSettings } from './keepPages';

/** Where the worker is that keeps pages on a device. */
export const KEPT_WORKER = '/kept-pages.js';

/** What is kept, and what is said where nothing is. */
export const KEPT: KeptSettings = {
  cache: 'kept pages',
  pages: ['/bench/sitting/', '/stall'],
  things: ['/_next/static/', '/pictures/', '/photos/', '/icon.svg'],
  lasting: ['/_next/static/', '/photos/'],
  most: 3000,
  never: `<!doctype html><html lang="en"><meta name="viewport" content="width=device-width"><title>No connection</title>
<h1>No connection</h1><p>This page was not opened on this device before. One that was opens without a connection, too.</p></html>`,
};
