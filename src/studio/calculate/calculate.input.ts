import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsDefined,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
  ValidateNested,
  type ValidationArguments,
} from 'class-validator';
import { isActed } from '@/core/technique/act';
import { TECHNIQUES } from '@/core/techniques/registry';
import { RING_SYSTEMS, type RingSystem } from '@/core/ring/ringSize';
import { OUTLINES, type OutlineKind } from '@/core/stone/stone';
import { GAUGE_SYSTEMS, type GaugeSystem } from '@/core/wire/gauge';
import { METAL_IDS, type MetalId } from '@/core/wire/metal';
import { DRAWN_PROFILES, type DrawnProfile } from '@/core/wire/profile';
import { together } from '../kernel/rules';

/** Techniques that are done to a piece. */
const ACTED_IDS = TECHNIQUES.filter(isActed).map(({ id }) => id);

/** "“star” was given; one of round, oval is allowed." */
const saying =
  (allowed: string) =>
  ({ value }: ValidationArguments): string => {
    const given =
      value === undefined ? 'Nothing' : typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
    return `${given.slice(0, 80)} was given; ${allowed}.`;
  };

/** May be left out; null is no way to leave something out. */
const MayBeLeftOut = () => ValidateIf((_, value) => value !== undefined);

const OneOf = (choices: readonly string[]) =>
  IsIn([...choices], { message: saying(`one of ${choices.join(', ')} is allowed`) });

const Between = (from: number, to: number, unit: string) => {
  const message = saying(`a number from ${from} to ${to} ${unit} is allowed`);
  return together(
    IsNumber({ allowNaN: false, allowInfinity: false }, { message }),
    Min(from, { message }),
    Max(to, { message }),
  );
};

const Whole = (from: number, to: number) => {
  const message = saying(`a whole number from ${from} to ${to} is allowed`);
  return together(IsInt({ message }), Min(from, { message }), Max(to, { message }));
};

const ListOf = (of: () => new () => object, most: number, what: string) => {
  const message = saying(`a list of at most ${most} ${what} is allowed`);
  return together(
    IsArray({ message }),
    ArrayMaxSize(most, { message }),
    ValidateNested({ each: true, message }),
    Type(of),
  );
};

const Nested = (of: () => new () => object, allowed: string) =>
  together(IsDefined({ message: saying(allowed) }), ValidateNested({ message: saying(allowed) }), Type(of));

const TextOrNumber = (allowed: string) =>
  ValidateBy(
    {
      name: 'textOrNumber',
      validator: {
        validate: (value) => typeof value === 'number' || (typeof value === 'string' && value.length <= 40),
      },
    },
    { message: saying(allowed) },
  );

/** A gauge as programs write it. */
export class GaugeInput {
  @OneOf(GAUGE_SYSTEMS) system!: GaugeSystem;
  @TextOrNumber('a number of the system is allowed, like 20 or 0.8') value!: number | string;
}

export class CalculateWireInput {
  @OneOf(DRAWN_PROFILES) profile!: DrawnProfile;
  @OneOf(METAL_IDS) metal!: MetalId;
  @Nested(() => GaugeInput, 'an object of system and value is allowed') gauge!: GaugeInput;
  /** Of flat and half-round wire; half of the width of half-round when it is not told. */
  @MayBeLeftOut() @Between(0.02, 12, 'mm') heightMm?: number;
}

export class IdentifyInput {
  @Between(0.05, 12, 'mm') diameterMm!: number;
}

const isPlainPoint = (each: unknown): boolean =>
  typeof each === 'object' &&
  each !== null &&
  Object.keys(each).length === 2 &&
  Number.isFinite((each as { x?: unknown }).x) &&
  Number.isFinite((each as { y?: unknown }).y);

export class OutlineInput {
  @OneOf(OUTLINES) outline!: OutlineKind;
  @Between(1, 200, 'mm') lengthMm!: number;
  /** The same as the length when it is not told. */
  @MayBeLeftOut() @Between(1, 200, 'mm') widthMm?: number;
  /** Radius of the corners of a square or rectangle. */
  @MayBeLeftOut() @Between(0, 100, 'mm') cornerMm?: number;
  /** Length of a strip of paper laid round a freeform stone. */
  @MayBeLeftOut() @Between(1, 800, 'mm') stripMm?: number;
  /** Points traced round a freeform stone, 3 to 500. */
  @MayBeLeftOut()
  @ValidateBy(
    {
      name: 'points',
      validator: {
        validate: (value) =>
          Array.isArray(value) && value.length >= 3 && value.length <= 500 && value.every(isPlainPoint),
      },
    },
    { message: saying('3 to 500 points of x and y are allowed') },
  )
  pointsMm?: readonly { x: number; y: number }[];
  /** Distance of a parallel curve whose length is wanted too. */
  @MayBeLeftOut() @Between(0, 20, 'mm') offsetMm?: number;
}

export class RingSizeInput {
  @OneOf(RING_SYSTEMS) system!: RingSystem;
  @TextOrNumber('a size is allowed, like 7, "6 1/2" or "N½"') size!: number | string;
}

const GROUPS = saying('1 to 60 groups of wires and wraps are allowed');

