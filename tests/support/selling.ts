import { tag } from '../../src/core/tag';
import { listChannels, writeChannel } from '../../src/studio/selling/channels';
import { done, makeOne, newKey, openStudio, receive } from './studio';

/** A fair: 3 % and 0.10 of what is paid, 0.40 of packing a piece; prices contain a sixth of tax. */
export const HARBOUR_FAIR = {
  kind: 'fair',
  name: 'Harbour fair',
  feePercent: '3',
  feeOn: 'gross',
  feeFixed: '0.10 USD',
  postageAsked: '0 USD',
  postage: '0 USD',
  packing: '0.40 USD',
  taxKind: 'included',
  taxPercent: '20',
  taxRounding: 'document',
  pricePercent: '100',
  endings: [],
  isOpen: true,
};

/** A studio that sells at a fair, with some finished pieces by their numbers. */
export async function sellingStudio(count: number, channel: object = {}) {
  const session = await openStudio();
  await receive(session);
  const numbers: number[] = [];
  for (let piece = 0; piece < count; piece += 1) numbers.push(await makeOne(session));
  done(await writeChannel(session, newKey(), null, { ...HARBOUR_FAIR, ...channel }));
  const [fair] = await listChannels(session);
  if (!fair) throw new Error('it is written down');
  return { session, numbers, channel: fair.id };
}

/** Pieces with the prices on their tags, as the form of selling sends them. */
export const selling = (
  channel: string,
  asked: readonly (readonly [number, string])[],
  more: object = {},
) => ({
  channel,
  soldOn: '2026-05-02',
  pieces: asked.map(([piece, price]) => ({ piece: tag('piece', piece), asked: price })),
  letGo: 'nothing',
  off: '',
  paidBy: 'card',
  given: '',
  buyer: '',
  note: '',
  ...more,
});

/** Pieces that come back, as the form of that sends them. */
export const returning = (numbers: readonly number[], more: object = {}) => ({
  pieces: numbers.map((piece) => ({ piece: tag('piece', piece) })),
  soldOn: '2026-05-09',
  paidBy: 'card',
  keepsFees: true,
  note: 'too small',
  ...more,
});
