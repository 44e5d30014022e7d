import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { gunzipSync } from 'node:zlib';
import { clusterOf, destroyCluster, startCluster, type Cluster } from '../../scripts/lib/cluster/cluster';
import { must } from '../../scripts/lib/cluster/programs';
import { findSignIn } from '../../src/data/beforeStudio';
import { checkBooks } from '../../src/data/checkBooks';
import { closeDatabase } from '../../src/data/database';
import { appRoleFor, appUrlFor, migrate } from '../../src/data/migrate';
import { wantedCuts } from '../../src/core/pattern/pattern';
import { withMissingWires } from '../../src/core/pattern/addTechnique';
import { resolve } from '../../src/core/pattern/resolve';
import { techniqueOf } from '../../src/core/techniques/registry';
import { tradeWiresBeside } from '../../src/core/wire/tradeWires';
import { listBatches, showBatch } from '../../src/studio/batches/batches';
import { showDrawer } from '../../src/studio/drawers/drawers';
import { DEMO_OWNER } from '../../src/demo/people';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { composePattern } from '../../src/studio/patterns/composePattern';
import { importPattern } from '../../src/studio/patterns/importPattern';
import { patternToFile } from '../../src/studio/patterns/patternFile';
import { listPatterns, showPattern, type PatternCard } from '../../src/studio/patterns/patterns';
import { pieceFile } from '../../src/studio/paper/pieceFile';
import { showPiece } from '../../src/studio/shelf/shelf';
import { listSpecs } from '../../src/studio/catalogue/wireSpecs';
import { done, newKey } from '../support/studio';
import kept from '../fixtures/release-before-pieces.json';

/**
 * The database of the demonstration as the release before pieces left it, and what that release said of it: patterns with the length and the
 * minutes they come to, pieces with what they cost, batches with how far they are.
 */
const DUMP = path.join(__dirname, '../fixtures/release-before-pieces.sql.gz');
/** What that release said of a batch that had lost some of its stock. */
const LOST = 'W-0003 was cut from for something else.';
const DAY = new Date('2026-11-21T12:00:00Z');

let folder = '';
let cluster: Cluster;
let owner: StudioSession;
const before = process.env['PEWTERER_DATABASE_URL'];
beforeAll(async () => {
  folder = fs.mkdtempSync(path.join(os.tmpdir(), 'pewterer-release-'));
  fs.chmodSync(folder, 0o755);
  cluster = await startCluster(folder, { durable: false });
  const at = clusterOf(folder);
  if (at === undefined) throw new Error('the database has a folder');
  must('psql', [cluster.ownerUrl, '-q', '-o', '/dev/null', '-v', 'ON_ERROR_STOP=1'], {
    doing: 'Restoring the last release',
    cluster: at,
    // The application's role is the installation's, and gets its password when it is migrated.
    input: `CREATE ROLE ${appRoleFor(cluster.ownerUrl)};\n${gunzipSync(fs.readFileSync(DUMP)).toString('utf8')}
      UPDATE public.batches SET planning = 'stale', planning_said = '${LOST}'
       WHERE number = (SELECT min(number) FROM public.batches WHERE state = 'open');`,
  });
  await migrate(cluster.ownerUrl);
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(cluster.ownerUrl);
  const found = await findSignIn(DEMO_OWNER.login);
  owner = { studioId: found?.studioId ?? '', userId: found?.userId ?? '', role: 'owner', now: DAY };
}, 120_000);
afterAll(async () => {
  await closeDatabase();
  if (before !== undefined) process.env['PEWTERER_DATABASE_URL'] = before;
  destroyCluster(folder);
});

async function allPatterns(): Promise<readonly PatternCard[]> {
  const all: PatternCard[] = [];
  for (let after = ''; ;) {
    const { patterns, next } = await listPatterns(owner, after === '' ? {} : { after });
    all.push(...patterns);
    if (next === null) return all;
    after = next;
  }
}

const summary = ({ number, name, revision, body }: PatternCard) => ({
  number,
  name,
  revision,
  composed: body.composition !== undefined,
  cuts: wantedCuts(body).length,
  cutUm: wantedCuts(body).reduce((sum, { length }) => sum + length, 0),
  minutes: body.steps.reduce((sum, { minutes }) => sum + minutes, 0),
});

