import type { Id } from '@/core/id';
import { randomUUID } from 'node:crypto';
import { isUUID } from 'class-validator';
import sharp from 'sharp';
import { Photo, Article } from '@/data/models/articles';
import { Piece } from '@/data/models/making';
import { refused, type Outcome } from '../kernel/outcome';
import { look, post, type StudioSession } from '../kernel/useCase';

/** The largest picture that is taken, as it is sent: the browser has made it small before. */
export const MOST_PHOTO_BYTES = 2_000_000;
/** Longer side of a picture that is kept, px. */
const SIDE = 1280;
/** A picture that unpacks to more than this many pixels is a trap. */
const MOST_PIXELS = 40_000_000;

const KNOWN = ['jpeg', 'png', 'webp'];

/**
 * Keeps a photograph of an article. What it is is told by its bytes, not by its name; it is written anew, so that nothing but
 * the picture is kept: no place, no time, no camera.
 */
export function keepPhoto(
  session: StudioSession,
  postKey: Id<'post'>,
  articleId: Id<'article'>,
  sent: Uint8Array,
): Promise<Outcome<{ readonly photoId: Id<'photo'> }>> {
  return post(
    session,
    'keepPhoto',
    postKey,
    () => readPhoto(sent),
    async (tx, photo) => {
      const { now } = session;
      const article = isUUID(articleId) ? await Article.findOne({ where: { articleId } }) : null;
      if (!article) throw refused('What this is a picture of is no longer there.');
      const photoId = randomUUID();
      await tx.add(Photo, [{ photoId, ...photo, takenIn: now }]);
      await tx.change(Article, { articleId }, { photoId });
      return { photoId };
    },
  );
}

/** From which side a piece is photographed. */
export const PHOTO_SIDES = ['front', 'back'] as const;
export type PhotoSide = (typeof PHOTO_SIDES)[number];

/** Keeps a photograph of a finished piece, of its front or its back, in place of the one before. */
export function keepPiecePhoto(
  session: StudioSession,
  postKey: Id<'post'>,
  number: number,
  side: PhotoSide,
  sent: Uint8Array,
): Promise<Outcome<{ readonly photoId: Id<'photo'> }>> {
  return post(
    session,
    'keepPiecePhoto',
    postKey,
    () => readPhoto(sent),
    async (tx, photo) => {
      const piece = await tx.one(Piece, ['pieceId'], { where: { number } });
      if (!piece) throw refused('What this is a picture of is no longer there.');
      const photoId = randomUUID();
      await tx.add(Photo, [{ photoId, ...photo, takenIn: session.now }]);
      await tx.change(Piece, piece, side === 'front' ? { frontPhotoId: photoId } : { backPhotoId: photoId });
      return { photoId };
    },
  );
}

async function readPhoto(
  sent: Uint8Array,
): Promise<{ mediaType: string; width: number; height: number; bytes: Buffer }> {
  if (sent.byteLength === 0) throw refused('Nothing was sent.');
  if (sent.byteLength > MOST_PHOTO_BYTES) {
    throw refused(
      `This picture is ${(sent.byteLength / 1e6).toFixed(1)} MB; ${MOST_PHOTO_BYTES / 1e6} MB are allowed.`,
    );
  }
  const picture = sharp(sent, { limitInputPixels: MOST_PIXELS });
  const known = await picture.metadata().catch(() => undefined);
  if (!known || !KNOWN.includes(known.format ?? ''))
    throw refused('This is not a picture that can be kept; send a JPEG, PNG or WebP.');
  const { data, info } = await picture
    .rotate()
    .resize({ width: SIDE, height: SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 82 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw refused('This picture is broken or cut off; take it again.');
    });
  return { mediaType: 'image/jpeg', width: info.width, height: info.height, bytes: data };
}

/** A photograph; null when there is none. */
export function showPhoto(
  session: StudioSession,
  photoId: Id<'photo'>,
): Promise<{ readonly mediaType: string; readonly bytes: Buffer } | null> {
  if (!isUUID(photoId)) return Promise.resolve(null);
  return look(session, async () => Photo.findOne({ where: { photoId } }));
}
