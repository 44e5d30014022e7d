'use client';

import { cutLength } from '@/core/pattern/pattern';
import type { Said, Sitting } from '@/core/bench/sitting';
import { roundSpan } from '@/core/ruler';
import { um, type Micrometres } from '@/core/units/length';
import { Reckoned } from '@/ui/lengths';
import { MarkedWire } from '@/ui/craft/MarkedWire';
import { Ruler } from '@/ui/Ruler';
import { WireChip } from '@/ui/WireChip';
import { BegunAt } from '../../BegunAt';
import { SpoolsFirst } from './WeighSpool';
import { WhichRound } from './WhichRound';
import type { ShownSitting } from './shown';

type View = ShownSitting['view'];

/** So many wires of a cut out of one length of stock. */
interface FromOne {
  readonly source: string;
  readonly length: Micrometres;
  readonly count: number;
}

/** Where the wires of a cut come from, over all pieces of the sitting. */
function fromWhere({ pieces, sources }: View, cutIndex: number): readonly FromOne[] {
  const found = new Map<string, FromOne>();
  for (const wire of pieces.flatMap(({ wires }) => wires).filter((each) => each.cutIndex === cutIndex)) {
    const source = sources[wire.from] ?? '';
    const key = `${source} ${wire.length}`;
    found.set(key, { source, length: wire.length, count: (found.get(key)?.count ?? 0) + 1 });
  }
  return [...found.values()];
}

/** How long a wire was meant to be cut when the sitting began. */
const lengthOf = ({ pieces }: View, cutIndex: number): Micrometres | undefined =>
  pieces.flatMap(({ wires }) => wires).find((each) => each.cutIndex === cutIndex)?.length;

/** That a wire is cut to something else than is planned, and why; nothing where it is cut as planned. */
function AsLearned({ planned, length }: { planned: Micrometres; length: Micrometres | undefined }) {
  if (length === undefined || length === planned) return null;
  return (
    <p className="border-l-4 border-base-content pl-3">
      <Reckoned of={planned} cut /> is planned; by what your log says,{' '}
      <span className="font-semibold">
        <Reckoned of={length} cut />
      </span>{' '}
      comes cheapest on the average.
    </p>
  );
}

/** All that is wanted at the bench before the first step: every wire with its marks, and what it comes from; stones, beads and findings. */
export function LayOut({
  view,
  sitting,
  say,
}: {
  view: View;
  sitting: Sitting;
  say: (...said: readonly Said[]) => void;
}) {
  const { cuts, specs, parts, count, batch } = view;
  const laidOut = view.pieces.flatMap(({ wires }) => wires.map(({ length }) => length));
  const span = roundSpan(um(Math.max(...cuts.map(cutLength), ...laidOut, 50_000)));
  return (
    <div className="mt-4 space-y-4">
      <BegunAt drift={view.drift} ring={view.ring} />
      <section className="leaf runs-on p-4">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2>{batch ? 'Wires out of the tray' : 'Cut these'}</h2>
          <p className="muted">Hold both sides of the wire when you cut: ends fly. Wear eye protection.</p>
        </div>
        <div className="mt-2 hidden lg:block">
          <Ruler span={span} label="Ruler for the wires" />
        </div>
        <ol className="divide-y divide-base-300">
          {cuts.map((cut, cutIndex) => {
            const spec = specs[cut.specId];
            return (
              <li key={cutIndex} className="py-3">
                <MarkedWire
                  cut={cut}
                  spec={spec}
                  span={span}
                  times={count}
                  length={batch ? undefined : lengthOf(view, cutIndex)}
                />
                {!batch && <AsLearned planned={cutLength(cut)} length={lengthOf(view, cutIndex)} />}
                <p className="flex flex-wrap items-center gap-x-4">
                  {spec && <WireChip spec={spec} />}
                  {fromWhere(view, cutIndex).map(({ source, length, count: many }) => (
                    <span key={`${source} ${length}`}>
                      {many} {batch ? 'lying as' : 'from'} <strong>{source}</strong>
                    </span>
                  ))}
                </p>
              </li>
            );
          })}
        </ol>
      </section>
      {!batch && <SpoolsFirst view={view} sitting={sitting} say={say} />}
      <WhichRound view={view} sitting={sitting} say={say} />
      {parts.length > 0 && (
        <section className="leaf p-4">
          <h2>Lay beside them</h2>
          <ul className="mt-1">
            {parts.map(({ name, count: each }) => (
              <li key={name}>
                <span className="font-semibold">{each * count} ×</span> {name}
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
