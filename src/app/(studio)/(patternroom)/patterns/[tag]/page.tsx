import { Suspense } from 'react';
import { sayTimeFrom, stepsTaking } from '@/core/learning/minutes';
import { judgeSteps } from '@/core/judgement/judgeSteps';
import { Judgements } from '@/ui/craft/Judgements';
import { Link } from '@/ui/Link';
import { metalsLadder } from '@/core/costing/ladder';
import { minutesOf, wireBySpec, type PatternBody } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { resolve } from '@/core/pattern/resolve';
import { techniqueOf } from '@/core/techniques/registry';
import { um } from '@/core/units/length';
import { Said } from '@/ui/house';
import { CutStrips } from '@/ui/craft/CutStrips';
import { stripsOf } from '@/ui/craft/stripsOf';
import { OrderOfWork } from '@/ui/craft/OrderOfWork';
import { PiecesDrawn } from '@/ui/craft/PiecesDrawn';
import { Remarks, TOUCHES } from '@/ui/craft/Remarks';
import type { Cost2 } from '@/core/costing/costSheet';
import type { PartForecast } from '@/core/costing/forecast';
import type { StudioSession } from '@/studio/kernel/useCase';
import { touchesOf } from '@/studio/patterns/touchesOf';
import { showHistory } from '@/studio/logbook/patternHistory';
import { showPattern } from '@/studio/patterns/patterns';
import { priceBook } from '@/studio/prices/priceBook';
import { readSettings } from '@/studio/settings/settings';
import { listSpecs } from '@/studio/catalogue/wireSpecs';
import { PriceLadder } from '@/ui/pricing/PriceLadder';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { madeSaid } from '../madeSaid';
import { PaperMenu } from '@/ui/PaperMenu';
import { PatternDrawing } from '@/ui/PatternDrawing';
import { PrintButton } from '@/ui/PrintButton';
import { WireChip } from '@/ui/WireChip';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { History } from './History';
import { CheckBar } from '@/ui/CheckBar';

/** Where the wires of a part have no room: it comes when it was looked at. */
async function Touches({ touches, part }: { touches: ReturnType<typeof touchesOf>; part: string }) {
  const found = (await touches).find((each) => each.part === part);
  return <Remarks of={found?.touches ?? []} label={TOUCHES} isWarning />;
}

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: (await params).tag };
}

export default async function PatternPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const pattern = orNotFound(await showPattern(session, await tagParam('pattern', params)));
  const { number, name, kind, body, specs, onHand, revision, madeCount } = pattern;
  const { each, setUp } = minutesOf(body);
  const need = [...wireBySpec(body)];
  const enough = Math.min(
    ...need.map(([specId, length]) => Math.floor((onHand[specId]?.length ?? 0) / length)),
  );
  const resolved = body.composition && resolve(body.composition, specs, techniqueOf);
  const touches = touchesOf(session, body, specs);
  // Whoever leaves the page earlier does not want to know.
  touches.catch(() => undefined);
  const hasPiece = resolved?.uses.some(({ plan }) => plan?.run) ?? false;
  const history = await showHistory(session, pattern, body);
  const took = history.time?.minutes;
  const pricing = await pricingOf(
    session,
    took === undefined ? body : { ...body, steps: stepsTaking(body.steps, took) },
  );
  const parts =
    pricing?.rungs[0]?.parts ?? body.parts.map((part) => ({ ...part, found: null, cost: undefined }));
  const isOwner = session.role === 'owner';
  const label = tag('pattern', number);
  return (
    <>
      <p className="muted no-print">
        <Link href="/patterns" className="link">
          Pattern room
        </Link>
      </p>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="[overflow-wrap:anywhere]">
            {name}: {enough > 0 ? `wire for ${enough} more` : 'not enough wire'}
          </h1>
          <p className="muted mt-1">
            {label} · {kind} · revision {revision} · {madeSaid(madeCount)}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          <PaperMenu of={`/patterns/${label}`} papers={hasPiece ? [...PAPERS, ...PIECE] : PAPERS} />
          <PrintButton />
          {body.steps.length > 0 && (
            <Link href={`/patterns/${label}/steps`} className="btn btn-lg">
              Step by step
            </Link>
          )}
          {isOwner && (
            <Link href={`/patterns/${label}/${body.composition ? 'compose' : 'edit'}`} className="btn btn-lg">
              Change it
            </Link>
          )}
          {isOwner && body.composition && (
            <Link href={`/patterns/compose?from=${label}`} className="btn btn-lg">
              Begin another from it
            </Link>
          )}
          {isOwner && (
            <Link href={`/patterns/${label}/proposal`} className="btn btn-lg">
              For a customer
            </Link>
          )}
          <Link href={`/bench/${label}`} className="btn btn-primary btn-lg">
            Make one
          </Link>
        </div>
      </div>
      {resolved && body.composition ? (
        <PiecesDrawn
          composition={body.composition}
          resolved={resolved}
          specs={specs}
          parts={body.parts}
          touchesOf={(part) => (
            <Suspense fallback={null}>
              <Touches touches={touches} part={part} />
            </Suspense>
          )}
        />
      ) : (
        <div className="mt-4">
          <Judgements of={judgeSteps(body.steps, Object.values(specs))} />
        </div>
      )}
      <section className="leaf runs-on mt-4 p-4">
        <h2>Its wires, to scale</h2>
        <div className="mt-2">
          {resolved ? (
            <CutStrips strips={stripsOf(resolved, specs)} />
          ) : (
            <PatternDrawing cuts={body.cuts} specs={specs} />
          )}
        </div>
        <CheckBar />
      </section>
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-3">
        <section className="leaf p-4">
          <h2>Wire for one</h2>
          <ul className="mt-2 space-y-3">
            {need.map(([specId, length]) => {
              const spec = specs[specId];
              const has = onHand[specId]?.length ?? um(0);
              return (
                <li key={specId}>
                  {spec && <WireChip spec={spec} />}
                  <p className="mt-0.5 text-sm">
                    <Length of={length} /> for one; <Length of={has} short /> on the rack
                    {has < length && <strong className="text-error"> — not enough</strong>}
                  </p>
                </li>
              );
            })}
          </ul>
        </section>
        <Parts parts={parts} />
        <section className="leaf runs-on p-4">
          <h2>
            {each} minutes each{setUp > 0 && `, ${setUp} to set up`}
          </h2>
          {history.time && Math.round(history.time.minutes) !== Math.round(each) && (
            <p className="mt-1">
              <Said>{`${Math.round(history.time.minutes)} min by ${sayTimeFrom(history.time)}`}</Said>
              {isOwner && ': it is priced by that.'}
            </p>
          )}
          <OrderOfWork steps={body.steps} />
        </section>
      </div>
      {pricing && (
        <div className="mt-4">
          <PriceLadder rungs={pricing.rungs} rules={pricing.rules} />
        </div>
      )}
      <History of={history} number={number} body={body} />
      {body.notes && (
        <section className="leaf mt-4 p-4">
          <h2>Notes</h2>
          <p className="mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{body.notes}</p>
        </section>
      )}
    </>
  );
}

