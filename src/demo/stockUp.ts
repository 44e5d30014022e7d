import { tag } from '@/core/tag';
import { simulatedPrices } from '@/devices/metalFeed/simulated';
import { postCount, keepCounted, showCount, startCount } from '@/studio/counting/counting';
import { countOutSet } from '@/studio/drawers/countOutSet';
import { showDrawer } from '@/studio/drawers/drawers';
import { makeFindings } from '@/studio/drawers/makeFindings';
import { receiveBeads, receiveFindings, receiveStone, receiveSupply } from '@/studio/drawers/receive';
import { setAside } from '@/studio/drawers/setAside';
import type { StudioSession } from '@/studio/kernel/useCase';
import { fetchMetalPrices } from '@/studio/prices/metalPrices';
import { setPricing, showPricing } from '@/studio/prices/replacement';
import { sendForRefining, showJars } from '@/studio/scrap/jars';
import { keepSpoolType, listPlaces } from '@/studio/stock/places';
import { changeStock } from '@/studio/stock/changeStock';
import { takeOut } from '@/studio/stock/takeOut';
import { setMinimum, showMinimum } from '@/studio/toBuy/toBuy';
import { partWire } from '@/studio/wire/partWire';
import { showRack, type RackPiece } from '@/studio/wire/rack';
import { weighIn } from '@/studio/wire/weighIn';
import { massOfLength } from '@/core/wire/mass';
import { um } from '@/core/units/length';
import { traceStone } from '@/studio/drawers/traceStone';
import { DEMO_BEADS, DEMO_FINDINGS, DEMO_SPOOL_TYPES, DEMO_STONES, DEMO_SUPPLIES } from './drawers';
import { keyOf } from './keyOf';
import type { Chance } from '@/core/chance';
import { taken } from './taken';
import { DEMO_SUPPLIERS } from './wires';

const iso = (at: Date): string => at.toISOString().slice(0, 10);

/** Fills the drawers: beads, stones, findings and supplies, each from somewhere, each in its place. */
export async function fillDrawers(session: StudioSession, chance: Chance): Promise<void> {
  const purchase = (dollars: number, place: string) => ({
    price: `${dollars.toFixed(2)} USD`,
    supplier: chance.pick(DEMO_SUPPLIERS),
    boughtOn: iso(session.now),
    place,
    note: `invoice ${chance.whole(2000, 2999)}`,
    paid: '',
  });
  const mm = (size: number) => `${size} mm`;
  for (const [name, empty] of DEMO_SPOOL_TYPES)
    taken(await keepSpoolType(session, chance.key(), { name, emptyMass: `${empty} g` }));
  for (const [material, shape, size, largest, hole, count, shades, dollars] of DEMO_BEADS) {
    taken(
      await receiveBeads(session, chance.key(), {
        material,
        shape,
        size: mm(size),
        largest: largest === null ? '' : mm(largest),
        hole: mm(hole),
        form: count > 300 ? 'loose' : 'strand',
        count: String(count),
        shades,
        ...purchase(dollars, 'Bead drawer'),
      }),
    );
  }
  for (const [material, outline, length, width, depth, edge, holeAxis, hole, dollars] of DEMO_STONES) {
    taken(
      await receiveStone(session, chance.key(), {
        material,
        outline,
        length: mm(length),
        width: mm(width),
        depth: mm(depth),
        edge: mm(edge),
        holeAxis,
        hole: hole === 0 ? '' : mm(hole),
        ...purchase(dollars, 'Stone tray'),
      }),
    );
  }
  for (const [finding, material, size, count, dollars] of DEMO_FINDINGS)
    taken(
      await receiveFindings(session, chance.key(), {
        finding,
        material,
        size,
        count,
        ...purchase(dollars, 'Findings box'),
      }),
    );
  for (const [name, unit, quantity, perPiece, dollars] of DEMO_SUPPLIES)
    taken(
      await receiveSupply(session, chance.key(), {
        name,
        unit,
        quantity,
        perPiece,
        ...purchase(dollars, 'Shelf under the bench'),
      }),
    );
}

