import { calledInFull } from '@/core/pattern/ringSizeOf';
import { BesidePicture } from '@/ui/SmallPicture';
import { Link } from '@/ui/Link';
import { notFound } from 'next/navigation';
import { tag } from '@/core/tag';
import { proposeFromTray } from '@/studio/making/proposeMaking';
import { pageMember } from '../../../../../lib/member';
import { orNotFound, tagParam } from '../../../../../lib/tagParam';
import { BeginSitting } from '../../../../bench/BeginSitting';
import { MakeForm } from '../../../../bench/[tag]/MakeForm';

type Params = Promise<{ tag: string; line: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: `Make a piece of ${(await params).tag}` };
}

export default async function MakeFromTrayPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const { line } = await params;
  if (!/^\d{1,2}$/.test(line)) notFound();
  const proposal = orNotFound(await proposeFromTray(session, await tagParam('batch', params), Number(line)));
  const { pattern, batch } = proposal;
  if (!batch) notFound();
  return (
    <>
      <BesidePicture of="batch" number={batch.number} line={Number(line)} name={pattern.body.name}>
        <h1 className="[overflow-wrap:anywhere]">
          Piece {batch.piece + 1} of {batch.count} of “{calledInFull(pattern.body)}” lies cut in the tray
        </h1>
        <p className="muted mt-1 [overflow-wrap:anywhere]">
          <Link href={`/batches/${tag('batch', batch.number)}`} className="link">
            {tag('batch', batch.number)}
          </Link>{' '}
          {batch.name}
        </p>
      </BesidePicture>
      {pattern.body.steps.length > 0 && (
        <BeginSitting of={{ batch: batch.number, line: batch.line }} ready={batch.ready} />
      )}
      <MakeForm key={batch.piece} proposal={proposal} />
    </>
  );
}
