import type { Sequelize } from 'sequelize';
import { inStudio } from '../../src/data/inStudio';
import { newestPattern } from '../../src/studio/patterns/newestPatterns';
import { proposeLengths } from '../../src/studio/logbook/proposeLengths';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import { makeOne, openStudio } from '../../tests/support/studio';
import { sideBySide, tell, timed, median } from './figures';
import { Refusal } from './say';

/** Pieces of one pattern, each with two steps that were timed and a wire that was measured: the log of some weeks, and of half a life. */
const PIECES = [500, 50_000] as const;

/** A studio that has made so many pieces of one pattern, straight in the tables and in the shape that use leaves. */
async function studioWithLog(owner: Sequelize, pieces: number): Promise<StudioSession> {
  const session = await openStudio();
  await makeOne(session);
  const bind = { studioId: session.studioId, pieces };
  await owner.query(
    `INSERT INTO pieces (studio_id, piece_id, number, pattern_id, revision, name, kind, user_id, made_at, wire_cost, wire_replacement, scrap_cost,
       scrap_replacement, spoilage_cost, spoilage_replacement, parts_cost, parts_taken, minutes, set_up_minutes, shared_by, planned_minutes, hourly_rate,
       overhead_per_hour, wire_mass_ug)
     SELECT studio_id, gen_random_uuid(), number + n, pattern_id, revision, name, kind, user_id, made_at - n * INTERVAL '3 hours', wire_cost,
       wire_replacement, scrap_cost, scrap_replacement, spoilage_cost, spoilage_replacement, parts_cost, parts_taken, 15 + n % 20, set_up_minutes,
       shared_by, 20, hourly_rate, overhead_per_hour, wire_mass_ug
       FROM pieces CROSS JOIN generate_series(1, $pieces) AS n WHERE studio_id = $studioId`,
    { bind },
  );
  // The checks of foreign keys below were planned when there was hardly a piece, and would read all of them for each row.
  await owner.query('ANALYZE pieces');
  await owner.query(
    `INSERT INTO wire_log (studio_id, piece_id, cut_index, copy, name, subject, pattern_id, user_id, article_id, made_at, planned, tails, cut, back, is_measured)
     SELECT p.studio_id, p.piece_id, 0, 0, w.name, w.subject, p.pattern_id, p.user_id, w.article_id, p.made_at, w.planned, w.tails, w.planned,
       w.tails + (p.number % 9 - 4) * 1000, true
       FROM pieces p JOIN wire_log w ON w.studio_id = p.studio_id AND w.piece_id <> p.piece_id WHERE p.studio_id = $studioId`,
    { bind: { studioId: session.studioId } },
  );
  await owner.query(
    `INSERT INTO step_log (studio_id, piece_id, step, name, subject, pattern_id, user_id, made_at, planned_minutes, minutes)
     SELECT studio_id, piece_id, step, 'step ' || step, pattern_id || ' step ' || step, pattern_id, user_id, made_at, 10, 5 + number % 9
       FROM pieces CROSS JOIN generate_series(0, 1) AS step WHERE studio_id = $studioId AND planned_minutes = 20`,
    { bind: { studioId: session.studioId } },
  );
  return session;
}

/** Pages that show the log, with words that are there only when it is shown. */
const PAGES: readonly (readonly [path: string, shows: RegExp])[] = [
  ['/logbook', /stayed/],
  ['/logbook?with=measured', /stayed/],
  ['/patterns/P-0001', /How it went/],
  ['/bench/P-0001', /It takes/],
];

const MOST_MS = 50;

/** Pages of a log of 100,000 steps against those of one of 1,000, and how long it takes to propose the lengths of a pattern from it. */
export async function measureLog(
  url: string,
  owner: Sequelize,
  cookieOf: (session: StudioSession) => Promise<string>,
): Promise<void> {
  const [few, many] = [await studioWithLog(owner, PIECES[0]), await studioWithLog(owner, PIECES[1])];
  await owner.query('VACUUM ANALYZE');
  const cookies = [await cookieOf(few), await cookieOf(many)] as const;
  for (const [path, shows] of PAGES) {
    const open = (which: 0 | 1) => async () => {
      const response = await fetch(url + path, { headers: { cookie: cookies[which] } });
      if (!shows.test(await response.text())) throw new Refusal(`${path} does not show the log`);
    };
    await sideBySide(4, open(0), open(1));
    const [small, large] = await sideBySide(25, open(0), open(1));
    tell({
      name: `${path} with a log of 100,000 steps (${large.toFixed(1)} ms) against 1,000 (${small.toFixed(1)} ms)`,
      value: large / small,
      limit: 1.5,
      unit: ' ×',
    });
  }
  const propose = () =>
    inStudio(many, async (tx) => {
      const pattern = await newestPattern(tx, 1);
      const learned = pattern && (await proposeLengths(tx, many, pattern.patternId, pattern.body));
      if (!learned?.some(({ own }) => own > 100)) throw new Refusal('nothing was learned from the log');
    });
  await propose();
  const times: number[] = [];
  for (let round = 0; round < 30; round += 1) times.push(await timed(propose));
  tell({
    name: 'lengths proposed for a pattern from a log of 100,000 steps',
    value: median(times),
    limit: MOST_MS,
    unit: ' ms',
  });
}
