import { length, roundWire, wire } from '../parameter';
import { straight } from '../shapes';
import { allowance, net, technique } from '../technique';

/** A wire cut to a length that the maker knows. */
export const freeCut = technique({
  id: 'free-cut',
  title: 'A length that you know',
  group: 'anything else',
  source: 'as typed',
  parameters: {
    wire: wire('Wire', roundWire(0.812)),
    length: length('Length in the piece', 100, 0.1, 20_000),
    tail: length('Allowance', 0, 0, 2000),
  },
  plan: ({ length: long, tail }) => ({
    cuts: [
      {
        name: 'wire',
        wire: 'wire',
        count: 1,
        terms: [net('as typed', long), allowance('allowance', tail)],
        marks: [],
        drawn: [straight(-long / 2, 0, long / 2, 0)],
      },
    ],
    steps: [{ id: 'cut', name: 'cut it', minutes: 0.5, cautions: ['cut ends'] }],
  }),
});
