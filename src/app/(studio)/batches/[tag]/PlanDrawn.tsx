import { Link } from '@/ui/Link';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { um, type Micrometres } from '@/core/units/length';
import type { PlanView } from '@/studio/batches/batches';
import type { PlannedBatchCut, PlannedStock } from '@/core/batch/cuttingPlan';
import { CutBar } from '@/ui/CutBar';
import { Length, Reckoned } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { Ruler } from '@/ui/Ruler';
import { WireChip } from '@/ui/WireChip';

const STAYS: Readonly<Record<PlannedStock['leftIs'], string>> = {
  spool: 'stays on it',
  'off-cut': 'stays as an off-cut',
  scrap: 'is scrap',
};

/** How the wires of one spec are cut: every stock piece with its cuts and what stays, to one scale. */
export function PlanDrawn({ view: { spec, plan, saved } }: { view: PlanView }) {
  const span = roundSpan(um(Math.max(...plan.pieces.map(spanOf), 50_000)));
  const cuts = plan.pieces.reduce((sum, piece) => sum + piece.cuts.length, 0);
  const lessWaste = um(Math.max(0, plan.byEye.waste - plan.waste));
  return (
    <section className="leaf p-4 print:break-inside-avoid">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <WireChip spec={spec} />
        <p>
          {cuts} {cuts === 1 ? 'cut' : 'cuts'} from {plan.pieces.length}{' '}
          {plan.pieces.length === 1 ? 'length' : 'lengths'};{' '}
          {plan.waste > 0 ? (
            <>
              <Length of={plan.waste} short /> of scrap
            </>
          ) : (
            'no scrap'
          )}
        </p>
      </div>
      <p className="muted mt-1 text-sm">
        {lessWaste > 0 && (
          <>
            By eye there would be <Length of={lessWaste} short /> more scrap
            {saved !== null && saved > 0 && (
              <>
                , and <Cost of={saved} /> more would be used up
              </>
            )}
            .{' '}
          </>
        )}
        {plan.method === 'best fit'
          ? 'There was no time for a better plan than by eye.'
          : plan.optimal
            ? 'No plan is better than this one.'
            : `No plan is better by more than ${(plan.gap * 100).toFixed(2)} %.`}
      </p>
      {plan.pieces.length > 0 && (
        <>
          <div className="mt-2">
            <Ruler span={span} label={`Ruler for the cuts of ${spec.label.number} ${spec.metal}`} />
          </div>
          <ol className="divide-y divide-base-300" aria-label="What is cut from what">
            {plan.pieces.map((piece) => (
              <li key={piece.id} className="py-2">
                <p className="flex flex-wrap items-baseline gap-x-3">
                  <Link href={`/rack/${tag('wire', piece.number)}`} className="link font-semibold">
                    {tag('wire', piece.number)}
                  </Link>
                  <span className="muted">
                    {piece.form}
                    {piece.place && `, ${piece.place}`}
                  </span>
                  <span className="ml-auto text-sm">
                    {piece.left > 0 ? (
                      <>
                        <Length of={piece.left} short /> {STAYS[piece.leftIs]}
                      </>
                    ) : (
                      'used up'
                    )}
                  </span>
                </p>
                <CutBar
                  spec={spec}
                  cuts={piece.cuts.map(({ length }) => length)}
                  left={piece.left}
                  leftIs={piece.leftIs}
                  span={span}
                />
                <p className="text-sm">
                  <Grouped cuts={piece.cuts} />
                </p>
              </li>
            ))}
          </ol>
        </>
      )}
      {plan.unmet.length > 0 && (
        <p className="mt-2 border-l-4 border-error bg-error/10 p-2 text-sm font-semibold">
          No wire for <Grouped cuts={plan.unmet} />.
        </p>
      )}
    </section>
  );
}

/** A spool is drawn as far as it is cut and a bit on; an off-cut whole. */
const spanOf = ({ cuts, left, leftIs }: PlannedStock): Micrometres => {
  const cut = cuts.reduce((sum, { length }) => sum + length, 0);
  return um(leftIs === 'spool' ? cut + Math.min(left, Math.ceil(cut / 10)) : cut + left);
};

/** "6 × 98 mm and 2 × 140 mm", longest first. */
function Grouped({ cuts }: { cuts: readonly PlannedBatchCut[] }) {
  const counts = new Map<Micrometres, number>();
  for (const { length } of cuts) counts.set(length, (counts.get(length) ?? 0) + 1);
  const groups = [...counts].sort(([a], [b]) => b - a);
  return groups.map(([length, count], index) => (
    <span key={length}>
      {index > 0 && (index === groups.length - 1 ? ' and ' : ', ')}
      {count > 1 && `${count} × `}
      <Reckoned of={length} cut />
    </span>
  ));
}
