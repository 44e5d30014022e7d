import { pieceOf } from '../../../tests/support/acts';
import { materialIn } from '../stone/material';
import { materialsOf } from './looksOf';

const stone = { outline: 'oval', length: 24, width: 18, depth: 6, edge: 2.4 } as const;
const { bodies } = pieceOf([
  ['a', 'bundle-frame', { stone }],
  ['b', 'threaded-bead', { bead: 4, across: 4 }, { end: ['a.left 1'] }],
  ['c', 'threaded-bead', { bead: 6, across: 6 }, { end: ['a.right 1'] }],
]).run;
const [cab] = bodies.filter(({ kind }) => kind === 'cab');
const [small, large] = bodies.filter(({ kind }) => kind === 'bead');

function ofEach(...names: readonly string[]) {
  const materialOf = materialsOf(
    bodies,
    names.map((name) => ({ name })),
  );
  return [cab, small, large].map((body) => materialOf(body?.id ?? ''));
}

describe('what stones and beads of a piece are made of', () => {
  it('follows from what its parts are called: a stone for the stone, beads by their size', () => {
    expect(ofEach('prehnite cab', 'garnet bead, 4 mm', 'carnelian round, 6 mm')).toEqual(
      ['prehnite', 'garnet', 'carnelian'].map(materialIn),
    );
  });

  it('a bead of no size stands for each that none is named for', () => {
    expect(ofEach('garnet bead', 'carnelian round, 6 mm')).toEqual([
      undefined,
      materialIn('garnet'),
      materialIn('carnelian'),
    ]);
  });

  it('a stone of another size or outline, and what nobody knows, say nothing of it', () => {
    expect(ofEach('prehnite oval cab, 30 × 22 mm', 'mystery bead, 4 mm')).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(ofEach('prehnite round cab')).toEqual([undefined, undefined, undefined]);
  });
});
