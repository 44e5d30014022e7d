import { writeSync } from 'node:fs';
import { migrate } from '../../src/data/migrate';

/** Brings the schema of the database in PEWTERER_OWNER_URL up to date, told by a dot which statement is next. */
void migrate(process.env['PEWTERER_OWNER_URL'] ?? '', () => writeSync(1, '.'));
