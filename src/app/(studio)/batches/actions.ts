'use server';

import { takingsAsTyped } from '@/studio/batches/batchTakings';
import { watchPlanning } from '@/studio/batches/batches';
import { setBenchHours } from '@/studio/batches/benchHours';
import type { BenchHoursInput } from '@/studio/batches/benchHours.input';
import { cancelBatch, takeUpAgain } from '@/studio/batches/cancelBatch';
import { watchTable } from '@/studio/batches/cuttingTable';
import { cutAsPlanned, cutWire } from '@/studio/batches/cutWire';
import type { CutWireInput, MiscutInput } from '@/studio/batches/cutWire.input';
import { logMiscut } from '@/studio/batches/logMiscut';
import { namePart } from '@/studio/batches/namePart';
import { planBatch, type BatchBase } from '@/studio/batches/planBatch';
import type { PlanBatchInput } from '@/studio/batches/planBatch.input';
import { planCutting, stopPlanning } from '@/studio/batches/planCutting';
import { undoCut } from '@/studio/batches/undoCut';
import { attempt } from '@/studio/kernel/useCase';
import { asMember } from '../../lib/member';

export async function planBatchAction(postKey: string, base: BatchBase | null, input: PlanBatchInput) {
  return asMember((session) => planBatch(session, postKey, base, input));
}

export async function takingsAction(lines: readonly object[]) {
  return asMember((session) => attempt(() => takingsAsTyped(session, lines)));
}

export async function planCuttingAction(postKey: string, number: number) {
  return asMember((session) => planCutting(session, postKey, number));
}

export async function stopPlanningAction(postKey: string, number: number) {
  return asMember((session) => stopPlanning(session, postKey, number));
}

export async function cancelBatchAction(postKey: string, number: number) {
  return asMember((session) => cancelBatch(session, postKey, number));
}

export async function namePartAction(postKey: string, name: string, articleId: string) {
  return asMember((session) => namePart(session, postKey, name, articleId));
}

export async function setBenchHoursAction(postKey: string, input: BenchHoursInput) {
  return asMember((session) => setBenchHours(session, postKey, input));
}

export async function watchPlanningAction(number: number) {
  return asMember((session) => attempt(() => watchPlanning(session, number)));
}

export async function takeUpAgainAction(postKey: string, number: number) {
  return asMember((session) => takeUpAgain(session, postKey, number));
}

export async function cutWireAction(postKey: string, number: number, input: CutWireInput) {
  return asMember((session) => cutWire(session, postKey, number, input));
}

export async function cutAsPlannedAction(postKey: string, number: number) {
  return asMember((session) => cutAsPlanned(session, postKey, number));
}

export async function logMiscutAction(postKey: string, number: number, input: MiscutInput) {
  return asMember((session) => logMiscut(session, postKey, number, input));
}

export async function undoCutAction(postKey: string, number: number) {
  return asMember((session) => undoCut(session, postKey, number));
}

export async function watchTableAction(number: number) {
  return asMember((session) => attempt(() => watchTable(session, number)));
}
