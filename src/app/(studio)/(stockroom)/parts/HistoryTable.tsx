import { Link } from '@/ui/Link';
import { MOVEMENT_WORDS } from '@/app/lib/words';
import type { Measure } from '@/core/stock/amount';
import { tag } from '@/core/tag';
import type { HistoryLine } from '@/studio/stock/history';
import { Amount } from '@/ui/Amount';
import { Cost } from '@/ui/money';
import { Day } from '@/ui/When';

/** What happened to a stock piece, newest first. */
export function HistoryTable({
  history,
  measure,
  isCut = false,
}: {
  history: readonly HistoryLine[];
  measure: Measure;
  isCut?: boolean;
}) {
  const sees = history.some(({ cost }) => cost !== null);
  return (
    <section className="leaf mt-4 overflow-x-auto p-4">
      <h2>What happened to it</h2>
      <table className="table mt-2">
        <thead>
          <tr>
            <th>When</th>
            <th>What</th>
            <th className="text-right">How much</th>
            {sees && <th className="text-right">Cost</th>}
            <th>For</th>
            <th>By</th>
          </tr>
        </thead>
        <tbody>
          {history.map((line) => (
            <tr key={line.id}>
              <td>
                <Day at={line.at} />
              </td>
              <td>
                {line.reverses !== null && 'taken back: '}
                {MOVEMENT_WORDS[line.kind]}
                {line.reason && <span className="muted"> · {line.reason}</span>}
              </td>
              <td className="text-right">
                <Amount {...measure} of={line.quantity} signed />
              </td>
              {line.cost !== null && (
                <td className="text-right">
                  <Cost of={line.cost} />
                </td>
              )}
              <td>
                {line.piece && (
                  <Link className="link" href={`/shelf/${tag('piece', line.piece.number)}`}>
                    {tag('piece', line.piece.number)} {line.piece.name}
                  </Link>
                )}
              </td>
              <td>{line.who}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {isCut && (
        <p className="muted mt-2">
          Only the latest {history.length} movements are shown; the ledger has them all.
        </p>
      )}
    </section>
  );
}

/** One thing that is known of it. */
export function Fact({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="muted text-sm">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}
