import { pose, type Pose } from '../../geometry/pose';
import { vec3 } from '../../geometry/vec3';
import type { Along, Course, Side } from '../../piece/piece';
import { ok, refuse } from '../../result';
import { counted } from '../../units/counted';
import { cutsOfPiece } from '../../technique/ofPiece';
import { beadLength, count, drilled, length, roundWire, wire } from '../../parameter/parameter';
import { insideWanted, ringStart } from '../../techniqueKit/ringStart';
import { said, technique } from '../../technique/technique';

/** How steeply the shank leaves the bead, degrees. */
const STEEP = 56;
/** Turns that anchor the thin wire, and that close it. */
const [ANCHOR, CLOSE] = [2, 3];
/** Where the first layer arrives beside the anchor, in thicknesses of the thin wire. */
const BESIDE_ANCHOR = 1.2;
/** Along the shank each layer takes so many thicknesses of the thin wire; over its wrap it comes and goes. */
const LAYER = 2.1;
/** Wraps of the other end begin so many thicknesses beyond the weave. */
const AIR = 2.1;

/**
 * A bead on the middle of a shank, thin wire led round it from side to side in layers, each under the last, with a wrap about the shank at each
 * side; both ends of the shank go once round the finger and are wound beside the weave.
 */
export const herringboneRing = technique({
  id: 'herringbone-ring',
  title: 'Herringbone-bead ring',
  group: 'rings',
  source:
    'layers in front of the bead and behind it, a wrap √[(π(D + d))² + d²] at each side; the shank twice round the mandrel, measured as it lies',
  parameters: {
    wire: wire('Shank wire', roundWire(0.812), 'bead ring'),
    weaving: wire('Weaving wire', roundWire(0.405), 'weaving'),
    inside: insideWanted,
    bead: beadLength('Bead', 8, 2, 30),
    drilled: drilled(1),
    layers: count('Layers round the bead', 5, 1, 12),
    wraps: count('Wraps of each shank end beside the weave', 3, 1, 8),
    tail: length('Handling tail at each end of the shank', 50, 0, 100),
    weavingTail: length('Tail at each end of the weaving wire', 15, 0, 200),
  },
  plan: ({ wire: size, weaving, inside, bead, drilled: hole, layers, wraps, tail, weavingTail }) => {
    const [D, d] = [size.width, weaving.width];
    const start = ringStart('herringbone-ring', inside, 2 * D);
    const ring = ringOf({ D, d, inside: start.begun.diameter, bead, layers, wraps });
    if (ring.deepest > 1)
      return refuse(
        `${counted(layers, 'layer')} of ${said(d)} do not lie under one another on half of a bead of ${said(bead)}; ${ring.most} do.`,
      );
    const shankHand = (side: Side): readonly Course[] => {
      const way = side === 'first' ? 1 : -1;
      const other = side === 'first' ? 'second' : 'first';
      // The second hand is the first one turned half round the upright through the bead.
      const turned = ({ at, along }: Pose): Pose =>
        pose(vec3(way * at.x, at.y, way * at.z), vec3(way * along.x, along.y, way * along.z), vec3(0, 0, 1));
      return [
        { kind: 'bent', name: BESIDE, id: 'bend', about: 0, angle: way * STEEP },
        { kind: 'laid', name: BESIDE, id: 'stem', length: ring.stem },
        { kind: 'led', name: ROUND, id: 'mandrel', to: turned(ring.onMandrel) },
        { kind: 'coiled', name: ROUND, about: start.begun.diameter, turns: way * ring.turns, pitch: way * D },
        {
          kind: 'bound',
          name: `${counted(wraps, 'wrap')} of each end beside the weave`,
          id: 'wound',
          on: [
            {
              wire: 'shank',
              from: { side: other, endOf: 'stem', on: (wraps + AIR) * D },
              towards: side,
            },
          ],
          // From where it comes up beside the other end, over the outside first.
          begin: side === 'first' ? 0 : 180,
          turns: -wraps,
          long: wraps * D,
        },
      ];
    };
    const onStem = (side: Side, on: number): Along => ({
      wire: 'shank',
      from: { side, endOf: 'bend', on },
      towards: side,
    });
    // Over the top of the shank, from the front to the back on its first hand and back to the front on its second.
    const wrapOn = (side: Side, on: number, turns: number, name: string): Course => ({
      kind: 'bound',
      name,
      on: [onStem(side, on)],
      begin: side === 'first' ? 270 : 90,
      turns: -turns,
      long: turns * d,
    });
    const inLayers = `${counted(layers, 'layer')} round the bead`;
    const inWraps = 'a wrap on each side of every layer';
    const anchored = (ANCHOR + BESIDE_ANCHOR) * d;
    const woven = Array.from({ length: layers }, (_, layer): Course[] => {
      const { down, out } = ring.layerAt(layer);
      const y = -ring.beadAt + down;
      return [
        { kind: 'led', name: inLayers, to: pose(vec3(0, y, out), vec3(1, 0)) },
        wrapOn('first', LAYER * layer * d, 1, inWraps),
        { kind: 'led', name: inLayers, to: pose(vec3(0, y, -out), vec3(-1, 0)) },
        wrapOn('second', anchored + LAYER * layer * d, 1, inWraps),
      ];
    }).flat();
    const cut = cutsOfPiece(
      {
        bodies: [
          {
            kind: 'bead',
            id: 'bead',
            width: bead,
            length: bead,
            hole,
            pose: pose(vec3(0, -ring.beadAt), vec3(1, 0)),
          },
        ],
        wires: [
          {
            id: 'shank',
            name: 'shank wire',
            cutFrom: 'wire',
            size,
            start: pose(vec3(0, -ring.beadAt), vec3(1, 0)),
            first: [{ kind: 'laid', name: THROUGH, length: bead / 2 }, ...shankHand('first')],
            second: [{ kind: 'laid', name: THROUGH, length: bead / 2 }, ...shankHand('second')],
            tails: { first: tail, second: tail },
          },
          {
            id: 'weaving',
            name: 'weaving wire',
            cutFrom: 'weaving',
            size: weaving,
            first: [
              wrapOn('second', 0, ANCHOR, 'turns that anchor and close it'),
              ...woven,
              wrapOn('second', anchored + LAYER * layers * d, CLOSE, 'turns that anchor and close it'),
            ],
            second: [],
            tails: { first: weavingTail, second: weavingTail },
          },
        ],
      },
      { middle: { shank: 'middle: the bead sits here', weaving: 'begin to wind on the shank' } },
    );
    if (!cut.ok) return cut;
    return ok({
      ...cut.value,
      steps: [
        {
          id: 'anchor',
          makes: ['turns that anchor and close it'],
          name: `wind ${ANCHOR} turns of thin wire on the middle of the shank and trim its end`,
          minutes: 1,
          cautions: ['cut ends'],
        },
        {
          id: 'thread-bead',
          makes: ['bead'],
          name: 'thread the bead on the shank, against them',
          minutes: 0.5,
        },
        {
          id: 'layers',
          makes: ['round the bead'],
          name: 'lead the thin wire round the bead and once round the shank at each side, each layer under the last',
          minutes: 2 + layers * 3,
          cautions: ['gripping'],
        },
        {
          id: 'band',
          makes: ['with each end'],
          name: 'wind both ends once round the mandrel, without crossing',
          minutes: 3,
        },
        {
          id: 'wrap',
          makes: ['of each end beside the weave'],
          name: `wind each end ${counted(wraps, 'time')} next to the weave, in turn`,
          minutes: 2 + 2 * wraps * 0.5,
        },
        { id: 'tuck', name: 'trim both ends inside, at a slant', minutes: 2, cautions: ['cut ends'] },
        {
          id: 'size',
          name: 'mallet it to size on the mandrel, turning it round between',
          minutes: 3,
          cautions: ['hammering'],
        },
      ],
      order: [
        {
          first: 'anchor',
          then: 'thread-bead',
          why: 'the bead lies against the turns that anchor the thin wire',
        },
        { first: 'thread-bead', then: 'layers', why: 'layers are led round a bead that is there' },
        { first: 'layers', then: 'band', why: 'a shank that is closed cannot be woven on' },
        { first: 'tuck', then: 'size', why: 'a loose end is driven into the band by the mallet' },
      ],
      parts: [{ name: `bead, ${said(bead)}`, count: 1 }],
      notes: [start.note],
    });
  },
});

