import { sizedName, standsFor } from '../part/wantedPart';
import { CAUTIONS } from '../technique/cautions';
import { netOf } from '../technique/technique';
import { roundedUpToCut, um, type LengthSystem, type Micrometres } from '../units/length';
import type { Resolved } from './resolve';
import { cutLength, type PatternCut, type PatternPart, type PatternStep } from './pattern';
import { partsLeft, type WorkPart } from './workParts';

const whole = (mm: number): Micrometres => um(Math.round(mm * 1000));

/**
 * The cuts of a resolved composition as they are made at the bench, each from its spec. No hand cuts to the micrometre, so what is
 * missing to the next millimetre or 1/16 in is an allowance of its own, named as such.
 */
export const cutsOf = ({ cuts, uses }: Resolved, system: LengthSystem): PatternCut[] =>
  cuts.flatMap((cut) => {
    if (cut.specId === undefined) return [];
    const named = uses.length > 1 ? `${cut.use.name}: ${cut.name}` : cut.name;
    const exact = {
      net: whole(netOf(cut)),
      allowances: cut.terms
        .filter(({ kind, length }) => kind === 'allowance' && length > 0)
        .map(({ name, length }) => ({ name, length: whole(length) })),
    };
    const missing = um(roundedUpToCut(cutLength(exact), system) - cutLength(exact));
    return [
      {
        name: named.slice(0, 60),
        specId: cut.specId,
        count: cut.count,
        net: exact.net,
        allowances:
          missing > 0
            ? [...exact.allowances, { name: 'up to a round cut', length: missing }]
            : exact.allowances,
        marks: cut.marks.map(({ at, what }) => ({ at: whole(at), what })),
      },
    ];
  });

/** The steps of a resolved composition; minutes to the half, of the maker’s own as they are told. */
export const stepsOf = ({ steps }: Resolved): PatternStep[] =>
  steps.map(({ name, minutes, stops, cautions, use, once, kind }) => ({
    name,
    minutes: use ? Math.max(0.5, Math.round(minutes * 2) / 2) : minutes,
    perSitting: once,
    ...(kind === 'work' ? {} : { kind }),
    stops,
    cautions: cautions.map((caution) => CAUTIONS[caution]),
  }));

/** What a part added by hand is called: with the size of what the work wants, where it stands for that and says none. */
export function nameInSize(typed: string, work: readonly WorkPart[]): string {
  const wanted = work.find(({ name }) => standsFor(typed, name));
  return wanted ? sizedName(typed, wanted.name) : typed;
}

function sized({ typedName, ...part }: PatternPart, work: readonly WorkPart[]): PatternPart {
  const typed = typedName ?? part.name;
  const name = nameInSize(typed, work);
  return name === typed ? { ...part, name } : { ...part, name, typedName: typed };
}

/** All parts of a pattern: those added by hand, then what the work wants besides; what that costs, the drawers say. */
export function allParts(work: readonly WorkPart[], added: readonly PatternPart[]): PatternPart[] {
  const own = added.map((part) => sized(part, work));
  const left = partsLeft(work, own).map(({ name, count }): PatternPart => ({
    name,
    count,
    unitCost: null,
    ofWork: true,
  }));
  return [...own, ...left];
}
