import { tag } from '@/core/tag';
import { readPdf } from '../../../tests/support/readPdf';
import { addTestHelper, closeBooks, done, makeOne, newKey, openStudio } from '../../../tests/support/studio';
import { pricePiece } from '../shelf/shelf';
import { cardPdf, cardsOf, codeOf } from './cards';

afterAll(closeBooks);

describe('tags and cards of pieces', () => {
  it('say what the books know of each, in the order asked; of a helper, too', async () => {
    const session = await openStudio({ name: 'Heron Wire' });
    const [one, two] = [await makeOne(session), await makeOne(session)];
    done(await pricePiece(session, newKey(), two, { version: '1', school: 'market', goingPrice: '42 USD' }));
    const asked = [tag('piece', two), 'W-0001', 'F-9999', tag('piece', one)];
    const helper = await addTestHelper(session);
    const cards = await cardsOf(helper, asked);
    expect(cards.map((card) => [card.tag, card.price])).toEqual([
      [tag('piece', two), '$42.00'],
      [tag('piece', one), ''],
    ]);
    expect(cards[0]).toMatchObject({ studio: 'Heron Wire', metals: ['sterling'], weight: '' });
    // The wire that is in it; its beads were bought for the piece and lie in no drawer.
    expect(cards[0]?.materials).toEqual(['20 ga round sterling, half hard']);
    expect(cards[0]?.care.join(' ')).toContain('Silver tarnishes.');
  });

  it('are printed with their letters, in sheets', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const cards = await cardsOf(session, [tag('piece', number)]);
    const pages = readPdf(await cardPdf(cards, 'certificate', 'A4'));
    expect(pages).toHaveLength(1);
    const said = pages.flatMap(({ texts }) => texts.map(({ text }) => text)).join(' ');
    expect(said).toContain('no hallmark');
    expect(said).toContain('20 ga round sterling');
  });

  it('have a code of dark squares, with the three eyes of a QR code (ISO/IEC 18004)', () => {
    const { d, side } = codeOf('F-0042');
    expect(side).toBe(21);
    const dark = new Set([...d.matchAll(/M(\d+) (\d+)h/g)].map(([, x, y]) => `${x} ${y}`));
    for (const [x, y] of [
      [0, 0],
      [14, 0],
      [0, 14],
    ] as const) {
      for (let at = 0; at < 7; at += 1) expect(dark.has(`${x + at} ${y}`)).toBe(true);
      expect(dark.has(`${x + 1} ${y + 1}`)).toBe(false);
      expect(dark.has(`${x + 3} ${y + 3}`)).toBe(true);
    }
    expect(dark.has('20 20') && dark.has('14 14') && dark.has('20 14')).toBe(false);
    expect(codeOf('F-0043').d).not.toBe(d);
  });
});
