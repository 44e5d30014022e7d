import { closeDatabase } from '../../src/data/database';
import { appUrlFor } from '../../src/data/migrate';
import { openDemo } from '../../src/demo/openDemo';

/** Fills the demonstration studio, unless it is filled; goes on where an earlier run was cut off. */
export async function seedDemo(ownerUrl: string, today: Date): Promise<void> {
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(ownerUrl);
  let shown = false;
  try {
    await openDemo(today, (part) => {
      process.stdout.write(
        `${shown ? '\r' : ''}Writing two years of demo work … ${Math.round(part * 100)} %`,
      );
      shown = true;
    });
  } finally {
    if (shown) process.stdout.write('\n');
    await closeDatabase();
    delete process.env['PEWTERER_DATABASE_URL'];
  }
}
