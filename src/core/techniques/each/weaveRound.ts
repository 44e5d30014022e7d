import { parallelOf, perimeterOf } from '../../outline/outline';
import { outlineOf } from '../../stone/outlineOf';
import { ok, refuse, type Result } from '../../result';
import type { Weave } from '../../weave/notation';
import { length, roundWire, stone, weave, wire } from '../../parameter/parameter';
import type { StoneSize } from '../../stone/stoneSize';
import type { WireSize } from '../../wire/wireSize';
import { actTechnique } from '../../technique/planActs';
import { said } from '../../technique/technique';
import { bendOf } from '../../wrap/winding';
import { stripOf, type Strip } from '../../techniqueKit/woven';
import { freshRow, straightWeave } from './straightWeave';

interface Round {
  readonly stone: StoneSize;
  readonly weave: Weave;
  readonly base: WireSize;
  readonly weaving: WireSize;
  readonly open: number;
}

/**
 * How far it is round a stone along the middle of the wires, less what is left open, and whole repeats of the weave within that: bent round the
 * stone its wraps touch one another inside of the wires, where the way round is shorter.
 */
function woundRound({
  stone: held,
  weave: woven,
  base,
  weaving,
  open,
}: Round): Result<{ readonly round: number; readonly strip: Strip; readonly covered: number }> {
  const outline = outlineOf(held);
  if (!outline.ok) return outline;
  const { thick, height } = bendOf(weaving);
  const [inside, middle] = [thick / 2, height + base.width / 2].map((off) =>
    perimeterOf(parallelOf(outline.value, off)),
  ) as [number, number];
  const round = middle - open;
  const strip = stripOf(woven, base, weaving, { within: (round * inside) / middle });
  if (!strip.ok) return strip;
  return strip.value.repeats > 0
    ? ok({ round, strip: strip.value, covered: (strip.value.covered * middle) / inside })
    : refuse(
        `Round the stone there are ${said(Math.max(0, round))} to weave on, which is less than one repeat of ${said(strip.value.advance)}.`,
      );
}

/** A weave about the middle of its wires that goes all round a stone: woven flat until it would meet at the top, and bent round it afterwards. */
export const weaveRound = actTechnique({
  id: 'weave-round',
  title: 'Weave all round a stone',
  group: 'weaves',
  source:
    'whole repeats along the parallel curve of the outline that its wires will lie on; each as in a straight weave',
  parameters: {
    stone: stone('Stone', { outline: 'marquise', length: 24, width: 12, depth: 5, edge: 2 }),
    weave: weave('Weave', {
      repeat: [
        { kind: 'wrap', first: 0, last: 1, wraps: 1 },
        { kind: 'wrap', first: 1, last: 2, wraps: 1 },
        { kind: 'wrap', first: 0, last: 1, wraps: 1 },
        { kind: 'wrap', first: 0, last: 0, wraps: 4 },
      ],
      close: [],
    }),
    base: wire('Frame wire', roundWire(0.812), 'frame'),
    weaving: wire('Weaving wire', roundWire(0.405), 'weaving'),
    open: length('Left open at the top', 0, 0, 100),
    tail: length('Tail at each end of the frame wires', 60, 0, 200),
    weavingTail: length('Tail at each end of the weaving wire', 60, 0, 200),
  },
  ports: {
    frame: {
      label: 'Wires that it is woven on, A first',
      does: 'be woven on, all round a stone',
      takes: ['wire'],
      from: 1,
      to: 12,
      wire: 'base',
      freshOnly: ['base'],
      fresh: (values) => {
        const wound = woundRound(values);
        const strip = wound.ok ? ok(wound.value.strip) : wound;
        return freshRow(values.weave, strip, values.base, values.tail);
      },
    },
  },
  act: (values, taken) => {
    const wound = woundRound(values);
    if (!wound.ok) return wound;
    const { round, strip, covered } = wound.value;
    const act = straightWeave.act(byRepeats(values, strip.repeats), taken);
    if (!act.ok) return act;
    return ok({
      ...act.value,
      notes: [
        ...(act.value.notes ?? []),
        `Round the stone there are ${said(round)}; ${said(round - covered)} of them stay bare where it meets at the top.`,
      ],
    });
  },
});

/** What a straight weave of so many repeats is told. */
const byRepeats = (
  {
    weave: woven,
    base,
    weaving,
    tail,
    weavingTail,
  }: Round & { readonly tail: number; readonly weavingTail: number },
  repeats: number,
) => ({
  weave: woven,
  base,
  weaving,
  tail,
  weavingTail,
  lies: 'about the middle' as const,
  off: 0,
  told: 'by repeats' as const,
  length: 0,
  repeats,
  gap: 0,
});
