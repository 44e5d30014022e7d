import type { ReceiveWireInput } from '@/studio/wire/receiveWire.input';
import { reckon } from './reckon';

const EMPTY: ReceiveWireInput = {
  metal: 'sterling',
  profile: 'round',
  gaugeSystem: 'AWG',
  gaugeNumber: '',
  height: '',
  temper: 'half hard',
  finish: 'bare',
  finishName: '',
  form: 'spool',
  length: '',
  mass: '',
  price: '',
  supplier: '',
  boughtOn: '2026-05-04',
  place: '',
  note: '',
  paid: '',
};
const of = (typed: Partial<ReceiveWireInput>) => reckon({ ...EMPTY, ...typed });

it('says nothing before the size is typed', () => {
  expect(of({ length: '50 ft' })).toMatchObject({
    spec: undefined,
    mass: undefined,
    check: undefined,
    length: 15_240_000,
  });
});

it('works out the weight from the length, and the length from the weight', () => {
  expect(of({ gaugeNumber: '20', length: '1 m' })).toMatchObject({
    lengthIsTyped: true,
    massIsTyped: false,
    // π/4 × 0.812² mm² × 10.36 g/cm³ = 5.365 g
    mass: expect.closeTo(5_365_000, -3),
  });
  expect(of({ gaugeNumber: '20', mass: '1 oz t' })).toMatchObject({
    lengthIsTyped: false,
    massIsTyped: true,
    length: expect.closeTo(5_797_600, -3),
  });
});

it('prices a metre and a foot from either', () => {
  expect(of({ gaugeNumber: '20', length: '10 ft', price: '30.48 USD' }).price).toEqual({
    perMetre: 1_000_000,
    perFoot: 304_800,
  });
  expect(of({ gaugeNumber: '20', price: '30.48 USD' }).price).toBeUndefined();
});

it('checks the two against each other only when both are typed', () => {
  expect(of({ gaugeNumber: '20', length: '50 ft' }).check).toBeUndefined();
  expect(of({ gaugeNumber: '20', length: '50 ft', mass: '3 oz t' }).check).toMatchObject({
    verdict: 'wrong',
  });
  expect(of({ gaugeNumber: '20', length: '50 ft', mass: '82 g' }).check).toMatchObject({ verdict: 'fine' });
});

it('takes the height of half-round and flat wire, and the usual one until it is typed', () => {
  expect(of({ profile: 'half-round', gaugeNumber: '18' }).spec).toMatchObject({ width: 1024, height: 512 });
  expect(of({ profile: 'half-round', gaugeNumber: '18', height: '0.4 mm' }).spec).toMatchObject({
    height: 400,
  });
});
