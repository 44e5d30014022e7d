import { randomUUID } from 'node:crypto';
import type { Id } from '@/core/id';
import type { ChannelKind, ChannelTerms } from '@/core/selling/channel';
import type { ChannelPricing } from '@/core/selling/channelPrice';
import type { TaxRounding } from '@/core/selling/tax';
import type { Tx } from '@/data/inStudio';
import { Channel } from '@/data/models/selling';
import type { RowIn } from '@/data/table';
import { invalid, refused } from '../kernel/outcome';
import { posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { ChannelInput } from './channels.input';

const TERMS = [
  ...(['feePercent', 'feeOn', 'feeFixed', 'postageAsked', 'postage', 'packing'] as const),
  ...(['taxKind', 'taxPercent', 'taxRounding'] as const),
] as const;
const PRICING = ['pricePercent', 'endings'] as const;
const COLUMNS = ['channelId', 'kind', 'name', 'isOpen', ...PRICING, ...TERMS] as const;

/** A way that pieces leave the studio for money. */
export interface KnownChannel {
  readonly id: Id<'channel'>;
  readonly kind: ChannelKind;
  readonly name: string;
  readonly isOpen: boolean;
  readonly terms: ChannelTerms;
  readonly rounding: TaxRounding;
  /** What it makes of the prices on the tags. */
  readonly pricing: ChannelPricing;
}

const channelOf = (row: Pick<RowIn<typeof Channel>, (typeof COLUMNS)[number]>): KnownChannel => {
  const { channelId: id, kind, name, isOpen, taxKind, taxPercent, taxRounding: rounding, ...more } = row;
  const { pricePercent, endings, ...terms } = more;
  return {
    id,
    kind,
    name,
    isOpen,
    terms: { ...terms, tax: { kind: taxKind, percent: taxPercent } },
    rounding,
    pricing: { pricePercent, endings },
  };
};

/** All of them, those first that are open. */
export const channelsIn = async (tx: Tx): Promise<readonly KnownChannel[]> =>
  (await tx.all(Channel, COLUMNS, { order: [['isOpen', 'DESC'], 'name'] })).map(channelOf);

/**
 * One that something can be sold in now.
 * @throws Refused when there is none such, or nothing is sold there any more
 */
export async function openChannel(tx: Tx, channelId: Id<'channel'>): Promise<KnownChannel> {
  const row = await tx.one(Channel, COLUMNS, { where: { channelId } });
  if (!row) throw invalid('channel', 'Choose where it is sold.');
  if (!row.isOpen) throw invalid('channel', `Nothing is sold in “${row.name}” any more.`);
  return channelOf(row);
}

/** All channels with their terms, for the owner. */
export async function listChannels(session: StudioSession): Promise<readonly KnownChannel[]> {
  ownerOnly(session);
  return look(session, channelsIn);
}

/** Writes down a channel, or changes one: what was sold there before keeps the terms of its day. */
export const writeChannel = posts(
  'writeChannel',
  { input: ChannelInput, by: 'owner' },
  async ({ tx }, input, channelId: Id<'channel'> | null) => {
    const { currency } = await settingsIn(tx);
    const others = await tx.all(Channel, ['channelId', 'name']);
    const { name } = input;
    if (others.some((each) => each.channelId !== channelId && each.name.toLowerCase() === name.toLowerCase()))
      throw invalid('name', `There is a channel “${name}” already.`);
    if (input.pricePercent === 0)
      throw invalid('pricePercent', 'Nothing is sold for no part of its price; give more than 0 %.');
    const values = {
      ...input,
      endings: input.endings.map((ending) => inCurrency('endings', ending, currency)),
      feeFixed: inCurrency('feeFixed', input.feeFixed, currency),
      postageAsked: inCurrency('postageAsked', input.postageAsked, currency),
      postage: inCurrency('postage', input.postage, currency),
      packing: inCurrency('packing', input.packing, currency),
    };
    if (channelId === null) await tx.add(Channel, [{ channelId: randomUUID(), ...values }]);
    else if ((await tx.change(Channel, { channelId }, values)) === 0)
      throw refused('There is no such channel any more.');
    return null;
  },
);
