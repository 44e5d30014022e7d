import type { LineDrawing } from '../drawing/lineDrawing';
import { drawnShapes } from './drawnShapes';
import { line, SHEETS, text, wrapped, type Page, type Shape, type SheetName } from './sheet';

/** What stands on the tags and cards of a finished piece; what is not known is empty. */
export interface PieceCard {
  /** "F-0042". */
  readonly tag: string;
  readonly name: string;
  readonly size: string;
  /** The metals of its wire, the longest first. */
  readonly metals: readonly string[];
  /** As it is asked, with its currency. */
  readonly price: string;
  /** What is in it, a line each: "sterling, 20 AWG round half hard". */
  readonly materials: readonly string[];
  readonly weight: string;
  readonly madeOn: string;
  readonly studio: string;
  readonly care: readonly string[];
  readonly cautions: readonly string[];
  /** What it looks like; undefined where nobody knows. */
  readonly drawing?: LineDrawing;
  /** Its tag as a code that a scanner types: the dark squares as a path, in squares, and how many there are along a side. */
  readonly code: { readonly d: string; readonly side: number };
}

/** What is printed of a piece: a tag that is glued on, one that hangs on a string, what its buyer is told of care, and what it is made of. */
export const CARD_KINDS = ['price tag', 'string tag', 'care card', 'certificate'] as const;
export type CardKind = (typeof CARD_KINDS)[number];

interface Format {
  readonly width: number;
  readonly height: number;
  readonly draw: (card: PieceCard, at: Room) => readonly Shape[];
}

