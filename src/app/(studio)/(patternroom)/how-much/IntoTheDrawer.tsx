import { findingsMade } from '@/core/plan/findingsMade';
import type { Texts } from '@/core/parameter/readTexts';
import { minutesOfPlan, type AnyTechnique, type Plan } from '@/core/technique/technique';
import { cutLengthOf } from '@/core/plan/totals';
import { formatToCut, um } from '@/core/units/length';
import { Link } from '@/ui/Link';
import { useLengths } from '@/ui/lengths';

/** Findings of one wire go into the drawer with what they took. */
export function IntoTheDrawer({
  technique,
  plan,
  texts,
}: {
  technique: AnyTechnique;
  plan: Plan;
  texts: Texts;
}) {
  const { system } = useLengths();
  const made = findingsMade(technique.id, texts);
  if (!made || new Set(plan.cuts.map(({ wire }) => wire)).size !== 1) return null;
  const length = plan.cuts.reduce((sum, cut) => sum + cut.count * cutLengthOf(cut), 0);
  const address = new URLSearchParams({
    finding: made.finding,
    count: String(made.count),
    length: formatToCut(um(Math.round(length)), system),
    minutes: String(Math.round(minutesOfPlan(plan))),
  });
  return (
    <Link href={`/findings/make?${address.toString()}`} className="btn no-print mr-3">
      {made.count === 1
        ? `Put this ${made.finding} in the drawer`
        : `Put these ${made.count} ${made.finding}s in the drawer`}
    </Link>
  );
}
