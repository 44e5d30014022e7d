import { line, MARGIN, text, type Shape } from './sheet';

/** What stands at the head of every page of a paper that goes out. */
export interface PaperHead {
  readonly studio: string;
  /** Where the studio is, its tax number: lines that stand on the right. */
  readonly letterhead?: readonly string[];
  /** "Receipt N-0012". */
  readonly title: string;
  /** The day, where, for whom. */
  readonly under: readonly string[];
}

/** Lines below the title and of the letterhead stand so far below each other, mm. */
const [UNDER, LETTERS] = [5, 4.4];

/** So many lines of a text as it was typed, none of them empty. */
export const typedLines = (typed: string): readonly string[] =>
  typed
    .split('\n')
    .map((each) => each.trim())
    .filter((each) => each !== '');

/**
 * The head of a page, with the line below it.
 * @param width of the page, mm
 * @returns its shapes, and where it ends
 */
export function paperHead(
  { studio, letterhead = [], title, under }: PaperHead,
  width: number,
): { readonly shapes: readonly Shape[]; readonly bottom: number } {
  const right = width - MARGIN;
  const bottom = MARGIN + Math.max(32, 22 + under.length * UNDER, 6 + letterhead.length * LETTERS);
  return {
    bottom,
    shapes: [
      text(MARGIN, MARGIN + 4, 4, studio, { bold: true }),
      text(MARGIN, MARGIN + 13, 7, title, { bold: true }),
      ...under.map((said, index) => text(MARGIN, MARGIN + 20 + index * UNDER, 3.6, said)),
      ...letterhead.map((said, index) =>
        text(right, MARGIN + 4 + index * LETTERS, 3.2, said, { anchor: 'end' }),
      ),
      line(MARGIN, bottom, right, bottom),
    ],
  };
}
