import * as fc from 'fast-check';
import { list, pageStatement, readCursor, sumsStatement, writeCursor, type Order } from './list';
import { int, many, text } from '../columns';

const ORDER: Order = {
  keys: [
    { by: 'p.sort_key', as: 'text' },
    { by: 'p.weight', as: 'int8' },
  ],
  isDown: true,
};

const LIST = list({
  from: 'things p',
  where: 'p.studio_id = $studio',
  takes: { ware: text() },
  filters: {
    words: { takes: many(text()), sql: 'p.name LIKE ALL ($words)' },
    isThere: { sql: 'p.quantity > 0' },
  },
  orders: { kept: ORDER },
  number: 'p.number',
  columns: 'p.name',
  gives: { name: text() },
  sums: 'count(*)::int AS total',
  sumsGive: { total: int() },
});

describe('a cursor', () => {
  it('comes back as it was written, whatever it was sorted by', () =>
    fc.assert(
      fc.property(
        fc.string({ maxLength: 400 }),
        fc.maxSafeInteger(),
        fc.maxSafeNat(),
        (word, weight, number) => {
          const cursor = { keys: [word, String(weight)], number };
          expect(readCursor(writeCursor(cursor), ORDER)).toEqual(cursor);
        },
      ),
    ));

  it('is none when it is of another way of sorting, or made up', () => {
    const written = (...parts: unknown[]) => Buffer.from(JSON.stringify(parts)).toString('base64url');
    for (const made of [
      '',
      'no cursor',
      written('a', '1'),
      written('a', '1', '2', 3),
      written('a', 'b', 3),
      written('a', '1; DROP TABLE things', 3),
      written(1, '1', 3),
      written('a', '1', 3.5),
      written('a', '1', 'x'),
      `${writeCursor({ keys: ['x'.repeat(3000), '1'], number: 1 })}`,
    ])
      expect(readCursor(made, ORDER)).toBeUndefined();
    expect(readCursor(undefined, ORDER)).toBeUndefined();
  });

  it('of a moment is read as the database writes it, in any zone', () => {
    const order: Order = { keys: [{ by: 'm.at', as: 'timestamptz' }] };
    const reads = (moment: string) =>
      readCursor(writeCursor({ keys: [moment], number: 1 }), order) !== undefined;
    expect(
      ['2026-05-21 10:11:12+00', '2026-05-21 10:11:12.123456+05:30', '2026-05-21T10:11:12Z'].map(reads),
    ).toEqual([true, true, true]);
    expect(['2026-05-21', "now'", 'infinity'].map(reads)).toEqual([false, false, false]);
  });
});

describe('a list', () => {
  it('takes what is asked and nothing else', () => {
    expect(Object.keys(sumsStatement(LIST, []).takes)).toEqual(['ware']);
    expect(sumsStatement({ ...LIST, sumsOfMost: 1001 }, []).text).toMatch(
      /^SELECT count\(\*\)::int AS total FROM \(SELECT FROM .* LIMIT 1001\) AS counted$/,
    );
    const { takes, text: sql } = pageStatement(LIST, ['words', 'isThere'], ORDER, true);
    expect(Object.keys(takes)).toEqual(['ware', 'words', 'after0', 'after1', 'afterNumber', 'most']);
    expect(sql).toContain(
      'AND p.name LIKE ALL ($words) AND p.quantity > 0 AND (p.sort_key, p.weight, p.number) < ($after0::text, $after1::int8, $afterNumber::int8)',
    );
    expect(sql).toMatch(/ORDER BY p\.sort_key DESC, p\.weight DESC, p\.number DESC LIMIT \$most$/);
  });

  it('passes over what it knows no filter for', () => {
    expect(pageStatement(LIST, ['made up'], ORDER, false).text).not.toContain('made up');
  });
});
