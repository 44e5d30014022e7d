import type { View } from '@/core/drawing/view';

/** Where the picture of a piece lies as it is after a step, 1 for the first. @param tag of its pattern, or of a batch with its line */
export const stepPicture = (tag: string, step: number, view: View): string =>
  `/pictures/${tag}.after-${step}.${view}.svg`;