export class WeaveGroupInput {
  @IsArray({ message: saying('a list of letters is allowed, like ["A", "B"]') })
  @ArrayMinSize(1, { message: saying('one wire at least is allowed') })
  @ArrayMaxSize(8, { message: saying('eight wires at most are allowed') })
  @Matches(/^[A-Ha-h]$/, { each: true, message: saying('letters from A to H are allowed') })
  wires!: readonly string[];
  @Whole(1, 99) wraps!: number;
}

export class CalculateWeaveInput {
  /** In place of a notation. */
  @ValidateIf(({ notation }: CalculateWeaveInput) => notation === undefined)
  @IsArray({ message: GROUPS })
  @ArrayMinSize(1, { message: GROUPS })
  @ArrayMaxSize(60, { message: GROUPS })
  @ValidateNested({ each: true, message: GROUPS })
  @Type(() => WeaveGroupInput)
  groups?: readonly WeaveGroupInput[];
  /** In place of groups: "A3 AB2". */
  @MayBeLeftOut()
  @IsString({ message: saying('a weave is allowed, like “A3 AB2”') })
  @MaxLength(400, { message: 'A weave is 400 characters long at most.' })
  notation?: string;
  @Between(0.05, 12, 'mm') baseDiameterMm!: number;
  @Between(0.05, 12, 'mm') weavingDiameterMm!: number;
  @Between(0.1, 10_000, 'mm') lengthMm!: number;
  /** Between neighbouring frame wires; what the weave needs to pass between them when it is not told. */
  @MayBeLeftOut() @Between(0, 20, 'mm') gapMm?: number;
  /** Tail at each end; 60 mm when it is not told. */
  @MayBeLeftOut() @Between(0, 1000, 'mm') tailMm?: number;
}

export const STOCK_KINDS = ['spool', 'offcut'] as const;
const ID = saying('a text of 1 to 80 characters is allowed');

export class WantedCutInput {
  @Between(0.1, 100_000, 'mm') lengthMm!: number;
  @Whole(1, 10_000) count!: number;
}

export class StockToCutInput {
  @IsString({ message: ID }) @Length(1, 80, { message: ID }) id!: string;
  @Between(0.1, 10_000_000, 'mm') lengthMm!: number;
  @OneOf(STOCK_KINDS) kind!: (typeof STOCK_KINDS)[number];
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const isPorts = (value: unknown): boolean =>
  isObject(value) &&
  Object.keys(value).length <= 12 &&
  Object.values(value).every(
    (refs) =>
      Array.isArray(refs) &&
      refs.length <= 24 &&
      refs.every((ref) => typeof ref === 'string' && ref.length <= 80),
  );

/** An act of a piece: a technique, and what it goes on from. */
export class PieceActInput {
  /** What others call it that take up what it leaves. */
  @Matches(/^[a-z][a-z\d]{0,15}$/, {
    message: saying('a small letter, and at most 15 small letters or digits after it, are allowed'),
  })
  id!: string;
  @OneOf(ACTED_IDS) technique!: string;
  /** Its parameters as the calculation of the technique by itself takes them; as it proposes what is left out. */
  @MayBeLeftOut()
  @ValidateBy(
    { name: 'values', validator: { validate: isObject } },
    { message: saying('an object of the technique’s parameters is allowed') },
  )
  values?: Readonly<Record<string, unknown>>;
  /** By port, what is taken up of acts before it: “frame.left 1”. */
  @MayBeLeftOut()
  @ValidateBy(
    { name: 'takes', validator: { validate: isPorts } },
    { message: saying('an object of lists is allowed, like {"ends": ["frame.left 1"]}') },
  )
  takes?: Readonly<Record<string, readonly string[]>>;
}

const NAME = saying('a text of 1 to 120 letters is allowed');

/** A stone, bead or finding, by what it is called. */
export class NamedPartInput {
  @IsString({ message: NAME }) @Length(1, 120, { message: NAME }) name!: string;
}

export class CalculatePieceInput {
  /** In the order of the work. */
  @ListOf(() => PieceActInput, 40, 'acts') acts!: readonly PieceActInput[];
  /** What its wires are weighed in; copper when it is not told. */
  @MayBeLeftOut() @OneOf(METAL_IDS) metal?: MetalId;
  /** What its stones and beads are, by which they are weighed: “prehnite cab”, “garnet bead, 4 mm”. Quartz where nothing is told. */
  @MayBeLeftOut() @ListOf(() => NamedPartInput, 40, 'parts') parts?: readonly NamedPartInput[];
}

export class CuttingInput {
  @ListOf(() => WantedCutInput, 1_000, 'cuts') cuts!: readonly WantedCutInput[];
  @ListOf(() => StockToCutInput, 2_000, 'stock pieces') stock!: readonly StockToCutInput[];
  /** Shorter than this, what is left of a stock piece is scrap. */
  @Between(0, 10_000, 'mm') usefulMinimumMm!: number;
  /** Milliseconds after which the best plan so far is given; 5000 when it is not told. */
  @MayBeLeftOut() @Between(0, 30_000, 'ms') timeLimitMs?: number;
}
