'use server';

import { action } from '@/app/lib/action';
import { aForm, aText } from '@/studio/kernel/arguments';
import { enterSalesFile, lookAtSalesFile } from '@/studio/selling/salesFile';
import type { SalesFileInput } from '@/studio/selling/salesFile.input';

/** The longest file, in base64: some thousands of rows. */
const aFile = aText(900_000);

export const lookAtSalesFileAction = action([aFile], lookAtSalesFile);

export const enterSalesFileAction = action([aFile, aForm<SalesFileInput>()], enterSalesFile);
