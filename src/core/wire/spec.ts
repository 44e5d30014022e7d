import { formatDiameter } from '../units/length';
import { formatGauge, type GaugeLabel } from './gauge';
import { FINISHES, METAL_IDS, metalOf, TEMPERS, type Finish, type MetalId, type Temper } from './metal';
import { hasOwnHeight, PROFILES, type CrossSection } from './profile';

/**
 * What a wire is: metal, profile, size, temper and finish. Two wires are the same stock only when all five agree; the
 * label is how it is called here, and does not make another wire of it.
 */
export interface WireSpec extends CrossSection {
  readonly metal: MetalId;
  readonly temper: Temper;
  readonly finish: Finish;
  /** Colour or kind of the plating or coating ("teal", "silver"); empty for bare wire. */
  readonly finishName: string;
  readonly label: GaugeLabel;
}

/**
 * The things that make two wires the same stock, as one text: equal for the same stock only, in whatever order a rack is hung.
 * @example specIdentity(sterling20) === specIdentity({ ...sterling20, temper: 'hard' }) // false
 */
export function specIdentity({
  metal,
  profile,
  width,
  height,
  temper,
  finish,
  finishName,
  twist,
}: WireSpec): string {
  const all = [metal, profile, width, height, temper, finish, finishName.trim().toLowerCase()];
  return [...all, ...(twist ? [twist] : [])].join('|');
}

/**
 * Where a wire hangs on the rack: by metal, profile, thick to thin, soft to hard.
 * @example specKey(sterling20) < specKey({ ...sterling20, width: um(500) }) // true
 */
export function specKey(spec: WireSpec): string {
  const { metal, profile, width, height, temper, finish, finishName, twist } = spec;
  const two = (index: number) => String(index).padStart(2, '0');
  const thickFirst = (size: number) => String(99_999 - size).padStart(5, '0');
  return [
    two(METAL_IDS.indexOf(metal)),
    PROFILES.indexOf(profile),
    thickFirst(width),
    thickFirst(height),
    TEMPERS.indexOf(temper),
    FINISHES.indexOf(finish),
    finishName.trim().toLowerCase(),
    ...(twist ? [String(twist).padStart(5, '0')] : []),
  ].join('|');
}

/**
 * "sterling", "teal coated copper", "silver plated copper".
 * @example describeMetal({ metal: 'copper', finish: 'coated', finishName: 'teal' }) // 'teal coated copper'
 */
export function describeMetal({
  metal,
  finish,
  finishName,
}: Pick<WireSpec, 'metal' | 'finish' | 'finishName'>): string {
  const { name } = metalOf(metal);
  return finish === 'bare' ? name : `${finishName} ${finish} ${name}`.trim();
}

/**
 * "20 ga round sterling, half hard": how a wire is said everywhere.
 * @example describeSpec(sterling20) // '20 ga round sterling, half hard'
 */
export function describeSpec(spec: WireSpec): string {
  const turns = spec.twist ? `, ${spec.twist} turns a metre` : '';
  return `${formatGauge(spec.label)} ${spec.profile} ${describeMetal(spec)}, ${spec.temper}${turns}`;
}

/**
 * "0.812 mm" or "1.024 × 0.512 mm": the true size, whatever the label says.
 * @example describeSize({ profile: 'flat', width: um(1024), height: um(512) }) // '1.024 × 0.512 mm'
 */
export function describeSize({ profile, width, height }: CrossSection): string {
  return hasOwnHeight(profile)
    ? `${formatDiameter(width).replace(' mm', '')} × ${formatDiameter(height)}`
    : formatDiameter(width);
}
