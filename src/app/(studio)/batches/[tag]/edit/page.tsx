import { tag } from '@/core/tag';
import { showBatch } from '@/studio/batches/batches';
import { pageMember } from '../../../../lib/member';
import { orNotFound, tagParam } from '../../../../lib/tagParam';
import { BatchForm } from '../../BatchForm';
import { lineTexts } from '@/app/lib/batchLines/lineTexts';
import { batchFormData } from '../../batchFormData';

export const metadata = { title: 'Change a batch' };

export default async function EditBatchPage({ params }: { params: Promise<{ tag: string }> }) {
  const { session } = await pageMember();
  const batch = orNotFound(await showBatch(session, await tagParam('batch', params)));
  const { number, version, name, dueOn, notes, lines } = batch;
  const data = await batchFormData(
    session,
    lines.flatMap(({ wanted }) => wanted.stone ?? []),
  );
  return (
    <>
      <h1 className="[overflow-wrap:anywhere]">What is to be made for “{name}”?</h1>
      <p className="muted mt-1">{tag('batch', number)}</p>
      <BatchForm
        base={{ number, version }}
        defaultValues={{ name, dueOn: dueOn ?? '', notes, lines: lines.map(lineTexts) }}
        {...data}
      />
    </>
  );
}
