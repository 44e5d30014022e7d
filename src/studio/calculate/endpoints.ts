import type { ClassConstructor } from 'class-transformer';
import type { AskedBy } from '../jobs/runJob';
import type { Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import type { ValuesOf } from '../kernel/typed';
import { attempt } from '../kernel/useCase';
import {
  CalculatePieceInput,
  CalculateWeaveInput,
  CalculateWireInput,
  CuttingInput,
  IdentifyInput,
  OutlineInput,
  RingSizeInput,
} from './calculate.input';
import { calculateOutline, calculateRingSize, calculateWeave, calculateWire, identify } from './calculations';
import { calculateCutting } from './calculateCutting';
import { calculatePiece } from './calculatePiece';
import { calculateTechnique } from './calculateTechnique';

/** A calculation that programs may ask for. */
export interface Endpoint {
  readonly summary: string;
  readonly Input: ClassConstructor<object>;
  /** A request as one would write it; the page of the interface shows it with its answer. */
  readonly example: object;
  readonly answer: (plain: unknown, asked: AskedBy) => Promise<Outcome<object>>;
}

const endpoint = <T extends object>(
  summary: string,
  Input: ClassConstructor<T>,
  example: object,
  calculate: (input: ValuesOf<T>, asked: AskedBy) => object | Promise<object>,
): Endpoint => ({
  summary,
  Input,
  example,
  answer: (plain, asked) => attempt(async () => calculate(await readInput(Input, plain), asked)),
});

/** The calculations by the last part of their address under /api/v1/calculate/. */
export const ENDPOINTS: Readonly<Record<string, Endpoint>> = {
  wire: endpoint(
    'What a wire of a gauge is: its size, and how its length and mass go together',
    CalculateWireInput,
    { profile: 'round', metal: 'sterling', gauge: { system: 'AWG', value: 20 } },
    calculateWire,
  ),
  identify: endpoint(
    'Which gauge a measured diameter most likely is, nearest first',
    IdentifyInput,
    { diameterMm: 0.81 },
    identify,
  ),
  outline: endpoint(
    'Perimeter, area and balance of a stone’s outline',
    OutlineInput,
    { outline: 'teardrop', lengthMm: 18, widthMm: 13 },
    calculateOutline,
  ),
  'ring-size': endpoint(
    'A ring size in every system',
    RingSizeInput,
    { system: 'US', size: 7 },
    calculateRingSize,
  ),
  weave: endpoint(
    'The wire that a weave takes for a length of it',
    CalculateWeaveInput,
    { notation: 'A3 AB2', baseDiameterMm: 0.812, weavingDiameterMm: 0.321, lengthMm: 40 },
    calculateWeave,
  ),
  piece: endpoint(
    'A whole piece, act after act: its wires with the ways they go, its cuts, steps and stops, and how it hangs',
    CalculatePieceInput,
    {
      acts: [
        {
          id: 'frame',
          technique: 'bundle-frame',
          values: {
            stone: { outline: 'oval', lengthMm: 25, widthMm: 18, depthMm: 6, edgeMm: 2.4 },
            holds: 2,
          },
        },
        {
          id: 'bail',
          technique: 'folded-bail',
          values: { wraps: 0, gather: 4, clear: 1 },
          takes: { ends: ['frame.left 3', 'frame.right 3'] },
        },
      ],
      metal: 'sterling',
    },
    calculatePiece,
  ),
  cutting: endpoint(
    'Which cut comes from which stock piece with the least loss, with a bound that no plan passes',
    CuttingInput,
    {
      cuts: [
        { lengthMm: 98.5, count: 6 },
        { lengthMm: 140, count: 4 },
      ],
      stock: [
        { id: 'W-0012', lengthMm: 9144, kind: 'spool' },
        { id: 'W-0085', lengthMm: 300, kind: 'offcut' },
        { id: 'W-0093', lengthMm: 240, kind: 'offcut' },
      ],
      usefulMinimumMm: 75,
    },
    calculateCutting,
  ),
};

/** What a technique comes to for its parameters. */
export const answerTechnique = (id: string, plain: unknown): Promise<Outcome<object>> =>
  attempt(() => Promise.resolve().then(() => calculateTechnique(id, plain)));
