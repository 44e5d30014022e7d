import { tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { BEADS } from '../../../tests/support/purchases';
import { studioWithPattern } from '../../../tests/support/batches';
import { differencesIn } from '../../../tests/support/cuttingTable';
import {
  addTestHelper,
  asOwner,
  closeBooks,
  done,
  expectBooksAgree,
  newKey,
  problemOf,
} from '../../../tests/support/studio';
import { namePart, pickableArticles } from '../batches/namePart';
import { reverseMovement } from '../corrections/reverseMovement';
import { showDrawerPiece } from '../drawers/drawers';
import { receiveBeads } from '../drawers/receive';
import type { StudioSession } from '../kernel/useCase';
import { showLedger } from '../ledger/ledgerPage';
import { showPattern } from '../patterns/patterns';
import { beginSitting } from '../sittings/beginSitting';
import { finishSitting } from '../sittings/finishSitting';
import { breakUp, couldComeOut } from './breakUp';
import { turnPieces, undoTurn } from './pieceLife';
import { showPiece } from './shelf';

afterAll(closeBooks);

/** A studio with a piece of 100 mm of wire and two beads out of a drawer. */
async function withBeadedPiece() {
  const { session, pattern } = await studioWithPattern();
  const { number: beads } = done(await receiveBeads(session, newKey(), BEADS));
  const [article] = await pickableArticles(session);
  done(await namePart(session, newKey(), 'bead', article?.id ?? ''));
  const before = await showDrawerPiece(session, 'bead', beads);
  const { revision = 1 } = (await showPattern(session, pattern)) ?? {};
  const id = done(await beginSitting(session, newKey(), { number: pattern, revision }, { count: '1' }));
  const { made } = done(await finishSitting(session, id));
  const [number] = made;
  if (number === undefined || !before) throw new Error('it is made');
  return { session, number, beads, before };
}

const inside = async (session: StudioSession, number: number) => {
  const found = await couldComeOut(session, number);
  if (!found) throw new Error('it stands on the shelf');
  return found;
};

const all = async (session: StudioSession, number: number) => {
  const { metals, parts } = await inside(session, number);
  return {
    metals: metals.map(({ metal, mass }) => ({ metal, mass: formatMass(mass) })),
    parts: parts.map(({ from, count }) => ({ from, count: String(count) })),
    note: 'never sold',
  };
};

const jarredOf = async (session: StudioSession) =>
  (await showLedger(session, { kind: 'salvaged' })).lines.map(({ ware, quantity, cost }) => ({
    ware,
    quantity,
    cost,
  }));

describe('a piece that is broken up', () => {
  it('has its wire fall into the jar by weight and its beads lie in their drawer, each at its cost', async () => {
    const { session, number, beads, before } = await withBeadedPiece();
    const { metals, parts } = await inside(session, number);
    expect(parts).toMatchObject([{ number: beads, count: 2 }]);
    const piece = await showPiece(session, number);
    // All of the wire that was cut is in it.
    expect(metals).toMatchObject([{ mass: piece?.wireMass }]);
    done(await breakUp(session, newKey(), number, await all(session, number)));
    expect(await showPiece(session, number)).toMatchObject({
      state: 'broken up',
      life: [{ turn: 'broken up', note: 'never sold' }],
    });
    const [bead, jar] = (await jarredOf(session)).toSorted((a, b) => a.ware.localeCompare(b.ware));
    expect(bead).toEqual({ ware: 'bead', quantity: 2, cost: parts[0]?.cost });
    expect(jar).toMatchObject({ ware: 'scrap', cost: metals[0]?.cost });
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(before.quantity);
    await expectBooksAgree();
  });

  it('is whole again when that is taken back, as long as all of it lies where it was put', async () => {
    const { session, number, beads, before } = await withBeadedPiece();
    done(await breakUp(session, newKey(), number, await all(session, number)));
    const [salvaged] = (await showLedger(session, { kind: 'salvaged' })).lines;
    expect(
      problemOf(await reverseMovement(session, newKey(), salvaged?.id ?? 0, { reason: 'oh' })).message,
    ).toMatch(/broken up; take that back on its page/);
    const life = (await showPiece(session, number))?.life ?? [];
    done(await undoTurn(session, newKey(), number, life.at(-1)?.id ?? 0));
    expect((await showPiece(session, number))?.state).toBe('on the shelf');
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(before.quantity - 2);
    await expectBooksAgree();
    // It can be broken up again, and what does not come out is lost with it.
    const some = await all(session, number);
    done(
      await breakUp(session, newKey(), number, {
        ...some,
        parts: some.parts.map((part) => ({ ...part, count: '1' })),
      }),
    );
    expect((await showDrawerPiece(session, 'bead', beads))?.quantity).toBe(before.quantity - 1);
    await expectBooksAgree();
  });

  it('gives no more than is in it, and nothing that is not; it stands on the shelf, and is the owner’s', async () => {
    const { session, number } = await withBeadedPiece();
    const whole = await all(session, number);
    const broken = (form: object, who = session) => breakUp(who, newKey(), number, { ...whole, ...form });
    expect(
      problemOf(await broken({ parts: whole.parts.map((part) => ({ ...part, count: '3' })) })).fields,
    ).toEqual({ 'parts.0.count': `3 was given; 2 of it are in ${tag('piece', number)}.` });
    expect(problemOf(await broken({ metals: [{ metal: 'brass', mass: '1 g' }] })).fields).toEqual({
      'metals.0.mass': `No brass is in ${tag('piece', number)}.`,
    });
    expect(problemOf(await broken({ parts: [{ from: 'a drawer', count: '1' }] })).fields).toHaveProperty([
      'parts.0.from',
    ]);
    // Told twice it would bring its cost twice.
    const [metal, part] = [whole.metals[0], whole.parts[0]];
    expect(problemOf(await broken({ metals: [metal, metal] })).fields).toHaveProperty('metals');
    expect(problemOf(await broken({ parts: [part, part] })).fields).toHaveProperty('parts');
    const helper = await addTestHelper(session);
    expect(problemOf(await broken({}, helper)).kind).toBe('forbidden');
    done(await turnPieces(session, newKey(), [number], { turn: 'reserved', to: 'Ines', note: '' }));
    expect(problemOf(await broken({})).message).toMatch(/is reserved; it cannot be broken up/);
    expect(await couldComeOut(session, 999)).toBeNull();
  });

  it('gives back no more than it cost, or the books tell', async () => {
    const { session, number } = await withBeadedPiece();
    done(await breakUp(session, newKey(), number, await all(session, number)));
    await asOwner('UPDATE piece_events SET cost_units = cost_units + 1000000 WHERE studio_id = $1', [
      session.studioId,
    ]);
    const told = (await differencesIn(session)).map(({ what }) => what);
    expect(told.some((what) => what.startsWith('salvaged in posting'))).toBe(true);
    await asOwner('UPDATE piece_events SET cost_units = cost_units - 1000000 WHERE studio_id = $1', [
      session.studioId,
    ]);
  });
});
