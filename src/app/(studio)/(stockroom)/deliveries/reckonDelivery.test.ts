import type { DeliveryInput, DeliveryLine } from '@/studio/deliveries/delivery.input';
import { BLANK } from '../parts/WareFields';
import { reckonDelivery, sayLine } from './reckonDelivery';

const line = (ware: keyof typeof BLANK, more: object): DeliveryLine =>
  ({
    ...BLANK[ware],
    ware,
    costIs: 'paid',
    price: '',
    place: '',
    weight: '',
    ...more,
  }) as unknown as DeliveryLine;
const delivery = (lines: readonly DeliveryLine[], more: object = {}): DeliveryInput => ({
  supplier: '',
  boughtOn: '2026-05-04',
  note: '',
  currency: 'USD',
  postage: '9.00 USD',
  tax: '',
  sharedBy: 'value',
  cameTo: '',
  lines: [...lines],
  ...more,
});
const wire = (more: object) => line('wire', { gaugeNumber: '20', length: '10 m', ...more });

describe('a delivery that is half typed', () => {
  it('shows what each line comes to', () => {
    const { landed, total } = reckonDelivery(
      delivery([wire({ price: '30.00 USD' }), line('bead', { price: '60.00 USD' })]),
      'USD',
    );
    expect(landed?.map(({ cost }) => cost)).toEqual([3300, 6600]);
    expect(total).toBe(9900);
  });

  it('says why it cannot share yet, and takes wire by what it weighs', () => {
    const lines = [wire({ price: '3.00 USD' }), wire({ price: '3.00 USD', length: '20 m' })];
    const byWeight = { sharedBy: 'weight' };
    expect(reckonDelivery(delivery(lines, byWeight), 'USD').landed?.map(({ postage }) => postage)).toEqual([
      300, 600,
    ]);
    const more = [...lines, line('finding', { price: '1.00 USD' })];
    expect(reckonDelivery(delivery(more, byWeight), 'USD').why).toMatch(/line 3 weighs/);
    expect(reckonDelivery(delivery([wire({})]), 'USD').why).toMatch(/gift/);
  });

  it('calls its lines by what is typed of them', () => {
    expect(sayLine(wire({}))).toBe('20 ga round copper, dead soft');
    expect(sayLine(line('bead', { material: 'garnet', size: '4 mm' }))).toBe('garnet round 4 mm');
    expect(sayLine(line('wire', {}))).toBe('Wire');
  });
});
