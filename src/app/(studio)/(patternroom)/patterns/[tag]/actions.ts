'use server';

import { action } from '@/app/lib/action';
import { aForm, aKey, aNumber, anyOf, aRecord, type Argument } from '@/studio/kernel/arguments';
import { ruleFigure, type FigureOf } from '@/studio/logbook/rulings';
import type { RuleFigureInput } from '@/studio/logbook/rulings.input';

const ofPattern = aRecord<Extract<FigureOf, { readonly figure: 'time' | 'ring' }>>({
  pattern: aNumber,
  figure: anyOf(['time', 'ring']),
});
const ofWire = aRecord<Extract<FigureOf, { readonly figure: 'wire' }>>({
  pattern: aNumber,
  figure: anyOf(['wire']),
  cutIndex: aNumber,
});

const aFigureOf: Argument<FigureOf> = (given) => ofWire(given) ?? ofPattern(given);

export const ruleFigureAction = action([aKey, aFigureOf, aForm<RuleFigureInput>()], ruleFigure);
