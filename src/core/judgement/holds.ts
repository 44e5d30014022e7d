import { centroidOf, placeAt, pointsOf, type Outline } from '../outline/outline';
import { minus, norm, plus, scaled, outward, type Vec } from '../geometry/vector';
import { advice, fault, type Judgement } from './judgement';

/** A place where a stone is held: how far along its outline, and how far the hold reaches in over its edge, mm. */
export interface Hold {
  readonly along: number;
  readonly reach: number;
  /** How much of the outline it lies over; none when it is not told. */
  readonly long?: number;
}

/** Holds at even distances along an outline, the first half a distance from its start. */
export const evenHolds = (perimeter: number, count: number, reach: number): Hold[] =>
  Array.from({ length: count }, (_, index) => ({ along: (perimeter * (index + 0.5)) / count, reach }));

/** What the holds leave open. */
export interface HoldCheck {
  /** The widest gap between two neighbouring holds, degrees about the centre of area. */
  readonly openArc: number;
  /** Where that gap lies: degrees from the top, clockwise, of its middle. */
  readonly openAt: number;
  /** How much smaller than the stone the opening is, mm, at its least. */
  readonly overlap: number;
}

/** An open arc from which the stone slides out, and one that is poor practice, degrees (common practice). */
export const OPEN = { slides: 180, poor: 120 } as const;

/** “About”: gaps a few degrees over it are not worth a word. */
const ABOUT = 8;

/** Least overlap all round, as a part of the stone’s width: a little (common practice; the figure is this house’s). */
const LITTLE = 0.03;

const degreesOf = ({ x, y }: Vec): number => ((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360;

/** Where the holds of a stone leave it open, measured about its centre of area. */
export function checkHolds(outline: Outline, holds: readonly Hold[]): HoldCheck {
  const centre = centroidOf(outline);
  const angleAt = (along: number) => degreesOf(minus(placeAt(outline, along).point, centre));
  const held = holds
    .map(({ along, long = 0 }) => {
      const from = angleAt(along - long / 2);
      return { from, wide: long > 0 ? (angleAt(along + long / 2) - from + 360) % 360 : 0 };
    })
    .sort((a, b) => a.from - b.from);
  const gaps = held.map(({ from, wide }, index) => {
    const next = index + 1 < held.length ? (held[index + 1]?.from ?? 0) : (held[0]?.from ?? 0) + 360;
    return { from: from + wide, arc: Math.max(0, next - from - wide) };
  });
  const widest = gaps.reduce((best, each) => (each.arc > best.arc ? each : best), { from: 0, arc: -1 });
  if (widest.arc < 0) return { openArc: 360, openAt: 0, overlap: 0 };
  return {
    openArc: widest.arc,
    openAt: (widest.from + widest.arc / 2) % 360,
    overlap: Math.min(...holds.map(({ reach }) => reach)),
  };
}

/** The tips of the holds: the corners of the opening that is left. */
export const openingOf = (outline: Outline, holds: readonly Hold[]): Vec[] =>
  holds.map(({ along, reach }) => {
    const { point, direction } = placeAt(outline, along);
    return plus(point, scaled(outward(direction), -reach));
  });

/** How wide an outline is at its narrowest through its centre of area, mm. */
function narrowest(outline: Outline): number {
  const centre = centroidOf(outline);
  return 2 * Math.min(...pointsOf(outline).map((point) => norm(minus(point, centre))));
}

const compass = ['top', 'upper right', 'right', 'lower right', 'foot', 'lower left', 'left', 'upper left'];
/** What a direction is called. @param degrees clockwise from the top */
export const sideAt = (degrees: number): string => compass[Math.round(degrees / 45) % 8] ?? 'top';

/** Where something lies, seen from the middle: “upper right”. @param away from the middle, to the right and down */
export const saidFromTop = (away: Vec): string => sideAt(degreesOf(away));

/**
 * Whether the holds keep a stone.
 * @param turned how far the stone is turned clockwise as the piece is seen, degrees
 */
export function judgeHolds(outline: Outline, holds: readonly Hold[], about: string, turned = 0): Judgement[] {
  const { openArc, openAt: own, overlap } = checkHolds(outline, holds);
  const openAt = (own + turned) % 360;
  const judgements: Judgement[] = [];
  const arc = Math.round(openArc);
  const add = `Add a hold at the ${sideAt(openAt)}.`;
  if (openArc >= OPEN.slides)
    judgements.push(
      fault(
        about,
        `The stone slides out: ${arc}° stand open at the ${sideAt(openAt)}.`,
        `A stone slides out of an open arc of ${OPEN.slides}° or more.`,
        add,
      ),
    );
  else if (openArc > OPEN.poor + ABOUT)
    judgements.push(
      advice(
        about,
        `${arc}° stand open at the ${sideAt(openAt)}.`,
        `More than about ${OPEN.poor}° is poor practice: a knock frees the stone.`,
        add,
      ),
    );
  const across = narrowest(outline);
  if (holds.length > 0 && 2 * overlap >= across)
    judgements.push(
      fault(
        about,
        `Holds that reach ${overlap.toFixed(1)} mm over the edge meet in the middle of the stone.`,
        `It is ${across.toFixed(1)} mm across at its narrowest: nothing of it is to be seen.`,
        `Let them reach ${(across / 4).toFixed(1)} mm at most.`,
      ),
    );
  const least = LITTLE * across;
  if (overlap < least) {
    const weigh = overlap > 0 ? advice : fault;
    judgements.push(
      weigh(
        about,
        `The holds reach ${overlap.toFixed(1)} mm over the edge.`,
        'The opening must be smaller than the stone by a little all round, and the holds must sit on the shoulder.',
        `Let them reach ${least.toFixed(1)} mm or more.`,
      ),
    );
  }
  return judgements;
}

/**
 * Whether a hold gets over the edge of its stone: its wire comes up outside of the edge and lies on the face from half its thickness on.
 * A low edge is soon climbed, a high one takes more wire than the hold reaches in. All in mm.
 * @param reach how far it reaches in over the edge
 * @param thick the wire's diameter
 * @param edge height of the stone's edge
 */
export function judgeReach(reach: number, thick: number, edge: number, about: string): Judgement[] {
  const said = (mm: number) => `${Number(mm.toFixed(2))} mm`;
  if (reach < thick / 2)
    return [
      fault(
        about,
        `A hold that reaches in ${said(reach)} does not lie on the stone.`,
        `Wire of ${said(thick)} runs beside the edge with its middle; ${said(thick / 2)} bring it over.`,
        `Let it reach in ${said(thick)} at least.`,
      ),
    ];
  return reach > 2 * edge + thick
    ? [
        advice(
          about,
          `A hold that reaches in ${said(reach)} over an edge ${said(edge)} high lies far over the face.`,
          'On so low an edge it springs up, and hides what the stone shows (common practice).',
          `About ${said(edge)} in is enough.`,
        ),
      ]
    : [];
}
