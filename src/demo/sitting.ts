import type { Said } from '@/core/bench/sitting';
import { patternChoices, showPattern } from '@/studio/patterns/patterns';
import { beginSitting } from '@/studio/sittings/beginSitting';
import { hearWords } from '@/studio/sittings/hearWords';
import type { StudioSession } from '@/studio/kernel/useCase';
import { keyOf } from './keyOf';
import { DEMO_SITTING } from './ids';
import { taken } from './taken';

const PATTERN = 'Kelp cradle';
const MINUTE = 60_000;

/** What was said of it so far: two are worked together, and one waits for its next step. */
const SAID: readonly Said[] = [
  { kind: 'worked', slot: 0, ms: 7 * MINUTE },
  { kind: 'worked', slot: 1, ms: 2.5 * MINUTE },
  { kind: 'worked', slot: 2, ms: 3.2 * MINUTE },
  { kind: 'worked', slot: 3, ms: 4 * MINUTE },
  { kind: 'noted', piece: 0, text: 'A little more play at the horn next time.' },
  { kind: 'at', at: 4 },
];

/** Begins to work two pieces at the bench, and leaves them there. */
export async function beginDemoSitting(session: StudioSession): Promise<void> {
  const pattern = (await patternChoices(session)).find(({ name }) => name === PATTERN);
  if (!pattern) throw new Error(`nobody composed the “${PATTERN}”`);
  const { number } = pattern;
  const revision = (await showPattern(session, number))?.revision ?? 1;
  taken(await beginSitting(session, DEMO_SITTING, { number, revision }, { count: '2', cutTo: 'planned' }));
  const words = SAID.map((said, index) => ({ id: keyOf(`word ${index} of ${PATTERN}`), said }));
  taken(await hearWords(session, DEMO_SITTING, words));
}
