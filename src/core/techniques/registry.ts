import type { AnyTechnique } from '../technique/technique';
import { bandFrame } from './each/bandFrame';
import { beadBetween } from './each/beadBetween';
import { beadChain } from './each/beadChain';
import { beadChannel } from './each/beadChannel';
import { beadHalo } from './each/beadHalo';
import { beadedLink } from './each/beadedLink';
import { beadRing } from './each/beadRing';
import { bentEnds } from './each/bentEnds';
import { boundBandRing } from './each/boundBandRing';
import { boundBeads } from './each/boundBeads';
import { brioletteCap } from './each/brioletteCap';
import { brioletteLoop } from './each/brioletteLoop';
import { brioletteSwirl } from './each/brioletteSwirl';
import { bundleFrame } from './each/bundleFrame';
import { coil } from './each/coil';
import { coilBead } from './each/coilBead';
import { coilBezelRing } from './each/coilBezelRing';
import { coilOfCoil } from './each/coilOfCoil';
import { cradle } from './each/cradle';
import { alongEdge } from './each/alongEdge';
import { crossedBehind } from './each/crossedBehind';
import { curvedWeave } from './each/curvedWeave';
import { dropChannel } from './each/dropChannel';
import { earWire } from './each/earWire';
import { eyePin } from './each/eyePin';
import { figureEightRing } from './each/figureEightRing';
import { flatSpiral } from './each/flatSpiral';
import { foldedBail } from './each/foldedBail';
import { freeCut } from './each/freeCut';
import { freeLine } from './each/freeLine';
import { antique } from './each/antique';
import { headPin } from './each/headPin';
import { herringboneRing } from './each/herringboneRing';
import { hookClasp } from './each/hookClasp';
import { jumpRings } from './each/jumpRings';
import { kinkedHalo } from './each/kinkedHalo';
import { lacedFrame } from './each/lacedFrame';
import { lashing } from './each/lashing';
import { loopedBezel } from './each/loopedBezel';
import { neckWraps } from './each/neckWraps';
import { plainLoopLink } from './each/plainLoopLink';
import { pointSpiral } from './each/pointSpiral';
import { sideTie } from './each/sideTie';
import { spiralCage } from './each/spiralCage';
import { spiralHeadRing } from './each/spiralHeadRing';
import { straightWeave } from './each/straightWeave';
import { threadedBead } from './each/threadedBead';
import { tree } from './each/tree';
import { treeWithoutFrame } from './each/treeWithoutFrame';
import { twistedNet } from './each/twistedNet';
import { twistedWire } from './each/twistedWire';
import { unevenLink } from './each/unevenLink';
import { weaveRound } from './each/weaveRound';
import { wovenBail } from './each/wovenBail';
import { wovenBandRing } from './each/wovenBandRing';
import { wrappedBail } from './each/wrappedBail';
import { wrappedLoopLink } from './each/wrappedLoopLink';

/**
 * Every technique, in the order they are offered: a new one is its file and its line here. A plan takes the values of its own
 * parameters; here they are known by name only, so whoever calls reads the values by those parameters first.
 */
export const TECHNIQUES: readonly AnyTechnique[] = [
  bundleFrame,
  crossedBehind,
  alongEdge,
  bandFrame,
  loopedBezel,
  cradle,
  pointSpiral,
  twistedNet,
  spiralCage,
  tree,
  treeWithoutFrame,
  beadHalo,
  beadedLink,
  kinkedHalo,
  boundBeads,
  beadChannel,
  dropChannel,
  brioletteLoop,
  brioletteCap,
  brioletteSwirl,
  plainLoopLink,
  unevenLink,
  beadChain,
  wrappedLoopLink,
  headPin,
  eyePin,
  jumpRings,
  hookClasp,
  earWire,
  foldedBail,
  wovenBail,
  wrappedBail,
  neckWraps,
  lashing,
  beadBetween,
  sideTie,
  bentEnds,
  freeLine,
  threadedBead,
  coil,
  coilOfCoil,
  coilBead,
  flatSpiral,
  twistedWire,
  straightWeave,
  weaveRound,
  curvedWeave,
  lacedFrame,
  beadRing,
  coilBezelRing,
  herringboneRing,
  spiralHeadRing,
  wovenBandRing,
  boundBandRing,
  figureEightRing,
  freeCut,
  antique,
] as readonly unknown[] as readonly AnyTechnique[];

export const techniqueOf = (id: string): AnyTechnique | undefined =>
  TECHNIQUES.find((each) => each.id === id);
