import { day } from '@/core/calendar/day';
import { minor } from '@/core/units/money';
import { readPdf, textsIn } from '../../../tests/support/readPdf';
import type { SaleShown } from '../selling/sales';
import { paperFile } from './paperFile';
import { receiptOf, receiptPaper } from './receiptPaper';

const line = (number: number, price: number) => ({
  line: number,
  piece: { number, name: `Ring ${number}`, size: 'US 7', kind: 'ring' as const },
  asked: minor(price + 500),
  price: minor(price),
  tax: minor(0),
  gross: minor(price),
  returnedBy: null,
  left: minor(price),
  cost: null,
});

const SALE: SaleShown = {
  number: 12,
  channel: 'Harbour fair',
  returnOf: null,
  soldOn: day('2026-05-04'),
  buyer: 'Ines',
  note: 'a secret of the studio',
  paidBy: 'cash',
  given: minor(6000),
  studio: {
    ...{ name: 'Heron Wire', letterhead: 'Dock Row 4\n\nTax number 11 222', payTo: 'Harbour Savings, 1234' },
    ...{ currency: 'EUR', days: 'day', numbers: 'comma', sheet: 'A4' },
  },
  ...{ paidBefore: minor(0), payBy: null, address: '' },
  tax: { kind: 'included', percent: 2000 },
  total: { net: minor(4500), tax: minor(900), gross: minor(5400) },
  by: 'Marit',
  order: null,
  lines: [line(3, 3600), line(4, 1800)],
  kept: null,
};

const sums = (sale: Partial<SaleShown>) =>
  receiptOf({ ...SALE, ...sale }).sums.map(({ label, amount }) => [label, amount]);

describe('the receipt of a sale', () => {
  it('says what was paid and what of it is tax, as the studio writes numbers and days', () => {
    expect(receiptOf(SALE)).toMatchObject({
      title: 'Receipt N-0012',
      under: ['4 May 2026, Harbour fair', 'For Ines'],
      lines: [
        { what: 'Ring 3', about: 'F-0003 · US 7', asked: '€41,00', price: '€36,00' },
        { what: 'Ring 4' },
      ],
    });
    expect(sums({})).toEqual([
      ['Paid in cash', '€54,00'],
      ['with 20 % of tax in it', '€9,00'],
      ['without tax', '€45,00'],
      ['Handed over', '€60,00'],
      ['Given back', '€6,00'],
    ]);
  });

  it('adds tax that is added, tells none where there is none, and of no change where nothing was handed over', () => {
    const added = { kind: 'added', percent: 725 } as const;
    expect(sums({ tax: added, given: null, paidBy: 'card' })).toEqual([
      ['Together', '€45,00'],
      ['Tax, 7,25 %', '€9,00'],
      ['Paid by card', '€54,00'],
    ]);
    expect(sums({ tax: { kind: 'none', percent: 0 }, given: minor(5400) })).toEqual([
      ['Paid in cash', '€54,00'],
    ]);
  });

  it('says where the studio and the buyer are, and what of it was paid before', () => {
    expect(receiptOf({ ...SALE, address: 'Mill Lane 2\n70123 Ferrol' })).toMatchObject({
      letterhead: ['Dock Row 4', 'Tax number 11 222'],
      under: ['4 May 2026, Harbour fair', 'For Ines', 'Mill Lane 2', '70123 Ferrol'],
      foot: [],
    });
    // Of 54.00 were 20.00 paid before: 34.00 are left, and of 60.00 in cash 26.00 go back.
    expect(sums({ paidBefore: minor(2000) })).toEqual([
      ['To pay together', '€54,00'],
      ['with 20 % of tax in it', '€9,00'],
      ['without tax', '€45,00'],
      ['Paid before', '−€20,00'],
      ['The rest, paid in cash', '€34,00'],
      ['Handed over', '€60,00'],
      ['Given back', '€26,00'],
    ]);
  });

  it('that is to be paid later is an invoice: by when, and where', () => {
    const invoice = { payBy: day('2026-06-03'), paidBy: 'transfer', given: null } as const;
    expect(receiptOf({ ...SALE, ...invoice })).toMatchObject({
      title: 'Invoice N-0012',
      foot: ['Harbour Savings, 1234'],
    });
    expect(sums(invoice).at(-1)).toEqual(['To be paid by transfer by 3 Jun 2026', '€54,00']);
  });

  it('of what came back says of which sale it is', () => {
    const back = { number: 13, returnOf: 12, given: null, paidBy: 'transfer' } as const;
    expect(receiptOf({ ...SALE, ...back })).toMatchObject({
      title: 'Paid back N-0013',
      under: ['4 May 2026, Harbour fair, of N-0012', 'For Ines'],
    });
    expect(sums(back)[0]).toEqual(['Paid back by transfer', '€54,00']);
  });

  it('is a PDF on the studio’s paper, and says nothing of what is noted for the studio', async () => {
    const { type, content } = await paperFile(receiptPaper(SALE), 'pdf', 'Receipt N-0012');
    expect(type).toBe('application/pdf');
    const pages = readPdf(content as Uint8Array);
    expect(Math.round(pages[0]?.width ?? 0)).toBe(595);
    const said = textsIn(pages);
    expect(said).toEqual(expect.arrayContaining(['Receipt N-0012', 'Ring 3', '€36,00', 'Given back']));
    expect(said.join(' ')).not.toContain('secret');
  });
});
