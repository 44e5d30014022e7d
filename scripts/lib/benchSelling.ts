import type { Sequelize } from 'sequelize';
import { listChannels, writeChannel } from '../../src/studio/selling/channels';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { HARBOUR_FAIR } from '../../tests/support/selling';
import { makeOne, newKey, openStudio } from '../../tests/support/studio';
import { asToday, whatIf } from '../../src/core/selling/whatIf';
import { pricesNow } from '../../src/studio/selling/pricesNow';
import { median, sideBySide, tell, timed } from './figures';
import { Refusal } from './say';

interface Size {
  /** Pieces that stand on the shelf. */
  readonly pieces: number;
  /** Sales over two years, each of a piece of its own. */
  readonly sales: number;
}
const SIZES: readonly [Size, Size] = [
  { pieces: 500, sales: 500 },
  { pieces: 10_000, sales: 20_000 },
];
/** Both have as many patterns: what a studio makes grows, how many kinds of it hardly does. */
const PATTERNS = 12;

/** A studio that has sold so much, straight in the tables and in the shape that use leaves. */
async function studioThatSold(owner: Sequelize, { pieces, sales }: Size): Promise<StudioSession> {
  const session = await openStudio();
  for (let made = 0; made < PATTERNS; made += 1) await makeOne(session);
  await writeChannel(session, newKey(), null, HARBOUR_FAIR);
  const [channel] = await listChannels(session);
  const { studioId, userId } = session;
  const bind = { studioId, userId, channelId: channel?.id ?? '', pieces, sales, patterns: PATTERNS };
  await owner.query(
    `INSERT INTO pieces (studio_id, piece_id, number, pattern_id, revision, name, kind, user_id, made_at, wire_cost, wire_replacement, scrap_cost,
       scrap_replacement, spoilage_cost, spoilage_replacement, parts_cost, parts_taken, minutes, set_up_minutes, shared_by, planned_minutes, hourly_rate,
       overhead_per_hour, wire_mass_ug, price, state, state_since)
     SELECT p.studio_id, gen_random_uuid(), $patterns::int + n, p.pattern_id, p.revision, p.name, p.kind, p.user_id, now() - INTERVAL '760 days' + n * INTERVAL '700 days' / ($pieces::int + $sales::int),
       p.wire_cost, p.wire_replacement, p.scrap_cost, p.scrap_replacement, p.spoilage_cost, p.spoilage_replacement, p.parts_cost, p.parts_taken, 15 + n % 20,
       p.set_up_minutes, p.shared_by, 20, p.hourly_rate, p.overhead_per_hour, p.wire_mass_ug, 2000 + n % 40 * 100,
       CASE WHEN n <= $sales::int THEN 'sold' ELSE 'on the shelf' END, now() - n * INTERVAL '700 days' / ($pieces::int + $sales::int)
       FROM generate_series(1, $pieces::int + $sales::int) AS n JOIN pieces p ON p.studio_id = $studioId AND p.number = 1 + n % $patterns::int`,
    { bind },
  );
  await owner.query(
    `INSERT INTO movements (studio_id, post_key, happened_at, user_id, kind, stock_piece_id, article_id, quantity, cost_units, piece_id)
     SELECT m.studio_id, gen_random_uuid(), p.made_at, m.user_id, m.kind, m.stock_piece_id, m.article_id, m.quantity, m.cost_units, p.piece_id
       FROM pieces p
       JOIN pieces o ON o.studio_id = p.studio_id AND o.pattern_id = p.pattern_id AND o.number <= $patterns::int
       JOIN movements m ON m.studio_id = o.studio_id AND m.piece_id = o.piece_id
      WHERE p.studio_id = $studioId AND p.number > $patterns::int`,
    { bind: { studioId, patterns: PATTERNS } },
  );
  await owner.query('ANALYZE pieces');
  await owner.query(
    `INSERT INTO sales (studio_id, sale_id, number, channel_id, sold_on, paid_by, tax_kind, tax_percent, net, tax, gross, fees, sending, post_key, user_id, posted_at)
     SELECT $studioId, gen_random_uuid(), n, $channelId, (now() - ($sales::int - n) * INTERVAL '720 days' / $sales::int)::date, 'card', 'included', 2000, 2500, 500, 3000, 100, 40,
       gen_random_uuid(), $userId, now() FROM generate_series(1, $sales::int) AS n`,
    { bind },
  );
  await owner.query('ANALYZE sales');
  await owner.query(
    `INSERT INTO sale_lines (studio_id, sale_id, line, piece_id, asked, price, net, tax, gross, fees, sending, cost_units,
       channel_id, sold_on, stood_on, pieces, pattern_id, kind, metal, materials, replaced, minutes, labour, overhead, days)
     SELECT s.studio_id, s.sale_id, 1, p.piece_id, 3000, 3000, 2500, 500, 3000, 100, 40, p.wire_cost + p.parts_taken + p.supplies_cost,
       s.channel_id, s.sold_on, s.sold_on, 1, p.pattern_id, p.kind, 'sterling', p.wire_cost + p.scrap_cost + p.spoilage_cost + p.parts_cost + p.supplies_cost,
       p.wire_replacement + p.scrap_replacement + p.spoilage_replacement + p.parts_cost + p.supplies_replacement,
       p.minutes + p.set_up_minutes / p.shared_by, 900000, 300000, GREATEST(0, s.sold_on - p.made_at::date)
       FROM sales s JOIN pieces p ON p.studio_id = s.studio_id AND p.number = $patterns::int + s.number WHERE s.studio_id = $studioId`,
    { bind: { studioId, patterns: PATTERNS } },
  );
  await owner.query(
    `INSERT INTO piece_events (studio_id, piece_id, turn, who, cost_units, sale_id, post_key, user_id, happened_at)
     SELECT s.studio_id, l.piece_id, 'sold', '', -l.cost_units, s.sale_id, s.post_key, s.user_id, s.posted_at
       FROM sales s JOIN sale_lines l ON l.studio_id = s.studio_id AND l.sale_id = s.sale_id WHERE s.studio_id = $studioId`,
    { bind: { studioId } },
  );
  return session;
}

