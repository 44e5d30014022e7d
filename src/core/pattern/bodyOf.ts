import { um, type Micrometres } from '../units/length';
import { netOf } from '../technique/technique';
import type { Resolved } from './composition';
import type { PatternCut, PatternStep } from './pattern';

const whole = (mm: number): Micrometres => um(Math.round(mm * 1000));

/** The cuts of a resolved composition as they are made at the bench: to the micrometre, each from its spec. */
export const cutsOf = ({ cuts, uses }: Resolved): PatternCut[] =>
  cuts.flatMap((cut) => {
    if (cut.specId === undefined) return [];
    const named = uses.length > 1 ? `${cut.use.name}: ${cut.name}` : cut.name;
    return [
      {
        name: named.slice(0, 60),
        specId: cut.specId,
        count: cut.count,
        net: whole(netOf(cut)),
        allowances: cut.terms
          .filter(({ kind, length }) => kind === 'allowance' && length > 0)
          .map(({ name, length }) => ({ name, length: whole(length) })),
        marks: cut.marks.map(({ at, what }) => ({ at: whole(at), what })),
      },
    ];
  });

/** The steps of a resolved composition; minutes to the half. */
export const stepsOf = ({ steps }: Resolved): PatternStep[] =>
  steps.map(({ name, minutes }) => ({
    name,
    minutes: Math.max(0.5, Math.round(minutes * 2) / 2),
    perSitting: false,
  }));
