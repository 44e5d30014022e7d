import { NOT_RULED } from '@/core/learning/ruling';
import { sayDrift } from '@/core/learning/sayDrift';
import { sayMoreThanPlanned } from '@/core/learning/sayMore';
import { minutesOf, type PatternBody } from '@/core/pattern/pattern';
import type { RulingsOfPattern } from '@/studio/logbook/patternHistory';
import type { SettableFigure } from './SetFigures';

/** What of a pattern may be set against the log. */
export function settable(
  { time, ring, wires }: RulingsOfPattern,
  pattern: number,
  body: Pick<PatternBody, 'cuts' | 'steps'>,
): readonly SettableFigure[] {
  const { each } = minutesOf(body);
  const ofPattern: readonly SettableFigure[] = [
    {
      of: { pattern, figure: 'time' },
      name: 'How long it takes',
      label: 'Minutes of one piece',
      example: '45',
      said: time.fixed === null ? '' : `${Math.round(each * Math.exp(time.fixed))} min`,
      since: time.since,
    },
  ];
  const ofRing = ring
    ? [
        {
          of: { pattern, figure: 'ring' } as const,
          name: 'How its rings come out',
          label: 'US sizes larger than wanted',
          example: '-0.3',
          said: ring.fixed === null ? '' : sayDrift(ring.fixed),
          since: ring.since,
        },
      ]
    : [];
  return [
    ...(each > 0 ? ofPattern : []),
    ...ofRing,
    ...body.cuts.map(({ name }, cutIndex): SettableFigure => {
      const { since, fixed } = wires[cutIndex] ?? NOT_RULED;
      return {
        of: { pattern, figure: 'wire', cutIndex },
        name,
        label: 'Per cent more than planned stays',
        example: '5',
        said: fixed === null ? '' : sayMoreThanPlanned(Math.expm1(fixed)),
        since,
      };
    }),
  ];
}
