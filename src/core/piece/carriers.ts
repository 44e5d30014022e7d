import { facingBack, type Pose } from '../geometry/pose';
import { dot3, minus3 } from '../geometry/vec3';

/** A carrier of something wound: its pose a way along it, in the sense in which the winding goes on. */
export type Carrier = (x: number) => Pose;

/** How often a carrier is looked at over as much as what is wound lies off its middle. */
const FOLLOWED = 3;

/** How far each carrier has come where so much was wound as it was flat. */
type Abreast = readonly { readonly x: number; readonly on: readonly number[] }[];

/** Round a corner what is wound comes no farther than so many times what it would on straight wire. */
const MOST = 8;
const ROUNDS = 24;
/** A wire runs beside its neighbour where their ways agree so well, the cosine between them: outside of a bend it comes farther than that one. */
const BESIDE = 0.96;

/**
 * How far what is wound comes along its carrier: inside of a bend it touches itself, so that it comes farther by as much as the inside is shorter.
 * @param here where it is
 * @param flat how far it would come on straight wire, `step` farther than here
 */
function aheadOf(lead: Carrier, here: Pose, flat: number, off: number, step: number): number {
  let ahead = flat;
  for (let round = 0; round < ROUNDS; round += 1) {
    const turned = Math.acos(Math.min(1, dot3(here.along, lead(ahead).along)));
    const next = Math.min(flat + turned * off, flat + MOST * step);
    if (Math.abs(next - ahead) < off / 1000) return next;
    ahead = next;
  }
  return ahead;
}

function abreastOf(carriers: readonly Carrier[], leader: number, reach: number, off: number): Abreast {
  const lead = carriers[leader] as Carrier;
  const on = carriers.map(() => 0);
  // At parts of what it lies off the middle a carrier is followed round any bend that something can be wound on.
  const steps = Math.max(1, Math.ceil((FOLLOWED * reach) / off));
  const step = reach / steps;
  let here = lead(0);
  const rows = [{ x: 0, on: [...on] }];
  for (let index = 1; index <= steps; index += 1) {
    const ahead = aheadOf(lead, here, (on[leader] as number) + step, off, step);
    here = lead(ahead);
    for (const [wire, carrier] of carriers.entries()) {
      const guess = wire === leader ? ahead : (on[wire] as number) + ahead - (on[leader] as number);
      if (wire === leader) continue;
      const behind = dot3(minus3(here.at, carrier(guess).at), here.along);
      const within = (most: number) => guess + Math.max(-most, Math.min(most, behind));
      // A wire that turns away is not followed: beside its neighbour it comes as far as that within a step.
      const isBeside = dot3(carrier(within(step)).along, here.along) > BESIDE;
      on[wire] = within(isBeside ? step : step / 2);
    }
    on[leader] = ahead;
    rows.push({ x: index * step, on: [...on] });
  }
  return rows;
}

/** A carrier that has come as far as a table says. */
const followed = (table: Abreast, index: number, carrier: Carrier): Carrier => {
  const reach = table.at(-1)?.x ?? 0;
  return (x) => {
    const place = Math.min(table.length - 1, Math.max(1, Math.ceil((x / reach) * (table.length - 1))));
    const [from, to] = [table[place - 1], table[place]] as [Abreast[number], Abreast[number]];
    const [here, there] = [from.on[index] as number, to.on[index] as number];
    return carrier(here + ((there - here) * (x - from.x)) / (to.x - from.x));
  };
};

/**
 * Carriers as something wound on them comes on: where they are bent it lies close inside of the bend and fans out outside of it; those of a row
 * stand abreast of one another, square across, the one inside leading.
 * @param reach how far it reaches as it is wound flat, mm
 * @param off how far it lies off the middle of what it is wound on, mm
 * @param held the place of it, as it is wound flat, that stays where it is: its beginning, or from its middle it spreads to both sides
 */
export function abreast(
  carriers: readonly Carrier[],
  reach: number,
  off: number,
  held = 0,
): readonly Carrier[] {
  if (held === 0) return onwards(carriers, reach, off);
  const forth = onwards(
    carriers.map((carrier) => (x) => carrier(held + x)),
    reach - held,
    off,
  );
  const back = onwards(
    carriers.map((carrier) => (x) => facingBack(carrier(held - x))),
    held,
    off,
  );
  return forth.map((ahead, index) => {
    const behind = back[index] as Carrier;
    return (x) => (x < held ? facingBack(behind(held - x)) : ahead(x - held));
  });
}

/** Carriers as something wound on from their beginning comes on. */
function onwards(carriers: readonly Carrier[], reach: number, off: number): readonly Carrier[] {
  if (reach <= 0) return carriers;
  const byFirst = abreastOf(carriers, 0, reach, off);
  const last = byFirst.at(-1)?.on ?? [];
  const inner = last.indexOf(Math.min(...last));
  const table = inner === 0 ? byFirst : abreastOf(carriers, inner, reach, off);
  return carriers.map((carrier, index) => followed(table, index, carrier));
}