interface Room {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Printers reach no nearer to the edge of a sheet, mm. */
const EDGE = 6;
const PAD = 3;
/** So wide a letter of the faces is on the average, as a part of its size; wide enough that lines of capitals fit, too. */
const LETTER = 0.58;
/** Between two texts, as a part of the size of the second. */
const PARAGRAPH = 0.45;

/** Lines of a text that fit into a width. */
const lines = (said: string, width: number, size: number): readonly string[] =>
  wrapped(said, Math.max(8, Math.floor(width / (size * LETTER))));

/** Texts below each other, each wrapped; what does not fit is left out. */
function column(
  room: Room,
  texts: readonly { readonly said: string; readonly size: number; readonly bold?: boolean }[],
): readonly Shape[] {
  let y = room.y;
  return texts
    .filter(({ said }) => said !== '')
    .flatMap(({ said, size, bold = false }, index) => {
      if (index > 0) y += size * PARAGRAPH;
      return lines(said, room.width, size).flatMap((each): Shape[] => {
        y += size * 1.25;
        return y <= room.y + room.height ? [text(room.x, y, size, each, { bold })] : [];
      });
    });
}

const code = ({ code: { d, side } }: PieceCard, x: number, y: number, width: number): Shape => ({
  ...{ kind: 'path', d, x, y, scale: width / side, thick: 0, colour: '#000000', filled: true },
});

const cutLines = ({ x, y, width, height }: Room): Shape => ({
  ...{ kind: 'rect', x, y, width, height, thick: 0.1 },
});

/** Where a string goes through. */
const hole = (x: number, y: number, radius: number): Shape => ({
  kind: 'path',
  d: `M ${-radius} 0 A ${radius} ${radius} 0 1 0 ${radius} 0 A ${radius} ${radius} 0 1 0 ${-radius} 0`,
  ...{ x, y, scale: 1, thick: 0.15, colour: '#000000' },
});

const inner = ({ x, y, width, height }: Room): Room => ({
  ...{ x: x + PAD, y: y + PAD, width: width - 2 * PAD, height: height - 2 * PAD },
});

const made = ({ metals, size }: PieceCard): string =>
  [...metals, size].filter((each) => each !== '').join(', ');

function priceTag(card: PieceCard, at: Room): readonly Shape[] {
  const room = inner(at);
  const side = 14;
  return [
    cutLines(at),
    code(card, room.x + room.width - side, room.y, side),
    ...column({ ...room, width: room.width - side - 2, height: room.height - 6 }, [
      { said: card.name, size: 3.6, bold: true },
      { said: made(card), size: 2.8 },
    ]),
    text(room.x, room.y + room.height, 5.4, card.price, { bold: true }),
    text(room.x + room.width, room.y + room.height, 2.8, card.tag, { anchor: 'end' }),
  ];
}

/** Folded in the middle over its string: the name on one side, the price and the code on the other. */
function stringTag(card: PieceCard, at: Room): readonly Shape[] {
  const half = at.width / 2;
  const front = inner({ ...at, width: half });
  const back = inner({ ...at, x: at.x + half, width: half });
  const side = back.height;
  return [
    cutLines(at),
    line(at.x + half, at.y, at.x + half, at.y + at.height, 0.1),
    hole(at.x + half - 2.2, at.y + at.height / 2, 0.9),
    ...column({ ...front, width: front.width - 4 }, [
      { said: card.name, size: 2.8, bold: true },
      { said: made(card), size: 2.4 },
    ]),
    code(card, back.x + back.width - side, back.y, side),
    text(back.x, back.y + 4, 4, card.price, { bold: true }),
    text(back.x, back.y + back.height, 2.4, card.tag),
  ];
}

function careCard(card: PieceCard, at: Room): readonly Shape[] {
  const room = inner(at);
  return [
    cutLines(at),
    ...column({ ...room, height: room.height - 5 }, [
      { said: card.name, size: 3.8, bold: true },
      { said: made(card), size: 2.8 },
      ...card.care.map((said) => ({ said, size: 2.6 })),
    ]),
    text(room.x, room.y + room.height, 2.6, card.studio, { bold: true }),
    text(room.x + room.width, room.y + room.height, 2.6, card.tag, { anchor: 'end' }),
  ];
}

/** A picture of it stands between what is in it and what has to be said. */
const pictureAt = ({ y, height }: Room): Pick<Room, 'y' | 'height'> => ({ y: y + height - 72, height: 40 });

function certificate(card: PieceCard, at: Room): readonly Shape[] {
  const room = inner(at);
  const side = 16;
  return [
    cutLines(at),
    ...(card.drawing ? drawnShapes(card.drawing, { ...room, ...pictureAt(room) }).shapes : []),
    ...column({ ...room, height: room.height - 74 }, [
      { said: card.studio, size: 3 },
      { said: 'What it is made of', size: 5, bold: true },
      { said: card.name, size: 4, bold: true },
      { said: [card.tag, card.size, card.madeOn].filter((each) => each !== '').join(' · '), size: 3 },
      ...card.materials.map((said) => ({ said: `– ${said}`, size: 3 })),
      { said: card.weight === '' ? '' : `It weighs ${card.weight}.`, size: 3 },
    ]),
    ...column(
      { ...room, y: room.y + room.height - 30, width: room.width - side - 3, height: 30 },
      card.cautions.map((said) => ({ said, size: 2.3 })),
    ),
    code(card, room.x + room.width - side, room.y + room.height - side, side),
  ];
}

const FORMATS: Readonly<Record<CardKind, Format>> = {
  'price tag': { width: 62, height: 28, draw: priceTag },
  'string tag': { width: 74, height: 16, draw: stringTag },
  'care card': { width: 92, height: 56, draw: careCard },
  certificate: { width: 97, height: 128, draw: certificate },
};

/** How many of a kind go across and down a sheet. */
export function cardsOnSheet(
  kind: CardKind,
  sheet: SheetName,
): { readonly across: number; readonly down: number } {
  const { width, height } = FORMATS[kind];
  const paper = SHEETS[sheet];
  return {
    across: Math.floor((paper.width - 2 * EDGE) / width),
    down: Math.floor((paper.height - 2 * EDGE) / height),
  };
}

/** Those that a label printer feeds from a roll, one after another. */
export const ROLL_KINDS = ['price tag', 'string tag'] as const satisfies readonly CardKind[];
export type RollKind = (typeof ROLL_KINDS)[number];

/** Tags as a label printer feeds them: each is a page of its own, as large as it is. */
export const rollPages = (cards: readonly PieceCard[], kind: RollKind): readonly Page[] =>
  cards.map((card) => {
    const { width, height, draw } = FORMATS[kind];
    return { width, height, shapes: draw(card, { x: 0, y: 0, width, height }) };
  });

/** Sheets of tags or cards, to be cut along their lines; the cards stand in the middle of the sheet. */
export function cardPages(cards: readonly PieceCard[], kind: CardKind, sheet: SheetName): readonly Page[] {
  const { width, height, draw } = FORMATS[kind];
  const { across, down } = cardsOnSheet(kind, sheet);
  const paper = SHEETS[sheet];
  const [left, top] = [(paper.width - across * width) / 2, (paper.height - down * height) / 2];
  const perSheet = across * down;
  const sheets = Math.max(1, Math.ceil(cards.length / perSheet));
  return Array.from({ length: sheets }, (_, page) => ({
    ...paper,
    shapes: cards.slice(page * perSheet, (page + 1) * perSheet).flatMap((card, slot) =>
      draw(card, {
        x: left + (slot % across) * width,
        y: top + Math.floor(slot / across) * height,
        width,
        height,
      }),
    ),
  }));
}
