import { finely } from '../geometry/alongPath';
import { insideOutline } from '../geometry/insideOutline';
import { sideOf } from '../geometry/pose';
import type { Vec3 } from '../geometry/path';
import { distance3, dot3, minus3 } from '../geometry/vec3';
import { centroidOf, pointsOf } from '../outline/outline';
import { outlineOf } from '../stone/outlineOf';
import { expectOk } from '../result';
import { bendOf } from '../wrap/winding';
import { distance, minus, plus, scaled, type Vec } from '../geometry/vector';
import type { PlacedBody } from './body';
import type { Cab } from './piece';
import type { RunPiece } from './run';

/** How a stone is kept from one side, in front or behind. */
export interface KeptFrom {
  /** The widest arc about the middle of the stone over which nothing lies on it, degrees: 360 when nothing does. */
  readonly openArc: number;
  /** Where the middle of that arc lies, degrees clockwise from the top, seen from in front. */
  readonly openAt: number;
  /** How much smaller than the stone the opening is where it is held least, mm: how far the wire there reaches in. */
  readonly overlap: number;
  /** How often a wire crosses it from one edge to the other. */
  readonly bands: number;
}

/** How a cabochon is kept by all that lies on it. */
export interface Kept {
  readonly body: string;
  readonly front: KeptFrom;
  readonly back: KeptFrom;
}

/** How close together wires are looked at, mm, and arcs told apart, degrees. */
const [STEP, ARC] = [0.25, 2];
const ARCS = 360 / ARC;

const NOTHING = { openArc: 360, openAt: 0, overlap: 0 };

/** What is kept by how far wires reach in, arc by arc; 0 where nothing does. */
function keptBy(reach: readonly number[]): Omit<KeptFrom, 'bands'> {
  const first = reach.findIndex((each) => each > 0);
  if (first < 0) return NOTHING;
  // Once round, from a place that is held: stretches that are held and those that are open take turns.
  const round = [...reach.slice(first), ...reach.slice(0, first)];
  let [openArc, openAt, overlap] = [0, 0, Infinity];
  let from = 0;
  for (let at = 1; at <= ARCS; at += 1) {
    const [isHeld, wasHeld] = [at < ARCS && (round[at] ?? 0) > 0, (round[from] ?? 0) > 0];
    if (at < ARCS && isHeld === wasHeld) continue;
    const long = (at - from) * ARC;
    if (wasHeld) overlap = Math.min(overlap, Math.max(...round.slice(from, at)));
    else if (long > openArc) [openArc, openAt] = [long, ((first + from) * ARC + long / 2) % 360];
    from = at;
  }
  return { openArc, openAt, overlap };
}

/** A place on a stone: from its middle, to the right and down as the piece is seen; and how far in from its edge. */
interface OnStone {
  readonly right: number;
  readonly down: number;
  readonly inward: number;
  /** The same place as the stone lies, as its outline is told. */
  readonly at: Vec;
}

/** It keeps the stone where so much of its radius, at most, is still outside of the edge. */
const OVER = 0.5;

/** What of wires lies on one side of a stone. */
class Side {
  readonly #reach = new Array<number>(ARCS).fill(0);
  readonly #lying: OnStone[] = [];
  #bands = 0;

  /** @param edge of the stone */
  constructor(private readonly edge: readonly Vec[]) {}

  put(at: OnStone, radius: number): void {
    this.#lying.push(at);
    const degrees = (Math.atan2(at.right, -at.down) * 180) / Math.PI + 360;
    const wide = (Math.atan2(radius, Math.hypot(at.right, at.down)) * 180) / Math.PI;
    const [from, to] = [Math.floor((degrees - wide) / ARC), Math.floor((degrees + wide) / ARC)];
    for (let arc = from; arc <= to; arc += 1) {
      const index = ((arc % ARCS) + ARCS) % ARCS;
      this.#reach[index] = Math.max(this.#reach[index] ?? 0, at.inward + radius);
    }
  }

