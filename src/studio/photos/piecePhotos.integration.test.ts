import sharp from 'sharp';
import {
  addTestHelper,
  closeBooks,
  done,
  makeOne,
  newKey,
  openStudio,
  problemOf,
} from '../../../tests/support/studio';
import { showPiece } from '../shelf/shelf';
import { keepPiecePhoto, showPhoto } from './keepPhoto';

afterAll(closeBooks);

const picture = (width: number) =>
  sharp({ create: { width, height: 30, channels: 3, background: '#888' } })
    .png()
    .toBuffer();

describe('photographs of a finished piece', () => {
  it('are of its front and its back apart, and another takes the place of the one before', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const photos = async () => (await showPiece(session, number))?.photos;
    expect(await photos()).toEqual({ front: null, back: null });
    const keep = async (side: 'front' | 'back', width: number) =>
      done(await keepPiecePhoto(session, newKey(), number, side, await picture(width))).photoId;
    const front = await keep('front', 40);
    const back = await keep('back', 50);
    expect(await photos()).toEqual({ front, back });
    const again = await keep('front', 60);
    expect(await photos()).toEqual({ front: again, back });
    expect((await sharp((await showPhoto(session, again))?.bytes).metadata()).width).toBe(60);
  });

  it('are taken by whoever works there, of a piece that is there, and are pictures', async () => {
    const session = await openStudio();
    const number = await makeOne(session);
    const helper = await addTestHelper(session);
    const key = newKey();
    const first = done(await keepPiecePhoto(helper, key, number, 'back', await picture(20)));
    // Sent again, it is the same one.
    expect(done(await keepPiecePhoto(helper, key, number, 'back', await picture(20)))).toEqual(first);
    expect(
      problemOf(await keepPiecePhoto(session, newKey(), 999, 'back', await picture(20))).message,
    ).toMatch(/no longer there/);
    expect(
      problemOf(await keepPiecePhoto(session, newKey(), number, 'front', Buffer.from('GIF89a'))).message,
    ).toMatch(/not a picture/);
    const other = await openStudio();
    expect(
      problemOf(await keepPiecePhoto(other, newKey(), number, 'front', await picture(20))).message,
    ).toMatch(/no longer there/);
  });
});
