import { Link } from '@/ui/Link';
import { cutKey, type CutOfBatch } from '@/core/batch/batch';
import { roundSpan } from '@/core/ruler';
import { tag } from '@/core/tag';
import { um } from '@/core/units/length';
import { CuttingTableQuery } from '@/studio/batches/batches.input';
import { showCuttingTable, type CuttingTable } from '@/studio/cuttingTable/cuttingTable';
import { Fold } from '@/ui/Fold';
import { Length, Reckoned } from '@/ui/lengths';
import { Ruler } from '@/ui/Ruler';
import { WireChip } from '@/ui/WireChip';
import { pageMember } from '../../../../lib/member';
import { asked, type Search } from '@/app/lib/search';
import { orNotFound, tagParam } from '../../../../lib/tagParam';
import { Planning } from '../Planning';
import { AllAsPlanned } from './AllAsPlanned';
import { CutNext } from './CutNext';
import { MiscutForm } from './MiscutForm';
import { UndoCut } from './UndoCut';
import { WatchTable } from './WatchTable';

interface Props {
  params: Promise<{ tag: string }>;
  searchParams: Search;
}

export async function generateMetadata({ params }: Props) {
  return { title: `Cut ${(await params).tag}` };
}

export default async function CutPage({ params, searchParams }: Props) {
  const { session } = await pageMember();
  const number = await tagParam('batch', params);
  const table = orNotFound(
    await showCuttingTable(session, number, chosenWire((await asked(searchParams, CuttingTableQuery)).wire)),
  );
  const { name, state, planning, said, stalled, next, rest, acts, mark } = table;
  const label = tag('batch', number);
  const open = rest.reduce((sum, { stock }) => sum + stock.cuts.length, 0);
  return (
    <>
      <WatchTable number={number} mark={mark} />
      <h1 className="[overflow-wrap:anywhere]" aria-live="polite">
        {headline(table)}
      </h1>
      <p className="muted mt-1 [overflow-wrap:anywhere]">
        <Link href={`/batches/${label}`} className="link">
          {label}
        </Link>{' '}
        {name}
      </p>
      {state === 'open' && (isAdrift(planning) || (table.done < table.all && !next)) && (
        <div className="mt-4">
          <Planning key={planning} number={number} standing={{ planning, said, stalled }} />
        </div>
      )}
      {next && planning === 'working' && (
        <p role="status" className="mt-3 border-l-4 border-warning bg-warning/10 p-3">
          The rest of a wire is being planned again; what is planned can be cut meanwhile.
        </p>
      )}
      {next && (
        <section className="leaf bench mt-4 p-4" aria-label="The next cut">
          <div className="hidden sm:block">
            <Ruler span={roundSpan(um(Math.max(next.cut.length, 50_000)))} label="Ruler for the cut" />
          </div>
          <CutNext key={`${cutKey(next.cut)} ${next.stock.id}`} number={number} next={next} />
        </section>
      )}
      {table.unmet.length > 0 && (
        <p className="mt-3 border-l-4 border-error bg-error/10 p-3 font-semibold">
          {table.unmet.length} {table.unmet.length === 1 ? 'wire finds' : 'wires find'} nothing to be cut
          from.{' '}
          <Link href={`/batches/${label}`} className="link">
            What is short, and what would do instead
          </Link>
        </p>
      )}
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-2">
        {open > 0 && <StillToCut table={table} />}
        <section className="leaf p-4">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2>Done last</h2>
            {acts.length > 0 && state === 'open' && <UndoCut number={number} />}
          </div>
          {acts.length === 0 && <p className="muted mt-2">Nothing is cut yet.</p>}
          <ol className="mt-2 divide-y divide-base-300" aria-label="Done last">
            {acts.map(({ act, kind, name: what, length, reason, from, became, who }) => (
              <li key={act} className="flex flex-wrap items-baseline gap-x-3 py-1.5">
                <span className="font-semibold">
                  <Length of={length} short />
                </span>
                <span className="min-w-0 [overflow-wrap:anywhere]">
                  {kind === 'cut' ? what : `mis-cut: ${reason}`}
                </span>
                <span className="muted ml-auto text-sm">
                  {tag('wire', from)}
                  {became !== null && (
                    <>
                      {' '}
                      →{' '}
                      <Link href={`/rack/${tag('wire', became)}`} className="link">
                        {tag('wire', became)}
                      </Link>
                    </>
                  )}
                  , {who}
                </span>
              </li>
            ))}
          </ol>
          {state === 'open' && next && (
            <div className="no-print mt-3 border-t border-base-300">
              <Fold title="A mis-cut">
                <MiscutForm key={next.stock.id} number={number} from={tag('wire', next.stock.number)} />
              </Fold>
              <Fold title="It was all cut by the sheet">
                <AllAsPlanned number={number} cuts={open} />
              </Fold>
            </div>
          )}
        </section>
      </div>
    </>
  );
}

