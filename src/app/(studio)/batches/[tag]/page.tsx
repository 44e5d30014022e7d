import { calledInFull } from '@/core/pattern/ringSizeOf';
import { Day } from '@/ui/When';
import { todayOf } from '@/studio/kernel/useCase';
import { Link } from '@/ui/Link';
import { pathOf, tag } from '@/core/tag';
import { describeSpec } from '@/core/wire/spec';
import { batchTakings } from '@/studio/batches/batchTakings';
import { showBatch, type BatchView, type PickedPart } from '@/studio/batches/batches';
import { orderOfBatch } from '@/studio/orders/orders';
import { pickableArticles } from '@/studio/batches/namePart';
import { pageMember } from '../../../lib/member';
import { orNotFound, tagParam } from '../../../lib/tagParam';
import { dueIn, hours } from '../due';
import { PaperMenu } from '@/ui/PaperMenu';
import { pricingRules, readSettings } from '@/studio/settings/settings';
import { BatchWays } from './BatchWays';
import { CancelBatch, TakeUpAgain } from './CancelBatch';
import { ExpectedTakings } from '../ExpectedTakings';
import { PlanDrawn } from './PlanDrawn';
import { Planning } from './Planning';
import { SmallPicture } from '@/ui/SmallPicture';
import { Standing } from './Standing';

type Params = Promise<{ tag: string }>;

export async function generateMetadata({ params }: { params: Params }) {
  return { title: `Batch ${(await params).tag}` };
}

export default async function BatchPage({ params }: { params: Params }) {
  const { session } = await pageMember();
  const batch = orNotFound(await showBatch(session, await tagParam('batch', params)));
  const articles = await pickableArticles(session);
  const takings = await batchTakings(session, batch.number);
  const order = await orderOfBatch(session, batch.number);
  const settings = takings ? await readSettings(session) : null;
  const { number, name, dueOn, notes, state, planning, said, stalled, plans, minutes } = batch;
  const label = tag('batch', number);
  const open = state === 'open';
  const { cuts } = batch;
  const isCutting = open && (cuts.done > 0 || plans.some(({ plan }) => plan.pieces.length > 0));
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div className="min-w-0">
          <h1 className="[overflow-wrap:anywhere]">{headline(batch)}</h1>
          <p className="muted mt-1 [overflow-wrap:anywhere]">
            {name}, {label}
            {dueOn !== null && (
              <>
                , due on <Day at={dueOn} />, {dueIn(dueOn, todayOf(session))}
              </>
            )}
            ; {hours(minutes)} at the bench
            {order !== null && (
              <>
                {'; ordered as '}
                <Link href={`/orders/${tag('order', order)}`} className="link">
                  {tag('order', order)}
                </Link>
              </>
            )}
          </p>
        </div>
        {open && (
          <div className="no-print flex flex-wrap gap-3">
            {isCutting && (
              <Link
                href={`/batches/${label}/cut`}
                className={`btn btn-lg ${cuts.done < cuts.all && planning === 'planned' ? 'btn-primary' : ''}`}
              >
                To the cutting table
              </Link>
            )}
            <Link href={`/batches/${label}/edit`} className="btn btn-lg">
              Change it
            </Link>
            {plans.length > 0 && <PaperMenu of={`/batches/${label}`} papers={PAPERS} />}
            <CancelBatch number={number} />
          </div>
        )}
        {state === 'cancelled' && <TakeUpAgain number={number} />}
      </div>
      {open && (
        <div className="mt-4 flex flex-wrap items-center gap-x-6 gap-y-3">
          {cuts.done > 0 && <CutSoFar batch={batch} />}
          {(cuts.done < cuts.all || planning === 'stale' || planning === 'failed') && (
            <Planning key={planning} number={number} standing={{ planning, said, stalled }} />
          )}
        </div>
      )}
      {batch.picks.length > 0 && <Picks picks={batch.picks} />}
      {plans.some(({ plan }) => plan.pieces.length + plan.unmet.length > 0) && (
        <>
          <h2 className="mt-4">{cuts.done === 0 ? 'How it is cut' : 'How the rest is cut'}</h2>
          <div className="mt-2 space-y-4">
            {plans
              .filter(({ plan }) => plan.pieces.length + plan.unmet.length > 0)
              .map((view) => (
                <PlanDrawn key={view.spec.id} view={view} />
              ))}
          </div>
        </>
      )}
      <div className="mt-4 grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,2fr)_minmax(0,3fr)]">
        <Pieces batch={batch} />
        {batch.wires.length + batch.parts.length > 0 && (
          <Standing batch={batch} articles={open ? articles : []} />
        )}
      </div>
      {takings && settings && state !== 'cancelled' && (
        <>
          <ExpectedTakings takings={takings} priceFrom={settings.priceFrom} />
          <BatchWays takings={takings} priceFrom={settings.priceFrom} rules={pricingRules(settings)} />
        </>
      )}
      {batch.steps.length > 0 && <Work batch={batch} />}
      {notes && (
        <section className="leaf mt-4 p-4">
          <h2>Notes</h2>
          <p className="mt-2 whitespace-pre-wrap [overflow-wrap:anywhere]">{notes}</p>
        </section>
      )}
    </>
  );
}

/** What can be taken to the bench. */
const PAPERS = [
  ['cut-sheet.pdf', 'Cut sheet and pick list, PDF'],
  ['cut-sheet.svg', 'Cut sheet and pick list, SVG'],
  ['cuts.csv', 'Cuts, CSV'],
  ['picks.csv', 'Pick list, CSV'],
] as const;

