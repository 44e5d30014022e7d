import fs from 'node:fs';
import { ensureBuilt } from './lib/build';
import { openThrowaway } from './lib/throwaway';
void (async () => {
  ensureBuilt();
  const studio = await openThrowaway({ demoUntil: new Date('2026-11-27T18:00:00Z') });
  const { url } = await studio.serve('demo');
  fs.writeFileSync('/tmp/zzurl', url);
  process.on('SIGINT', () => void studio.destroy().then(() => process.exit(0)));
  setInterval(() => undefined, 1e6);
})();
