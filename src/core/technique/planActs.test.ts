import { usesOf, type Told } from '../../../tests/support/acts';
import { planActs } from './planActs';

const TOLD: readonly Told[] = [
  ['frame', 'bundle-frame', { wires: 3, bound: 4, holds: 0 }],
  ['bend', 'bent-ends', { about: 4, degrees: 90 }, { ends: ['frame.left 1'] }],
  ['weave', 'straight-weave', { length: 30 }],
  ['coil', 'coil', { length: 12 }],
];

describe('what does not depend on a change', () => {
  const uses = usesOf(TOLD);
  const before = planActs(uses);
  const changed = uses.map((use) =>
    use.id === 'bend' ? { ...use, values: { ...use.values, about: 5 } } : use,
  );
  const after = planActs(changed);
  const pieceOf = (planned: typeof before, id: string) =>
    planned.pieces.find((piece) => piece.uses.includes(id));

  it('stays as it is: other pieces are the same objects, and so are their uses', () => {
    for (const id of ['weave', 'coil']) {
      expect(pieceOf(after, id)).toBe(pieceOf(before, id));
      const use = (planned: typeof before) => planned.uses.find((each) => each.id === id);
      expect(use(after)?.plan.ok).toBe(true);
      expect(use(after)).toBe(use(before));
    }
  });

  it('is no reason to keep what does: the piece that was changed is another, as long as it is told otherwise', () => {
    expect(pieceOf(after, 'bend')).not.toBe(pieceOf(before, 'bend'));
    const anew = planActs(
      usesOf(TOLD).map((use, index) => ({ ...use, values: { ...changed[index]?.values } })),
    );
    expect(pieceOf(after, 'bend')?.run.wires.map(({ cut }) => cut)).toEqual(
      pieceOf(anew, 'bend')?.run.wires.map(({ cut }) => cut),
    );
    expect(pieceOf(after, 'bend')?.run.wires.map(({ cut }) => cut)).not.toEqual(
      pieceOf(before, 'bend')?.run.wires.map(({ cut }) => cut),
    );
  });

  it('what is offered to a use that comes later is another, when what it could take up is called otherwise', () => {
    const renamed = planActs(uses.map((use) => (use.id === 'frame' ? { ...use, id: 'edge' } : use)));
    const offered = renamed.uses.find(({ id }) => id === 'coil')?.offered.map(({ ref }) => ref) ?? [];
    expect(offered.some((ref) => ref.startsWith('edge.'))).toBe(true);
    expect(offered.some((ref) => ref.startsWith('frame.'))).toBe(false);
  });
});
