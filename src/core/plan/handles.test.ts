import fc from 'fast-check';
import { pieceOf, usesOf, type Told } from '../../../tests/support/acts';
import { VIEWS, seenFrom } from '../drawing/view';
import { distance3, norm3, unit3 } from '../geometry/vec3';
import { expectOk } from '../result';
import { Shaping } from './handles';
import { roundWire } from '../parameter/parameter';
import type { StoneSize } from '../stone/stoneSize';
import { pulledBy, stepped, straightTo, textsPulled, valuesPulled, type Handle } from './pulls';
import { readTexts } from '../parameter/readTexts';
import { cutOf } from '../technique/technique';

/** A frame whose first end is rolled up, and whose spiral is then lashed to nothing: what is shaped is not the last of it. */
const framed = (across = 9, bail = 4): readonly Told[] => [
  ['a', 'bundle-frame', { bail }],
  ['b', 'flat-spiral', { across, start: 1.5 }, { ends: ['a.right 1'] }],
  ['c', 'folded-bail', {}, { ends: ['a.left 1', 'a.left 2'] }],
];
const LINE: readonly Told[] = [['a', 'free-line']];

const shaping = (told: readonly Told[], id: string): Shaping => expectOk(Shaping.of(usesOf(told), id));

function handleIn(told: readonly Told[], id: string, key: string): Handle {
  const [found] = shaping(told, id).handles([key]);
  if (!found) throw new Error(`${key} has no handle`);
  return found;
}

describe('where one takes hold of a measure', () => {
  it('is on the far side of a spiral for how wide it is, which moves out by a mm for every mm', () => {
    const { at, pulls } = handleIn(framed(), 'b', 'across');
    const [{ per, value }] = pulls;
    const { run, by } = pieceOf(framed());
    const spiral = run.wires
      .flatMap(({ first, second }) => [...first, ...second])
      .filter(({ course }) => course && by.get(course) === 'b')
      .flatMap(({ path }) => path);
    const begins = spiral[0];
    if (!begins) throw new Error('nothing is rolled up');
    expect(value).toBe(9);
    // Across from where it begins, but for the wire: the far side of its outermost turn.
    expect(distance3(at, begins)).toBeGreaterThan(0.75 * 9 - 1);
    expect(norm3(per)).toBeGreaterThan(0.8);
    expect(norm3(per)).toBeLessThan(1.1);
  });

  it('is at the end of what is made longer, and goes straight on', () => {
    const { on, pulls } = handleIn(framed(), 'a', 'bail');
    expect(on.part).toBeCloseTo(1, 6);
    expect(unit3(pulls[0].per).y).toBeCloseTo(-1, 6);
    expect(norm3(pulls[0].per)).toBeCloseTo(1, 6);
  });

  it('is nowhere for what moves nothing', () => {
    expect([...shaping(framed(), 'a').handles(['tail'])]).toEqual([]);
    expect([...shaping(framed(), 'b').handles(['way', 'wire', 'nothing of that name'])]).toEqual([]);
  });

  it('is at every point of a line, where it is told to be', () => {
    const line = usesOf(LINE)[0]?.values?.['points'] as readonly { x: number; y: number }[];
    const handles = [...shaping(LINE, 'a').handles(['points'])];
    // A line that begins at nothing goes up the paper: on is up, to its right is right.
    const begins = pieceOf(LINE).run.wires[0]?.first[0]?.path[0] ?? { x: 0, y: 0 };
    expect(
      handles.map(({ at }) => [at.x - begins.x, begins.y - at.y].map((each) => Number(each.toFixed(6)))),
    ).toEqual(line.map(({ x, y }) => [y, x]));
    expect(handles.map(({ label }) => label)[1]).toBe(`point 2 of ${line.length}`);
  });
});

