import pg from 'pg';
import { Sequelize } from 'sequelize';
import { addStudio } from './addStudio';
import { letTransactionsTravel } from './context';
import './models';
import { tieTables } from './table';

/** PostgreSQL's 64-bit whole numbers come back as numbers; one that a double cannot hold is a fault, never rounded. */
pg.types.setTypeParser(pg.types.builtins.INT8, (text) => {
  const value = Number(text);
  if (!Number.isSafeInteger(value)) throw new RangeError(`${text} overruns a safe whole number`);
  return value;
});

/** Connections one copy of the application keeps; a studio has few people and short transactions. */
const POOL_SIZE = 10;

/** Opens a pool of connections as the role given in the address; time limits stand at the role. */
export function openDatabase(url: string): Sequelize {
  return new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    pool: { max: POOL_SIZE, idle: 30_000, acquire: 20_000 },
    dialectOptions: { application_name: 'pewterer' },
    define: { timestamps: false, underscored: true },
  });
}

const held = globalThis as { pewtererDatabase?: Sequelize };

/** The database whose models these are: the framework may load this module several times over in one process. */
let modelledOn: Sequelize | undefined;

/**
 * The application's database, opened on first use from PEWTERER_DATABASE_URL; one pool for the whole process.
 * @throws Error when the address is not set
 */
export function database(): Sequelize {
  if (!held.pewtererDatabase) {
    const url = process.env['PEWTERER_DATABASE_URL'];
    if (!url) throw new Error('PEWTERER_DATABASE_URL is not set; start Pewterer with ./run');
    held.pewtererDatabase = openDatabase(url);
  }
  if (modelledOn !== held.pewtererDatabase) {
    modelledOn = held.pewtererDatabase;
    letTransactionsTravel();
    addStudio(modelledOn);
    tieTables(modelledOn);
  }
  return modelledOn;
}

/** Closes the application's database, for scripts and tests that end. */
export async function closeDatabase(): Promise<void> {
  await held.pewtererDatabase?.close();
  delete held.pewtererDatabase;
}