  /** The wire leaves the stone there, or goes over to its other side. */
  leave(): void {
    const [from, to] = [this.#lying[0], this.#lying.at(-1)];
    if (from && to && isBand(this.edge, from, to, this.#lying)) this.#bands += 1;
    this.#lying.length = 0;
  }

  kept = (): KeptFrom => ({ ...keptBy(this.#reach), bands: this.#bands });
}

/**
 * How far in from the edge a band comes at least, as a part of the way across: half of it where it crosses straight. And so many times the way
 * across it is farther along the edge: what comes back to the edge beside where it came in is a hold.
 */
const [ACROSS, FARTHER] = [0.4, 1.25];

/** How far along a closed line the place of it is that is nearest to a point. */
function alongAt(edge: readonly Vec[], point: Vec): number {
  let [best, along, before] = [Infinity, 0, 0];
  for (const [index, from] of edge.entries()) {
    const to = edge[(index + 1) % edge.length] as Vec;
    const long = distance(from, to);
    const way = minus(to, from);
    const off = minus(point, from);
    const part = long > 0 ? Math.min(1, Math.max(0, (off.x * way.x + off.y * way.y) / long ** 2)) : 0;
    const away = distance(point, plus(from, scaled(way, part)));
    if (away < best) [best, along] = [away, before + part * long];
    before += long;
  }
  return along;
}

/** The lesser way along a closed line between the places of it that are nearest to two points. */
function alongEdge(edge: readonly Vec[], from: Vec, to: Vec): number {
  const whole = edge.reduce((sum, at, index) => sum + distance(at, edge.at(index - 1) as Vec), 0);
  const apart = Math.abs(alongAt(edge, from) - alongAt(edge, to));
  return Math.min(apart, whole - apart);
}

/** Whether a wire crosses from one edge to the other, in the place of reaching over one and back. */
function isBand(edge: readonly Vec[], from: OnStone, to: OnStone, lying: readonly OnStone[]): boolean {
  const deep = lying.reduce((best, each) => (each.inward > best.inward ? each : best));
  const across = Math.hypot(from.right - to.right, from.down - to.down);
  const turned =
    (from.right - deep.right) * (to.right - deep.right) + (from.down - deep.down) * (to.down - deep.down);
  const isDeep = turned < 0 && deep.inward > ACROSS * across;
  return isDeep && alongEdge(edge, from.at, to.at) > FARTHER * across;
}

function keptCab({ wires }: RunPiece, body: PlacedBody & Cab): Kept {
  const { pose, size, id } = body;
  const outline = expectOk(outlineOf(size));
  const edge = pointsOf(outline, 16);
  const middle = centroidOf(outline);
  const side = sideOf(pose);
  const far = Math.hypot(size.length, size.width);
  const [front, back] = [new Side(edge), new Side(edge)];
  for (const { wire, path } of wires) {
    const radius = bendOf(wire.size).thick / 2;
    let last: Vec3 | undefined;
    for (const at of finely(path, STEP)) {
      if (last && distance3(last, at) < STEP / 2) continue;
      last = at;
      const off = minus3(at, pose.at);
      const [x, y, z] = [dot3(off, pose.along), dot3(off, side), dot3(off, pose.up)];
      const inward = Math.hypot(x, y) > far ? -far : insideOutline(edge, x, y);
      const [on, other] = z > size.edge / 2 ? [front, back] : [back, front];
      other.leave();
      if (inward < -OVER * radius) {
        on.leave();
        continue;
      }
      // The stone may be turned: its own right and down, as the piece is seen.
      const [dx, dy] = [x - middle.x, y - middle.y];
      const [right, down] = [dx * pose.along.x + dy * side.x, dx * pose.along.y + dy * side.y];
      on.put({ right, down, inward, at: { x, y } }, radius);
    }
    front.leave();
    back.leave();
  }
  return { body: id, front: front.kept(), back: back.kept() };
}

/**
 * How every cabochon of a piece is kept in front and behind, by the wires as they lie: over which arc nothing lies on it, and how much smaller than
 * the stone the opening is. A stone that is drilled and tied through its hole is kept by that, and left out.
 */
export const keptOf = (run: RunPiece): readonly Kept[] =>
  run.bodies.flatMap((body) =>
    body.kind === 'cab' && body.drilled === undefined ? [keptCab(run, body)] : [],
  );