/** Pages of selling, with words that are there only when they show it. */
const PAGES: readonly (readonly [path: string, shows: RegExp])[] = [
  ['/shelf', /Further along the shelf/],
  ['/shelf?state=sold', /Further along the shelf/],
  ['/sales', /Further back/],
  ['/earned', /What should I make more of/],
  ['/earned?by=pattern', /What should I make more of/],
];

/** A slider follows the hand. */
const [MOST_SUPPOSED, MOST_MS] = [5000, 100];

/** Pages of a studio with 10,000 pieces and 20,000 sales against those of one with 500 of each. */
export async function measureSelling(
  url: string,
  owner: Sequelize,
  cookieOf: (session: StudioSession) => Promise<string>,
): Promise<void> {
  const [few, many] = [await studioThatSold(owner, SIZES[0]), await studioThatSold(owner, SIZES[1])];
  await owner.query('VACUUM ANALYZE');
  const cookies = [await cookieOf(few), await cookieOf(many)] as const;
  for (const [path, shows] of PAGES) {
    const open = (which: 0 | 1) => async () => {
      const response = await fetch(url + path, { headers: { cookie: cookies[which] } });
      if (!shows.test(await response.text())) throw new Refusal(`${path} does not show what was sold`);
    };
    await sideBySide(4, open(0), open(1));
    const [small, large] = await sideBySide(25, open(0), open(1));
    tell({
      name: `${path} with 10,000 pieces and 20,000 sales (${large.toFixed(1)} ms) against 500 (${small.toFixed(1)} ms)`,
      value: large / small,
      limit: 1.5,
      unit: ' ×',
    });
  }
  const { today, ...looked } = await pricesNow(many);
  const { shelf, sold } = looked;
  if (shelf.length < MOST_SUPPOSED || sold.length < MOST_SUPPOSED)
    throw new Refusal(`only ${shelf.length} pieces on the shelf and ${sold.length} sold ones were looked at`);
  const supposed = { ...asToday(today), prices: 10_500, minutes: 9000 };
  const times: number[] = [];
  for (let round = 0; round < 30; round += 1)
    times.push(await timed(() => Promise.resolve(whatIf(looked, supposed, today))));
  tell({
    name: 'what 5,000 pieces and a year of sales come to when something is otherwise',
    value: median(times),
    limit: MOST_MS,
    unit: ' ms',
  });
}
