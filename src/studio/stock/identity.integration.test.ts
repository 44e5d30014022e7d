import { differencesIn } from '../../../tests/support/cuttingTable';
import { BEADS, FINDING, SUPPLY } from '../../../tests/support/purchases';
import {
  asOwner,
  closeBooks,
  done,
  newKey,
  ofGauge,
  openStudio,
  problemOf,
  receive,
} from '../../../tests/support/studio';
import { receiveBeads, receiveFindings, receiveSupply } from '../drawers/receive';
import { look, type StudioSession } from '../kernel/useCase';
import { showJars } from '../scrap/jars';
import { relabelWire } from '../wire/relabelWire';
import { takeOut } from './takeOut';
import { groupBy } from '@/core/groupBy';
import { Article } from '@/data/models/articles';

afterAll(closeBooks);

const articles = async (session: StudioSession) => {
  const rows = await look(session, (tx) => tx.all(Article, ['ware'], { order: ['ware'] }));
  return [...groupBy(rows, ({ ware }) => ware)].map(([ware, own]) => ({ ware, count: own.length }));
};

const spoil = { kind: 'spoiled', quantity: '100 mm', reason: 'kinked' };

it('the same stock is the same stock, in whatever order the lists of the program stand', async () => {
  const session = await openStudio();
  const bringIn = async () => {
    const spool = await receive(session);
    await receive(session, { metal: 'copper', profile: 'square', gaugeNumber: '22' });
    done(await receiveBeads(session, newKey(), BEADS));
    done(await receiveFindings(session, newKey(), FINDING));
    done(await receiveSupply(session, newKey(), SUPPLY));
    done(await takeOut(session, newKey(), 'wire', spool, spoil));
    return spool;
  };
  const spool = await bringIn();
  const before = await articles(session);
  // As after a version in which metals, shapes and findings stand in another order: what is kept in order is kept otherwise.
  await asOwner(`UPDATE articles SET sort_key = reverse(sort_key) || 'x' WHERE studio_id = $1`, [
    session.studioId,
  ]);
  await asOwner(
    `UPDATE stock_pieces p SET sort_key = a.sort_key FROM articles a
      WHERE p.studio_id = $1 AND a.studio_id = $1 AND a.article_id = p.article_id`,
    [session.studioId],
  );
  await bringIn();
  expect(await articles(session)).toEqual(before);
  // Its scrap falls into the one jar of its metal.
  expect(await showJars(session)).toMatchObject([{ metal: 'sterling', cost: 100_000 }]);
  expect(problemOf(await relabelWire(session, newKey(), spool, ofGauge('20'))).message).toMatch(/already/);
  expect(await differencesIn(session)).toEqual([]);
});
