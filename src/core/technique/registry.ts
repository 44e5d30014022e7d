import type { Technique } from './technique';
import { beadRing } from './techniques/beadRing';
import { boundBeads } from './techniques/boundBeads';
import { brioletteCap, brioletteLoop } from './techniques/briolettes';
import { bundleFrame } from './techniques/bundleFrame';
import { coil, coilOfCoil, freeCut, twistedWire } from './techniques/coils';
import { earWire } from './techniques/earWire';
import { flatSpiral } from './techniques/flatSpiral';
import { hookClasp } from './techniques/hookClasp';
import { jumpRings } from './techniques/jumpRings';
import { eyePin, headPin } from './techniques/pins';
import { plainLoopLink } from './techniques/plainLoopLink';
import { spiralCage } from './techniques/spiralCage';
import { straightWeave } from './techniques/straightWeave';
import { wrappedLoopLink } from './techniques/wrappedLoopLink';

/** A technique whose parameters are known only when it runs, as on a form or in an answer to a script. */
export type AnyTechnique = Technique;

/**
 * Every technique, in the order they are offered: a new one is its file and its line here. A plan takes the values of its own
 * parameters; here they are known by name only, so whoever calls reads the values by those parameters first.
 */
export const TECHNIQUES: readonly AnyTechnique[] = [
  bundleFrame,
  spiralCage,
  boundBeads,
  brioletteLoop,
  brioletteCap,
  plainLoopLink,
  wrappedLoopLink,
  headPin,
  eyePin,
  jumpRings,
  hookClasp,
  earWire,
  coil,
  coilOfCoil,
  flatSpiral,
  twistedWire,
  straightWeave,
  beadRing,
  freeCut,
] as readonly unknown[] as readonly AnyTechnique[];

export const techniqueOf = (id: string): AnyTechnique | undefined =>
  TECHNIQUES.find((each) => each.id === id);
