import { costAt, type PriceFor } from '@/core/costing/unitPrice';
import { USUAL_WORTH } from '@/core/cuttingStock/problem';
import type { Id } from '@/core/id';
import type { CutCosts } from '@/core/learning/cutLength';
import { stillCounts } from '@/core/learning/ruling';
import { learnWire, proposeLength, type CutProposal, type WireMade } from '@/core/learning/wires';
import { usefulMinimumFor } from '@/core/making/settle';
import { minutesOf, wantedCuts, type PatternBody } from '@/core/pattern/pattern';
import { UM_PER_METRE } from '@/core/units/length';
import { COST_UNITS_PER_MINOR } from '@/core/units/money';
import type { Tx } from '@/data/inStudio';
import { measuredWiresSql } from '@/data/sql/logbook';
import { specsById, type KnownSpec } from '../catalogue/wireSpecs';
import type { StudioSession } from '../kernel/useCase';
import { lastMetalPrices } from '../prices/metalPrices';
import { replacementPrices } from '../prices/replacement';
import { scrapWorth } from '../prices/scrapWorth';
import { minimumsOf, settingsIn, type Settings } from '../settings/settings';
import { subjectOf } from './makingLog';
import { rulingsOn } from './rulings';

/** What the log says of a cut of a pattern. */
export interface LearnedCut extends Omit<CutProposal, 'curve'> {
  /** What lengths would cost, in cost units; null for helpers. */
  readonly curve: CutProposal['curve'] | null;
  readonly cutIndex: number;
  /** Makings of this pattern by this maker that it comes from, and makings of others with the same work. */
  readonly own: number;
  readonly others: number;
  /** One's own that lie far from the rest, and count little. */
  readonly wild: number;
  /** Whether the owner said what stays, in place of the log. */
  readonly isRuled: boolean;
}

/** So many of the latest wires are learned from, of one's own and of others: what is older counts next to nothing. */
const LATEST = 150;
const DAY_MS = 86_400_000;
const MINUTES_PER_HOUR = 60;

/**
 * What the log says of the cuts of a pattern, for the maker who asks; cuts of which nothing was measured are left out. A wire that runs out
 * does so half-way through the work, on the average: so much of it is counted as lost.
 */
export async function proposeLengths(
  tx: Tx,
  session: StudioSession,
  patternId: Id<'pattern'>,
  body: Pick<PatternBody, 'cuts' | 'steps'>,
): Promise<LearnedCut[]> {
  const subjects = body.cuts.map((cut) => subjectOf(patternId, cut));
  const rows = await tx.rows(measuredWiresSql, {
    subjects: [...new Set(subjects)],
    patternId,
    userId: session.userId,
    most: LATEST,
  });
  const rulings = await rulingsOn(tx, 'wire', subjects);
  if (rows.length === 0 && subjects.every((subject) => rulings(subject).fixed === null)) return [];
  const settings = await settingsIn(tx);
  const costsOf = await cutCosts(tx, body, settings);
  const wires = (subject: string, own: boolean): WireMade[] =>
    stillCounts(
      rows.filter((row) => row.subject === subject && row.own === own),
      rulings(subject),
    ).map((row) => ({
      ...row,
      making: row.pieceId,
      age: (session.now.getTime() - row.madeAt.getTime()) / DAY_MS,
    }));
  return wantedCuts(body).flatMap((cut): LearnedCut[] => {
    if (cut.copy > 0) return [];
    const subject = subjects[cut.cutIndex] ?? '';
    const { fixed } = rulings(subject);
    const learned = learnWire(wires(subject, true), wires(subject, false), fixed);
    const costs = costsOf(cut.specId);
    if (!learned || !costs) return [];
    const { own, others, wild } = learned;
    const proposed = proposeLength(cut, learned, costs, settings.lengthSystem);
    const curve = session.role === 'owner' ? proposed.curve : null;
    return [
      {
        cutIndex: cut.cutIndex,
        own,
        others,
        wild: wild.length,
        isRuled: fixed !== null,
        ...proposed,
        curve,
      },
    ];
  });
}

/** What cutting a wire of a spec too short or too long costs; nothing of a spec that is gone. */
async function cutCosts(
  tx: Tx,
  body: Pick<PatternBody, 'cuts' | 'steps'>,
  settings: Settings,
): Promise<(specId: string) => CutCosts | undefined> {
  const ids = [...new Set(body.cuts.map(({ specId }) => specId))];
  const [specs, prices, metals] = [
    await specsById(tx, ids),
    await replacementPrices(tx, ids),
    await lastMetalPrices(tx),
  ];
  const hour = (settings.hourlyRate + settings.overheadPerHour) * COST_UNITS_PER_MINOR;
  const undone = (hour * minutesOf(body).each) / 2 / MINUTES_PER_HOUR;
  const minimums = minimumsOf(settings);
  return (specId) => {
    const spec = specs.get(specId);
    return spec && costsOfSpec(spec, prices.get(specId));
  };

  function costsOfSpec(spec: KnownSpec, price: PriceFor | undefined): CutCosts {
    // In cost units a millimetre, which need not be whole.
    const wire = price ? costAt(price, UM_PER_METRE) / 1000 : 0;
    const usefulMinimum = usefulMinimumFor(spec, minimums) / 1000;
    return {
      wire,
      scrap: wire * scrapWorth(spec, price, metals),
      offCutWorth: USUAL_WORTH.offCut,
      usefulMinimum,
      keeping: USUAL_WORTH.keeping * usefulMinimum * wire,
      undone,
    };
  }
}
