import { lineChoices } from '@/app/lib/batchLines/lineChoices';
import type { LineChoices } from '@/app/lib/batchLines/BatchLines';
import type { StudioSession } from '@/studio/kernel/useCase';
import type { KnownChannel } from '@/studio/selling/channels';
import { customerNames } from '@/studio/selling/customers';
import { openChannels } from '@/studio/selling/sales';

/** What an order can be written with. */
export interface OrderChoices extends LineChoices {
  /** Those first that are for orders. */
  readonly channels: readonly KnownChannel[];
  readonly names: readonly string[];
}

const FOR_ORDERS: readonly KnownChannel['kind'][] = ['to order', 'wholesale'];

/** What an order can be written with. @param own numbers of stones that it wants already */
export async function orderChoices(
  session: StudioSession,
  own: readonly number[] = [],
): Promise<OrderChoices> {
  const open = await openChannels(session);
  const isFor = ({ kind }: KnownChannel) => FOR_ORDERS.includes(kind);
  return {
    ...(await lineChoices(session, own)),
    channels: [...open.filter(isFor), ...open.filter((each) => !isFor(each))],
    names: await customerNames(session),
  };
}
