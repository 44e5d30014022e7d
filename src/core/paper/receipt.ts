import { paperHead, type PaperHead } from './paperHead';
import { line, MARGIN, SHEETS, text, wrapped, type Page, type PaperRules, type Shape } from './sheet';

/** One line of a receipt; amounts are written out. */
export interface ReceiptLine {
  readonly what: string;
  /** The number on its tag, its size; may be empty. */
  readonly about: string;
  readonly asked: string;
  readonly price: string;
}

/** What lines come to, with what it is. */
export interface ReceiptSum {
  readonly label: string;
  readonly amount: string;
  readonly bold?: boolean;
}

/** What stands on a receipt. */
export interface Receipt extends PaperHead {
  /** Over the two columns of amounts, where they are not what was asked and what was paid. */
  readonly heads?: readonly [asked: string, price: string];
  readonly lines: readonly ReceiptLine[];
  readonly sums: readonly ReceiptSum[];
  /** What is to be known of it, below everything: how long it holds, where it is paid. */
  readonly foot?: readonly string[];
}

const ROW = 9;
const SUM = 6.5;
/** So many signs of a name fit beside the amounts. */
const MOST = 60;
/** Signs in a line of the foot, and how far its lines stand below each other, mm. */
const [FOOT, BELOW] = [96, 5];

/** The pages of a receipt: lines go on to the next page, and the sums stand together on the last. */
export function receiptPages(
  { heads = ['Asked', 'Price'], lines, sums, foot = [], ...top }: Receipt,
  { sheet }: Pick<PaperRules, 'sheet'>,
): readonly Page[] {
  const { width, height } = SHEETS[sheet];
  const [askedAt, priceAt] = [width - MARGIN - 34, width - MARGIN];
  const end = height - MARGIN - 8;
  const head = paperHead(top, width);
  const pages: Shape[][] = [];
  let y = Infinity;
  const room = (much: number): Shape[] => {
    const last = pages.at(-1);
    if (last && y + much <= end) return last;
    const begun: Shape[] = [
      ...head.shapes,
      text(askedAt, head.bottom - 2, 3.2, heads[0], { anchor: 'end' }),
      text(priceAt, head.bottom - 2, 3.2, heads[1], { anchor: 'end' }),
    ];
    pages.push(begun);
    y = head.bottom;
    return begun;
  };
  for (const { what, about, asked, price } of lines) {
    const names = wrapped(what, MOST);
    const much = ROW + (names.length - 1) * 5;
    const on = room(much);
    names.forEach((said, index) => on.push(text(MARGIN, y + 4.5 + index * 5, 4, said)));
    on.push(text(MARGIN, y + 4.5 + (names.length - 1) * 5 + 3.8, 2.8, about));
    on.push(text(askedAt, y + 4.5, 3.6, asked, { anchor: 'end' }));
    on.push(text(priceAt, y + 4.5, 4, price, { anchor: 'end' }));
    y += much;
    on.push(line(MARGIN, y, priceAt, y, 0.1));
  }
  const on = room(sums.length * SUM + 4);
  y += 2;
  for (const { label, amount, bold = false } of sums) {
    y += SUM;
    on.push(text(askedAt, y, 4, label, { bold, anchor: 'end' }));
    on.push(text(priceAt, y, 4, amount, { bold, anchor: 'end' }));
  }
  y += 4;
  for (const said of foot.flatMap((each) => wrapped(each, FOOT))) {
    const below = room(BELOW);
    y += BELOW;
    below.push(text(MARGIN, y, 3.4, said));
  }
  return pages.map((shapes, index) => ({
    width,
    height,
    shapes: [
      ...shapes,
      ...(pages.length > 1
        ? [text(priceAt, height - MARGIN, 3, `${index + 1} of ${pages.length}`, { anchor: 'end' })]
        : []),
    ],
  }));
}
