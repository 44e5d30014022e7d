/** Lengths that several techniques share, mm. Source of each: handbook of the trade, by plane geometry unless said otherwise. */

/** A ring of wire: its centre line, for an inside diameter: π(a + D). */
export const ring = (inside: number, wire: number): number => Math.PI * (inside + wire);

/** Turns of a wire about a core, wound at a pitch: n √[(π(D + d))² + p²]. */
export const coil = (core: number, wire: number, turns: number, pitch = wire): number =>
  turns * Math.hypot(Math.PI * (core + wire), pitch);

/** Arc length of an Archimedean spiral from the centre to an angle: p/(4π) · [θ√(1 + θ²) + asinh θ]. */
const spiralTo = (angle: number, pitch: number): number =>
  (pitch / (4 * Math.PI)) * (angle * Math.sqrt(1 + angle ** 2) + Math.asinh(angle));

/** A flat spiral from one radius of its centre line to another, its turns a pitch apart; exact. */
export const flatSpiral = (from: number, to: number, pitch: number): number =>
  spiralTo((2 * Math.PI * to) / pitch, pitch) - spiralTo((2 * Math.PI * from) / pitch, pitch);

/**
 * The radius at which the centre line of a spiral ends that a calliper reads a width over: opposite its end the wire lies half a
 * pitch further in, so the width is R + (R − p/2) + D.
 */
export const spiralEnd = (across: number, wire: number, pitch: number): number =>
  (across - wire) / 2 + pitch / 4;

/** How much longer a strand is than the twist it lies in: √[1 + (πdT)²] for T turns per mm of two wires of a diameter. */
export const twistTakeUp = (wire: number, turnsPerMm: number): number =>
  Math.hypot(1, Math.PI * wire * turnsPerMm);