/** Whether the plan does not stand any more: what it was made from is gone. */
const isAdrift = (planning: CuttingTable['planning']): boolean =>
  planning === 'stale' || planning === 'failed';

/** What the table says at its top. */
function headline({ state, next, done, all, planning, unmet, name }: CuttingTable) {
  if (state !== 'open') return `“${name}” is ${state}: nothing is to be cut`;
  if (next)
    return (
      <>
        Cut {done + 1} of {all}: <Reckoned of={next.cut.length} cut /> from {tag('wire', next.stock.number)}
      </>
    );
  if (done >= all) return `All ${all} wires are cut and lie in the tray`;
  if (planning === 'working') return `${done} of ${all} wires are cut; the rest is being planned`;
  if (unmet.length > 0) return `${done} of ${all} wires are cut; for the others there is no wire`;
  return `${done} of ${all} wires are cut; the others are not planned`;
}

/** "1.0.2.0" in the address: the wire that is to be cut first. */
function chosenWire(text: string | undefined): CutOfBatch | undefined {
  const [line, piece, cutIndex, copy] = (text ?? '').split('.').map(Number);
  if (![line, piece, cutIndex, copy].every(Number.isSafeInteger)) return undefined;
  return { line: line ?? 0, piece: piece ?? 0, cutIndex: cutIndex ?? 0, copy: copy ?? 0 };
}

/** Everything that is to be cut still; any of it can come first. */
function StillToCut({ table: { number, rest, next } }: { table: CuttingTable }) {
  return (
    <section className="leaf p-4">
      <h2>Still to cut</h2>
      <ol className="mt-2 divide-y divide-base-300" aria-label="Still to cut">
        {rest.slice(0, SHOWN).map(({ spec, stock }) => (
          <li key={stock.id} className="py-2">
            <p className="flex flex-wrap items-center gap-x-3">
              <span className="font-semibold">{tag('wire', stock.number)}</span>
              <WireChip spec={spec} />
              <span className="muted text-sm">
                {stock.form}
                {stock.place && `, ${stock.place}`}
              </span>
            </p>
            <p className="mt-1 flex flex-wrap gap-1.5">
              {stock.cuts.map((cut) => {
                const isNext = next !== undefined && cutKey(next.cut) === cutKey(cut);
                return (
                  <Link
                    key={cutKey(cut)}
                    href={`/batches/${tag('batch', number)}/cut?wire=${cutKey(cut)}`}
                    className={`btn btn-sm min-h-11 ${isNext ? 'btn-active' : ''}`}
                    title={cut.name}
                    aria-current={isNext || undefined}
                  >
                    <Reckoned of={cut.length} cut />
                  </Link>
                );
              })}
            </p>
          </li>
        ))}
      </ol>
      {rest.length > SHOWN && (
        <p className="muted mt-2">and {rest.length - SHOWN} stock pieces more; they come after these.</p>
      )}
    </section>
  );
}

/** Stock pieces that are listed: further on there is nothing to choose yet. */
const SHOWN = 15;
