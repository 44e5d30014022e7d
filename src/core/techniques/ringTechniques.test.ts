import { planOf } from '../../../tests/support/techniques';
import { diameterOfUs } from '../ring/ringSize';

describe('ring techniques', () => {
  it.each([
    ['bead-ring', /Begin at US 8 .* for US 7 /],
    ['coil-bezel-ring', /Begin at US 8 .* for US 7 /],
    ['herringbone-ring', /Begin at US 7¼ .* for US 7 /],
    ['woven-band-ring', /Begin at US 6¾ .* for US 7 /],
    ['spiral-head-ring', /Begin at US 4½ .* for US 7 /],
    ['bound-band-ring', /Begin at US 7 .* for US 7 /],
    ['figure-eight-ring', /Begin at US 7 .* for US 7 /],
  ])('%s starts where its drift wants it (common practice)', (id, said) => {
    expect(planOf(id, { inside: diameterOfUs(7) }).notes.join(' ')).toMatch(said);
  });

  it('adds a quarter size for a band from 6 mm on, a half from 10 mm (common practice: ¼ to ½)', () => {
    const wide = (wires: number) => planOf('bound-band-ring', { inside: diameterOfUs(7), wires }).notes[0];
    expect(wide(8)).toMatch(/Begin at US 7¼/);
    expect(wide(12)).toMatch(/Begin at US 7¼/);
    expect(
      planOf('bound-band-ring', {
        inside: diameterOfUs(7),
        wires: 12,
        wire: { profile: 'square', width: 1, height: 1 },
      }).notes[0],
    ).toMatch(/Begin at US 7½/);
  });
});
