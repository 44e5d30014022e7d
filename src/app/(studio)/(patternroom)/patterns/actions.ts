'use server';

import { action } from '@/app/lib/action';
import { composePattern } from '@/studio/patterns/composePattern';
import type { ComposePatternInput } from '@/studio/patterns/composePattern.input';
import { importPattern } from '@/studio/patterns/importPattern';
import { takeStarters } from '@/studio/patterns/starters';
import type { TakeStartersInput } from '@/studio/patterns/starters.input';
import { writePattern, type PatternBase } from '@/studio/patterns/writePattern';
import type { WritePatternInput } from '@/studio/patterns/writePattern.input';
import { aForm, aKey, aNumber, aRecord, aText, orNull } from '@/studio/kernel/arguments';

const aBase = orNull(aRecord<PatternBase>({ number: aNumber, revision: aNumber }));

export const writePatternAction = action([aKey, aBase, aForm<WritePatternInput>()], writePattern);

export const composePatternAction = action([aKey, aBase, aForm<ComposePatternInput>()], composePattern);

export const importPatternAction = action([aKey, aText(2_000_000)], importPattern);

export const takeStartersAction = action([aKey, aForm<TakeStartersInput>()], takeStarters);
