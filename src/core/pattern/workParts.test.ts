import { describeStone } from '../stone/stone';
import { mm } from '../units/length';
import { misfit, readWantedPart, sizedName } from '../part/wantedPart';
import { partsLeft } from './allParts';
import { namedStone, stonePart, withStoneNamed } from './workParts';

const oval = { outline: 'oval', length: 25, width: 18, depth: 6.4, edge: 3.3 } as const;
const carnelian = { material: 'carnelian', outline: 'oval' } as const;
const prehnite = { material: 'prehnite', outline: 'teardrop' } as const;
const chosen = new Set([carnelian, prehnite].map(namedStone));
const part = (name: string) => ({ name, count: '1', unitCost: '3.50' });
const named = { ...part(namedStone(carnelian)), unitCost: '' };

describe('a stone of the drawers among the parts', () => {
  it('is what the work wants, and is found in the drawers again by its name', () => {
    const wanted = stonePart(oval);
    expect(partsLeft([{ name: wanted, count: 1 }], [named])).toEqual([]);
    const sized = sizedName(named.name, wanted);
    const read = readWantedPart(sized);
    const inDrawers = { ...carnelian, ware: 'stone', length: mm(25), width: mm(18), hole: mm(0) } as const;
    expect(read && misfit(read, inDrawers)).toBe(0);
    expect(describeStone({ ...inDrawers, depth: mm(6), edge: mm(3), holeAxis: 'none' })).toContain(
      'carnelian oval',
    );
  });

  it('stands behind the others, or in place of another that was chosen or typed for it', () => {
    const bead = part('garnet bead, 4 mm');
    expect(withStoneNamed([bead], named, oval, chosen)).toEqual([bead, named]);
    const other = part(namedStone(prehnite));
    expect(withStoneNamed([other, bead], named, oval, chosen)).toEqual([
      { ...other, name: named.name },
      bead,
    ]);
    const typed = part('jasper cab');
    expect(withStoneNamed([bead, typed], named, oval, chosen)).toEqual([
      bead,
      { ...typed, name: named.name },
    ]);
    const elsewhere = part('jasper cab, 40 × 30 mm');
    expect(withStoneNamed([elsewhere], named, oval, chosen)).toEqual([elsewhere, named]);
  });
});
