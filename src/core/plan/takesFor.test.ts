import { usesOf, type Told } from '../../../tests/support/acts';
import { planActs } from '../technique/planActs';
import { TECHNIQUES } from '../techniques/registry';
import { goingOnOf, takesFor } from './takesFor';

const OFFERED = TECHNIQUES.map(goingOnOf);
const FRAME: Told = ['a', 'bundle-frame', { holds: 2 }];
const { left } = planActs(usesOf([FRAME]));

const chosen = (...refs: readonly string[]) =>
  refs.map((ref) => {
    const offer = left.find((each) => each.ref === `a.${ref}`);
    if (!offer) throw new Error(`a frame leaves no “${ref}”`);
    return offer;
  });
const able = (...refs: readonly string[]): readonly string[] =>
  OFFERED.filter((technique) => takesFor(technique, chosen(...refs))).map(({ id }) => id);

describe('what goes on from what was chosen', () => {
  it('of one end: it is curled, bent, takes a bead; nothing is lashed on it alone', () => {
    expect(able('left 1')).toEqual(
      expect.arrayContaining(['flat-spiral', 'bent-ends', 'threaded-bead', 'free-line']),
    );
    expect(able('left 1')).not.toContain('lashing');
  });

  it('of several ends: they are a bail or a neck together; a bead goes on one', () => {
    const three = ['left 1', 'right 1', 'left 2'];
    expect(able(...three)).toEqual(expect.arrayContaining(['folded-bail', 'neck-wraps', 'bent-ends']));
    expect(able(...three)).not.toContain('threaded-bead');
  });

  it('of stretches: they are lashed; of nothing: nothing', () => {
    expect(able('round left 1', 'round right 1')).toContain('lashing');
    expect(able('round left 1', 'round right 1')).not.toContain('flat-spiral');
    expect(able()).toEqual([]);
  });

  it('whatever is offered for any two ends or stretches is joined to them', () => {
    const refs = left.map(({ ref }) => ref.slice(2));
    let joined = 0;
    for (const [index, first] of refs.entries())
      for (const second of refs.slice(index + 1)) {
        const both = chosen(first, second);
        for (const technique of OFFERED) {
          const takes = takesFor(technique, both);
          if (!takes) continue;
          const [, use] = planActs(usesOf([FRAME, ['b', technique.id, {}, takes]])).uses;
          // It may not be made as it is proposed, but it is never the wrong kind of thing, nor too many of it.
          if (use && !use.plan.ok)
            expect([technique.id, use.plan.error]).not.toEqual([
              technique.id,
              expect.stringMatching(/are taken|is taken|chosen twice|not there/),
            ]);
          joined += 1;
        }
      }
    expect(joined).toBeGreaterThan(100);
  });
});
