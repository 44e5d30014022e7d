/** What stands before the decimals where the studio is: 1,250.50 or 1.250,50. */
export const NUMBER_WRITINGS = ['point', 'comma'] as const;
export type NumberWriting = (typeof NUMBER_WRITINGS)[number];

/** A run of figures with points and commas between them. */
const FIGURES = /\d[\d.,]*\d/g;
/** Such a run as the core writes a number: thousands together or parted by commas, decimals after a point. */
const NUMBER = /^(?:\d+|\d{1,3}(?:,\d{3})+)(?:\.\d+)?$/;

const DECIMAL = { point: '.', comma: ',' } as const;
const THOUSANDS = { point: ',', comma: '.' } as const;

/** Whether figures are parted into thousands: one to three, the first no nought, then threes. */
const isGrouped = (parts: readonly string[]): boolean =>
  parts.length > 1 &&
  parts.every((part, index) => (index === 0 ? /^[1-9]\d{0,2}$/.test(part) : part.length === 3));

/** One number, with a point before its decimals and its thousands together; what is no number in any writing stays as it is. */
function readOne(figures: string, writing: NumberWriting): string {
  const last = Math.max(figures.lastIndexOf('.'), figures.lastIndexOf(','));
  if (last < 0) return figures;
  const sign = figures.charAt(last);
  const other = sign === '.' ? ',' : '.';
  const parts = figures.split(sign);
  if (figures.includes(other)) {
    const [whole = '', decimals = '', ...more] = parts;
    const groups = whole.split(other);
    return more.length === 0 && isGrouped(groups) ? `${groups.join('')}.${decimals}` : figures;
  }
  if (parts.length > 2) return isGrouped(parts) ? parts.join('') : figures;
  // One sign alone parts thousands only if it does so in the studio's own writing.
  return sign === THOUSANDS[writing] && isGrouped(parts) ? parts.join('') : parts.join('.');
}

/**
 * Numbers as they are typed in a studio, written as every reader takes them: a point before the decimals, thousands together. Both
 * writings are understood where only one reading is possible; where both are, the studio's own decides.
 * @example readNumbers('1.250,50 EUR', 'point') // '1250.50 EUR'
 * @example readNumbers('1,250 mm', 'point') // '1250 mm'
 * @example readNumbers('1,250 mm', 'comma') // '1.250 mm'
 */
export const readNumbers = (typed: string, writing: NumberWriting): string =>
  typed.replace(FIGURES, (figures) => readOne(figures, writing));

/**
 * A text of the core's, whose numbers have a point before their decimals and a comma between thousands, in the studio's writing.
 * What is no number of the core's stays as it is: “1.2.3”.
 * @example writeNumbers('$1,250.50 for 0.8 mm', 'comma') // '$1.250,50 for 0,8 mm'
 */
export const writeNumbers = (said: string, writing: NumberWriting): string =>
  writing === 'point'
    ? said
    : said.replace(FIGURES, (figures) =>
        NUMBER.test(figures)
          ? figures.replace(/[.,]/g, (sign) => (sign === '.' ? DECIMAL.comma : THOUSANDS.comma))
          : figures,
      );
