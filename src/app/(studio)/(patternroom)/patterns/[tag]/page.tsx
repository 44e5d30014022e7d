import { Link } from '@/ui/Link';
import { minutesOf, partsCost, wireBySpec } from '@/core/pattern/pattern';
import { tag } from '@/core/tag';
import { resolve } from '@/core/pattern/composition';
import { um } from '@/core/units/length';
import { CutStrips } from '@/ui/craft/CutStrips';
import { stripsOf } from '@/ui/craft/stripsOf';
import { OrderOfWork } from '@/ui/craft/OrderOfWork';
import { PiecesDrawn } from '@/ui/craft/PiecesDrawn';
import { showPattern } from '@/studio/patterns/patterns';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { madeSaid } from '../madeSaid';
import { PaperMenu } from '@/ui/PaperMenu';
import { PatternDrawing } from '@/ui/PatternDrawing';
import { PrintButton } from '@/ui/PrintButton';
import { WireChip } from '@/ui/WireChip';
import { pageMember } from '@/app/lib/member';
import { orNotFound, tagParam } from '@/app/lib/tagParam';
import { CheckBar } from '@/ui/CheckBar';

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
  const resolved = body.composition && resolve(body.composition, specs);
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
            {enough > 0 ? `Wire for about ${enough} more of “${name}”` : `Not enough wire for “${name}”`}
          </h1>
          <p className="muted mt-1">
            {label} · {kind} · revision {revision} · {madeSaid(madeCount)}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          <PaperMenu of={`/patterns/${label}`} papers={PAPERS} />
          <PrintButton />
          {isOwner && (
            <Link href={`/patterns/${label}/${body.composition ? 'compose' : 'edit'}`} className="btn btn-lg">
              Change it
            </Link>
          )}
          <Link href={`/bench/${label}`} className="btn btn-primary btn-lg">
            Make one
          </Link>
        </div>
      </div>
      {resolved && <PiecesDrawn resolved={resolved} specs={specs} />}
      <section className="leaf mt-4 p-4">
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
        <section className="leaf p-4">
          <h2>Beads, stones and findings</h2>
          {body.parts.length === 0 && <p className="muted mt-2">None.</p>}
          <ul className="mt-2 space-y-1">
            {body.parts.map((part, index) => (
              <li key={index} className="flex justify-between gap-3">
                <span>
                  {part.count} × {part.name}
                </span>
                {isOwner && <Cost of={part.unitCost} />}
              </li>
            ))}
          </ul>
          {isOwner && body.parts.length > 0 && (
            <p className="mt-2 border-t border-base-300 pt-2 text-right font-semibold">
              <Cost of={partsCost(body)} />
            </p>
          )}
        </section>
        <section className="leaf p-4">
          <h2>
            {each} minutes each{setUp > 0 && `, ${setUp} to set up`}
          </h2>
          <OrderOfWork steps={body.steps} />
        </section>
      </div>
      {body.notes && (
        <section className="leaf mt-4 p-4">
          <h2>Notes</h2>
          <p className="mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{body.notes}</p>
        </section>
      )}
    </>
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
