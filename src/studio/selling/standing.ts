import { randomUUID } from 'node:crypto';
import { day, type Day } from '@/core/calendar/day';
import type { Id } from '@/core/id';
import type { MinorUnits } from '@/core/units/money';
import { Channel, StallCost } from '@/data/models/selling';
import { invalid, refused } from '../kernel/outcome';
import { acts, posts } from '../kernel/posts';
import { look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { inCurrency } from '../settings/inCurrency';
import { settingsIn } from '../settings/settings';
import { StandingInput } from './standing.input';

/** What it cost to stand somewhere on a day: stall rent, the way there. */
export interface Standing {
  readonly id: Id<'stall cost'>;
  readonly channel: string;
  readonly day: Day;
  readonly amount: MinorUnits;
  readonly note: string;
}

const SHOWN = 30;

/** What standing somewhere cost lately, the latest first. For the owner. */
export async function listStanding(session: StudioSession): Promise<readonly Standing[]> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const rows = await tx.allWith(
      StallCost,
      ['stallCostId', 'day', 'amount', 'note'],
      { channel: ['name'] },
      {
        where: { struckAt: null },
        order: [
          ['day', 'DESC'],
          ['postedAt', 'DESC'],
        ],
        limit: SHOWN,
      },
    );
    return rows.map(({ stallCostId: id, channel, ...row }) => ({ id, channel: channel.name, ...row }));
  });
}

/** Writes down what it cost to stand somewhere on a day. What was sold there on that day bears it. */
export const writeStanding = posts(
  'writeStanding',
  { input: StandingInput, by: 'owner' },
  async ({ tx, session }, input) => {
    const { currency } = await settingsIn(tx);
    const { channel: channelId, note } = input;
    if (!(await tx.one(Channel, ['channelId'], { where: { channelId } })))
      throw invalid('channel', 'Choose where you stood.');
    await tx.add(StallCost, [
      {
        ...{ stallCostId: randomUUID(), channelId, day: day(input.day), note },
        amount: inCurrency('amount', input.amount, currency),
        ...{ userId: session.userId, postedAt: session.now },
      },
    ]);
    return null;
  },
);

/** Takes back what was written down of standing somewhere. */
export const strikeStanding = acts(
  'strikeStanding',
  async ({ tx, session }, stallCostId: Id<'stall cost'>) => {
    const changed = await tx.change(StallCost, { stallCostId, struckAt: null }, { struckAt: session.now });
    if (changed === 0) throw refused('That was taken back already.');
    return null;
  },
  { by: 'owner' },
);
