'use client';

import { roundsFor, type RoundTried } from '@/core/bench/rounds';
import type { Said as Spoken, Sitting } from '@/core/bench/sitting';
import { counted } from '@/core/units/counted';
import { formatDiameter, um } from '@/core/units/length';
import { Field, TextInput } from '@/ui/form/Field';
import { Said } from '@/ui/house';
import { Link } from '@/ui/Link';
import { BentOn } from './BentOn';
import type { ShownSitting } from './shown';
import { springOf } from './springOf';
import { useInside } from './useInside';

/** What of the pattern is bent round mandrels, and which of the studio’s rounds gives an inside diameter once the wire has sprung open. */
export function WhichRound({
  view,
  sitting,
  say,
}: {
  view: ShownSitting['view'];
  sitting: Sitting;
  say: (...said: readonly Spoken[]) => void;
}) {
  const { rounds, insides } = view;
  const { typed, setTyped, read } = useInside();
  return (
    <section className="leaf p-4" aria-label="Which round">
      <h2>Which round?</h2>
      {insides.length > 0 && (
        <ul className="mt-1 divide-y divide-base-300" aria-label="Bent round mandrels">
          {insides.map((bent, index) => {
            const { name, inside } = bent;
            const { spring, from } = springOf(view, bent);
            const [best] = roundsFor(inside, rounds, spring, 1);
            return (
              <li key={index} className="py-1">
                <span className="font-semibold">{name}</span>,{' '}
                <Said>{`${formatDiameter(inside)} inside`}</Said>
                {best && (
                  <>
                    : {isNear(best) ? 'on' : 'nothing near it; nearest is'}{' '}
                    <span className="font-semibold">{best.round.name}</span>, <Said>{cameOut(best)}</Said>
                    {from > 0 && (
                      <span className="muted">
                        , as it springs open by {counted(from, 'bend')} you measured
                      </span>
                    )}
                  </>
                )}
              </li>
            );
          })}
        </ul>
      )}
      {rounds.length === 0 ? (
        <p className="muted mt-1">
          Say in the{' '}
          <Link href="/rules" className="link">
            house rules
          </Link>{' '}
          what you bend on; the nearest is found here.
        </p>
      ) : (
        <>
          <BentOn view={view} sitting={sitting} say={say} />
          <div className="no-print mt-2 max-w-sm">
            <Field
              label="It should be inside"
              error={read?.ok === false ? read.error : undefined}
              hint="A diameter, or a ring size"
            >
              {(ties) => (
                <TextInput
                  {...ties}
                  value={typed}
                  placeholder="12 mm"
                  onChange={({ target }) => setTyped(target.value)}
                />
              )}
            </Field>
          </div>
          {read?.ok && (
            <ol className="mt-2 list-decimal pl-6" aria-label="Nearest rounds">
              {roundsFor(read.value, rounds, springOf(view, undefined).spring).map(
                ({ round, inside, off }) => (
                  <li key={`${round.name} ${round.diameter}`}>
                    <span className="font-semibold">{round.name}</span>{' '}
                    <Said>{`comes out at ${cameOut({ inside, off })}`}</Said>
                  </li>
                ),
              )}
            </ol>
          )}
        </>
      )}
    </section>
  );
}

/** A loop that is so much off is another loop, as a part of what is wanted. */
const NEAR = 0.1;

const isNear = ({ inside, off }: RoundTried): boolean => Math.abs(off) <= NEAR * (inside - off);

/** What a turn comes to, and by how much that is off. */
const cameOut = ({ inside, off }: Pick<RoundTried, 'inside' | 'off'>): string =>
  off === 0
    ? formatDiameter(inside)
    : `${formatDiameter(inside)}, ${formatDiameter(um(Math.abs(off)))} ${off > 0 ? 'wide' : 'narrow'}`;
