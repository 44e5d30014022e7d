'use server';

import { action, question } from '@/app/lib/action';
import { takingsAsTyped } from '@/studio/batches/batchTakings';
import { watchPlanning } from '@/studio/batches/batches';
import { setBenchHours } from '@/studio/schedule/benchHours';
import type { BenchHoursInput } from '@/studio/schedule/benchHours.input';
import { cancelBatch, takeUpAgain } from '@/studio/batches/cancelBatch';
import { watchTable } from '@/studio/cuttingTable/cuttingTable';
import { cutAsPlanned, cutWire } from '@/studio/cuttingTable/cutWire';
import type { CutWireInput, MiscutInput } from '@/studio/cuttingTable/cutWire.input';
import { logMiscut } from '@/studio/cuttingTable/logMiscut';
import { namePart } from '@/studio/batches/namePart';
import { planBatch, type BatchBase } from '@/studio/batches/planBatch';
import type { PlanBatchInput } from '@/studio/batches/planBatch.input';
import { planCutting, stopPlanning } from '@/studio/cuttingPlan/planCutting';
import { undoCut } from '@/studio/cuttingTable/undoCut';
import { aForm, aKey, aList, anId, aNumber, aRecord, aText, orNull } from '@/studio/kernel/arguments';

const aBase = orNull(aRecord<BatchBase>({ number: aNumber, version: aNumber }));

export const planBatchAction = action([aKey, aBase, aForm<PlanBatchInput>()], planBatch);

export const takingsAction = question([aList(aForm<object>(), 100), aText(40)], takingsAsTyped);

export const planCuttingAction = action([aKey, aNumber], planCutting);

export const stopPlanningAction = action([aKey, aNumber], stopPlanning);

export const cancelBatchAction = action([aKey, aNumber], cancelBatch);

export const namePartAction = action([aKey, aText(200), anId], namePart);

export const setBenchHoursAction = action([aKey, aForm<BenchHoursInput>()], setBenchHours);

export const watchPlanningAction = question([aNumber], watchPlanning);

export const takeUpAgainAction = action([aKey, aNumber], takeUpAgain);

export const cutWireAction = action([aKey, aNumber, aForm<CutWireInput>()], cutWire);

export const cutAsPlannedAction = action([aKey, aNumber], cutAsPlanned);

export const logMiscutAction = action([aKey, aNumber, aForm<MiscutInput>()], logMiscut);

export const undoCutAction = action([aKey, aNumber], undoCut);

export const watchTableAction = question([aNumber], watchTable);
