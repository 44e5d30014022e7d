import type { Port } from '../technique/act';
import type { Parameters } from '../parameter/parameter';

/** The port of an end that winds, where one is chosen that comes from somewhere else; a wire of its own is cut by the technique when none is. */
export const windingEnd = (label: string, does: string, name: string): Port<Parameters> => ({
  label,
  does,
  takes: ['end'],
  from: 1,
  to: 1,
  proposed: 0,
  wire: 'wire',
  freshOnly: ['wire'],
  fresh: () => ({ count: 0, name, tail: 0 }),
});