describe('the database of the release before pieces', () => {
  it('has books that add up after it was migrated', async () => {
    expect((await checkBooks(cluster.ownerUrl)).differences).toEqual([]);
  });

  it('has the patterns that it had, of the lengths and the minutes that they had', async () => {
    expect((await allPatterns()).map(summary)).toEqual(kept.patterns);
  });

  it('has the pieces that it had, each of them at its cost', async () => {
    const pieces = [];
    for (const { number } of kept.pieces) {
      const piece = await showPiece(owner, number);
      pieces.push({
        number,
        name: piece?.name,
        minutes: piece?.minutes,
        massUg: piece?.wireMass,
        actual: piece?.money?.sheet.total.actual,
      });
    }
    expect(pieces).toEqual(kept.pieces);
  });

  it('has its batches as far as they were, with the cuts that were planned', async () => {
    for (const { number, name, cuts, minutes, plans, wires } of kept.batches) {
      const batch = await showBatch(owner, number);
      expect({ ...batch, plans: batch?.plans.length, wires: batch?.wires.length }).toMatchObject({
        number,
        name,
        cuts,
        minutes,
        plans,
        wires,
      });
    }
  });

  it('has a batch whose cuts have to be planned again, as it said then, and no other', async () => {
    const { batches } = await listBatches(owner, { state: 'open' });
    const numbers = batches.map(({ number }) => number).sort((a, b) => a - b);
    expect(numbers.length).toBeGreaterThan(1);
    expect(batches.filter(({ planning }) => planning === 'stale')).toMatchObject([{ number: numbers[0] }]);
    expect(await showBatch(owner, numbers[0] ?? 0)).toMatchObject({ planning: 'stale', said: LOST });
  });

  it('has the stones that were set aside by hand, each for what it was', async () => {
    const { pieces } = await showDrawer(owner, 'stone', { state: 'set aside' });
    const aside = pieces.map(({ detail }) => detail.ware === 'stone' && detail.setAsideFor);
    expect(aside.filter((purpose) => purpose === 'the harbour fair')).toHaveLength(5);
  });

  it('has patterns that can be changed: what they are composed of is planned anew, and drawn', async () => {
    const composed = (await allPatterns()).filter(({ body }) => body.composition);
    expect(composed.length).toBeGreaterThan(20);
    const own = await listSpecs(owner);
    const wires = Object.fromEntries([...own, ...tradeWiresBeside(own)].map((spec) => [spec.id, spec]));
    for (const { number, name, kind, revision, body } of composed) {
      const { parts } = body;
      if (!body.composition) continue;
      // As it is opened to be changed: wires that its techniques did not take then are proposed.
      const composition = withMissingWires(body.composition, techniqueOf, wires);
      const changed = done(
        await composePattern(
          owner,
          newKey(),
          { number, revision },
          {
            name,
            kind,
            notes: 'changed after the move',
            composition,
            parts: parts
              .filter(({ ofWork }) => !ofWork)
              .map((part) => ({
                name: part.typedName ?? part.name,
                count: String(part.count),
                unitCost: '',
              })),
          },
        ),
      );
      expect([name, changed.revision]).toEqual([name, revision + 1]);
      const shown = await showPattern(owner, number);
      if (!shown?.body.composition) throw new Error('it is composed');
      const resolved = resolve(shown.body.composition, shown.specs, techniqueOf);
      expect([name, resolved.uses.filter(({ plan }) => plan === undefined)]).toEqual([name, []]);
      expect([name, wantedCuts(shown.body).length > 0]).toEqual([name, true]);
      expect([name, String((await pieceFile(shown, 'front.svg'))?.content)]).toEqual([
        name,
        expect.stringContaining('<path'),
      ]);
    }
  }, 120_000);

  it('has pattern files that come in under another name', async () => {
    for (const { number, name } of kept.patterns) {
      const pattern = await showPattern(owner, number);
      if (!pattern) throw new Error(`${name} is gone`);
      const file = patternToFile({ ...pattern.body, name: `${name}, again` }, pattern.specs, 'USD');
      const again = done(await importPattern(owner, newKey(), JSON.stringify(file)));
      const theirs = await showPattern(owner, again.number);
      // What was written by hand is cut as it says; what is composed is worked out anew.
      const own = summary(pattern);
      const cuts = theirs ? wantedCuts(theirs.body).length : 0;
      expect([name, own.composed ? cuts > 0 : cuts === own.cuts]).toEqual([name, true]);
    }
    expect((await checkBooks(cluster.ownerUrl)).differences).toEqual([]);
  }, 120_000);
});
