import { swapped } from '../pattern/swapWires';
import { isTradeWire, TRADE_WIRES, tradeWireOf, tradeWiresBeside } from './tradeWires';

const copper20 = TRADE_WIRES.find(
  ({ metal, label, profile, temper }) =>
    metal === 'copper' && label.number === '20' && profile === 'round' && temper === 'dead soft',
);

// ASTM B258, as in handbook section 3.1: 20 AWG is 0.812 mm.
it('a wire of the trade has its true size', () => {
  expect(copper20).toMatchObject({ width: 812, height: 812, finish: 'bare' });
  const half = TRADE_WIRES.find(({ profile, label }) => profile === 'half-round' && label.number === '21');
  // 0.723 mm wide, half of that high.
  expect(half).toMatchObject({ width: 723, height: 362 });
});

it('every one has an id of its own, and is found by it', () => {
  expect(new Set(TRADE_WIRES.map(({ id }) => id)).size).toBe(TRADE_WIRES.length);
  for (const wire of TRADE_WIRES) expect(tradeWireOf(wire.id)).toBe(wire);
  expect(tradeWireOf('a studio’s own')).toBeUndefined();
});

it('what a studio has itself is not offered twice, and comes before what it would have to buy', () => {
  if (!copper20) throw new Error('20 ga copper is sold');
  const { id, ...own } = copper20;
  const beside = tradeWiresBeside([own]);
  expect(beside).toHaveLength(TRADE_WIRES.length - 1);
  expect(beside.some((wire) => wire.id === id)).toBe(false);
  // The studio’s is 0.8 mm; the trade’s 0.812 mm comes nearer and is bought only when there is nothing else.
  const metric = { ...own, width: 800, height: 800 } as typeof own;
  const specs = Object.fromEntries(TRADE_WIRES.map((wire) => [wire.id, wire]));
  expect(swapped(own, {}, { ...specs, own: metric })).toBe('own');
  expect(isTradeWire(swapped(own, {}, specs) ?? '')).toBe(true);
});
