import { ellipse } from '../../geometry/curve';
import type { Outline } from '../outline';

/** Round and oval: an ellipse of the two measures. */
export const oval = (length: number, width: number): Outline => ({
  curves: [ellipse(width / 2, length / 2)],
});
