import { destroyCluster } from '../../scripts/lib/cluster/cluster';

export default async function tearDown(): Promise<void> {
  const folder = process.env['PEWTERER_TEST_FOLDER'];
  if (folder) destroyCluster(folder);
}
