import type { AnyTechnique } from './technique';
import { bandFrame } from './techniques/bandFrame';
import { beadBetween } from './techniques/beadBetween';
import { beadChain } from './techniques/beadChain';
import { beadChannel } from './techniques/beadChannel';
import { beadHalo } from './techniques/beadHalo';
import { beadedLink } from './techniques/beadedLink';
import { beadRing } from './techniques/beadRing';
import { bentEnds } from './techniques/bentEnds';
import { boundBandRing } from './techniques/boundBandRing';
import { boundBeads } from './techniques/boundBeads';
import { brioletteCap } from './techniques/brioletteCap';
import { brioletteLoop } from './techniques/brioletteLoop';
import { brioletteSwirl } from './techniques/brioletteSwirl';
import { bundleFrame } from './techniques/bundleFrame';
import { coil } from './techniques/coil';
import { coilBead } from './techniques/coilBead';
import { coilBezelRing } from './techniques/coilBezelRing';
import { coilOfCoil } from './techniques/coilOfCoil';
import { cradle } from './techniques/cradle';
import { alongEdge } from './techniques/alongEdge';
import { crossedBehind } from './techniques/crossedBehind';
import { curvedWeave } from './techniques/curvedWeave';
import { dropChannel } from './techniques/dropChannel';
import { earWire } from './techniques/earWire';
import { eyePin } from './techniques/eyePin';
import { figureEightRing } from './techniques/figureEightRing';
import { flatSpiral } from './techniques/flatSpiral';
import { foldedBail } from './techniques/foldedBail';
import { freeCut } from './techniques/freeCut';
import { freeLine } from './techniques/freeLine';
import { antique } from './techniques/antique';
import { headPin } from './techniques/headPin';
import { herringboneRing } from './techniques/herringboneRing';
import { hookClasp } from './techniques/hookClasp';
import { jumpRings } from './techniques/jumpRings';
import { kinkedHalo } from './techniques/kinkedHalo';
import { lacedFrame } from './techniques/lacedFrame';
import { lashing } from './techniques/lashing';
import { loopedBezel } from './techniques/loopedBezel';
import { neckWraps } from './techniques/neckWraps';
import { plainLoopLink } from './techniques/plainLoopLink';
import { pointSpiral } from './techniques/pointSpiral';
import { sideTie } from './techniques/sideTie';
import { spiralCage } from './techniques/spiralCage';
import { spiralHeadRing } from './techniques/spiralHeadRing';
import { straightWeave } from './techniques/straightWeave';
import { threadedBead } from './techniques/threadedBead';
import { tree } from './techniques/tree';
import { treeWithoutFrame } from './techniques/treeWithoutFrame';
import { twistedNet } from './techniques/twistedNet';
import { twistedWire } from './techniques/twistedWire';
import { unevenLink } from './techniques/unevenLink';
import { weaveRound } from './techniques/weaveRound';
import { wovenBail } from './techniques/wovenBail';
import { wovenBandRing } from './techniques/wovenBandRing';
import { wrappedBail } from './techniques/wrappedBail';
import { wrappedLoopLink } from './techniques/wrappedLoopLink';

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
