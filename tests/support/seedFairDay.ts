import { closeDatabase } from '../../src/data/database';
import { appUrlFor } from '../../src/data/migrate';
import { makePiece } from '../../src/studio/making/makePiece';
import { proposeMaking } from '../../src/studio/making/proposeMaking';
import { addHelper } from '../../src/studio/people/helpers';
import { setUpStudio } from '../../src/studio/people/setUpStudio';
import { writeChannel } from '../../src/studio/selling/channels';
import { turnPieces } from '../../src/studio/shelf/pieceLife';
import { pricePiece } from '../../src/studio/shelf/shelf';
import { AT_FAIR, priceOf, STALL_HELPER, STALL_OWNER } from './fairDay';
import { HARBOUR_FAIR } from './selling';
import { done, newKey, receive, simplePattern } from './studio';

/** A studio with a box full of priced pieces, ready for a day at the fair. */
export async function seedFairDay(ownerUrl: string): Promise<void> {
  process.env['PEWTERER_DATABASE_URL'] = appUrlFor(ownerUrl);
  try {
    const { session } = done(
      await setUpStudio(
        {
          ...{ studioName: 'By the water', ownerName: STALL_OWNER.name, login: STALL_OWNER.login },
          ...{ password: STALL_OWNER.password, currency: 'USD', lengthSystem: 'mm' },
          ...{ hourlyRate: '20.00 USD', overheadPerHour: '4.00 USD' },
        },
        new Date(),
      ),
    );
    done(await addHelper(session, newKey(), STALL_HELPER));
    await receive(session);
    const pattern = await simplePattern(session);
    for (let piece = 1; piece <= AT_FAIR; piece += 1) {
      const proposal = await proposeMaking(session, pattern.number);
      const cuts = (proposal?.cuts ?? []).map(({ cutIndex, copy, from }) => ({
        ...{ cutIndex, copy, from: from ?? '', cut: '100 mm', back: '0 mm' },
      }));
      const times = { minutes: '20', setUpMinutes: '10', sharedBy: '1' };
      const { number } = done(await makePiece(session, newKey(), pattern, { cuts, spoiled: [], ...times }));
      const goingPrice = `${priceOf(number)} USD`;
      done(await pricePiece(session, newKey(), number, { version: '1', school: 'market', goingPrice }));
    }
    const box = { turn: 'put', to: 'Fair box', note: '' };
    const numbers = Array.from({ length: AT_FAIR }, (_, index) => index + 1);
    done(await turnPieces(session, newKey(), numbers, box));
    done(await writeChannel(session, newKey(), null, HARBOUR_FAIR));
  } finally {
    await closeDatabase();
    delete process.env['PEWTERER_DATABASE_URL'];
  }
}
