import type * as Beads from '../bead/bead';
import type { BeadKind } from '../bead/bead';
import type * as Specs from '../wire/spec';
import type { WireSpec } from '../wire/spec';

const WIRE = {
  metal: 'sterling',
  profile: 'half-round',
  width: 1024,
  height: 512,
  temper: 'half hard',
  finish: 'plated',
  finishName: ' Silver ',
  label: { system: 'AWG', number: '18' },
} as unknown as WireSpec;
const BEAD = {
  material: ' Garnet',
  shape: 'rondelle',
  min: 4000,
  max: 6000,
  hole: 800,
} as unknown as BeadKind;

/** What makes them the same stock, in a program whose lists stand in an order. */
function identities(turn: <T>(list: readonly T[]) => readonly T[]) {
  let found: readonly [string, string] = ['', ''];
  jest.isolateModules(() => {
    jest.doMock('../wire/metal', () => {
      const real: Record<string, unknown> = jest.requireActual('../wire/metal');
      return Object.fromEntries(
        Object.entries(real).map(([name, value]) => [name, Array.isArray(value) ? turn(value) : value]),
      );
    });
    const { specIdentity } = jest.requireActual<typeof Specs>('../wire/spec');
    const { beadIdentity } = jest.requireActual<typeof Beads>('../bead/bead');
    found = [specIdentity(WIRE), beadIdentity(BEAD)];
  });
  jest.dontMock('../wire/metal');
  return found;
}

describe('what makes two things the same stock', () => {
  it('is told in words, not in places of a list', () => {
    const as = identities((list) => list);
    expect(as).toEqual([
      'sterling|half-round|1024|512|half hard|plated|silver',
      'garnet|rondelle|4000|6000|800',
    ]);
    expect(identities((list) => list.toReversed())).toEqual(as);
    expect(identities((list) => [...list.slice(3), ...list.slice(0, 3)])).toEqual(as);
  });
});
