'use server';

import { asMember } from '@/app/lib/member';
import type { Mapping } from '@/studio/lists/importFile';
import {
  answerImport,
  cancelImport,
  mapImport,
  mendImport,
  openImport,
  postImport,
  showImport,
} from '@/studio/lists/importList';
import type { AnswerImportInput, MendImportInput } from '@/studio/lists/importList.input';

export async function openImportAction(list: string, fileName: string, base64: string) {
  return asMember((session) => openImport(session, list, fileName, { base64 }));
}

export async function answerImportAction(id: string, input: AnswerImportInput) {
  return asMember((session) => answerImport(session, id, input));
}

export async function mendImportAction(id: string, input: MendImportInput) {
  return asMember((session) => mendImport(session, id, input));
}

export async function watchImportAction(id: string) {
  return asMember(async (session) => ({ ok: true as const, value: await showImport(session, id) }));
}

export async function mapImportAction(id: string, mapping: Mapping) {
  return asMember((session) => mapImport(session, id, mapping));
}

export async function postImportAction(id: string, how: 'good rows' | 'all or none') {
  return asMember((session) => postImport(session, id, how));
}

export async function cancelImportAction(id: string) {
  return asMember((session) => cancelImport(session, id));
}
