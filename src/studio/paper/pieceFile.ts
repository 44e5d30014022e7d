import { drawingSvg } from '@/core/drawing/drawingSvg';
import { pieceGltf } from '@/core/drawing/gltf';
import { LARGE } from '@/core/drawing/lineDrawing';
import { VIEWS, type View } from '@/core/drawing/view';
import { drawnParts, type DrawnPart } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import { resolve } from '@/core/pattern/resolve';
import { drawPlan } from '@/core/technique/drawPlan';
import { techniqueOf } from '@/core/technique/registry';
import type { PatternView } from '../patterns/patterns';
import type { PaperFile } from './paperFile';

/** Files of the piece that a pattern makes, by name: seen from one side, or in the round. */
export const PIECE_FILES = [...VIEWS.map((view) => `${view}.svg`), 'piece.gltf'] as const;

/** The piece of a pattern as it is drawn; undefined for one that was written by hand or is of techniques that are drawn flat. */
export function pieceDrawn({ body: { composition }, specs }: PatternView): DrawnPart | undefined {
  if (!composition) return undefined;
  return drawnParts(resolve(composition, specs, techniqueOf)).find(({ plan }) => plan.run);
}

/** A file of the piece that a pattern makes; undefined when there is none of that name. */
export function pieceFile(pattern: PatternView, file: string): PaperFile | undefined {
  const part = (PIECE_FILES as readonly string[]).includes(file) ? pieceDrawn(pattern) : undefined;
  if (!part?.plan.run) return undefined;
  const looks = looksOf(part, pattern.specs, pattern.body.parts);
  if (file === 'piece.gltf')
    return { type: 'model/gltf+json', content: JSON.stringify(pieceGltf(part.plan.run, looks)) };
  const view = file.slice(0, file.indexOf('.')) as View;
  return {
    type: 'image/svg+xml; charset=utf-8',
    content: drawingSvg(drawPlan(part.plan, LARGE, view), looks),
  };
}