/** What the pattern costs and sells for, in the studio’s metals; null for helpers. */
async function pricingOf(session: StudioSession, body: PatternBody) {
  const known = await listSpecs(session);
  const book = await priceBook(session, {
    specIds: known.map(({ id }) => id),
    parts: body.parts.map(({ name }) => name),
  });
  if (!book) return null;
  const rules = await readSettings(session);
  const specs = Object.fromEntries(known.map((spec) => [spec.id, spec]));
  return { rules, rungs: metalsLadder(body, specs, book, techniqueOf, rules.lengthSystem) };
}

/** Beads, stones and findings with what each is in the drawers; what it costs is left out for helpers. */
function Parts({
  parts,
}: {
  parts: readonly (Omit<PartForecast, 'cost'> & { cost: Cost2 | null | undefined })[];
}) {
  return (
    <section className="leaf p-4">
      <h2>Beads, stones and findings</h2>
      {parts.length === 0 && <p className="muted mt-2">None.</p>}
      <ul className="mt-2 space-y-1">
        {parts.map(({ name, count, found, cost }) => (
          <li key={name} className="flex justify-between gap-3">
            <span className="min-w-0 [overflow-wrap:anywhere]">
              {count} × {name}
              {found && found.name !== name && (
                <span className="muted block text-sm">
                  {found.name}, {found.free} free
                </span>
              )}
              {cost !== undefined && !found && (
                <span className="muted block text-sm">
                  {cost ? 'at the cost typed here' : 'nothing in the drawers is it; no cost is known'}
                </span>
              )}
            </span>
            {cost && <Cost of={cost.actual} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What can be taken to the bench or to another studio. */
const PAPERS = [
  ['strips.pdf', 'Cut strips at 1:1, PDF'],
  ['strips.svg', 'Cut strips at 1:1, SVG'],
  ['card.pdf', 'Pattern card, PDF'],
  ['card.svg', 'Pattern card, SVG'],
  ['pattern.json', 'The pattern as a file, JSON'],
] as const;
/** And of a piece that is told by the ways of its wires. */
const PIECE = [
  ['front.svg', 'The piece from the front, SVG'],
  ['back.svg', 'The piece from the back, SVG'],
  ['side.svg', 'The piece from the side, SVG'],
  ['above.svg', 'The piece from above, SVG'],
  ['front.png', 'The piece from the front, PNG'],
  ['back.png', 'The piece from the back, PNG'],
  ['piece.gltf', 'The piece in the round, glTF'],
] as const;
