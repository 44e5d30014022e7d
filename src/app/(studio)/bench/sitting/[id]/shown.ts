import type { Said, Sitting } from '@/core/bench/sitting';
import type { Station } from '@/core/bench/stations';
import type { InsideWanted } from '@/core/pattern/insidesWanted';
import type { PatternCut } from '@/core/pattern/pattern';
import type { WorkedStep } from '@/core/pattern/stepByStep';
import type { SittingView } from '@/studio/sittings/sittings';
import type { Turnable } from '@/ui/craft/StepSeen';

/** A step of the work as it is shown: its picture comes by itself. */
export type ShownStep = Omit<WorkedStep, 'seen'> & {
  readonly seen: { readonly isRing: boolean } | undefined;
};

/** A sitting as its page shows it. */
export interface ShownSitting {
  readonly view: Omit<SittingView, 'body'> & {
    readonly name: string;
    readonly isRing: boolean;
    /** The ring size that it is made for, as it is said; undefined for what is no ring. */
    readonly ring: string | undefined;
    /** What of it is bent round mandrels. */
    readonly insides: readonly InsideWanted[];
    readonly cuts: readonly PatternCut[];
    readonly parts: readonly { readonly name: string; readonly count: number }[];
  };
  readonly steps: readonly ShownStep[];
  /** What its pictures are asked by: the tag of its pattern, or of its batch with the line. */
  readonly picture: string;
  /** What is turned in the round; null when there is no picture. */
  readonly piece: Turnable | null;
}

/** What a piece is looked over with. */
export interface InspectProps {
  readonly view: ShownSitting['view'];
  readonly piece: number;
  readonly sitting: Sitting;
  readonly say: (...said: readonly Said[]) => void;
}

/** What a piece of the sitting is called; nothing where there is only one. */
export const pieceCalled = (piece: number | null, count: number): string =>
  piece === null || count === 1 ? '' : `piece ${piece + 1} of ${count}`;

/** What a station is called. */
export function stationCalled(station: Station, steps: readonly ShownStep[]): string {
  switch (station.kind) {
    case 'layOut':
      return 'Lay out and cut';
    case 'step':
      return steps[station.step]?.name ?? '';
    case 'inspect':
      return 'Look it over';
    case 'finish':
      return 'To the shelf';
  }
}
