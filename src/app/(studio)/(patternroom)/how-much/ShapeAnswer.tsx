'use client';

import { useMemo } from 'react';
import type { LineDrawing } from '@/core/drawing/lineDrawing';
import type { Looks } from '@/core/drawing/look';
import { spread } from '@/core/drawing/spread';
import { seenFrom, type View } from '@/core/drawing/view';
import type { ActTechnique } from '@/core/technique/act';
import { isAsked } from '@/core/parameter/parameter';
import type { Texts } from '@/core/parameter/readTexts';
import type { Values } from '@/core/parameter/readValues';
import { markRadius } from '@/ui/craft/markRadius';
import { ShapeByHand } from '@/ui/craft/ShapeByHand';
import { useHandles } from '@/ui/craft/useHandles';

/** The measures of a technique as handles on its picture. */
export function ShapeAnswer({
  technique,
  values,
  texts,
  looks,
  view,
  box,
  onShape,
}: {
  readonly technique: ActTechnique;
  readonly values: Values;
  readonly texts: Texts;
  readonly looks: Looks;
  readonly view: View;
  readonly box: LineDrawing['box'];
  readonly onShape: (texts: Texts) => void;
}) {
  const asked = useMemo(
    () => ({
      uses: [{ id: technique.id, name: technique.title, technique, values, takes: {} }],
      id: technique.id,
      keys: Object.entries(technique.parameters).flatMap(([key, parameter]) =>
        isAsked(parameter, texts) ? [key] : [],
      ),
    }),
    [technique, values, texts],
  );
  const shaped = useHandles(asked);
  if (!shaped) return null;
  const radius = markRadius(box);
  const marks = spread(
    seenFrom(
      view,
      [...shaped.handles, ...shaped.choices].map(({ at }) => at),
    ),
    radius,
  );
  return (
    <ShapeByHand
      shaped={shaped}
      name={technique.title}
      marks={marks}
      size={radius}
      looks={looks}
      view={view}
      box={box}
      onShape={onShape}
    />
  );
}
