import { counted } from '../units/counted';
import { advice, type Judgement } from './judgement';

/** How much of a stone’s edge the stacked frame wires cover, unless the maker wants otherwise. */
export const COVERAGE = 1;

/** Frame wires whose stacked thickness covers the edge: n = ⌈coverage × edge / D⌉. Source: handbook of the trade. */
export const frameWiresFor = (edge: number, wire: number, coverage = COVERAGE): number =>
  Math.max(1, Math.ceil((coverage * edge) / wire - 1e-9));

/** Whether so many frame wires cover the edge of a stone. All in mm. */
export function judgeFrameWires(wires: number, wire: number, edge: number, about: string): Judgement[] {
  const needed = frameWiresFor(edge, wire);
  const stacked = (wires * wire).toFixed(2);
  if (wires >= needed) return [];
  return [
    advice(
      about,
      `${counted(wires, 'wire')} ${wires === 1 ? 'stacks' : 'stack'} to ${stacked} mm; the edge is ${Number(edge.toFixed(2))} mm high.`,
      'The frame must cover the edge, or the holds miss the shoulder.',
      `Take ${counted(needed, 'wire')}.`,
    ),
  ];
}
