import { isUUID } from 'class-validator';
import { notFound } from 'next/navigation';
import { isRing } from '@/core/pattern/drawnParts';
import { insidesWanted } from '@/core/pattern/insidesWanted';
import { calledInFull, ringSizeOf } from '@/core/pattern/ringSizeOf';
import { tag } from '@/core/tag';
import { workedSteps } from '@/studio/pictures/pictures';
import { showSitting } from '@/studio/sittings/sittings';
import { stepPicture } from '@/ui/craft/stepPicture';
import { KeepHere } from '@/ui/kept/KeepHere';
import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { MadeHere } from './MadeHere';
import { SittingBench } from './SittingBench';

export const metadata = { title: 'At the bench' };

type Params = Promise<{ id: string }>;

/** One sitting at the bench, a step at a time, to be read at arm’s length. */
export default async function SittingPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const { id } = await params;
  const sitting = isUUID(id) ? await showSitting(session, id) : null;
  if (!sitting) notFound();
  const { body, ...view } = sitting;
  const { pattern, batch, specs } = view;
  const shown = {
    ...view,
    name: body.name,
    isRing: body.kind === 'ring',
    ring: ringSizeOf(body),
    insides: insidesWanted(body),
    cuts: body.cuts,
    parts: body.parts.map(({ name, count }) => ({ name, count })),
  };
  if (view.state !== 'open') return <MadeHere view={shown} />;
  const picture = batch ? `${tag('batch', batch.number)}.${batch.line}` : tag('pattern', pattern.number);
  // Pictures are of the pattern as it is now, or of the line of a batch as it was planned.
  const isSeen = batch !== null || pattern.isNewest;
  const steps = workedSteps(body, specs).map(({ seen, ...step }) => ({
    ...step,
    seen: isSeen ? seen && { isRing: isRing(seen.part) } : undefined,
  }));
  return (
    <>
      <p className="muted [overflow-wrap:anywhere]">
        <Link
          href={
            batch ? `/batches/${tag('batch', batch.number)}` : `/patterns/${tag('pattern', pattern.number)}`
          }
          className="link"
        >
          {calledInFull(body)}
        </Link>{' '}
        · {batch ? tag('batch', batch.number) : tag('pattern', pattern.number)}
      </p>
      <KeepHere
        also={steps.flatMap(({ seen }, step) => (seen ? [stepPicture(picture, step + 1, 'front')] : []))}
      />
      <SittingBench
        view={shown}
        steps={steps}
        picture={picture}
        piece={
          body.composition && isSeen
            ? {
                composition: body.composition,
                specs,
                parts: body.parts.map((part) => ({ name: part.name })),
              }
            : null
        }
      />
    </>
  );
}