/** The longest wound wire of the rack's first pages, which a bobbin may be wound from. */
async function longestWound(
  session: StudioSession,
): Promise<{ piece: RackPiece; mass: (length: number) => number } | undefined> {
  const { groups } = await showRack(session, {});
  const all = groups.flatMap(({ spec, pieces }) => pieces.map((piece) => ({ spec, piece })));
  const [first] = all
    .filter(({ piece }) => piece.form === 'spool' || piece.form === 'coil')
    .sort((a, b) => b.piece.length - a.piece.length);
  return first && { piece: first.piece, mass: (length) => massOfLength(first.spec, um(Math.round(length))) };
}

/** What happens in a stockroom now and then: a bobbin is wound, a spool weighed, a bead chipped, rings made. */
export async function tidyUp(session: StudioSession, chance: Chance, turn: number): Promise<void> {
  const found = await longestWound(session);
  if (found) {
    const { piece, mass } = found;
    const one = um(Math.min(piece.length, 1_500_000));
    if (turn % 2 === 0) {
      taken(
        await partWire(session, keyOf(`wind ${turn}`), piece.number, {
          form: 'bobbin',
          length: `${one} µm`,
          place: 'Bobbin tin',
        }),
      );
    } else {
      const empty = 14.2;
      const really = mass(piece.length * chance.between(0.97, 1.005)) / 1e6 + empty;
      taken(
        await weighIn(session, keyOf(`weigh ${turn}`), piece.number, {
          expected: String(piece.length),
          gross: `${really.toFixed(2)} g`,
          empty: `${empty} g`,
          resolution: '0.01 g',
          reason: 'month’s end',
          override: 'weighed twice',
        }),
      );
    }
  }
  const beads = (await showDrawer(session, 'bead', {})).pieces.filter(({ quantity }) => quantity > 24);
  const bead = chance.pick(beads);
  const [kind, reason] = chance.pick([
    ['spoiled', 'chipped'],
    ['used', 'for an order without a pattern'],
    ['used', 'for a repair'],
  ] as const);
  taken(
    await takeOut(session, keyOf(`bead ${turn}`), 'bead', bead.number, {
      kind,
      quantity: String(chance.whole(1, 9)),
      reason,
    }),
  );
}

/** The edge of a pebble of sea glass as it was traced over its photograph, mm: broad above, one side flatter than the other. */
const PEBBLE =
  '0.0,-15.9 4.6,-14.4 7.6,-10.3 8.9,-5.2 9.2,-0.0 8.6,5.7 6.6,11.2 3.4,14.7 0.0,15.1 -3.2,13.4 -6.0,10.2 -8.5,5.6 -9.8,0.0 -9.5,-5.6 -7.7,-10.4 -4.5,-14.2';

/** What the stockroom looks like today: sets counted out, stones set aside, rings made, scrap sent off, counts taken. */
export async function settleStockroom(owner: StudioSession): Promise<void> {
  const beads = (await showDrawer(owner, 'bead', {})).pieces;
  for (const bead of beads.filter(({ shades, form }) => shades.length > 0 && form === 'strand').slice(0, 3))
    taken(
      await countOutSet(owner, keyOf(`set ${bead.number}`), bead.number, {
        aSide: '6',
        withCentre: true,
        place: 'Tray for the fair',
      }),
    );
  const stones = (await showDrawer(owner, 'stone', {})).pieces;
  for (const stone of stones) {
    if (stone.number % 5 === 1)
      taken(
        await setAside(owner, keyOf(`aside ${stone.number}`), stone.number, { purpose: 'the harbour fair' }),
      );
    if (stone.number % 7 === 3)
      taken(
        await takeOut(owner, keyOf(`stone ${stone.number}`), 'stone', stone.number, {
          kind: 'used',
          quantity: '1',
          reason: 'set in a pendant',
        }),
      );
  }
  const pebble = stones.find(({ name }) => name.includes('sea glass freeform, 31'));
  if (pebble) taken(await traceStone(owner, keyOf('traced pebble'), pebble.number, { points: PEBBLE }));
  const found = await longestWound(owner);
  if (found) {
    taken(
      await makeFindings(owner, keyOf('rings'), {
        finding: 'jump ring',
        size: '5 mm inside',
        from: tag('wire', found.piece.number),
        length: '1.2 m',
        count: '5 dozen',
        minutes: '35',
        place: 'Findings box',
      }),
    );
  }
  await rulesOf(owner);
  taken(
    await fetchMetalPrices(owner, {
      prices: (currency, from, to) => Promise.resolve(simulatedPrices(currency, from, to)),
    }),
  );
  const silver = (await showJars(owner)).find(({ metal }) => metal === 'sterling');
  if (silver && silver.mass > 2_000_000) {
    const half = Math.floor(silver.mass / 2_000_000);
    taken(
      await sendForRefining(owner, keyOf('refining'), silver.number, {
        mass: `${half} g`,
        refiner: 'Saltmarsh Refining',
        sentOn: iso(owner.now),
        proceeds: `${(half * 0.7).toFixed(2)} USD`,
      }),
    );
  }
  await countPlaces(owner);
}

