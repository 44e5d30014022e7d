import { groupBy } from '@/core/groupBy';
import { learnSpring, type SpringLearned } from '@/core/learning/springBack';
import { usualSpring } from '@/core/wire/spring';
import type { WireSpec } from '@/core/wire/spec';
import type { Id } from '@/core/id';
import type { Tx } from '@/data/inStudio';
import { measuredBendsSql } from '@/data/sql/logbook';

/** So many of the latest turns tell how much a wire springs open. */
const LATEST = 60;
const DAY_MS = 86_400_000;

/** What is measured of how much some wires spring open, by their ids; those of which nothing was are left out. */
export async function springsOf(
  tx: Tx,
  specs: Iterable<Pick<WireSpec, 'temper'> & { readonly id: Id<'article'> }>,
): Promise<Readonly<Record<string, Pick<SpringLearned, 'value' | 'own' | 'others'>>>> {
  const known = [...specs];
  const rows = await tx.rows(measuredBendsSql, { specIds: known.map(({ id }) => id), most: LATEST });
  const bySpec = groupBy(
    rows.map(({ madeAt, ...row }) => ({
      ...row,
      age: (tx.session.now.getTime() - madeAt.getTime()) / DAY_MS,
    })),
    ({ specId }) => specId,
  );
  return Object.fromEntries(
    known.flatMap(({ id, temper }) => {
      const bends = bySpec.get(id) ?? [];
      const learned = learnSpring(
        bends.filter(({ own }) => own),
        bends.filter(({ own }) => !own),
        usualSpring(temper),
      );
      return learned ? [[id, { value: learned.value, own: learned.own, others: learned.others }]] : [];
    }),
  );
}
