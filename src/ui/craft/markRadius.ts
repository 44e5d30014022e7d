import type { LineDrawing } from '@/core/drawing/lineDrawing';

/** What a finger hits of an end or a handle is so many times smaller than the picture: 24 points of the screen at least on a tablet (WCAG 2.2, 2.5.8). */
const MARK = 26;

/** How large the mark of an end or a handle is on a picture, from its middle to its edge, mm. */
export const markRadius = ({ width, height }: LineDrawing['box']): number => Math.max(width, height) / MARK;