describe('pulling at it', () => {
  it('comes to what typing comes to, and says how much more is cut', () => {
    const handle = handleIn(framed(), 'b', 'across');
    const { cuts } = expectOk(shaping(framed(), 'b').pulled(handle, [13]));
    const typed = (across: number) => {
      // The spiral’s wire is the frame’s: cut with it, whatever comes after in the work.
      const { run } = pieceOf(framed(across).slice(0, 2));
      return run.wires.find(({ wire }) => wire.name === 'frame wire 1')?.cut;
    };
    expect(cuts).toHaveLength(1);
    expect(cuts[0]?.name).toBe('frame wire 1');
    expect(cuts[0]?.cut).toBeCloseTo(typed(13) ?? NaN, 6);
    expect(cuts[0]?.was).toBeCloseTo(typed(9) ?? NaN, 6);
  });

  it('shows the whole of what the technique does, and stays with the handle', () => {
    const shaped = shaping(framed(), 'a');
    const [handle] = shaped.handles(['bail']);
    if (!handle) throw new Error('no handle');
    const { lines, at } = expectOk(shaped.pulled(handle, [9]));
    expect(at.y - handle.at.y).toBeCloseTo(-5, 6);
    expect(new Set(lines.map(({ thick }) => thick)).size).toBe(2);
    const ends = lines.flatMap(({ path }) => path.slice(-1));
    expect(Math.min(...ends.map((end) => distance3(end, at)))).toBeLessThan(1e-6);
  });

  it('says why when that cannot be made', () => {
    const shaped = shaping(framed(), 'b');
    const [handle] = shaped.handles(['across']);
    if (!handle) throw new Error('no handle');
    const refused = shaped.pulled(handle, [2]);
    expect(!refused.ok && refused.error).toMatch(/A spiral of .* is more than .* across; 2 mm is not/);
    const broken = Shaping.of(usesOf([['b', 'flat-spiral', { across: 2, start: 5 }]]), 'b');
    expect(!broken.ok && broken.error).toMatch(/spiral of/);
  });

  it('moves a point of a line to where it is pulled', () => {
    const shaped = shaping(LINE, 'a');
    const last = [...shaped.handles(['points'])].at(-1);
    if (!last) throw new Error('no points');
    const to = pulledBy(last, 'front', { x: 4, y: -2 });
    const { lines, at } = expectOk(shaped.pulled(last, to ?? []));
    expect(distance3(at, { ...last.at, x: last.at.x + 4, y: last.at.y - 2 })).toBeLessThan(1e-6);
    expect(distance3(lines[0]?.path.at(-1) ?? last.at, at)).toBeLessThan(1e-6);
  });
});

const HANDLES: readonly Handle[] = [
  handleIn(framed(), 'b', 'across'),
  handleIn(framed(), 'a', 'holds'),
  handleIn(framed(), 'a', 'bail'),
  ...shaping(LINE, 'a').handles(['points']),
];
const anyHandle = fc.constantFrom(...HANDLES);

describe('what a pull comes to', () => {
  it('is as many units as it is pulled times what moves it by one, in any view in which it moves', () => {
    fc.assert(
      fc.property(
        anyHandle,
        fc.constantFrom(...VIEWS),
        fc.integer({ min: 1, max: 5 }),
        (handle, view, units) => {
          const ways = seenFrom(
            view,
            handle.pulls.map(({ per }) => per),
          );
          const by = ways.reduce((sum, { x, y }) => ({ x: sum.x + x * units, y: sum.y + y * units }), {
            x: 0,
            y: 0,
          });
          const to = pulledBy(handle, view, by);
          if (!to)
            return expect(Math.min(...ways.map(({ x, y }) => Math.hypot(x, y)))).toBeLessThan(0.2 * 14);
          expect(to).toHaveLength(handle.pulls.length);
          for (const [index, { value, to: most }] of handle.pulls.entries())
            expect(to[index]).toBeCloseTo(Math.min(most, value + units), 1);
        },
      ),
    );
  });

  it('is nothing where it would move toward the eye', () => {
    // A line that lies on the paper is seen on edge from the side and from above.
    const [point] = shaping(LINE, 'a').handles(['points']);
    if (!point) throw new Error('no points');
    expect(pulledBy(point, 'side', { x: 3, y: 3 })).toBeUndefined();
    expect(pulledBy(point, 'above', { x: 3, y: 3 })).toBeUndefined();
    expect(pulledBy(point, 'back', { x: 3, y: 3 })).toBeDefined();
  });

  it('stays within what is allowed, in whole numbers of what is counted', () => {
    fc.assert(
      fc.property(anyHandle, fc.double({ min: -500, max: 500, noNaN: true }), (handle, far) => {
        const to = pulledBy(handle, 'front', { x: far, y: -far }) ?? stepped(handle, [far, -far]);
        for (const [index, { from, to: most }] of handle.pulls.entries()) {
          expect(to[index]).toBeGreaterThanOrEqual(from);
          expect(to[index]).toBeLessThanOrEqual(most);
          if (handle.parameter.kind === 'count') expect(Number.isInteger(to[index])).toBe(true);
        }
      }),
    );
  });

  it('is typed so that it is read again as what it was pulled to, in inches too', () => {
    fc.assert(
      fc.property(
        anyHandle,
        fc.integer({ min: -6, max: 6 }),
        fc.constantFrom('mm', 'in'),
        (handle, strokes, system) => {
          const told = handle.point === undefined ? framed() : LINE;
          const use = usesOf(told).find(({ technique }) => handle.key in technique.parameters);
          const values = use?.values ?? {};
          const to = stepped(handle, [strokes, strokes]);
          const texts = textsPulled(values, handle, to, system);
          const read = expectOk(readTexts({ [handle.key]: handle.parameter }, texts, system))[handle.key];
          const meant = valuesPulled(values, handle, to)[handle.key];
          if (typeof meant === 'number') expect(read).toBeCloseTo(meant, 2);
          else expect(read).toEqual(meant);
        },
      ),
    );
  });

  it('is a stroke of a key either way', () => {
    const handle = handleIn(framed(), 'b', 'across');
    expect([1, -1, 1000].map((strokes) => stepped(handle, [strokes])[0])).toEqual([9.5, 8.5, 150]);
  });
});

