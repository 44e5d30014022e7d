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
export interface Receipt {
  readonly studio: string;
  /** Where the studio is, its tax number: lines that stand on the right. */
  readonly letterhead?: readonly string[];
  /** "Receipt N-0012". */
  readonly title: string;
  /** The day, where, for whom. */
  readonly under: readonly string[];
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
/** Signs in a line of the foot; lines of letters and the head over the amounts stand so far below each other, mm. */
const FOOT = 96;
const [UNDER, LETTERS] = [5, 4.4];

/** So many lines of a text as it was typed, none of them empty. */
export const typedLines = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((each) => each.trim())
    .filter((each) => each !== '');

/** The pages of a receipt: lines go on to the next page, and the sums stand together on the last. */
export function receiptPages(
  { studio, letterhead = [], title, under, heads = ['Asked', 'Price'], lines, sums, foot = [] }: Receipt,
  { sheet }: Pick<PaperRules, 'sheet'>,
): readonly Page[] {
  const { width, height } = SHEETS[sheet];
  const [askedAt, priceAt] = [width - MARGIN - 34, width - MARGIN];
  const end = height - MARGIN - 8;
  const head = MARGIN + Math.max(32, 20 + under.length * UNDER + 2, 6 + letterhead.length * LETTERS);
  const pages: Shape[][] = [];
  let y = Infinity;
  const room = (much: number): Shape[] => {
    const last = pages.at(-1);
    if (last && y + much <= end) return last;
    const begun: Shape[] = [
      text(MARGIN, MARGIN + 4, 4, studio, { bold: true }),
      text(MARGIN, MARGIN + 13, 7, title, { bold: true }),
      ...under.map((said, index) => text(MARGIN, MARGIN + 20 + index * UNDER, 3.6, said)),
      ...letterhead.map((said, index) =>
        text(priceAt, MARGIN + 4 + index * LETTERS, 3.2, said, { anchor: 'end' }),
      ),
      text(askedAt, head - 2, 3.2, heads[0], { anchor: 'end' }),
      text(priceAt, head - 2, 3.2, heads[1], { anchor: 'end' }),
      line(MARGIN, head, priceAt, head),
    ];
    pages.push(begun);
    y = head;
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
    const below = room(UNDER);
    y += UNDER;
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
