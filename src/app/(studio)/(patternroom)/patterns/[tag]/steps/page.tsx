import { Link } from '@/ui/Link';
import { isRing } from '@/core/pattern/drawnParts';
import { tag } from '@/core/tag';
import { showPattern } from '@/studio/patterns/patterns';
import { workedSteps } from '@/studio/pictures/pictures';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { type Search } from '@/app/lib/search';
import { StepByStep } from './StepByStep';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: `${(await params).tag}, step by step` };
}

/** The order of work of a pattern, one step at a time, to be read at arm’s length. */
export default async function StepsPage({ params, searchParams }: { params: Params; searchParams: Search }) {
  const { session } = await pageMember();
  const { number, name, body, specs } = orNotFound(
    await showPattern(session, await tagParam('pattern', params)),
  );
  const { step } = await searchParams;
  const label = tag('pattern', number);
  return (
    <>
      <p className="muted">
        <Link href={`/patterns/${label}`} className="link">
          {name}
        </Link>{' '}
        · {label}
      </p>
      <StepByStep
        label={label}
        steps={workedSteps(body, specs).map(({ seen, ...step }) => ({
          ...step,
          seen: seen && { isRing: isRing(seen.part) },
        }))}
        piece={
          body.composition
            ? { composition: body.composition, specs, parts: body.parts.map((part) => ({ name: part.name })) }
            : null
        }
        begin={Number(step) || 1}
      />
    </>
  );
}
