/** Brings the schema of the database in PEWTERER_OWNER_URL up to date, told by the line which statement is next. */
import 'tsx/cjs';
import { createRequire } from 'node:module';
import { writeSync } from 'node:fs';

const { migrate } = createRequire(import.meta.url)('../../src/data/migrate.ts');
await migrate(process.env['PEWTERER_OWNER_URL'], () => writeSync(1, '.'));
