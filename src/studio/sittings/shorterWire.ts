import type { Id } from '@/core/id';
import type { ShortWire } from '@/core/pattern/shorterCourse';
import { UM_PER_MM } from '@/core/units/length';
import { runJob } from '../jobs/runJob';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, look, type StudioSession } from '../kernel/useCase';
import { LOOK_FOR_SHORTER } from '../patterns/jobs';
import { specsOf } from '../patterns/patterns';
import { settingsIn } from '../settings/settings';
import { sittingIn } from './sittings';
import { ShortWireInput } from './sittings.input';

/**
 * What a piece of a sitting can do with a wire that was cut too short. Of a pattern that is no composition only what stays in the piece is known.
 * @throws Refused for a length that cannot be read, and for what the sitting does not have
 */
export function shorterWire(
  session: StudioSession,
  sittingId: Id<'sitting'>,
  plain: object,
): Promise<Outcome<ShortWire>> {
  return attempt(async () => {
    const { cutIndex, length } = await readInput(ShortWireInput, plain);
    const { kept, specs, system } = await look(session, async (tx) => {
      const found = await sittingIn(tx, sittingId);
      if (!found) throw refused('There is no such sitting any more.');
      return {
        kept: found,
        specs: await specsOf(tx, [found.body]),
        system: (await settingsIn(tx)).lengthSystem,
      };
    });
    const cut = kept.body.cuts[cutIndex];
    if (!cut) throw refused('This sitting has no such wire.');
    const { composition } = kept.body;
    const found =
      composition &&
      (await runJob(
        LOOK_FOR_SHORTER,
        { composition, specs, short: { cutIndex, length: length / UM_PER_MM, system } },
        session,
      ));
    return found ?? { stays: cut.net, courses: [] };
  });
}
