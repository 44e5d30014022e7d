import { pageMember } from '../../../lib/member';
import { EmptyPlace } from '@/ui/EmptyPlace';
import { asked, type Search } from '@/app/lib/search';
import { NewBatchQuery } from '@/studio/batches/batches.input';
import { EMPTY_LINE, type BatchLineInput } from '@/studio/batches/planBatch.input';
import { BatchForm } from '../BatchForm';
import { batchFormData } from '../batchFormData';

export const metadata = { title: 'Plan a batch' };

export default async function NewBatchPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { due = '', pieces = '' } = await asked(searchParams, NewBatchQuery);
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
      <BatchForm
        base={null}
        defaultValues={{ name: '', dueOn: due, notes: '', lines: linesFrom(pieces) }}
        {...data}
      />
    </>
  );
}

/** "12x3.7x1" in the address: three of pattern 12 and one of pattern 7. */
function linesFrom(pieces: string): BatchLineInput[] {
  const lines = pieces.split('.').flatMap((each): BatchLineInput[] => {
    const [, pattern, count] = /^(\d{1,8})x(\d{1,3})$/.exec(each) ?? [];
    return pattern && count ? [{ ...EMPTY_LINE, pattern, count }] : [];
  });
  return lines.length > 0 ? lines : [EMPTY_LINE];
}
