import { LedgerPageQuery } from '../ledger/ledger.input';
import { PatternQuery } from '../patterns/patterns.input';
import { readQuery } from './query';

describe('what an address asks', () => {
  it('is read field by field; what cannot be read counts as not asked', () => {
    const asked = {
      item: 'W-0042',
      kind: 'eaten',
      ware: 'bead',
      from: '2026-02-30',
      to: '2026-03-01',
      person: 'me',
    };
    expect(readQuery(LedgerPageQuery, asked)).toEqual({
      item: 'W-0042',
      ware: 'bead',
      to: '2026-03-01',
    });
    const key = '6f2c1f0e-6f0f-4d0a-9c53-0d7a1d5c8b11';
    expect(readQuery(LedgerPageQuery, { posting: key, on: '2026-05-21' })).toEqual({
      posting: key,
      on: '2026-05-21',
    });
  });

  it('has no fields but those of its class, and each given once', () => {
    expect(
      readQuery(PatternQuery, {
        words: ['one', 'two'],
        kind: 'pendant',
        colour: 'blue',
        constructor: 'x',
        __proto__: 'y',
        toString: 'z',
      }),
    ).toEqual({ kind: 'pendant' });
  });

  it('is freed of signs that nobody types, is nothing when it is empty, and not longer than what is typed', () => {
    expect(readQuery(PatternQuery, { words: 'lea\u0000f', sort: '', after: '\u0007' })).toEqual({
      words: 'leaf',
    });
    expect(readQuery(PatternQuery, { words: 'x'.repeat(201), sort: 'name' })).toEqual({ sort: 'name' });
  });
});
