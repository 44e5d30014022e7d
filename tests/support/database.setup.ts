import { mkdtempSync, chmodSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from '../../scripts/lib/cluster/cluster';
import { appUrlFor, migrate } from '../../src/data/migrate';

/** One throwaway PostgreSQL for all integration tests, migrated from empty. */
export default async function setUp(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'pewterer-test-'));
  chmodSync(folder, 0o755);
  const { ownerUrl } = await startCluster(folder, { durable: false });
  await migrate(ownerUrl);
  process.env['PEWTERER_TEST_FOLDER'] = folder;
  process.env['PEWTERER_OWNER_URL'] = ownerUrl;
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(ownerUrl);
}