/** Minimums on what is used all the time, one wire priced by its metal. */
async function rulesOf(owner: StudioSession): Promise<void> {
  const { groups } = await showRack(owner, {});
  for (const { spec } of groups.slice(0, 12)) {
    const version = (await showMinimum(owner, spec.id))?.version ?? 1;
    taken(
      await setMinimum(owner, keyOf(`least ${spec.id}`), spec.id, {
        version: String(version),
        minimumBy: 'use',
        minimum: '',
        soldBy: '',
      }),
    );
  }
  const findings = (await showDrawer(owner, 'finding', {})).pieces;
  for (const { articleId, quantity } of findings.slice(0, 4)) {
    const version = (await showMinimum(owner, articleId))?.version ?? 1;
    const minimum = String(quantity + 20);
    taken(
      await setMinimum(owner, keyOf(`least ${articleId}`), articleId, {
        version: String(version),
        minimumBy: 'typed',
        minimum,
        soldBy: '6 dozen',
      }),
    );
  }
  const sterling = await showRack(owner, { metal: 'sterling' });
  for (const { spec } of sterling.groups.slice(0, 4)) {
    const version = (await showPricing(owner, spec.id))?.version ?? 1;
    taken(
      await setPricing(owner, keyOf(`price ${spec.id}`), spec.id, {
        version: String(version),
        priceBy: 'spot',
        price: '',
        quantity: '',
        premium: '18',
        fabricationPerMetre: '0.55 USD',
      }),
    );
  }
  const [spool] = groups.flatMap(({ pieces }) => pieces);
  if (spool) {
    taken(
      await changeStock(owner, keyOf('spool'), 'wire', spool.number, {
        version: '1',
        place: 'Spool rail',
        note: '',
        spoolType: 'Clear reel',
        emptyMass: '14.2 g',
      }),
    );
  }
}

/** One place counted and posted, another half counted. */
async function countPlaces(owner: StudioSession): Promise<void> {
  const places = await listPlaces(owner);
  const place = (name: string) => places.find((each) => each.name === name)?.id ?? null;
  const { number } = taken(await startCount(owner, keyOf('count 1'), place('Findings box')));
  const lines = (await showCount(owner, number))?.lines ?? [];
  const typed = lines.map(({ id, expected }, index) => ({
    id,
    typed: String(index % 4 === 2 ? expected - 1 : expected),
  }));
  taken(await keepCounted(owner, keyOf('counted 1'), number, typed));
  taken(
    await postCount(
      owner,
      keyOf('posted 1'),
      number,
      Object.fromEntries(lines.map(({ id, expected }) => [id, expected])),
    ),
  );
  const half = taken(await startCount(owner, keyOf('count 2'), place('Bead drawer'))).number;
  const open = (await showCount(owner, half))?.lines ?? [];
  taken(
    await keepCounted(
      owner,
      keyOf('counted 2'),
      half,
      open
        .slice(0, 9)
        .map(({ id, expected }, index) => ({ id, typed: String(index === 4 ? expected - 2 : expected) })),
    ),
  );
}
