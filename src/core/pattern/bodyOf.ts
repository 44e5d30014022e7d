import { CAUTIONS } from '../technique/cautions';
import { netOf } from '../technique/technique';
import { roundedUpToCut, um, type LengthSystem, type Micrometres } from '../units/length';
import type { Resolved } from './resolve';
import { cutLength, type PatternCut, type PatternStep } from './pattern';

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
        work: `${cut.use.technique}.${cut.wire}`,
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
  steps.map(({ id, name, minutes, stops, cautions, use, once, kind }) => ({
    name,
    minutes: use ? Math.max(0.5, Math.round(minutes * 2) / 2) : minutes,
    perSitting: once,
    ...(use ? { work: `${use.technique}.${id.slice(use.id.length + 1)}` } : {}),
    ...(kind === 'work' ? {} : { kind }),
    stops,
    cautions: cautions.map((caution) => CAUTIONS[caution]),
  }));
