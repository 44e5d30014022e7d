import bwipjs from 'bwip-js/node';
import { dayIn, sayDay } from '@/core/calendar/day';
import { careOf, cautionsOf } from '@/core/paper/care';
import { cardPages, rollPages, type CardKind, type PieceCard, type RollKind } from '@/core/paper/cards';
import type { SheetName } from '@/core/paper/sheet';
import { numberOnTag, tag } from '@/core/tag';
import { formatMass } from '@/core/units/mass';
import { formatMoney } from '@/core/units/money';
import { writeNumbers } from '@/core/units/writing';
import { metalOf, type MetalId } from '@/core/wire/metal';
import { describeSpec } from '@/core/wire/spec';
import { carriedPiecesSql, materialsOfPiecesSql } from '@/data/sql/cards';
import { specsById } from '../catalogue/wireSpecs';
import { specsOf } from '../patterns/patterns';
import { bodiesOfPieces } from '../pictures/bodies';
import { smallPicture } from '../pictures/pictures';
import { look, zoneOf, type StudioSession } from '../kernel/useCase';
import { sheetPdf } from '../paper/sheetPdf';
import { settingsIn } from '../settings/settings';
import { MOST_LABELS } from './labels';

/** A tag as a QR code: its dark squares as a path, and how many squares there are along a side. */
export function codeOf(text: string): PieceCard['code'] {
  const [code] = bwipjs.raw({ bcid: 'qrcode', text });
  if (!code || !('pixs' in code)) throw new Error(`${text} has no code`);
  const { pixs, pixx: side } = code;
  const dark = [...pixs].flatMap((pixel, index) =>
    pixel === 1 ? [`M${index % side} ${Math.floor(index / side)}h1v1h-1z`] : [],
  );
  return { d: dark.join(''), side };
}

/** What stands on the tags and cards of finished pieces, in the order in which they are named; tags of nothing, and of what is no piece, are left out. */
export function cardsOf(session: StudioSession, tags: readonly string[]): Promise<readonly PieceCard[]> {
  const numbers = tags.slice(0, MOST_LABELS).flatMap((text) => numberOnTag('piece', text) ?? []);
  return look(session, async (tx) => {
    const { name: studio, currency, days, numbers: writing } = await settingsIn(tx);
    const pieces = await tx.rows(carriedPiecesSql, { numbers });
    const materials = await tx.rows(materialsOfPiecesSql, { numbers });
    const wires = materials.filter(({ ware }) => ware === 'wire');
    const specs = await specsById(tx, [...new Set(wires.map(({ articleId }) => articleId))]);
    const bodies = await bodiesOfPieces(tx, numbers);
    const drawn = await specsOf(tx, [...bodies.values()]);
    const write = (said: string): string => writeNumbers(said, writing);
    return pieces.map(({ number, name, size, kind, price, weighed, madeAt }) => {
      const taken = materials.filter((each) => each.number === number);
      const metals: MetalId[] = [
        ...new Set(taken.flatMap(({ articleId }) => specs.get(articleId)?.metal ?? [])),
      ];
      const body = bodies.get(number);
      const hasStones = taken.some(({ ware }) => ware === 'stone' || ware === 'bead');
      return {
        tag: tag('piece', number),
        ...{ name, size, studio },
        metals: metals.map((metal) => metalOf(metal).name),
        price: price === null ? '' : write(formatMoney(price, currency)),
        materials: taken.map(({ ware, articleId, name: called, quantity }) => {
          const spec = specs.get(articleId);
          if (spec) return describeSpec(spec);
          return ware === 'stone' || quantity === 1 ? called : `${quantity} ${called}`;
        }),
        weight: weighed === null ? '' : write(formatMass(weighed)),
        madeOn: sayDay(dayIn(zoneOf(session), madeAt), days),
        care: careOf(metals, hasStones),
        cautions: cautionsOf(kind === 'earrings'),
        ...(body && { drawing: smallPicture(body, drawn).drawing }),
        code: codeOf(tag('piece', number)),
      };
    });
  });
}

/** Tags or cards as a PDF at 1:1, to be cut along their lines. */
export const cardPdf = (cards: readonly PieceCard[], kind: CardKind, sheet: SheetName): Promise<Buffer> =>
  sheetPdf(cardPages(cards, kind, sheet), titled(kind));

/** Tags as a PDF for a label printer: a page each. */
export const rollPdf = (cards: readonly PieceCard[], kind: RollKind): Promise<Buffer> =>
  sheetPdf(rollPages(cards, kind), titled(kind));

const titled = (kind: CardKind): string => `${kind[0]?.toUpperCase()}${kind.slice(1)}s`;
