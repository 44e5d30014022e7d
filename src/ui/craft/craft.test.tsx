import { renderToStaticMarkup } from 'react-dom/server';
import { withTechnique } from '@/core/pattern/addTechnique';
import { EMPTY_COMPOSITION } from '@/core/pattern/composition';
import { resolve } from '@/core/pattern/resolve';
import { expectOk } from '@/core/result';
import { roundSpan } from '@/core/ruler';
import { drawPlan } from '@/core/plan/drawPlan';
import { roundWire } from '@/core/parameter/parameter';
import { techniqueOf } from '@/core/techniques/registry';
import { initialPlan, type AnyTechnique } from '@/core/technique/technique';
import { cutLengthOf, plainSpec } from '@/core/plan/totals';
import { um } from '@/core/units/length';
import { CutStrips } from './CutStrips';
import { Judgements } from './Judgements';
import { allOf } from '@/core/drawing/look';
import { PiecesDrawn } from './PiecesDrawn';
import { PlanDrawing } from './PlanDrawing';
import { StoneHanging } from './StoneHanging';
import { stripsOf } from './stripsOf';

const named = (id: string) => techniqueOf(id) as AnyTechnique;
const drawingOf = (id: string) => drawPlan(expectOk(initialPlan(named(id))));

it('a plan is drawn in the colours of its metals, as thick as its wires are, to one scale', () => {
  const drawing = drawingOf('looped-bezel');
  const svg = renderToStaticMarkup(
    <PlanDrawing
      drawing={drawing}
      looks={{
        ...allOf('copper'),
        wireOf: (wire) => ({ metal: wire === 'wire' ? 'sterling' : 'copper', finish: 'bare' }),
      }}
      label="a bezel"
    />,
  );
  const { box } = drawing;
  expect(svg).toContain(`viewBox="${box.x} ${box.y} ${box.width} ${box.height}"`);
  expect(svg).toContain('var(--metal-sterling)');
  expect(svg).toContain('var(--metal-copper-edge)');
  expect(svg).toContain('stroke-width="1.291"');
  expect(svg).toContain('stroke-width="0.405"');
  expect(svg).not.toMatch(/ style=/);
});

it('a strip is as long against its ruler as its wire is, and says what no wire is chosen for', () => {
  const resolved = resolve(
    withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf),
    {},
    techniqueOf,
  );
  const strips = stripsOf(resolved, {});
  const html = renderToStaticMarkup(<CutStrips strips={strips} />);
  const longest = Math.max(...resolved.cuts.map(cutLengthOf));
  const span = roundSpan(um(longest), um(50_000));
  const drawn = [...html.matchAll(/<rect x="0" y="[\d.]+" width="([\d.]+)%" height="[\d.]+" rx/g)].map(
    ([, width]) => Number(width),
  );
  expect(drawn).toHaveLength(strips.length);
  for (const [index, cut] of resolved.cuts.entries())
    expect(drawn[index]).toBeCloseTo((100 * cutLengthOf(cut)) / span, 6);
  expect(html.match(/its wire is not chosen/g)).toHaveLength(strips.length);
  // The foremost and the rearmost wire are pulled in differently from the one between them.
  for (const name of ['frame wire 1', 'frame wire 2', 'frame wire 3']) expect(html).toContain(`>${name}<`);
  expect(html).toContain('middle: the foot of the stone');
});

it('a chosen wire is named, and a composed pattern says its cautions once', () => {
  const specs = { c20: plainSpec(roundWire(0.812), 'copper'), c28: plainSpec(roundWire(0.321), 'copper') };
  const composition = withTechnique(EMPTY_COMPOSITION, named('bundle-frame'), techniqueOf, specs);
  const resolved = resolve(composition, specs, techniqueOf);
  const html = renderToStaticMarkup(<CutStrips strips={stripsOf(resolved, specs)} />);
  expect(html).not.toContain('not chosen');
  expect(html).toContain('28 ga');
  const pieces = renderToStaticMarkup(
    <PiecesDrawn
      composition={composition}
      resolved={resolved}
      specs={specs}
      parts={[]}
      touchesOf={(part) => <p>looked at {part}</p>}
    />,
  );
  expect(pieces.match(/Cut ends fly/g)).toHaveLength(1);
  expect(pieces).toContain('var(--metal-copper)');
  expect(pieces).toContain(`looked at ${composition.uses[0]?.id}`);
  // Small, after every step that changes it, under the number of the step.
  const after = [...pieces.matchAll(/after step (\d+)"/g)].map(([, number]) => Number(number));
  const names = ['form the frame to the stone', 'try the stone', 'close the top and bend all ends upright'];
  expect(after).toEqual(names.map((name) => resolved.steps.findIndex((step) => step.name === name) + 1));
});

it('a symmetrical stone hangs straight from its top; a lopsided one says by how much it does not', () => {
  const even = renderToStaticMarkup(<StoneHanging stone={{ outline: 'teardrop', length: 30, width: 20 }} />);
  expect(even).toContain('It hangs straight from its top');
  const points = [
    { x: -10, y: -10 },
    { x: 0, y: -4 },
    { x: 12, y: 2 },
    { x: 6, y: 10 },
    { x: -10, y: 8 },
  ];
  const lopsided = renderToStaticMarkup(
    <StoneHanging stone={{ outline: 'freeform', length: 20, width: 22, points }} />,
  );
  expect(lopsided).toMatch(
    /to the (<!-- -->)?right(<!-- -->)? of its top; hung from its top, the square, it tilts (<!-- -->)?\d+/,
  );
  expect(renderToStaticMarkup(<StoneHanging stone={{ outline: 'teardrop', length: 10, width: 20 }} />)).toBe(
    '',
  );
});

it('a judgement says what, why and what mends it; a fault looks like one', () => {
  const of = [
    {
      weight: 'advice' as const,
      about: 'wire',
      said: 'It is thin.',
      why: 'It pulls open.',
      mend: 'Take 18 ga.',
    },
    {
      weight: 'fault' as const,
      about: 'step',
      said: 'It comes late.',
      why: 'It does not pass.',
      mend: 'Move it.',
    },
  ];
  const html = renderToStaticMarkup(<Judgements of={of} />);
  expect(html).toContain('It is thin.</strong> It pulls open. Take 18 ga.');
  expect(html.match(/border-error/g)).toHaveLength(1);
  expect(renderToStaticMarkup(<Judgements of={[]} />)).toBe('');
});