it('cuts what its plan cuts', () => {
  const { plans } = pieceOf(framed().slice(0, 1));
  const handle = handleIn(framed(), 'a', 'bail');
  const { cuts } = expectOk(shaping(framed(), 'a').pulled(handle, [handle.pulls[0].value]));
  const total = cuts.reduce((sum, { cut }) => sum + cut, 0);
  const planned = Object.values(plans).flatMap((plan) => plan.cuts);
  expect(total).toBeCloseTo(
    planned.reduce((sum, cut) => sum + cut.count * cutOf(cut), 0),
    6,
  );
});

it('draws a point that is pulled near the edge of a stone against it, and nothing but points', () => {
  const stone: StoneSize = { outline: 'round', length: 20, width: 20, edge: 3, depth: 5 };
  const told: readonly Told[] = [
    ['a', 'bundle-frame', { stone, wire: roundWire(0.8), bound: 0, bail: 3, holds: 2, tail: 40 }],
    ['b', 'free-line', {}, { ends: ['a.left 1'] }],
  ];
  const middle = pieceOf(told).run.bodies[0]?.pose.at ?? { x: NaN, y: NaN };
  const shaped = shaping(told, 'b');
  const point = [...shaped.handles(['points'])].at(-1);
  if (!point) throw new Error('its points are pulled');
  // 45° below the middle of the stone, where no wire is nearer than its edge: pulled 0.3 mm too far out.
  const far = (10 + 0.4 + 0.3) / Math.SQRT2;
  const pulled =
    pulledBy(point, 'front', { x: middle.x + far - point.at.x, y: middle.y + far - point.at.y }) ?? [];
  const drawn = shaped.drawnTo(point, pulled, 0.6);
  const lies = straightTo(point, drawn?.to ?? []);
  expect(Math.hypot(lies.x - middle.x, lies.y - middle.y)).toBeCloseTo(10.4, 1);
  // The wires of the frame lie there too: those of the other side are opposite.
  expect(drawn?.said).toMatch(/^(at the edge of the stone|opposite frame wire \d)$/);
  expect(
    shaped.drawnTo(
      point,
      pulled.map((value) => value + 200),
      0.6,
    ),
  ).toBeUndefined();
  const other = [...shaping(told, 'a').handles(['bail'])][0];
  if (!other) throw new Error('its bail is pulled');
  expect(shaping(told, 'a').drawnTo(other, [4], 50)).toBeUndefined();
});

describe('a choice of how something lies', () => {
  const choicesIn = (told: readonly Told[], id: string, keys: readonly string[]) =>
    [...shaping(told, id).choices(keys)].flatMap((each) => each ?? []);

  it('is offered where it changes most: the spiral does not pass there when it is rolled the other way', () => {
    const [way, ...others] = choicesIn(framed(), 'b', ['way', 'across', 'wire']);
    expect(others).toEqual([]);
    if (!way) throw new Error('it is rolled to one side');
    expect(way.next).not.toBe(way.now);
    const pathWhen = (to: string) => {
      const told = framed().map(([id, technique, values, takes]): Told =>
        id === 'b' ? [id, technique, { ...values, way: to }, takes] : [id, technique, values, takes],
      );
      const { run, by } = pieceOf(told);
      const courses = run.wires.flatMap(({ first, second }) => [...first, ...second]);
      return courses
        .filter(({ course }) => course && by.get(course) === 'b')
        .flatMap(({ path }) => path.map((place) => distance3(place, way.at)));
    };
    expect(Math.min(...pathWhen(way.now))).toBeLessThan(0.6);
    expect(Math.min(...pathWhen(way.next))).toBeGreaterThan(2);
  });

  it('is what can be made, each in its turn, and nothing where nothing would lie otherwise', () => {
    const technique = usesOf(framed())[1]?.technique;
    const { choices } = technique?.parameters['way'] as { choices: readonly string[] };
    for (const now of choices) {
      const told = framed().map(([id, of, values, takes]): Told =>
        id === 'b' ? [id, of, { ...values, way: now }, takes] : [id, of, values, takes],
      );
      for (const { next } of choicesIn(told, 'b', ['way'])) expect(choices).toContain(next);
    }
    expect(choicesIn(LINE, 'a', ['second'])).toEqual([]);
  });
});
