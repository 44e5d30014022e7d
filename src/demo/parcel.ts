import { receiveDelivery } from '@/studio/deliveries/receiveDelivery';
import type { StudioSession } from '@/studio/kernel/useCase';
import { DEMO_SUPPLIERS } from './wires';
import { keyOf } from './keyOf';
import { taken } from './taken';

const line = (ware: string, dollars: number, place: string) => ({
  ware,
  costIs: dollars === 0 ? 'free' : 'paid',
  price: dollars === 0 ? '' : `${dollars.toFixed(2)} USD`,
  place,
  weight: '',
});

/** A parcel that came today: beads, findings and a box of supplies share its postage and its tax; one strand was put in as a gift. */
export async function receiveParcel(session: StudioSession): Promise<void> {
  const bead = { shape: 'round', largest: '', form: 'strand', shades: '' };
  taken(
    await receiveDelivery(session, keyOf('parcel'), {
      supplier: DEMO_SUPPLIERS[0],
      boughtOn: session.now.toISOString().slice(0, 10),
      note: 'invoice 2714',
      currency: 'USD',
      postage: '7.40 USD',
      tax: '5.13 USD',
      sharedBy: 'value',
      cameTo: '',
      lines: [
        {
          ...line('bead', 31.5, 'Bead drawer'),
          ...bead,
          material: 'rhodonite',
          size: '7 mm',
          hole: '1 mm',
          count: '54',
        },
        {
          ...line('bead', 22.8, 'Bead drawer'),
          ...bead,
          material: 'serpentine',
          size: '5 mm',
          hole: '0.8 mm',
          count: '72',
        },
        {
          ...line('bead', 0, 'Bead drawer'),
          ...bead,
          material: 'picture jasper',
          size: '6 mm',
          hole: '1 mm',
          count: '30',
        },
        {
          ...line('finding', 9.9, 'Findings box'),
          finding: 'clasp',
          material: 'brass',
          size: 'toggle, 14 mm',
          count: '1 dozen',
        },
        {
          ...line('supply', 12.6, 'Shelf under the bench'),
          name: 'Beeswax block',
          unit: 'piece',
          quantity: '6',
          perPiece: '0',
        },
      ],
    }),
  );
}
