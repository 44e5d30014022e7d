import type { LineDrawing } from '../drawing/lineDrawing';
import type { Looks } from '../drawing/look';
import type { PieceSize } from '../drawing/pieceSize';
import { mm } from '../units/length';
import { writeNumbers } from '../units/writing';
import { drawnShapes } from './drawnShapes';
import {
  lengthOn,
  line,
  MARGIN,
  SHEETS,
  text,
  wrapped,
  type Page,
  type PaperRules,
  type Shape,
} from './sheet';

/** What a customer is shown of a piece: nothing of how it is made, and nothing of what it costs. */
export interface Proposal {
  readonly studio: string;
  /** Written out. */
  readonly day: string;
  readonly name: string;
  /** pendant, ring … */
  readonly kind: string;
  /** Whom it is for; empty when that is not said. */
  readonly whom: string;
  /** How large one is. */
  readonly size: PieceSize | undefined;
  /** How many alike there are: 2 for a pair. */
  readonly copies: number;
  /** As ring sizes are said everywhere. */
  readonly ringSize: string | undefined;
  /** The stones, beads and findings of all of them. */
  readonly holds: readonly string[];
  /** What it is made of, and what it comes to and how heavy one is then, g. */
  readonly prices: readonly {
    readonly metal: string;
    readonly price: string;
    readonly grams: number | undefined;
  }[];
  /** What is to be known of the prices. */
  readonly terms: readonly string[];
  readonly words: string;
}

/** Longest texts of a proposal, characters: it stays on one page. */
export const MOST_ON_PROPOSAL = { whom: 60, words: 500 } as const;

/** The piece from one side. */
export interface ProposedView {
  readonly said: string;
  readonly drawing: LineDrawing;
}

/** Letters, mm; and the characters that a line of them holds from margin to margin. */
const LETTERS = { name: 9, head: 3.6, body: 3.8, price: 5, caption: 3 } as const;
const LINE = 84;
/** The picture takes at most so much of the height of the page; its first view so much of the width. */
const [PICTURE, FIRST] = [0.55, 0.68];
const CAPTION = 5;
/** Between the pictures and what is written below; and what the names of facts take, mm. */
const [GAP, NAMES] = [8, 24];

/** How wide a bold letter is on average, as a part of its height. */
const LETTER = 0.62;

/** Letters of a name that stands in one line. */
const nameLetters = (name: string, room: number): number =>
  Math.min(LETTERS.name, room / (LETTER * Math.max(1, name.length)));

/** How large a piece is, in both units. */
function saidSize({ wide, high, deep }: PieceSize, rules: PaperRules): string {
  const [across, up, out] = [wide, high, deep].map((each) => lengthOn(rules, mm(each)));
  return `${across} wide; ${up} high; ${out} deep`;
}

/** The facts of a piece, each by its name. */
function factsOf(
  { size, copies, ringSize, holds }: Proposal,
  rules: PaperRules,
): readonly (readonly [string, string])[] {
  return [
    ...(ringSize === undefined ? [] : [['Ring size', ringSize] as const]),
    ...(size ? [['Size', `${copies > 1 ? 'each ' : ''}${saidSize(size, rules)}`] as const] : []),
    ...(holds.length > 0 ? [['With', holds.join('; ')] as const] : []),
  ];
}

/** How heavy one of them is. */
const saidWeight = (grams: number, copies: number, rules: PaperRules): string =>
  `about ${writeNumbers(grams.toFixed(grams < 10 ? 1 : 0), rules.numbers)} g${copies > 1 ? ' each' : ''}`;

/** Its views: the first one large, the others beside it, one below the other. */
function pictures(
  views: readonly ProposedView[],
  looks: Looks,
  { width, top, height }: { readonly width: number; readonly top: number; readonly height: number },
): Shape[] {
  const [first, ...others] = views;
  if (!first) return [];
  const whole = width - 2 * MARGIN;
  const wide = others.length > 0 ? whole * FIRST : whole;
  const high = height / Math.max(1, others.length);
  const placed = [
    { view: first, x: MARGIN, y: top, width: wide, height },
    ...others.map((view, index) => ({
      view,
      x: MARGIN + wide,
      y: top + index * high,
      width: whole - wide,
      height: high,
    })),
  ];
  return placed.flatMap(({ view, ...room }) => [
    ...drawnShapes(view.drawing, { ...room, height: room.height - CAPTION - 2 }, looks).shapes,
    text(room.x + room.width / 2, room.y + room.height - 2, LETTERS.caption, view.said, { anchor: 'middle' }),
  ]);
}

/** What stands below the pictures, from a height on; and where it ends. */
function written(
  proposal: Proposal,
  rules: PaperRules,
  right: number,
  top: number,
): { readonly shapes: readonly Shape[]; readonly bottom: number } {
  const shapes: Shape[] = [];
  let y = top;
  const write = (said: string, from = MARGIN, most = LINE) => {
    for (const each of wrapped(said, most)) {
      shapes.push(text(from, y, LETTERS.body, each));
      y += LETTERS.body * 1.5;
    }
  };
  for (const [name, said] of factsOf(proposal, rules)) {
    shapes.push(text(MARGIN, y, LETTERS.body, name, { bold: true }));
    write(said, MARGIN + NAMES, LINE - NAMES / 2);
  }
  y += 4;
  for (const { metal, price, grams } of proposal.prices) {
    const weight = grams === undefined ? '' : `, ${saidWeight(grams, proposal.copies, rules)}`;
    shapes.push(
      text(MARGIN, y, LETTERS.price, `In ${metal}${weight}`, { bold: true }),
      text(right, y, LETTERS.price, price, { bold: true, anchor: 'end' }),
      line(MARGIN, y + 2.5, right, y + 2.5),
    );
    y += 9;
  }
  for (const term of proposal.terms) write(term);
  y += 3;
  for (const paragraph of proposal.words.split('\n')) write(paragraph);
  return { shapes, bottom: y };
}

/**
 * A page for a customer: the piece in colour, how large and how heavy it is, what it is of, and what it comes to. The picture is as high as what
 * is written leaves room for.
 * @param views the first one is drawn large; none for a piece that was never drawn
 */
export function proposalPage(
  proposal: Proposal,
  views: readonly ProposedView[],
  looks: Looks,
  rules: PaperRules,
): Page {
  const size = SHEETS[rules.sheet];
  const right = size.width - MARGIN;
  const top = MARGIN + 30;
  const room = size.height - MARGIN - written(proposal, rules, right, top + GAP).bottom;
  const height = views.length > 0 ? Math.max(0, Math.min(room, size.height * PICTURE)) : 0;
  return {
    ...size,
    shapes: [
      text(MARGIN, MARGIN + 4, LETTERS.head, proposal.studio, { bold: true }),
      text(right, MARGIN + 4, LETTERS.head, proposal.day, { anchor: 'end' }),
      line(MARGIN, MARGIN + 7, right, MARGIN + 7),
      text(MARGIN, MARGIN + 19, nameLetters(proposal.name, right - MARGIN), proposal.name, { bold: true }),
      text(
        MARGIN,
        MARGIN + 26,
        LETTERS.head,
        `A ${proposal.kind}${proposal.whom === '' ? '' : ` for ${proposal.whom}`}`,
      ),
      ...pictures(views, looks, { width: size.width, top, height }),
      ...written(proposal, rules, right, top + height + GAP).shapes,
    ],
  };
}
