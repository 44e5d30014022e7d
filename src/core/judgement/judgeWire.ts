import { awgDiameterMm, formatGauge, identifyGauge } from '../wire/gauge';
import { TEMPERS, type MetalId, type Temper } from '../wire/metal';
import { mm } from '../units/length';
import type { WireSize } from '../wire/wireSize';
import { WIRE_USES, type WireUse, type WireUseId } from '../wire/wireUse';
import { advice, type Judgement } from './judgement';

/** The wire that is to be used: its size, and what is known of it besides. */
export interface JudgedWire {
  readonly size: WireSize;
  readonly temper?: Temper | undefined;
  readonly metal?: MetalId | undefined;
}

/** Labels differ from their AWG size by a few hundredths: 1.0 mm passes for 18, 0.4 mm for 26. */
const SLACK = 1.06;

const nearest = (size: number): string => {
  const [first] = identifyGauge(mm(size)).candidates.filter(({ system }) => system === 'AWG');
  return first ? formatGauge(first) : `${size} mm`;
};

const hardness = (temper: Temper): number => TEMPERS.indexOf(temper);

/**
 * Whether a wire suits its use, by thickness, profile and temper.
 * @param about the parameter it is given for
 */
export function judgeWire(use: WireUseId, wire: JudgedWire, about: string): Judgement[] {
  const { name, gauges, profiles, tooThick, tooThin, tempers, temperWhy }: WireUse = WIRE_USES[use];
  const { size, temper, metal } = wire;
  const [thickest, thinnest] = gauges;
  const suits = thickest === thinnest ? `${thickest} ga` : `${thickest} to ${thinnest} ga`;
  const judgements: Judgement[] = [];
  if (size.width > awgDiameterMm(thickest) * SLACK)
    judgements.push(
      advice(
        about,
        `${nearest(size.width)} is thick for ${name}.`,
        `Then ${tooThick}.`,
        `${suits} suit it (common practice).`,
      ),
    );
  if (size.width < awgDiameterMm(thinnest) / SLACK && !(use === 'cage' && strongThin(wire)))
    judgements.push(
      advice(
        about,
        `${nearest(size.width)} is thin for ${name}.`,
        `Then ${tooThin}.`,
        use === 'cage'
          ? 'Take 18 ga, or 20 ga that is half hard or harder, or of steel (common practice).'
          : `${suits} suit it (common practice).`,
      ),
    );
  if (!profiles.includes(size.profile))
    judgements.push(
      advice(
        about,
        `${size.profile} wire is unusual for ${name}.`,
        use === 'ear wire' || use === 'hanging' ? 'Its edges cut.' : 'It does not lie evenly there.',
        `Take ${profiles.join(' or ')} wire (common practice).`,
      ),
    );
  if (
    use === 'ear wire' &&
    size.width <= awgDiameterMm(22) * SLACK &&
    temper &&
    hardness(temper) < hardness('half hard')
  )
    judgements.push(
      advice(
        about,
        `22 ga is soft for an ear wire as it is.`,
        'It bends open in wear.',
        'Harden it with a few light taps, or take 20 ga.',
      ),
    );
  if (temper && tempers) {
    const [softest, hardest] = tempers;
    if (hardness(temper) < hardness(softest) || hardness(temper) > hardness(hardest))
      judgements.push(
        advice(
          about,
          `${temper} wire does not suit ${name}.`,
          `${temperWhy ?? ''}.`.replace(/^./, (first) => first.toUpperCase()),
          softest === hardest
            ? `Take ${softest} (common practice).`
            : `Take ${softest} to ${hardest} (common practice).`,
        ),
      );
  }
  if (use === 'cage' && temper === 'dead soft' && metal !== 'steel' && size.width < awgDiameterMm(17))
    judgements.push(
      advice(
        about,
        'A cage of dead soft wire gives.',
        'Nothing but its stiffness keeps it closed round the stone.',
        'Take half hard, or quarter hard as a compromise that still wraps (common practice).',
      ),
    );
  return judgements;
}

/** 20 gauge holds a cage when it is half hard or harder, or steel (common practice). */
const strongThin = ({ size, temper, metal }: JudgedWire): boolean =>
  size.width >= awgDiameterMm(20) / SLACK &&
  (metal === 'steel' || (temper !== undefined && hardness(temper) >= hardness('half hard')));
