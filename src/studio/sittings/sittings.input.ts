import { IsInt, IsOptional, Max, Min } from 'class-validator';
import { LONGEST_NOTE } from '@/core/bench/sitting';
import { MOST_IN_SITTING } from '@/core/bench/stations';
import type { Micrometres } from '@/core/units/length';
import type { Micrograms } from '@/core/units/mass';
import {
  Entries,
  ReadsLength,
  ReadsLengths,
  ReadsMass,
  ReadsMassOrNone,
  ReadsOneOf,
  ReadsText,
  ReadsWhole,
} from '../kernel/rules';
import type { Typed } from '../kernel/typed';
import { ReadsWornOrNone } from '../making/makePiece.input';

/** What wires are cut to: what the log says, or the plan as it is. */
export const CUT_TO = ['learned', 'planned'] as const;
export type CutTo = (typeof CUT_TO)[number];

/** How many pieces of a pattern are worked together, and how long their wires are cut. */
export class BeginSittingInput {
  @ReadsWhole(1, MOST_IN_SITTING) count!: Typed<number>;
  @IsOptional() @ReadsOneOf(CUT_TO, 'what the wires are cut to') cutTo?: Typed<CutTo>;
}

/** A spool on the scale, with what is wound on it. */
export class WeighSpoolInput {
  @ReadsMass() mass!: Typed<Micrograms>;
}

/** A wire that was cut too short, as long as it is. */
export class ShortWireInput {
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @ReadsLength() length!: Typed<Micrometres>;
}

/** A wire of a piece as it was really cut, and what of it was trimmed off again. */
export class WireDoneInput {
  @IsInt() @Min(0) @Max(59) cutIndex!: number;
  @IsInt() @Min(0) @Max(199) copy!: number;
  @ReadsLength() cut!: Typed<Micrometres>;
  @ReadsLengths() back!: Typed<Micrometres[]>;
}

/** What a piece comes to when it is finished. */
export class InspectPieceInput {
  @Entries(() => WireDoneInput, 400, { most: 'A piece has at most 400 cuts.' })
  wires!: WireDoneInput[];
  /** Of a ring, what the mandrel says. */
  @IsOptional() @ReadsWornOrNone() finished?: Typed<Micrometres | null>;
  /** What the scale says. */
  @ReadsMassOrNone() weight!: Typed<Micrograms | null>;
  @ReadsText(LONGEST_NOTE) note!: string;
}
