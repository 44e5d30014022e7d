'use server';

import { action } from '@/app/lib/action';
import { printLabels, readCalliper, readScale } from '@/studio/instruments/instruments';
import type { PrintLabelsInput } from '@/studio/instruments/instruments.input';
import { aForm } from '@/studio/kernel/arguments';

export const readScaleAction = action([], readScale);

export const readCalliperAction = action([], readCalliper);

export const printLabelsAction = action([aForm<PrintLabelsInput>()], printLabels);
