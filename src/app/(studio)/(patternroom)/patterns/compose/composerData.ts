import type { StudioSession } from '@/studio/kernel/useCase';
import { showDrawer } from '@/studio/drawers/drawers';
import { TECHNIQUES } from '@/core/techniques/registry';
import { goingOnOf } from '@/core/plan/takesFor';
import { tradeWiresBeside } from '@/core/wire/tradeWires';
import { priceBook } from '@/studio/prices/priceBook';
import { readSettings } from '@/studio/settings/settings';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import type { ComposerProps } from './Composer';

/** The wires, owned or sold in the trade, and the free stones that a pattern can be composed with, and what everything costs. For the owner. */
export async function composerData(
  session: StudioSession,
): Promise<Pick<ComposerProps, 'specs' | 'stones' | 'book' | 'rules' | 'offered'>> {
  const [specs, drawer, book, rules] = await Promise.all([
    listSpecs(session),
    showDrawer(session, 'stone', { state: 'free' }),
    priceBook(session),
    readSettings(session),
  ]);
  if (!book) throw new Error('patterns are composed by the owner');
  const stones = drawer.pieces.flatMap(({ number, detail }) =>
    detail.ware === 'stone' ? [{ ...detail, number }] : [],
  );
  return {
    specs: [...specs, ...tradeWiresBeside(specs)],
    stones,
    book,
    rules,
    offered: TECHNIQUES.map(goingOnOf),
  };
}
