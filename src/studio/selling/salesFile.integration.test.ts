import { tag } from '@/core/tag';
import { sellingStudio } from '../../../tests/support/selling';
import {
  addTestHelper,
  closeBooks,
  done,
  expectBooksAgree,
  newKey,
  problemOf,
} from '../../../tests/support/studio';
import { listSales, showSale } from './sales';
import { enterSalesFile, lookAtSalesFile } from './salesFile';
import { listUnsettled, sayNoSale } from './unsettled';

afterAll(closeBooks);

const file = (...lines: readonly string[]): string => Buffer.from(lines.join('\n')).toString('base64');
const columns = { order: '0', day: '1', piece: '2', price: '3', buyer: '4' };

describe('a file of sales', () => {
  it('is looked at first, and enters each sale once, however often it is read', async () => {
    const { session, numbers, channel } = await sellingStudio(4);
    const [one = 0, two = 0, three = 0] = numbers;
    const content = file(
      'Order,Date,Tag,Paid,Buyer',
      `7,2 May 2026,${tag('piece', one)},$30.00,Ines`,
      `7,,${tag('piece', two)},18,`,
      `8,14/5/2026,${three},"$1,200.00",Bram`,
    );
    const look = done(await lookAtSalesFile(session, content));
    expect(look).toMatchObject({
      titles: ['Order', 'Date', 'Tag', 'Paid', 'Buyer'],
      count: 3,
      guessed: { order: 0, day: 1, piece: 2, price: 3, buyer: 4 },
    });
    const how = { channel, paidBy: 'card', ...columns };
    expect(done(await enterSalesFile(session, content, how))).toEqual({
      entered: 2,
      unsettled: 0,
      wrong: [],
    });
    expect(await showSale(session, 1)).toMatchObject({
      ...{ soldOn: '2026-05-02', buyer: 'Ines', paidBy: 'card', total: { gross: 4800 } },
      lines: [{ price: 3000 }, { price: 1800 }],
    });
    expect(await showSale(session, 2)).toMatchObject({ soldOn: '2026-05-14', total: { gross: 120_000 } });
    expect(done(await enterSalesFile(session, content, how))).toEqual({
      entered: 2,
      unsettled: 0,
      wrong: [],
    });
    expect((await listSales(session)).total).toBe(2);
    await expectBooksAgree();
  });

  it('tells what of it cannot be read, line by line, and lets what cannot be entered be settled', async () => {
    const { session, numbers, channel } = await sellingStudio(2);
    const [one = 0, two = 0] = numbers;
    const content = file(
      'Order;Date;Tag;Paid',
      `1;2026-05-02;${tag('piece', one)};30,00`,
      `2;2026-05-03;${tag('piece', one)};30,00`,
      `3;someday;${tag('piece', two)};30,00`,
      '4;2026-05-04;W-0001;30,00',
      `5;2026-05-04;${tag('piece', two)};much`,
    );
    const how = { channel, paidBy: 'card', ...columns, buyer: '' };
    const entered = done(await enterSalesFile(session, content, how));
    expect(entered).toMatchObject({ entered: 1, unsettled: 1 });
    expect(entered.wrong.map(({ line, why }) => [line, why.slice(0, 12)])).toEqual([
      [4, '“someday” is'],
      [5, '“W-0001” is '],
      [6, '“much” is no'],
    ]);
    const [waits] = await listUnsettled(session);
    expect(waits?.why).toBe(`${tag('piece', one)} is sold; it cannot be sold.`);
    done(await sayNoSale(session, newKey(), waits?.id ?? '', { note: 'listed twice' }));
    // Read again, it waits no more.
    expect(done(await enterSalesFile(session, content, how))).toMatchObject({ entered: 1, unsettled: 0 });
  });

  it('needs its columns, its rows and its owner', async () => {
    const { session, channel } = await sellingStudio(0);
    const how = { channel, paidBy: 'card', ...columns };
    const content = file('Order,Date,Tag,Paid,Buyer', '1,2026-05-02,F-0001,3,');
    expect(problemOf(await lookAtSalesFile(session, file('Order,Date'))).message).toMatch(/no rows/);
    expect(problemOf(await enterSalesFile(session, content, { ...how, day: '' })).fields).toEqual({
      day: 'Choose the column that it stands in.',
    });
    expect(
      problemOf(await enterSalesFile(session, content, { ...how, channel: newKey() })).fields,
    ).toHaveProperty('channel');
    const helper = await addTestHelper(session);
    expect(problemOf(await lookAtSalesFile(helper, content)).kind).toBe('forbidden');
    expect(problemOf(await enterSalesFile(helper, content, how)).kind).toBe('forbidden');
  });
});
