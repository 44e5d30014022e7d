import { databaseAnswers } from '@/data/beforeStudio';

/** Whether the studio can be worked in: its database answers. */
export async function isStudioAnswering(): Promise<boolean> {
  try {
    return await databaseAnswers();
  } catch {
    return false;
  }
}
