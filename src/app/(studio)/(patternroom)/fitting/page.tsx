import type { ReactNode } from 'react';
import { costSheet, type Rates } from '@/core/costing/costSheet';
import { forecast, type PriceBook } from '@/core/costing/forecast';
import { completedRing } from '@/core/ring/ringSize';
import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { asked as askedBy, type Search } from '@/app/lib/search';
import { MEASURES } from '@/core/pattern/composition';
import { readTexts } from '@/core/parameter/readTexts';
import { describeStone, OUTLINES, stoneTexts, type StoneMeasures } from '@/core/stone/stone';
import { numberOnTag, tag } from '@/core/tag';
import { showDrawer } from '@/studio/drawers/drawers';
import {
  fitPatterns,
  fitStarters,
  type Fitted,
  type OnMeasure,
  type TriedOn,
} from '@/studio/fitting/fitting';
import type { StudioSession } from '@/studio/kernel/useCase';
import { showStockPiece, type StockPieceView } from '@/studio/wire/rack';
import { priceBook } from '@/studio/prices/priceBook';
import { readSettings } from '@/studio/settings/settings';
import type { CostUnits } from '@/core/units/money';
import { StoneDrawing } from '@/ui/StoneDrawing';
import { Tried } from './Tried';
import { FittingQuery } from '@/studio/fitting/fitting.input';

export const metadata = { title: 'Fitting' };

const MEASURED = [
  ['length', 'Length', '18 mm'],
  ['width', 'Width', '13 mm'],
  ['edge', 'Edge height', '2 mm'],
] as const;

export default async function FittingPage({ searchParams }: { searchParams: Search }) {
  const { session, rings } = await pageMember();
  const isOwner = session.role === 'owner';
  const asked = await askedBy(searchParams, FittingQuery);
  const drawer = await showDrawer(session, 'stone', { state: 'free' });
  const stones = drawer.pieces.flatMap(({ number, detail }) =>
    detail.ware === 'stone' ? [{ ...detail, number }] : [],
  );
  const chosen = stones.find(({ number }) => number === numberOnTag('stone', asked.stone ?? ''));
  const wire = asked.wire ? await wireAsked(session, asked.wire) : undefined;
  const tried: TriedOn | undefined =
    wire !== undefined
      ? typeof wire === 'object'
        ? { wire }
        : undefined
      : triedOn({ ...asked, ring: asked.ring && completedRing(asked.ring, rings) }, chosen);
  const wrong = typeof wire === 'string' ? { wire } : tried ? wrongIn(tried) : {};
  const { under } = asked;
  const { fitted, next } =
    tried && Object.keys(wrong).length === 0
      ? await fitPatterns(session, tried, under)
      : { fitted: [], next: null };
  const begun = tried && isOwner && under === undefined && Object.keys(wrong).length === 0;
  const starters = begun ? (await fitStarters(session, tried)).filter(({ refusal }) => refusal === '') : [];
  const book = tried ? await priceBook(session) : null;
  const costOf = book ? costing(book, await readSettings(session)) : undefined;
  const begin = (each: Fitted) =>
    isOwner && tried && each.refusal === '' ? beginHref(each, tried, chosen) : undefined;
  const texts = tried && 'texts' in tried ? tried.texts : {};
  const suited = fitted.filter(({ suits }) => suits);
  const ready = suited.filter(({ shortages }) => shortages.length === 0);
  return (
    <>
      <h1>
        {tried && Object.keys(wrong).length === 0
          ? headline(tried, suited.length, fitted.length, ready.length)
          : 'Which patterns suit this stone, this finger, this bead or this wire?'}
      </h1>
      <div className="no-print mt-4 grid items-start gap-4 lg:grid-cols-3">
        <div className="space-y-4">
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
          <OneMeasure
            name="wire"
            about="A wire of the rack"
            label="A wire of the rack, by its tag"
            placeholder="W-0012"
            action="Try this wire"
            asked={asked.wire}
            wrong={wrong['wire']}
          />
        </div>
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
          <Tried key={each.number} fitted={each} texts={texts} costs={costOf?.(each)} begin={begin(each)} />
        ))}
      </ul>
      {starters.length > 0 && (
        <section aria-labelledby="starters" className="mt-6">
          <h2 id="starters">Starter patterns that could be made for it</h2>
          <p className="muted mt-1">They are not among yours yet; drawn in these measures.</p>
          <ul className="mt-3 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            {starters.map((each) => (
              <Tried key={each.name} fitted={each} texts={texts} costs={costOf?.(each)} begin={begin(each)} />
            ))}
          </ul>
        </section>
      )}
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
  name: 'ring' | 'bead' | 'wire';
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

/** The headline of an answer. */
function headline(tried: TriedOn, suited: number, all: number, ready: number): ReactNode {
  const rack = `, and the rack has the wire for ${ready}`;
  if (!('wire' in tried)) return `${suited} of ${all} patterns suit it${rack}`;
  return (
    <>
      {suited} of {all} patterns can be cut from{' '}
      <span className="whitespace-nowrap">{tag('wire', tried.wire.number)}</span>
      {rack}
    </>
  );
}

/** A length of the rack, by its tag; a sentence when there is none. */
async function wireAsked(session: StudioSession, typed: string): Promise<StockPieceView | string> {
  const number = numberOnTag('wire', typed.trim().toUpperCase());
  const piece = number === undefined ? null : await showStockPiece(session, number);
  if (!piece) return `“${typed}” is no length of the rack; write its tag, like W-0012.`;
  return piece.length > 0 ? piece : `${tag('wire', piece.number)} is used up.`;
}

/** What is tried, as the measures of a pattern have it. */
function triedOn(
  { outline, length, width, edge, depth, ring, bead }: Omit<FittingQuery, 'under'>,
  stone: StoneMeasures | undefined,
): OnMeasure | undefined {
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

function wrongIn(tried: TriedOn): Readonly<Record<string, string>> {
  if ('wire' in tried) return {};
  const { measure, texts } = tried;
  const read = readTexts({ [measure]: MEASURES[measure] }, texts, 'mm');
  return read.ok ? {} : read.error;
}

/** What one piece would cost with what was paid for its materials; undefined when the price of a wire is not known. */
const costing =
  (book: PriceBook, rates: Rates) =>
  ({ takes }: Fitted): CostUnits | undefined => {
    const { outlay, unpricedWires } = forecast(takes, book);
    return unpricedWires.length > 0 ? undefined : costSheet({ ...outlay, sharedBy: 1 }, rates).total.actual;
  };

/** Where a pattern is composed on for what it was tried on. */
function beginHref(
  { number, name }: Fitted,
  tried: TriedOn,
  stone: { readonly number: number } | undefined,
): string {
  const of: Record<string, string> = number === null ? { starter: name } : { from: tag('pattern', number) };
  const made =
    'wire' in tried
      ? { wire: tag('wire', tried.wire.number) }
      : stone
        ? { for: tag('stone', stone.number) }
        : tried.texts;
  return `/patterns/compose?${new URLSearchParams({ ...of, ...made }).toString()}`;
}
