import { guessColumns, ordersIn } from './salesFile';

const ALL = { order: 0, day: 1, piece: 2, price: 3, buyer: 4 };

describe('a file of sales', () => {
  it('tells by its titles which column is which, none twice', () => {
    expect(guessColumns(['Order no.', 'Sale Date', 'Item SKU', 'Item total', 'Buyer'])).toEqual(ALL);
    expect(guessColumns(['Date', 'Tag', 'Paid'])).toEqual({
      ...{ order: null, day: 0, piece: 1, price: 2, buyer: null },
    });
    expect(guessColumns(['Customer name', 'Name'])).toMatchObject({ buyer: 0 });
    expect(guessColumns([])).toMatchObject({ day: null });
  });

  it('puts rows of one order together, and tells where they stand', () => {
    const orders = ordersIn(
      [
        ['7', '2026-05-02', 'F-0001', '30.00', 'Ines'],
        ['', '', '', '', ''],
        ['8', '2026-05-03', 'F-0002', '20.00', ''],
        ['7', '', 'F-0003', '12.00', ''],
      ],
      ALL,
    );
    expect(orders).toEqual([
      {
        ...{ key: 'order 7', lines: [2, 5], day: '2026-05-02', buyer: 'Ines' },
        pieces: [
          { piece: 'F-0001', price: '30.00' },
          { piece: 'F-0003', price: '12.00' },
        ],
      },
      {
        ...{ key: 'order 8', lines: [4], day: '2026-05-03', buyer: '' },
        pieces: [{ piece: 'F-0002', price: '20.00' }],
      },
    ]);
  });

  it('takes each row for a sale where no order is told, with a key that is the same the next time', () => {
    const rows = [
      ['2026-05-02', 'F-0001', '30'],
      ['2026-05-02', 'F-0001', '30'],
      ['2026-05-02', 'F-0002', '30'],
    ];
    const columns = { order: null, day: 0, piece: 1, price: 2, buyer: null };
    const keys = ordersIn(rows, columns).map(({ key }) => key);
    expect(new Set(keys).size).toBe(3);
    expect(
      ordersIn([...rows].reverse(), columns)
        .map(({ key }) => key)
        .toSorted(),
    ).toEqual(keys.toSorted());
    // A row that lacks cells has empty ones.
    expect(ordersIn([['2026-05-02']], columns)).toMatchObject([{ pieces: [{ piece: '', price: '' }] }]);
  });
});
