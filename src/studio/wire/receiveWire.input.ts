import { ValidateIf } from 'class-validator';
import { GAUGE_SYSTEMS, labelTyped, type GaugeSystem } from '@/core/wire/gauge';
import { FINISHES, METAL_IDS, METALS, TEMPERS } from '@/core/wire/metal';
import { DRAWN_PROFILES, hasOwnHeight, type Profile } from '@/core/wire/profile';
import { parseLength } from '@/core/units/length';
import { isBareOunce, parseMass } from '@/core/units/mass';
import { ok, refuse } from '@/core/result';
import { ReadsBy, ReadsLength, ReadsOneOf } from '../kernel/rules';
import { Purchased } from '../stock/purchase.input';

/** The forms wire arrives in. */
export const BOUGHT_FORMS = ['spool', 'coil', 'bobbin'] as const;

/** A kind of wire as it is described on a form. */
export class WireSpecInput {
  @ReadsOneOf(METAL_IDS, 'a metal') metal!: string;
  @ReadsOneOf(DRAWN_PROFILES, 'a profile') profile!: string;
  @ReadsOneOf(GAUGE_SYSTEMS, 'a gauge system') gaugeSystem!: string;

  @ReadsBy<WireSpecInput>('readsGauge', (text, { gaugeSystem }) =>
    labelTyped(gaugeSystem as GaugeSystem, text),
  )
  gaugeNumber!: string;

  /** Height of flat and half-round wire; the size above is its width. */
  @ValidateIf(({ profile }: WireSpecInput) => hasOwnHeight(profile as Profile))
  @ReadsBy('readsHeight', (text) => {
    const height = parseLength(text);
    if (!height.ok) return height;
    return height.value >= 20 && height.value <= 12_000
      ? height
      : refuse(`“${text}” is not a wire’s height; give 0.02 to 12 mm.`);
  })
  height!: string;

  @ReadsOneOf(TEMPERS, 'a temper') temper!: string;
  @ReadsOneOf(FINISHES, 'a finish') finish!: string;

  @ReadsBy<WireSpecInput>('readsFinishName', (text, { finish }) => {
    if (finish !== 'bare' && text.trim() === '')
      return refuse('Say which colour or plating it is, like teal or silver.');
    return text.length <= 40 ? ok(text) : refuse(`This is ${text.length} characters long; 40 are allowed.`);
  })
  finishName!: string;
}

/** What wire came in, and how much of it. */
export class WireFields extends WireSpecInput {
  @ReadsOneOf(BOUGHT_FORMS, 'what it is on') form!: string;

  /** Either may be left empty, not both; both together check each other. */
  @ValidateIf(({ length, mass }: WireFields) => length !== '' || mass === '')
  @ReadsLength()
  length!: string;

  @ValidateIf(({ mass }: WireFields) => mass !== '')
  @ReadsBy<WireFields>('readsMassOfMetal', (text, { metal }) => {
    const isPrecious = METALS.some(({ id, precious }) => id === metal && precious);
    if (isPrecious && isBareOunce(text))
      return refuse(`“${text}”: troy or avoirdupois ounces? Write oz t (31.1 g) or oz av (28.3 g).`);
    const mass = parseMass(text);
    return mass.ok && mass.value === 0 ? refuse(`“${text}” is nothing; it must be more than 0.`) : mass;
  })
  mass!: string;
}

/** Wire that has come in. */
export class ReceiveWireInput extends Purchased(WireFields) {}
