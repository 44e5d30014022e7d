import type { Said } from '@/core/bench/sitting';
import { EMPTY_COMPOSITION } from '@/core/pattern/composition';
import { withTechnique } from '@/core/pattern/addTechnique';
import { techniqueOf } from '@/core/techniques/registry';
import { um, type Micrometres } from '@/core/units/length';
import { inStudio } from '@/data/inStudio';
import { WireLog } from '@/data/models/making';
import { left, say, sittingOff } from '../../../tests/support/sittings';
import {
  closeBooks,
  done,
  expectBooksAgree,
  newKey,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { named } from '../../../tests/support/techniques';
import { listSpecs } from '../catalogue/wireSpecs';
import { composePattern } from '../patterns/composePattern';
import { showPattern } from '../patterns/patterns';
import { showPiece } from '../shelf/shelf';
import { beginSitting } from './beginSitting';
import { finishSitting } from './finishSitting';
import { shorterWire } from './shorterWire';

afterAll(closeBooks);

const kept = (piece: number, length: Micrometres): Said => ({
  kind: 'shorter',
  piece,
  cutIndex: 0,
  copy: 0,
  length,
  does: '“Coils” of the end 4 instead of 6',
});

describe('a wire that was cut too short and is kept', () => {
  it('is booked at its length, is remembered on its piece, and teaches nothing about the next', async () => {
    const { session, wire, id } = await sittingOff(2);
    await say(session, id, kept(0, um(88_000)));
    const { made } = done(await finishSitting(session, id));
    // The first took 88 mm of the spool, the second 100 mm; of both 20 mm were trimmed as planned.
    expect(await left(session, wire)).toBe(10_000_000 - 188_000);
    const [first, second] = await Promise.all(made.map((number) => showPiece(session, number)));
    expect(first?.found.note).toBe('frame wire too short: “Coils” of the end 4 instead of 6');
    expect(second?.found.note).toBe('');
    const log = await inStudio(session, (tx) =>
      tx.all(WireLog, ['cut', 'planned', 'isMeasured'], { where: {}, order: ['cut'] }),
    );
    expect(log).toEqual([
      { cut: 88_000, planned: 100_000, isMeasured: false },
      { cut: 100_000, planned: 100_000, isMeasured: false },
    ]);
    await expectBooksAgree();
  });

  it('is no wire that was lost; one that was lost before it is', async () => {
    const { session, wire, id } = await sittingOff(1);
    const lost = (length: number): Said => ({
      kind: 'spoiled',
      piece: 0,
      cutIndex: 0,
      copy: 0,
      length: um(length),
      reason: 'cut too short',
    });
    await say(session, id, lost(200_000), lost(100_000), kept(0, um(88_000)));
    done(await finishSitting(session, id));
    expect(await left(session, wire)).toBe(10_000_000 - 188_000);
    await expectBooksAgree();
  });
});

describe('what a wire that was cut too short could do', () => {
  it('is reckoned from the composition of its pattern: each measure that could be less, and what it takes then', async () => {
    const session = await openStudio();
    await receive(session, { gaugeNumber: '20', metal: 'copper' });
    await receive(session, { gaugeNumber: '28', metal: 'copper' });
    const specs = Object.fromEntries((await listSpecs(session)).map((spec) => [spec.id, spec]));
    const composition = withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, specs);
    const { number } = done(
      await composePattern(session, newKey(), null, {
        name: `Frame ${newKey().slice(0, 8)}`,
        kind: 'pendant',
        notes: '',
        composition,
        parts: [],
      }),
    );
    const pattern = await showPattern(session, number);
    const binding = pattern?.body.cuts.findIndex(({ name }) => name.includes('binding')) ?? -1;
    const cut = pattern?.body.cuts[binding];
    if (!pattern || !cut) throw new Error('it is bound');
    const id = done(
      await beginSitting(session, newKey(), { number, revision: pattern.revision }, { count: '1' }),
    );
    const short = done(await shorterWire(session, id, { cutIndex: binding, length: '300 mm' }));
    expect(short.stays).toBe(cut.net);
    const bound = short.courses.find(({ label }) => /bound/i.test(label));
    expect(bound).toMatchObject({ kind: 'length', was: 12 });
    expect(bound?.value).toBeLessThan(12);
    expect(bound?.cut).toBeLessThanOrEqual(300);
    // A turn round three wires of 0.812 mm is 6.6 mm; in four holds and up the ends no more than two of each are left over.
    expect(bound?.cut).toBeGreaterThan(300 - 2 * 5 * 6.6);
    // Fewer wires in the frame would be another piece.
    expect(short.courses.map(({ label }) => label)).not.toContain('Frame wires');

    expect(
      problemOf(await shorterWire(session, id, { cutIndex: binding, length: '30' })).fields,
    ).toHaveProperty('length');
    expect(problemOf(await shorterWire(session, id, { cutIndex: 40, length: '30 mm' })).message).toMatch(
      /no such wire/,
    );
    expect(problemOf(await shorterWire(session, newKey(), { cutIndex: 0, length: '30 mm' })).message).toMatch(
      /no such sitting/,
    );
  });

  it('is not known of a pattern that is no composition but for what stays in the piece', async () => {
    const { session, id } = await sittingOff(1);
    expect(done(await shorterWire(session, id, { cutIndex: 0, length: '70 mm' }))).toEqual({
      stays: 80_000,
      courses: [],
    });
  });
});
