import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { asked, type Search } from '@/app/lib/search';
import { thickestThrough, type HoleFinish } from '@/core/bead/holeFit';
import { numberOnTag, tag } from '@/core/tag';
import { formatDiameter, parseLength } from '@/core/units/length';
import { gaugeSize } from '@/core/wire/gauge';
import { beadsForWire, wiresForHole } from '@/studio/holes/holes';
import type { StudioSession } from '@/studio/kernel/useCase';
import { showStockPiece } from '@/studio/wire/rack';
import { Length } from '@/ui/lengths';
import { WireChip } from '@/ui/WireChip';
import { Said } from '@/ui/house';
import { FitQuery } from '@/studio/holes/holes.input';

export const metadata = { title: 'Fit' };

export default async function FitPage({ searchParams }: { searchParams: Search }) {
  const { session } = await pageMember();
  const { hole = '', wire = '', finish } = await asked(searchParams, FitQuery);
  const how: HoleFinish = finish === 'rough' ? 'rough' : 'smooth';
  return (
    <>
      <h1>{answered(hole, how) ?? 'Which wire passes which hole?'}</h1>
      <form
        action="/fit"
        role="search"
        aria-label="Fit"
        className="leaf no-print mt-4 grid gap-3 p-4 sm:grid-cols-4"
      >
        <label className="text-sm font-semibold">
          A hole of
          <input
            name="hole"
            className="input w-full text-base font-normal"
            defaultValue={hole}
            placeholder="0.6 mm"
          />
        </label>
        <label className="text-sm font-semibold">
          Or a wire: its tag, size or gauge
          <input
            name="wire"
            className="input w-full text-base font-normal"
            defaultValue={wire}
            placeholder="W-0042, 26 ga, 0.4 mm"
          />
        </label>
        <label className="text-sm font-semibold">
          The hole is
          <select name="finish" className="select w-full text-base font-normal" defaultValue={how}>
            <option value="smooth">smooth</option>
            <option value="rough">rough</option>
          </select>
        </label>
        <button type="submit" className="btn btn-primary self-end">
          What fits?
        </button>
      </form>
      {hole !== '' && <ThroughHole session={session} hole={hole} finish={how} />}
      {wire !== '' && <OverWire session={session} wire={wire} finish={how} />}
    </>
  );
}

/** The answer in a sentence, when a hole is asked about. */
function answered(hole: string, finish: HoleFinish): string | undefined {
  const read = parseLength(hole, 'mm');
  if (!read.ok || read.value === 0) return undefined;
  const [single, doubled] = [thickestThrough(read.value, 1, finish), thickestThrough(read.value, 2, finish)];
  if (single <= 0) return `Nothing passes a hole of ${formatDiameter(read.value)}`;
  return `Up to ${formatDiameter(single)} passes a hole of ${formatDiameter(read.value)}, ${formatDiameter(doubled)} doubled`;
}

const Wrong = ({ children }: { children: string }) => (
  <p role="alert" className="mt-4 border-l-4 border-error bg-error/10 p-3 font-semibold">
    {children}
  </p>
);

async function ThroughHole({
  session,
  hole,
  finish,
}: {
  session: StudioSession;
  hole: string;
  finish: HoleFinish;
}) {
  const read = parseLength(hole, 'mm');
  if (!read.ok) return <Wrong>{read.error}</Wrong>;
  const [single, doubled] = await Promise.all(
    ([1, 2] as const).map((strands) => wiresForHole(session, read.value, strands, finish)),
  );
  return (
    <div className="mt-4 grid gap-4 sm:grid-cols-2">
      {(
        [
          ['Single', single ?? [], 1],
          ['Doubled', doubled ?? [], 2],
        ] as const
      ).map(([name, wires, strands]) => (
        <section key={name} className="leaf p-4">
          <h2>
            {name}: up to <Said>{formatDiameter(thickestThrough(read.value, strands, finish))}</Said>
          </h2>
          {wires.length === 0 && <p className="mt-2">No wire on the rack is that thin.</p>}
          <ul className="mt-2 space-y-2">
            {wires.map(({ spec, length }, index) => (
              <li key={spec.id} className="flex items-center justify-between gap-3">
                <span className={index === 0 ? 'font-semibold' : ''}>
                  <WireChip spec={spec} />
                </span>
                <Length of={length} short />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

async function OverWire({
  session,
  wire,
  finish,
}: {
  session: StudioSession;
  wire: string;
  finish: HoleFinish;
}) {
  const number = numberOnTag('wire', wire);
  const piece = number === undefined ? null : await showStockPiece(session, number);
  const gauge = /^(\d{1,2})\s*(?:ga|awg|gauge)?$/i.exec(wire.trim());
  const size = piece
    ? { ok: true as const, value: piece.spec.width }
    : gauge?.[1]
      ? gaugeSize({ system: 'AWG', number: gauge[1] })
      : parseLength(wire, 'mm');
  if (!size.ok) return <Wrong>{size.error}</Wrong>;
  const beads = await beadsForWire(session, size.value, finish);
  return (
    <section className="leaf mt-4 p-4">
      <h2>
        {beads.length === 0 ? 'No bead takes' : `${beads.length} lots of beads take`} a wire of{' '}
        <Said>{formatDiameter(size.value)}</Said>
      </h2>
      <ul className="mt-2 space-y-1">
        {beads.map(({ number: bead, name, hole, count, doubled }) => (
          <li key={bead}>
            <Link className="link" href={`/beads/${tag('bead', bead)}`}>
              {tag('bead', bead)}
            </Link>{' '}
            {name}: hole <Said>{formatDiameter(hole)}</Said>, <Said>{count.toLocaleString('en-US')}</Said>{' '}
            left
            {doubled && <strong> · doubled too</strong>}
          </li>
        ))}
      </ul>
    </section>
  );
}
