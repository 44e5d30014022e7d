import { lineChoices } from '@/app/lib/batchLines/lineChoices';
import type { StudioSession } from '@/studio/kernel/useCase';
import { readSettings } from '@/studio/settings/settings';
import type { BatchFormData } from './BatchForm';

/** What a batch can be planned with. @param own numbers of stones that are set aside for it already */
export async function batchFormData(
  session: StudioSession,
  own: readonly number[] = [],
): Promise<BatchFormData> {
  return {
    ...(await lineChoices(session, own)),
    priceFrom: session.role === 'owner' ? (await readSettings(session)).priceFrom : null,
  };
}
