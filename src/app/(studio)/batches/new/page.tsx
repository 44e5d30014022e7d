import { pageMember } from '../../../lib/member';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { BatchForm, EMPTY_BATCH } from '../BatchForm';
import { batchFormData } from '../batchFormData';

export const metadata = { title: 'Plan a batch' };

export default async function NewBatchPage() {
  const { session } = await pageMember();
  const data = await batchFormData(session);
  if (data.patterns.length === 0)
    return (
      <EmptyPlace
        title="No pattern to plan with yet"
        next={{ href: '/patterns', text: 'To the pattern room' }}
      >
        A batch is made of pieces, and each piece is made from a pattern. Write or compose one first.
      </EmptyPlace>
    );
  return (
    <>
      <h1>What is to be made, until when?</h1>
      <BatchForm base={null} defaultValues={EMPTY_BATCH} {...data} />
    </>
  );
}
