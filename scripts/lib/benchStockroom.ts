import { todayOf } from '@/data/inStudio';
import { daysLater } from '@/core/calendar/day';
import { stockValueOn } from '../../src/studio/ledger/valueOn';
import { openImport, postImport, showImport } from '../../src/studio/lists/importList';
import type { StudioSession } from '../../src/studio/kernel/useCase';
import type { Outcome } from '../../src/studio/kernel/outcome';
import { get, sideBySide, tell, timed } from './figures';
import { Refusal } from './say';

/** The ledger page with a hundred times the movements, and what the stock carried on a past day beside what it carries now. */
export async function measureLedger(
  url: string,
  long: StudioSession,
  [shortCookie, longCookie]: readonly [string, string],
): Promise<void> {
  const page = (cookie: string) => () => get(`${url}/ledger`, cookie);
  await sideBySide(20, page(shortCookie), page(longCookie));
  const [few, many] = await sideBySide(80, page(shortCookie), page(longCookie));
  tell({
    name: `ledger page with 1,000,000 movements (${many.toFixed(1)} ms) against 10,000 (${few.toFixed(1)} ms)`,
    value: many / few,
    limit: 1.5,
    unit: ' ×',
  });
  const past = daysLater(todayOf(long), -200);
  const [now, then] = [() => stockValueOn(long), () => stockValueOn(long, past)];
  // The first look back closes the months.
  await sideBySide(3, now, then);
  const [today, before] = await sideBySide(40, now, then);
  tell({
    name: `stock value on a past day at 1,000,000 movements (${before.toFixed(1)} ms) against today’s (${today.toFixed(1)} ms)`,
    value: before / today,
    limit: 10,
    unit: ' ×',
  });
}

const ROWS = 20_000;

function taken<T>(outcome: Outcome<T>): T {
  if (!outcome.ok) throw new Refusal(outcome.problem.message);
  return outcome.value;
}

/** A list of 20,000 wires, from the file to the last movement: the dry run and the posting. */
export async function measureImport(session: StudioSession): Promise<void> {
  const rows = Array.from({ length: ROWS }, (_, n) =>
    [
      'copper',
      `${16 + (n % 15)}ga`,
      'dead soft',
      n % 3 ? 'off-cut' : 'spool',
      `${(n % 900) + 10} cm`,
      '1.25',
      `Drawer ${n % 40}`,
    ].join(','),
  );
  const file = `Metal,Size,Temper,On,Left,Cost left,Place\n${rows.join('\n')}\n`;
  const settled = async (id: string) => {
    for (;;) {
      const view = await showImport(session, id);
      if (view?.state === 'failed' || !view) throw new Refusal(view?.message ?? 'the import is gone');
      if (view.state !== 'checking' && view.state !== 'posting') return view;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const took = await timed(async () => {
    const { id } = taken(await openImport(session, 'wire', 'many.csv', file));
    const { good } = await settled(id);
    if (good !== ROWS) throw new Refusal(`only ${good} rows were good`);
    taken(await postImport(session, id, 'all or none'));
    await settled(id);
  });
  tell({ name: 'a list of 20,000 rows read, checked and posted', value: took / 1000, limit: 30, unit: ' s' });
}
