import { completedRing } from '@/core/ring/ringSize';
import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { asked as askedBy, type Search } from '@/app/lib/search';
import { MEASURES, type Measure } from '@/core/pattern/composition';
import { drawnParts } from '@/core/pattern/drawnParts';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/technique/registry';
import { readTexts, type Texts } from '@/core/technique/readTexts';
import { describeStone, OUTLINES, stoneTexts, type StoneMeasures } from '@/core/stone/stone';
import { numberOnTag, tag } from '@/core/tag';
import { drawSmall } from '@/core/technique/drawPlan';
import { showDrawer } from '@/studio/drawers/drawers';
import { fitPatterns, type Fitted } from '@/studio/patterns/fitting';
import { looksOf } from '@/core/pattern/looksOf';
import { Judgements } from '@/ui/craft/Judgements';
import { PlanDrawing } from '@/ui/craft/PlanDrawing';
import { Length, Reckoned } from '@/ui/lengths';
import { StoneDrawing } from '@/ui/StoneDrawing';
import { WireChip } from '@/ui/WireChip';
import { FittingQuery } from '@/studio/patterns/fitting.input';
import { numberOf } from '@/studio/kernel/rules';
import { Said } from '@/ui/house';

export const metadata = { title: 'Fitting' };

const MEASURED = [
  ['length', 'Length', '18 mm'],
  ['width', 'Width', '13 mm'],
  ['edge', 'Edge height', '2 mm'],
] as const;

