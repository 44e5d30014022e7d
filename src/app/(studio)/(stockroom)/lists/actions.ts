'use server';

import { action, question } from '@/app/lib/action';
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
import { aForm, aMap, anId, aNumber, anyOf, aText } from '@/studio/kernel/arguments';

/** The most characters of a file in base 64: a little more than the 12 MB that a request may have. */
const MOST_FILE = 14_000_000;

export const openImportAction = action(
  [aText(40), aText(400), aText(MOST_FILE)],
  (session, list, fileName, base64) => openImport(session, list, fileName, { base64 }),
);

export const answerImportAction = action([anId, aForm<AnswerImportInput>()], answerImport);

export const mendImportAction = action([anId, aForm<MendImportInput>()], mendImport);

export const watchImportAction = question([anId], showImport);

/** The place of a column in a file, or less than nothing for one that it lacks. */
const aColumn = (given: unknown): number | undefined => (given === -1 ? -1 : aNumber(given));

export const mapImportAction = action([anId, aMap(aColumn, 200)], (session, id, mapping) =>
  mapImport(session, id, mapping),
);

export const postImportAction = action([anId, anyOf(['good rows', 'all or none'])], postImport);

export const cancelImportAction = action([anId], cancelImport);
