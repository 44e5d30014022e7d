import { initialValues, roundWire } from '../parameter/parameter';
import type { WireSize } from '../wire/wireSize';
import { textsOf, type Texts } from '../parameter/readTexts';
import type { AnyTechnique } from '../technique/technique';
import { UM_PER_MM } from '../units/length';
import { isTwisted } from '../wire/profile';
import type { WireSpec } from '../wire/spec';
import { measureOf, type Specs, type TechniqueUse } from './composition';

function sizeOf({ profile, width, height }: WireSpec): WireSize {
  // Twisted stock is worked as round wire that it fills: two wires side by side, or a square turned on its axis.
  if (isTwisted(profile))
    return roundWire((width / UM_PER_MM) * (profile === 'twisted pair' ? 2 : Math.SQRT2));
  return { profile: profile as WireSize['profile'], width: width / UM_PER_MM, height: height / UM_PER_MM };
}

/** What a wire parameter’s texts are when it is cut from a spec. */
function wireTexts(key: string, spec: WireSpec): Texts {
  const { profile, width, height } = sizeOf(spec);
  return { [key]: `${width} mm`, [`${key}.profile`]: profile, [`${key}.height`]: `${height} mm` };
}

/** What techniques propose, worked out once. */
const proposals = new WeakMap<AnyTechnique, Texts>();

function proposedTexts(technique: AnyTechnique): Texts {
  const known = proposals.get(technique);
  if (known) return known;
  const { parameters } = technique;
  const all = textsOf(parameters, initialValues(parameters), 'mm');
  // The height of a profile, and the corner of a stone, are of that one proposal and of no other.
  const texts = Object.fromEntries(Object.entries(all).filter(([field]) => field in parameters));
  proposals.set(technique, texts);
  return texts;
}

/** The texts of a use, with what it is bound to and cut from written in. */
export function boundTexts(
  { texts, wires, own }: TechniqueUse,
  technique: AnyTechnique,
  measures: Texts,
  specs: Specs,
): Texts {
  // What a technique has learned to ask since the pattern was kept is as it is proposed.
  const filled: Record<string, string> = { ...proposedTexts(technique), ...texts };
  for (const [key, parameter] of Object.entries(technique.parameters)) {
    const measure = measureOf(parameter);
    if (measure && !own.includes(key))
      for (const [field, text] of Object.entries(measures))
        if (field === measure || field.startsWith(`${measure}.`))
          filled[key + field.slice(measure.length)] = text;
    const spec = specs[wires[key] ?? ''];
    if (parameter.kind === 'wire' && spec) Object.assign(filled, wireTexts(key, spec));
  }
  return filled;
}
