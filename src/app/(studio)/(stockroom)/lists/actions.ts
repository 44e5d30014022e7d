'use server';

import { asMember } from '@/app/lib/member';
import type { Mapping } from '@/studio/lists/importFile';
import { cancelImport, mapImport, openImport, postImport, showImport } from '@/studio/lists/importList';

export async function openImportAction(list: string, fileName: string, content: string) {
  return asMember((session) => openImport(session, list, fileName, content));
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
