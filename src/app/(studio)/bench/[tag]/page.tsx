import { cutLength } from '@/core/pattern/pattern';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { BesidePicture } from '@/ui/SmallPicture';
import { Link } from '@/ui/Link';
import { tag } from '@/core/tag';
import { describeSpec } from '@/core/wire/spec';
import { proposeMaking } from '@/studio/making/proposeMaking';
import type { PartProposal } from '@/studio/making/proposeParts';
import { Length } from '@/ui/lengths';
import { pageMember } from '../../../lib/member';
import { orNotFound, tagParam } from '../../../lib/tagParam';
import { BeginSitting } from '../BeginSitting';
import { MakeForm } from './MakeForm';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: `Make ${(await params).tag}` };
}

export default async function MakePage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const proposal = orNotFound(await proposeMaking(session, await tagParam('pattern', params)));
  const { pattern, cuts, parts, shortages, learned } = proposal;
  const label = tag('pattern', pattern.number);
  const size = ringSizeOf(pattern.body);
  const enough = shortages.length === 0;
  return (
    <>
      <BesidePicture of="pattern" number={pattern.number} name={pattern.name}>
        <h1 className="[overflow-wrap:anywhere]">
          {enough
            ? `${cuts.length} ${cuts.length === 1 ? 'wire' : 'wires'} to cut for “${pattern.name}”`
            : `Not enough wire for “${pattern.name}”`}
        </h1>
        <p className="muted mt-1">
          <Link href={`/patterns/${label}`} className="link">
            {label}
          </Link>
          , revision {pattern.revision}
          {size !== undefined && `, ${size}`}
        </p>
      </BesidePicture>
      {parts.some(isShort) && (
        <div role="status" className="mt-3 border-l-4 border-warning bg-base-100 p-3">
          <ul className="space-y-1">
            {parts.filter(isShort).map(({ part, name, count, picks }) => (
              <li key={part}>
                {count} × {name}:{' '}
                {fromDrawers(picks) === 0
                  ? 'none in the drawers under that name'
                  : `${fromDrawers(picks)} in the drawers`}
                .
              </li>
            ))}
          </ul>
        </div>
      )}
      {!enough && (
        <div role="alert" className="mt-3 border-l-4 border-error bg-error/10 p-3">
          <ul className="space-y-1 font-semibold">
            {shortages.map(({ specId, spec, missing, cuts: count, longestCut, longestInStock }) => (
              <li key={specId}>
                <Length of={missing} /> short of {spec ? describeSpec(spec) : 'a wire'}:{' '}
                {count === 1 ? 'one cut finds' : `${count} cuts find`} no length to come from
                {longestInStock < longestCut && longestInStock > 0 && (
                  <>
                    {' '}
                    (<Length of={longestCut} /> is wanted in one; the longest on the rack is{' '}
                    <Length of={longestInStock} />)
                  </>
                )}
                {longestInStock === 0 && ' (there is none on the rack)'}.
              </li>
            ))}
          </ul>
        </div>
      )}
      {pattern.body.steps.length > 0 && enough && (
        <BeginSitting
          of={{ number: pattern.number, revision: pattern.revision }}
          learned={learned.flatMap(({ cutIndex, length }) => {
            const cut = pattern.body.cuts[cutIndex];
            return cut && cutLength(cut) !== length
              ? [{ count: cut.count, planned: cutLength(cut), length }]
              : [];
          })}
        />
      )}
      <MakeForm proposal={proposal} />
    </>
  );
}

const fromDrawers = (picks: PartProposal['picks']): number =>
  picks.reduce((sum, { from, count }) => (from === null ? sum : sum + count), 0);

/** Whether the drawers have fewer of a part than the piece takes. */
const isShort = ({ picks, count }: PartProposal): boolean => fromDrawers(picks) < count;
