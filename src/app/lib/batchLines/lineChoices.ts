import { showDrawer } from '@/studio/drawers/drawers';
import type { StudioSession } from '@/studio/kernel/useCase';
import { patternChoices } from '@/studio/patterns/patterns';
import { describeStone } from '@/core/stone/stone';
import { tag } from '@/core/tag';
import type { LineChoices } from './BatchLines';

/** The patterns and free stones that pieces can be made of. @param own numbers of stones that are set aside for it already */
export async function lineChoices(session: StudioSession, own: readonly number[] = []): Promise<LineChoices> {
  const [patterns, free, aside] = await Promise.all([
    patternChoices(session),
    showDrawer(session, 'stone', { state: 'free' }),
    own.length > 0 ? showDrawer(session, 'stone', { state: 'set aside' }) : undefined,
  ]);
  const ours = (aside?.pieces ?? []).filter(({ number }) => own.includes(number));
  return {
    patterns,
    stones: [...ours, ...free.pieces].flatMap(({ number, detail }) =>
      detail.ware === 'stone'
        ? [{ value: tag('stone', number), text: `${tag('stone', number)} ${describeStone(detail)}` }]
        : [],
    ),
  };
}
