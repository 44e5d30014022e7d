import type { StudioSession } from '@/studio/kernel/useCase';
import { showDrawer } from '@/studio/drawers/drawers';
import { listSpecs, type KnownSpec } from '@/studio/wire/specs';
import type { StoneChoice } from './StoneFromStock';

/** The wires and the free stones that a pattern can be composed with. */
export async function composerData(
  session: StudioSession,
): Promise<{ readonly specs: readonly KnownSpec[]; readonly stones: readonly StoneChoice[] }> {
  const [specs, drawer] = await Promise.all([
    listSpecs(session),
    showDrawer(session, 'stone', { state: 'free' }),
  ]);
  const stones = drawer.pieces.flatMap(({ number, detail }) =>
    detail.ware === 'stone' ? [{ ...detail, number }] : [],
  );
  return { specs, stones };
}