/** How many of its wires lie in the tray. */
function CutSoFar({ batch: { number, cuts } }: { batch: BatchView }) {
  const { done, all } = cuts;
  return (
    <div className="flex flex-wrap items-center gap-3">
      <progress className="progress w-64 max-w-full" value={done} max={all} aria-label="Wires cut" />
      <p>
        {done === all ? `All ${all} wires are cut` : `${done} of ${all} wires are cut`}
        <span className="muted"> and lie in the tray, or are in a piece. </span>
        <Link href={`/ledger?item=${tag('batch', number)}`} className="link">
          What was posted for it
        </Link>
      </p>
    </div>
  );
}

/** Everything that is still to be done, line by line; what is done once for all of them stands where it comes first. */
function Work({ batch: { steps, lines, minutes } }: { batch: BatchView }) {
  return (
    <section className="leaf mt-4 p-4">
      <h2>The work, {hours(minutes)}</h2>
      <div className="mt-2 grid grid-cols-1 gap-x-8 gap-y-3 sm:grid-cols-2 xl:grid-cols-3">
        {lines
          .filter(({ line }) => steps.some((step) => step.line === line))
          .map(({ line, body }) => (
            <div key={line}>
              <h3 className="font-semibold [overflow-wrap:anywhere]">{calledInFull(body)}</h3>
              <ol className="mt-1 list-decimal space-y-0.5 pl-5" aria-label={`Work on ${body.name}`}>
                {steps
                  .filter((step) => step.line === line)
                  .map(({ name, minutes: takes, once }, index) => (
                    <li key={index}>
                      {name}{' '}
                      <span className="muted">
                        · {hours(takes)}
                        {once && ', once for all'}
                      </span>
                    </li>
                  ))}
              </ol>
            </div>
          ))}
      </div>
    </section>
  );
}

/** What lies aside for the batch in the drawers. */
function Picks({ picks }: { picks: readonly PickedPart[] }) {
  return (
    <section className="leaf mt-4 p-4">
      <h2>To pick</h2>
      <ul className="mt-2 divide-y divide-base-300" aria-label="To pick">
        {picks.map(({ ware, number, name, place, quantity }) => (
          <li key={`${ware} ${number}`} className="flex flex-wrap items-baseline gap-x-3 py-1">
            <span className="font-semibold">{quantity} ×</span> {name}
            <span className="muted ml-auto">
              <Link href={pathOf(ware, number)} className="link">
                {tag(ware, number)}
              </Link>
              {place && `, ${place}`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What can be made now, and what holds it up. */
function headline({ state, name, lines, complete, bottleneck, specs, parts }: BatchView): string {
  if (state === 'cancelled') return `“${name}” is cancelled`;
  if (state === 'made') return `“${name}” is made: all of it stands on the shelf`;
  const wanted = lines.reduce((sum, { count }) => sum + count, 0);
  const now = [...complete.values()].reduce((sum, count) => sum + count, 0);
  const unknown = parts.filter(({ isKnown }) => !isKnown).map((part) => part.name);
  if (!bottleneck && unknown.length > 0)
    return `Wire for ${wanted === 1 ? 'the piece' : `all ${wanted} pieces`}; ${unknown.join(', ')} ${unknown.length === 1 ? 'is' : 'are'} not in the drawers`;
  if (!bottleneck) return `Enough for ${wanted === 1 ? 'the piece' : `all ${wanted} pieces`}`;
  const spec = 'specId' in bottleneck ? specs[bottleneck.specId] : undefined;
  const what = spec ? describeSpec(spec) : 'name' in bottleneck ? bottleneck.name : 'wire';
  // What is not counted may hold it up more still.
  const enough = unknown.length > 0 ? 'At most' : 'Enough for';
  return `${enough} ${now} of ${wanted} pieces: the ${what} is enough for ${bottleneck.pieces}`;
}

function Pieces({ batch: { number, state, lines, complete, made, ready } }: { batch: BatchView }) {
  return (
    <section className="leaf p-4">
      <h2>Pieces</h2>
      <ul className="mt-2 divide-y divide-base-300">
        {lines.map(({ line, count, patternNumber, revision, body, wanted }) => (
          <li key={line} className="flex items-center justify-between gap-3 py-2">
            <SmallPicture
              of="batch"
              number={number}
              line={line}
              name={body.name}
              className="h-16 w-20 shrink-0"
            />
            <span className="min-w-0 grow [overflow-wrap:anywhere]">
              <span className="font-semibold">{count} ×</span>{' '}
              <Link href={`/patterns/${tag('pattern', patternNumber)}`} className="link">
                {body.name}
              </Link>{' '}
              <span className="muted text-sm">
                {[
                  `revision ${revision}`,
                  wanted.metal,
                  wanted.stone && `for ${tag('stone', wanted.stone)}`,
                  wanted.ring && `size ${wanted.ring}`,
                  wanted.bead && `bead ${wanted.bead}`,
                ]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </span>
            <span className="flex items-baseline gap-3">
              <span className="muted text-sm whitespace-nowrap">
                {(made.get(line) ?? 0) > 0
                  ? `${made.get(line) ?? 0} made`
                  : `enough for ${complete.get(line) ?? 0}`}
              </span>
              {state === 'open' && (ready.get(line) ?? []).length > 0 && (
                <Link
                  href={`/batches/${tag('batch', number)}/make/${line}`}
                  className="btn no-print"
                  aria-label={`Make one of ${body.name}`}
                >
                  Make one
                </Link>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
