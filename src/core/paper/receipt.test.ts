import { receiptPages, type Receipt } from './receipt';
import { SHEETS, type Page, type Shape } from './sheet';

const receipt = (lines: number, more: Partial<Receipt> = {}): Receipt => ({
  studio: 'Heron Wire',
  title: 'Receipt N-0012',
  under: ['4 May 2026, Harbour fair', 'For Ines'],
  lines: Array.from({ length: lines }, (_, index) => ({
    what: `Ring ${index + 1}`,
    about: `F-00${index + 10}`,
    asked: '€40.00',
    price: '€36.00',
  })),
  sums: [
    { label: 'Paid in cash', amount: '€54.00', bold: true },
    { label: 'with 20 % of tax in it', amount: '€9.00' },
  ],
  ...more,
});

type Text = Extract<Shape, { kind: 'text' }>;
const textsOn = ({ shapes }: Page): Text[] =>
  shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
const saidOn = (pages: readonly Page[]) => pages.flatMap((page) => textsOn(page).map(({ text }) => text));

describe('a receipt', () => {
  it('says whose it is, its number, what was sold for how much, and what that comes to', () => {
    const pages = receiptPages(receipt(2), { sheet: 'A4' });
    expect(pages).toHaveLength(1);
    expect(saidOn(pages)).toEqual([
      ...['Heron Wire', 'Receipt N-0012', '4 May 2026, Harbour fair', 'For Ines', 'Asked', 'Price'],
      ...['Ring 1', 'F-0010', '€40.00', '€36.00', 'Ring 2', 'F-0011', '€40.00', '€36.00'],
      ...['Paid in cash', '€54.00', 'with 20 % of tax in it', '€9.00'],
    ]);
  });

  it.each(['A4', 'Letter'] as const)(
    'goes on over pages of %s, each with its head and its number; nothing lies on the margin or on something else',
    (sheet) => {
      const pages = receiptPages(receipt(70), { sheet });
      expect(pages.length).toBeGreaterThan(2);
      for (const [index, page] of pages.entries()) {
        const texts = textsOn(page);
        expect(texts.map(({ text }) => text)).toContain('Receipt N-0012');
        expect(texts.at(-1)?.text).toBe(`${index + 1} of ${pages.length}`);
        for (const { y } of texts) expect(y).toBeLessThanOrEqual(SHEETS[sheet].height - 14);
        const rows = texts.filter(({ text }) => /^Ring/.test(text)).map(({ y }) => y);
        for (const [at, y] of rows.entries()) if (at > 0) expect(y - (rows[at - 1] ?? 0)).toBeGreaterThan(8);
      }
      // Every line stands on it once, and the sums together at its end.
      expect(saidOn(pages).filter((text) => /^Ring/.test(text))).toHaveLength(70);
      const last = saidOn(pages.slice(-1));
      expect(last).toEqual(expect.arrayContaining(['Paid in cash', 'with 20 % of tax in it']));
    },
  );

  it('has where the studio is on its right, where its buyer is below, and what is to be known at its end', () => {
    const letterhead = ['Dock Row 4', 'Port Ellery', 'Tax number 11 222', 'heron@wire.example'];
    const under = ['For Ines', 'Mill Lane 2', '70123 Ferrol', 'Order Q-0001', 'of 2 May 2026'];
    const foot = ['To be paid within 30 days.', 'Bank: Harbour Savings, 1234'];
    const [page] = receiptPages(receipt(1, { letterhead, under, foot }), { sheet: 'A4' });
    const texts = page ? textsOn(page) : [];
    const at = (said: string) => texts.find(({ text }) => text === said);
    for (const said of letterhead) expect(at(said)).toMatchObject({ anchor: 'end', x: SHEETS.A4.width - 14 });
    // The head over the amounts gives way to what stands over it.
    expect(at('Asked')?.y).toBeGreaterThan((at('of 2 May 2026')?.y ?? 0) + 3);
    expect(at('Ring 1')?.y).toBeGreaterThan(at('Asked')?.y ?? Infinity);
    const heights = foot.map((said) => at(said)?.y ?? 0);
    expect(Math.min(...heights)).toBeGreaterThan(at('with 20 % of tax in it')?.y ?? Infinity);
    expect((heights[1] ?? 0) - (heights[0] ?? 0)).toBeGreaterThan(4);
  });

  it('breaks a long name, and what comes after stands below it', () => {
    const long = receipt(2);
    const [first, second] = long.lines;
    if (!first || !second) throw new Error('it has two');
    const what =
      'A pendant of twelve wires that hold a teardrop of labradorite over a woven frame with a bail';
    const pages = receiptPages({ ...long, lines: [{ ...first, what }, second] }, { sheet: 'A4' });
    const [page] = pages;
    const texts = page ? textsOn(page) : [];
    const parts = texts.filter(({ text }) => what.includes(text) && text.length > 10);
    expect(parts.map(({ text }) => text).join(' ')).toBe(what);
    expect(parts.length).toBeGreaterThan(1);
    const below = texts.find(({ text }) => text === 'Ring 2');
    expect(below?.y).toBeGreaterThan((parts.at(-1)?.y ?? 0) + 8);
  });
});