export default async function FittingPage({ searchParams }: { searchParams: Search }) {
  const { session, rings } = await pageMember();
  const asked = await askedBy(searchParams, FittingQuery);
  const drawer = await showDrawer(session, 'stone', { state: 'free' });
  const stones = drawer.pieces.flatMap(({ number, detail }) =>
    detail.ware === 'stone' ? [{ ...detail, number }] : [],
  );
  const chosen = stones.find(({ number }) => number === numberOnTag('stone', asked.stone ?? ''));
  const tried = triedOn({ ...asked, ring: asked.ring && completedRing(asked.ring, rings) }, chosen);
  const wrong = tried ? wrongIn(tried) : {};
  const under = asked.under ? numberOf(asked.under) : undefined;
  const { fitted, next } =
    tried && Object.keys(wrong).length === 0
      ? await fitPatterns(session, tried.measure, tried.texts, under)
      : { fitted: [], next: null };
  const suited = fitted.filter(({ suits }) => suits);
  const ready = suited.filter(({ shortages }) => shortages.length === 0);
  return (
    <>
      <h1>
        {tried && Object.keys(wrong).length === 0
          ? `${suited.length} of ${fitted.length} patterns suit it, and the rack has the wire for ${ready.length}`
          : 'Which patterns suit this stone, this finger or this bead?'}
      </h1>
      <div className="no-print mt-4 grid items-start gap-4 lg:grid-cols-3">
        <form
          action="/fitting"
          aria-label="From the drawer"
          className="leaf flex flex-wrap items-end gap-3 p-4"
        >
          <label className="min-w-0 grow text-sm font-semibold">
            A stone of the studio
            <select
              name="stone"
              className="select w-full text-base font-normal"
              defaultValue={asked.stone ?? ''}
            >
              <option value="">Choose one…</option>
              {stones.map((stone) => (
                <option key={stone.number} value={tag('stone', stone.number)}>
                  {tag('stone', stone.number)} {describeStone(stone)}
                </option>
              ))}
            </select>
          </label>
          <button type="submit" className="btn btn-primary">
            Try this stone
          </button>
          {chosen && <StoneDrawing stone={chosen} scale={2} />}
        </form>
        <form
          action="/fitting"
          aria-label="A stone by its measures"
          className="leaf grid grid-cols-2 gap-2 p-4"
        >
          <label className="text-sm font-semibold">
            Outline
            <select
              name="outline"
              className="select w-full text-base font-normal"
              defaultValue={asked.outline ?? 'oval'}
            >
              {OUTLINES.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          </label>
          {MEASURED.map(([part, label, placeholder]) => (
            <label key={part} className="text-sm font-semibold">
              {label}
              <input
                name={part}
                className="input w-full text-base font-normal"
                placeholder={placeholder}
                defaultValue={asked[part] ?? ''}
                aria-invalid={Boolean(wrong[`stone.${part}`])}
              />
              {wrong[`stone.${part}`] && (
                <span className="block font-semibold text-error">{wrong[`stone.${part}`]}</span>
              )}
            </label>
          ))}
          <button type="submit" className="btn col-span-2">
            Try these measures
          </button>
        </form>
        <div className="space-y-4">
          <OneMeasure
            name="ring"
            about="A ring"
            label="A ring: its size or its inside"
            placeholder="US 7, UK N½, ISO 54, 17.3 mm"
            action="Try this size"
            asked={asked.ring}
            wrong={wrong['ring']}
          />
          <OneMeasure
            name="bead"
            about="A bead"
            label="A bead, along its hole"
            placeholder="6 mm, 1/4 in"
            action="Try this bead"
            asked={asked.bead}
            wrong={wrong['bead']}
          />
        </div>
      </div>
      <ul className="mt-4 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
        {fitted.map((each) => (
          <Tried key={each.number} fitted={each} texts={tried?.texts ?? {}} />
        ))}
      </ul>
      {next !== null && (
        <p className="no-print mt-4">
          <Link
            className="btn"
            href={`/fitting?${new URLSearchParams({ ...asked, under: String(next) }).toString()}`}
          >
            Try the patterns before these
          </Link>
        </p>
      )}
    </>
  );
}

/** A form that asks for one measure. */
function OneMeasure({
  name,
  about,
  label,
  placeholder,
  action,
  asked = '',
  wrong,
}: {
  name: 'ring' | 'bead';
  about: string;
  label: string;
  placeholder: string;
  action: string;
  asked: string | undefined;
  wrong: string | undefined;
}) {
  return (
    <form action="/fitting" aria-label={about} className="leaf flex flex-wrap items-end gap-3 p-4">
      <label className="min-w-0 grow text-sm font-semibold">
        {label}
        <input
          name={name}
          className="input w-full text-base font-normal"
          placeholder={placeholder}
          defaultValue={asked}
          aria-invalid={Boolean(wrong)}
        />
        {wrong && <span className="block font-semibold text-error">{wrong}</span>}
      </label>
      <button type="submit" className="btn">
        {action}
      </button>
    </form>
  );
}

/** What is tried, as the measures of a pattern have it. */
function triedOn(
  { outline, length, width, edge, depth, ring, bead }: FittingQuery,
  stone: StoneMeasures | undefined,
): { readonly measure: Measure; readonly texts: Texts } | undefined {
  if (stone) return { measure: 'stone', texts: stoneTexts(stone) };
  if (ring) return { measure: 'ring', texts: { ring } };
  if (bead) return { measure: 'bead', texts: { bead } };
  if (!length) return undefined;
  const high = edge ?? '2 mm';
  return {
    measure: 'stone',
    texts: {
      'stone.outline': outline ?? 'oval',
      'stone.length': length,
      'stone.width': width ?? length,
      'stone.edge': high,
      'stone.depth': depth ?? high,
    },
  };
}

function wrongIn({ measure, texts }: { measure: Measure; texts: Texts }): Readonly<Record<string, string>> {
  const read = readTexts({ [measure]: MEASURES[measure] }, texts, 'mm');
  return read.ok ? {} : read.error;
}

/** A pattern as it would be for what is tried on: drawn, how much wire, and what stands against it. */
function Tried({ fitted, texts }: { fitted: Fitted; texts: Texts }) {
  const { number, name, kind, body, refusal, specs, wires, shortages, judgements, minutes } = fitted;
  const { composition } = body;
  const faults = judgements.filter(({ weight }) => weight === 'fault');
  const advice = judgements.filter(({ weight }) => weight === 'advice');
  const first =
    composition &&
    drawnParts(resolve(composition, specs, techniqueOf, { ...composition.measures, ...texts }))[0];
  return (
    <li className="leaf p-4">
      <p className="flex items-baseline justify-between gap-3">
        <Link href={`/patterns/${tag('pattern', number)}`} className="link font-display font-semibold">
          {name}
        </Link>
        <span className="muted text-sm">
          {kind} · {Math.round(minutes)} min
        </span>
      </p>
      {first && (
        <PlanDrawing
          drawing={drawSmall(first.plan)}
          looks={looksOf(first, specs, body.parts)}
          label={`${name}, drawn to scale`}
          className="mt-2 h-28 w-full"
        />
      )}
      {refusal ? (
        <p className="mt-2 border-l-4 border-warning bg-warning/15 p-2 text-sm">
          <strong>Not for this:</strong> <Said>{refusal}</Said>
        </p>
      ) : (
        <ul className="mt-2 space-y-1">
          {wires.map(({ spec, length }) => (
            <li key={spec.id} className="flex items-center justify-between gap-3">
              <WireChip spec={spec} />
              <span className="font-semibold">
                <Reckoned of={length} cut />
              </span>
            </li>
          ))}
        </ul>
      )}
      {shortages.map(({ specId, spec, missing }) => (
        <p key={specId} className="mt-1 text-sm font-semibold text-error">
          <Length of={missing} short /> {spec ? `of ${spec.label.number} ${spec.metal}` : ''} are not on the
          rack
        </p>
      ))}
      {refusal === '' && faults.length > 0 && (
        <div className="mt-2">
          <Judgements of={faults} />
        </div>
      )}
      {refusal === '' && advice.length > 0 && (
        <ul className="muted mt-2 list-inside list-disc text-sm">
          {advice.map(({ said, about }) => (
            <li key={`${about} ${said}`}>
              <Said>{said}</Said>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}