/** The other end leaves the mandrel so many thicknesses before its wraps. */
const BEFORE = 2;
/** How far out of the mandrel’s half it comes onto it at most. */
const FARTHEST = 0.99;

const THROUGH = 'through the bead';
const BESIDE = 'under the layers';
const ROUND = 'once round the finger with each end';

/** A ring about the middle of the paper, its bead at the top; mm and radians. */
function ringOf({
  D,
  d,
  inside,
  bead,
  layers,
  wraps,
}: {
  readonly D: number;
  readonly d: number;
  readonly inside: number;
  readonly bead: number;
  readonly layers: number;
  readonly wraps: number;
}) {
  const R = (inside + D) / 2;
  const beadAt = (inside + bead) / 2;
  const stem = (ANCHOR + BESIDE_ANCHOR + LAYER * layers + CLOSE) * d;
  const steep = (STEEP * Math.PI) / 180;
  const out = bead / 2 + stem * Math.cos(steep);
  // As far round as its stem stands out, it comes onto the mandrel; wraps of the other end have room before.
  const from = Math.asin(Math.min(FARTHEST, (out + (wraps * D) / 2) / R));
  const climb = D / (2 * Math.PI);
  // Where its stem ends, and how far from there it is to the mandrel: what of its wraps has no room there lies on the mandrel.
  const [x, y] = [out, -beadAt + stem * Math.sin(steep)];
  const bare = Math.hypot(R * Math.sin(from) - x, -R * Math.cos(from) - y);
  const beyond = Math.max(0, (wraps + AIR) * D - bare);
  const own = 2 * Math.PI - from - (beyond + BEFORE * D) / R;
  const off = (bead + d) / 2;
  const angleOf = (layer: number) => (layer * d) / off;
  return {
    beadAt,
    stem,
    turns: (own - from) / (2 * Math.PI),
    onMandrel: pose(
      vec3(R * Math.sin(from), -R * Math.cos(from), climb * from),
      vec3(R * Math.cos(from), R * Math.sin(from), climb),
    ),
    /** How far below the hole a layer goes past the middle of the bead, and how far in front of it. */
    layerAt: (layer: number) => ({
      down: off * Math.sin(angleOf(layer)),
      out: off * Math.cos(angleOf(layer)),
    }),
    deepest: angleOf(layers - 1),
    most: Math.floor(off / d) + 1,
  };
}
