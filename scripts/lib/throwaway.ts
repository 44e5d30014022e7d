import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { migrate } from '../../src/data/migrate';
import { startMetalFeed, type StandIn } from '../../src/devices/metalFeed/standIn';
import { startApp, type App } from './app';
import { destroyCluster, startCluster, type Cluster } from './cluster/cluster';
import { freePort } from './ports';
import { seedDemo } from './seedDemo';

/** A studio that lasts as long as a test or a measurement. */
export interface Throwaway {
  readonly cluster: Cluster;
  readonly ownerUrl: string;
  /** Starts the production build on it. */
  readonly serve: (mode?: 'demo' | 'test') => Promise<App>;
  readonly destroy: () => Promise<void>;
}

/**
 * Makes a migrated, throwaway studio on a PostgreSQL of its own.
 * @param demoUntil fills it with the demo studio, its two years ending on that day
 */
export async function openThrowaway({
  demoUntil,
  durable = false,
}: { demoUntil?: Date; durable?: boolean } = {}): Promise<Throwaway> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-'));
  fs.chmodSync(folder, 0o755);
  const cluster = await startCluster(folder, { durable });
  const { ownerUrl } = cluster;
  await migrate(ownerUrl);
  if (demoUntil) await seedDemo(ownerUrl, demoUntil);
  const apps: App[] = [];
  const feeds: StandIn[] = [];
  return {
    cluster,
    ownerUrl,
    serve: async (mode = 'test') => {
      const feed = await startMetalFeed();
      feeds.push(feed);
      const app = await startApp({
        ownerUrl,
        host: '127.0.0.1',
        port: await freePort(),
        mode,
        metalFeed: feed.url,
        output: process.env['SHOW_LOG'] ? 'inherit' : 'ignore',
      });
      apps.push(app);
      return app;
    },
    destroy: async () => {
      await Promise.all([...apps, ...feeds].map((each) => each.stop()));
      destroyCluster(folder);
    },
  };
}
