import type { GaugeSystem } from '@/core/wire/gauge';
import type { Finish, MetalId, Temper } from '@/core/wire/metal';
import type { Profile } from '@/core/wire/profile';

/** One kind of wire the demo studio keeps. */
export interface DemoWire {
  readonly metal: MetalId;
  readonly profile: Profile;
  readonly system: GaugeSystem;
  readonly number: string;
  readonly temper: Temper;
  readonly finish: Finish;
  readonly finishName: string;
  readonly height: string;
}

type Options = Partial<Pick<DemoWire, 'profile' | 'system' | 'temper' | 'finish' | 'finishName' | 'height'>>;

const wires = (metal: MetalId, numbers: readonly string[], options: Options = {}): DemoWire[] =>
  numbers.map((number) => ({
    metal,
    number,
    profile: 'round',
    system: 'AWG',
    temper: 'dead soft',
    finish: 'bare',
    finishName: '',
    height: '',
    ...options,
  }));

const coated = (numbers: readonly string[], finishName: string) =>
  wires('copper', numbers, { finish: 'coated', finishName });

/** Everything on the pegs of the demo studio. */
export const DEMO_WIRES: readonly DemoWire[] = [
  ...wires('copper', ['14', '16', '18', '20', '22', '24', '26', '28', '30']),
  ...wires('copper', ['18', '20'], { temper: 'half hard' }),
  ...wires('copper', ['0.3', '0.4', '0.8', '1.0'], { system: 'mm' }),
  ...wires('copper', ['18', '20', '22'], { profile: 'square' }),
  ...wires('copper', ['18', '21'], { profile: 'half-round', height: '0.5 mm' }),
  ...wires('copper', ['3.0'], { profile: 'flat', system: 'mm', height: '0.5 mm' }),
  ...coated(['20', '24', '26'], 'teal'),
  ...coated(['22', '26', '28'], 'black'),
  ...coated(['20', '24'], 'plum'),
  ...wires('copper', ['20', '24', '26'], { finish: 'plated', finishName: 'silver' }),
  ...wires('brass', ['18', '20', '22', '24', '26']),
  ...wires('brass', ['0.6'], { system: 'mm' }),
  ...wires('bronze', ['18', '20', '22', '24']),
  ...wires('fine-silver', ['24', '26', '28', '30']),
  ...wires('sterling', ['16', '18', '20', '22', '24', '26', '28']),
  ...wires('sterling', ['18', '20', '21', '22'], { temper: 'half hard' }),
  ...wires('sterling', ['20', '21', '22'], { profile: 'square', temper: 'half hard' }),
  ...wires('sterling', ['18', '21'], { profile: 'half-round', temper: 'half hard', height: '0.4 mm' }),
  ...wires('gold-filled', ['20', '22'], { temper: 'half hard' }),
  ...wires('gold-filled', ['24', '26', '28']),
  ...wires('gold-filled', ['21'], { profile: 'half-round', temper: 'half hard', height: '0.36 mm' }),
  ...wires('steel', ['18', '20'], { temper: 'hard' }),
  ...wires('aluminium', ['14', '16']),
  ...wires('niobium', ['20', '22'], { temper: 'half hard' }),
];

/** Suppliers of the demo studio; none of them exists. */
export const DEMO_SUPPLIERS: readonly string[] = [
  'Tern & Daughter Metals',
  'Quillfeather Wire Works',
  'The Ninth Spool',
  'Harrow Lane Findings',
];

/** What a gram of drawn wire cost two years ago, in dollars: metal and drawing. Invented, in the right proportions. */
export const DEMO_GRAM_PRICE: Readonly<Record<MetalId, number>> = {
  copper: 0.05,
  brass: 0.045,
  bronze: 0.06,
  'fine-silver': 1.55,
  sterling: 1.45,
  'gold-filled': 2.6,
  steel: 0.05,
  aluminium: 0.06,
  niobium: 0.9,
  titanium: 0.8,
};

/** How much dearer a metal became over the two years. */
export const DEMO_PRICE_RISE: Partial<Readonly<Record<MetalId, number>>> = {
  'fine-silver': 0.42,
  sterling: 0.42,
  'gold-filled': 0.25,
  copper: 0.18,
};
