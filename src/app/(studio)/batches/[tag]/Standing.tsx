import { isStonePart } from '@/core/batch/lineBody';
import type { PickableArticle } from '@/studio/batches/namePart';
import type { BatchView, Buying, PartStanding, WireStanding } from '@/studio/batches/batches';
import { um } from '@/core/units/length';
import { Length } from '@/ui/lengths';
import { Cost } from '@/ui/money';
import { WireChip } from '@/ui/WireChip';
import { PartPicker } from './PartPicker';

/** What a batch needs against what is free: wires, then what is picked from the drawers. */
export function Standing({
  batch: { wires, parts },
  articles,
}: {
  batch: BatchView;
  articles: readonly PickableArticle[];
}) {
  return (
    <section className="leaf overflow-x-auto p-4" aria-label="Enough?">
      <h2>Is there enough?</h2>
      <table className="table mt-2">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              Needed
            </th>
            <th scope="col" className="text-right">
              Free
            </th>
            <th scope="col" className="text-right">
              Short
            </th>
            <th scope="col">To buy</th>
          </tr>
        </thead>
        <tbody>
          {wires.map((wire) => (
            <WireRow key={wire.specId} wire={wire} />
          ))}
          {parts.map((part) => (
            <PartRow key={part.name} part={part} articles={articles} />
          ))}
        </tbody>
      </table>
    </section>
  );
}

const rightly = 'text-right align-top whitespace-nowrap';

function WireRow({ wire }: { wire: WireStanding }) {
  const { spec, cuts, needed, free, short, shortCuts, longestCut, longestFree, buy, substitutes } = wire;
  return (
    <tr>
      <th scope="row" className="align-top font-normal">
        <WireChip spec={spec} />
        {substitutes.map(({ spec: other, free: there, consequence }) => (
          <p key={other.id} className="muted mt-1 text-sm">
            Instead: <Length of={there} short /> of {other.label.number} {other.temper} are free.{' '}
            {consequence}
          </p>
        ))}
      </th>
      <td className={rightly}>
        <Length of={needed} short />
        <span className="muted block text-sm">
          {cuts} {cuts === 1 ? 'cut' : 'cuts'}
        </span>
      </td>
      <td className={rightly}>
        <Length of={free} short />
      </td>
      <td className={rightly}>
        {short > 0 ? (
          <>
            <strong className="text-error">
              <Length of={short} short />
            </strong>
            <span className="muted block text-sm">
              {shortCuts} {shortCuts === 1 ? 'cut finds' : 'cuts find'} none
            </span>
            {longestCut > longestFree && (
              <span className="muted block text-sm">
                <Length of={longestCut} short /> is wanted in one
              </span>
            )}
          </>
        ) : (
          '—'
        )}
      </td>
      <td className="align-top">{buy && <Buy buy={buy} each={<Length of={um(buy.packOf)} short />} />}</td>
    </tr>
  );
}

function PartRow({ part, articles }: { part: PartStanding; articles: readonly PickableArticle[] }) {
  const { name, needed, free, short, article, fitting, isKnown, buy } = part;
  return (
    <tr>
      <th scope="row" className="min-w-52 align-top font-normal">
        <span className="font-semibold">{name}</span>
        {articles.length > 0 && (
          <div className="no-print">
            <PartPicker name={name} current={article} articles={articles} />
          </div>
        )}
        {fitting.length > 0 && (
          <span className="muted block text-sm">
            {fittingSaid(fitting)}
            {fitting.some(({ ware }) => ware === 'stone') && '; choose one for each piece to set it aside'}.
          </span>
        )}
        {!isKnown && (
          <span className="muted block text-sm">
            {isStonePart(name)
              ? 'Not counted: choose a stone for its line, or say what it is in the drawers.'
              : 'Not counted until it is said what it is in the drawers.'}
          </span>
        )}
      </th>
      <td className={rightly}>{needed}</td>
      <td className={rightly}>{isKnown ? free : '?'}</td>
      <td className={rightly}>{short > 0 ? <strong className="text-error">{short}</strong> : '—'}</td>
      <td className="align-top">{buy && <Buy buy={buy} each={buy.packOf} />}</td>
    </tr>
  );
}

/** "Any that fits: garnet round, 6 mm and 2 more kinds". */
function fittingSaid(fitting: PartStanding['fitting']): string {
  const more = fitting.length - 1;
  return `Any that fits: ${fitting[0]?.article ?? ''}${more > 0 ? ` and ${more} more` : ''}`;
}

function Buy({ buy: { packs, cost }, each }: { buy: Buying; each: React.ReactNode }) {
  return (
    <>
      {packs} × {each}
      {cost !== null && (
        <span className="muted block text-sm">
          <Cost of={cost} />
        </span>
      )}
    </>
  );
}
