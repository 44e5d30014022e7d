import path from 'node:path';

/** Where a mode keeps its data: below the project's ignored data folder, or below PEWTERER_DATA. Demo and real data never mix. */
export const dataFolder = (mode: 'demo' | 'studio'): string =>
  path.resolve(process.env['PEWTERER_DATA'] || '.data', mode);
