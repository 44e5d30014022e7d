import { IsUUID } from 'class-validator';
import { METAL_IDS, type MetalId } from '@/core/wire/metal';
import type { Micrograms } from '@/core/units/mass';
import { Entries, ReadsMass, ReadsOneOf, ReadsText, ReadsWhole } from '../kernel/rules';
import type { Typed } from '../kernel/typed';

/** Wire of one metal that comes out of a piece, as the scale says. */
export class SalvagedMetalInput {
  @ReadsOneOf(METAL_IDS, 'a metal') metal!: Typed<MetalId>;
  @ReadsMass({ zero: true }) mass!: Typed<Micrograms>;
}

/** Beads, a stone or findings that come out of a piece whole. */
export class SalvagedPartInput {
  /** The id of what they were taken from. */
  @IsUUID('all', { message: 'Choose which lot or stone this was taken from.' }) from!: string;
  @ReadsWhole(0, 100_000) count!: Typed<number>;
}

/** What comes out of a piece that is broken up. */
export class BreakUpInput {
  @Entries(() => SalvagedMetalInput, 40, { most: 'A piece is of at most 40 metals.' })
  metals!: SalvagedMetalInput[];

  @Entries(() => SalvagedPartInput, 400, { most: 'A piece has at most 400 parts.' })
  parts!: SalvagedPartInput[];

  @ReadsText(500) note!: string;
}
