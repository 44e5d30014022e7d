import { METALS } from '../wire/metal';
import { materialIn } from './material';

describe('what stones and beads are made of', () => {
  // Handbook of Mineralogy, measured densities, g/cm³, from memory: quartz 2.65–2.66, forsterite 3.27, prehnite 2.90–2.95, cordierite 2.60–2.66,
  // hematite 5.26, fluorite 3.17–3.18, almandine 4.09–4.31.
  it.each([
    ['rock crystal', 2.65, 2.66],
    ['peridot', 3.27, 3.37],
    ['prehnite', 2.9, 2.95],
    ['iolite', 2.6, 2.66],
    ['hematite', 5.25, 5.27],
    ['fluorite', 3.17, 3.19],
    ['garnet', 4.09, 4.31],
  ])('%s is as heavy as its species was measured', (name, from, to) => {
    const density = materialIn(name)?.density ?? 0;
    expect(density).toBeGreaterThanOrEqual(from);
    expect(density).toBeLessThanOrEqual(to);
  });

  it('the longest name counts, wherever it stands, one or several of it', () => {
    expect(materialIn('pale moss agate')?.colour).toBe(materialIn('moss agate')?.colour);
    expect(materialIn('moss agate')?.colour).not.toBe(materialIn('agate')?.colour);
    expect(materialIn('sea glass')?.colour).not.toBe(materialIn('glass')?.colour);
    expect(materialIn('Freshwater pearls')).toEqual(materialIn('pearl'));
    expect(materialIn('rose-quartz')).toEqual(materialIn('rose quartz'));
  });

  it('a bead of metal is as heavy as its wire; what is unknown, or a part of a word, is nothing', () => {
    for (const { id, density } of METALS) expect(materialIn(id)).toMatchObject({ density, isMetal: true });
    for (const words of ['', 'from the market', 'coppery', 'jadeite-like'])
      expect(materialIn(words)).toBeUndefined();
  });
});
