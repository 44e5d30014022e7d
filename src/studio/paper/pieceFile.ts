import sharp from 'sharp';
import { drawingSvg } from '@/core/drawing/drawingSvg';
import { pieceGltf } from '@/core/drawing/gltf';
import { LARGE } from '@/core/drawing/lineDrawing';
import { VIEWS, type View } from '@/core/drawing/view';
import { drawnParts, type DrawnPart } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import { resolve } from '@/core/pattern/resolve';
import { drawPlan } from '@/core/plan/drawPlan';
import { techniqueOf } from '@/core/techniques/registry';
import type { PatternView } from '../patterns/patterns';
import type { PaperFile } from './paperFile';

/** Files of the piece that a pattern makes, by name: seen from one side, or in the round. */
export const PIECE_FILES = [
  ...VIEWS.flatMap((view) => [`${view}.svg`, `${view}.png`]),
  'piece.gltf',
] as const;

/** The longer side of a picture in dots, pixels. */
const DOTS = 1600;

/** The piece of a pattern as it is drawn; undefined for one that was written by hand or is of techniques that are drawn flat. */
export function pieceDrawn({ body: { composition }, specs }: PatternView): DrawnPart | undefined {
  if (!composition) return undefined;
  return drawnParts(resolve(composition, specs, techniqueOf)).find(({ plan }) => plan.run);
}

/** A file of the piece that a pattern makes; undefined when there is none of that name. */
export async function pieceFile(pattern: PatternView, file: string): Promise<PaperFile | undefined> {
  const part = (PIECE_FILES as readonly string[]).includes(file) ? pieceDrawn(pattern) : undefined;
  if (!part?.plan.run) return undefined;
  const looks = looksOf(part, pattern.specs, pattern.body.parts);
  if (file === 'piece.gltf')
    return { type: 'model/gltf+json', content: JSON.stringify(pieceGltf(part.plan.run, looks)) };
  const [view, format] = file.split('.') as [View, string];
  const drawing = drawPlan(part.plan, LARGE, view);
  if (format === 'svg') return { type: 'image/svg+xml; charset=utf-8', content: drawingSvg(drawing, looks) };
  return { type: 'image/png', content: new Uint8Array(await inDots(drawingSvg(drawing, looks, DOTS))) };
}

/** A picture in dots, on white. */
const inDots = (svg: string): Promise<Buffer> =>
  sharp(Buffer.from(svg)).flatten({ background: 'white' }).png().toBuffer();
