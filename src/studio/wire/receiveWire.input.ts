import { GAUGE_SYSTEMS, labelTyped, type GaugeLabel, type GaugeSystem } from '@/core/wire/gauge';
import {
  FINISHES,
  METAL_IDS,
  METALS,
  TEMPERS,
  type Finish,
  type MetalId,
  type Temper,
} from '@/core/wire/metal';
import { DRAWN_PROFILES, hasOwnHeight, type Profile, type DrawnProfile } from '@/core/wire/profile';
import { parseLength, type Micrometres } from '@/core/units/length';
import { isBareOunce, type Micrograms } from '@/core/units/mass';
import { ok, refuse, type Result } from '@/core/result';
import { ReadsBy, readLength, readMass, onlyIf, ReadsOneOf } from '../kernel/rules';
import { Purchased } from '../stock/purchase.input';
import type { Typed } from '../kernel/typed';

/** The forms wire arrives in. */
export const BOUGHT_FORMS = ['spool', 'coil', 'bobbin'] as const;

function readHeight(text: string): Result<Micrometres> {
  const height = parseLength(text);
  if (!height.ok) return height;
  return height.value >= 20 && height.value <= 12_000
    ? height
    : refuse(`“${text}” is not a wire’s height; give 0.02 to 12 mm.`);
}

/** A mass; of precious metal an ounce has to say which. */
function massOfMetal(metal: string, text: string): Result<Micrograms> {
  const isPrecious = METALS.some(({ id, precious }) => id === metal && precious);
  if (isPrecious && isBareOunce(text))
    return refuse(`“${text}”: troy or avoirdupois ounces? Write oz t (31.1 g) or oz av (28.3 g).`);
  return readMass(text);
}

/** A kind of wire as it is described on a form. */
export class WireSpecInput {
  @ReadsOneOf(METAL_IDS, 'a metal') metal!: Typed<MetalId>;
  @ReadsOneOf(DRAWN_PROFILES, 'a profile') profile!: Typed<DrawnProfile>;
  @ReadsOneOf(GAUGE_SYSTEMS, 'a gauge system') gaugeSystem!: Typed<GaugeSystem>;

  @ReadsBy('readsGauge', (text, { gaugeSystem }: WireSpecInput) =>
    labelTyped(gaugeSystem as GaugeSystem, text),
  )
  gaugeNumber!: Typed<GaugeLabel>;

  /** Height of flat and half-round wire; the size above is its width. */
  @ReadsBy('readsHeight', (text, { profile }: WireSpecInput) =>
    onlyIf(hasOwnHeight(profile as Profile), () => readHeight(text)),
  )
  height!: Typed<Micrometres | null>;

  @ReadsOneOf(TEMPERS, 'a temper') temper!: Typed<Temper>;
  @ReadsOneOf(FINISHES, 'a finish') finish!: Typed<Finish>;

  @ReadsBy('readsFinishName', (text, { finish }: WireSpecInput) => {
    if (finish === 'bare') return ok('');
    if (text.trim() === '') return refuse('Say which colour or plating it is, like teal or silver.');
    return text.length <= 40
      ? ok(text.trim())
      : refuse(`This is ${text.length} characters long; 40 are allowed.`);
  })
  finishName!: string;
}

/** What wire came in, and how much of it. */
export class WireFields extends WireSpecInput {
  @ReadsOneOf(BOUGHT_FORMS, 'what it is on') form!: Typed<(typeof BOUGHT_FORMS)[number]>;

  /** Either may be left empty, not both; both together check each other. */
  @ReadsBy('readsLengthOfWire', (text, { mass }: WireFields) =>
    onlyIf(text !== '' || mass === '', () => readLength(text)),
  )
  length!: Typed<Micrometres | null>;

  @ReadsBy('readsMassOfMetal', (text, { metal }: WireFields) =>
    onlyIf(text !== '', () => massOfMetal(metal, text)),
  )
  mass!: Typed<Micrograms | null>;
}

/** Wire that has come in. */
export class ReceiveWireInput extends Purchased(WireFields) {}
