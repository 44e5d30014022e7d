import {
  areaOf,
  centroidOf,
  FoldedLine,
  parallelOf,
  perimeterOf,
  type Outline,
} from '@/core/outline/outline';
import { outlineOf } from '@/core/stone/outlineOf';
import { readRingSize } from '@/core/ring/ringSize';
import type { Result } from '@/core/result';
import { mm, UM_PER_MM } from '@/core/units/length';
import { repeatsFor, weaveNeed, wireFor } from '@/core/weave/consume';
import { weaveOfGroups } from '@/core/weave/groups';
import { parseWeave, type Weave } from '@/core/weave/notation';
import { gaugeSize, identifyGauge, formatGauge } from '@/core/wire/gauge';
import { feetPerTroyOunce, gramsPerMetre } from '@/core/wire/mass';
import { areaMm2, usualHeight } from '@/core/wire/profile';
import { invalid } from '../kernel/outcome';
import { exact } from './calculateTechnique';
import type {
  CalculateWeaveInput,
  CalculateWireInput,
  IdentifyInput,
  OutlineInput,
  RingSizeInput,
} from './calculate.input';

/** The value of a result. @throws Refused beside a field */
function orInvalid<T>(result: Result<T>, field: string): T {
  if (!result.ok) throw invalid(field, result.error);
  return result.value;
}

/** The line beside an outline. @throws Refused beside the distance where a hollow is too narrow for it */
function besideOf(outline: Outline, by: number): Outline {
  try {
    return parallelOf(outline, by);
  } catch (fault) {
    if (fault instanceof FoldedLine) throw invalid('offsetMm', fault.message);
    throw fault;
  }
}

/** What a wire of a gauge is: its size, and how its length and mass go together. */
export function calculateWire({ profile, metal, gauge, heightMm }: CalculateWireInput) {
  const width = orInvalid(gaugeSize({ system: gauge.system, number: String(gauge.value) }), 'gauge.value');
  const height = heightMm === undefined ? usualHeight(profile, width) : mm(heightMm);
  const spec = {
    profile,
    metal,
    width,
    height,
    temper: 'dead soft' as const,
    finish: 'bare' as const,
    finishName: '',
    label: { system: gauge.system, number: String(gauge.value) },
  };
  return {
    diameterMm: exact(width / UM_PER_MM),
    areaMm2: exact(areaMm2(spec)),
    gramsPerMetre: exact(gramsPerMetre(spec)),
    feetPerTroyOunce: exact(feetPerTroyOunce(spec)),
  };
}

/** What a measured diameter most likely is, nearest first. */
export function identify({ diameterMm }: IdentifyInput) {
  const { candidates, ambiguous } = identifyGauge(mm(diameterMm));
  return {
    candidates: candidates.map((each) => ({
      system: each.system,
      label: formatGauge(each),
      diameterMm: exact(each.size / UM_PER_MM),
      deviationMm: exact(each.deviation / UM_PER_MM),
    })),
    equallyLikely: ambiguous,
  };
}

/** Length round a stone, its area, and where it balances: from the middle of its measures, x to the right, y down. */
export function calculateOutline(input: OutlineInput) {
  const { outline, lengthMm, widthMm = lengthMm, cornerMm, stripMm, pointsMm, offsetMm } = input;
  const drawn = orInvalid(
    outlineOf({
      outline,
      length: lengthMm,
      width: widthMm,
      ...(cornerMm === undefined ? {} : { corner: cornerMm }),
      ...(stripMm === undefined ? {} : { strip: stripMm }),
      ...(pointsMm === undefined ? {} : { points: pointsMm }),
    }),
    'lengthMm',
  );
  const centroid = centroidOf(drawn);
  return {
    perimeterMm: exact(perimeterOf(drawn)),
    areaMm2: exact(areaOf(drawn)),
    centroidMm: { x: exact(centroid.x), y: exact(centroid.y) },
    ...(offsetMm === undefined ? {} : { parallelMm: exact(perimeterOf(besideOf(drawn, offsetMm))) }),
  };
}

/** A ring size in every system. */
export function calculateRingSize({ system, size }: RingSizeInput) {
  const ring = orInvalid(readRingSize(system, String(size)), 'size');
  return {
    insideDiameterMm: exact(ring.diameter),
    insideCircumferenceMm: exact(ring.circumference),
    us: Number(ring.us.toFixed(3)),
    uk: ring.uk ?? null,
    iso: Number(ring.circumference.toFixed(2)),
  };
}

const TAIL = 60;

/** What a weave takes for a length of it. */
export function calculateWeave(input: CalculateWeaveInput) {
  const { groups, notation, baseDiameterMm, weavingDiameterMm, lengthMm, gapMm, tailMm = TAIL } = input;
  if (groups !== undefined && notation !== undefined)
    throw invalid('notation', 'Groups or a notation are allowed, not both.');
  const read = notation === undefined ? weaveOfGroups(groups ?? []) : readNotation(notation);
  const weave = orInvalid(read, notation === undefined ? 'groups' : 'notation');
  const need = weaveNeed(weave, {
    base: baseDiameterMm,
    weaving: weavingDiameterMm,
    ...(gapMm === undefined ? {} : { gap: gapMm }),
  });
  if (need.advance <= 0)
    throw invalid(
      notation === undefined ? 'groups' : 'notation',
      'This weave does not move on along the frame.',
    );
  const repeats = repeatsFor(need, lengthMm);
  const wire = wireFor(need, repeats);
  return {
    wirePerRepeatMm: exact(need.wire),
    advancePerRepeatMm: exact(need.advance),
    repeats,
    wireMm: exact(wire),
    totalWithTailsMm: exact(wire + 2 * tailMm),
    gapMm: exact(need.gap),
  };
}

function readNotation(notation: string): Result<Weave> {
  const read = parseWeave(notation);
  if (read.ok) return read;
  return { ok: false, error: `${read.error.message} (at character ${read.error.at + 1})` };
}
