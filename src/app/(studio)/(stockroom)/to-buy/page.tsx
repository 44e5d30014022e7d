import { TAG_PATHS } from '@/core/tag';
import { Link } from '@/ui/Link';
import { pageMember } from '@/app/lib/member';
import { sumCosts } from '@/core/units/money';
import { listToBuy, type ShoppingLine } from '@/studio/toBuy/toBuy';
import { Amount } from '@/ui/Amount';
import { Cost } from '@/ui/money';
import { PrintButton } from '@/ui/PrintButton';

export const metadata = { title: 'To buy' };

export default async function ToBuyPage() {
  const { session } = await pageMember();
  const lines = await listToBuy(session);
  const suppliers = [...new Set(lines.map(({ supplier }) => supplier))];
  const sum = sumCosts(lines.flatMap(({ cost }) => cost ?? []));
  return (
    <>
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>
          {lines.length === 0
            ? 'Nothing is running out'
            : `${lines.length} ${lines.length === 1 ? 'thing is' : 'things are'} running out`}
          {sum > 0 && (
            <>
              , <Cost of={sum} /> to buy
            </>
          )}
        </h1>
        {lines.length > 0 && <PrintButton />}
      </div>
      {lines.length === 0 && (
        <p className="leaf mt-4 p-6">
          Open any wire, bead, finding or supply and say the least that should be there; what falls short of
          it, or of what planned batches want, is listed here by supplier, rounded to how it is sold.
        </p>
      )}
      {suppliers.map((supplier) => (
        <Supplier
          key={supplier ?? ''}
          name={supplier}
          lines={lines.filter((line) => line.supplier === supplier)}
        />
      ))}
    </>
  );
}

function Supplier({ name, lines }: { name: string | null; lines: readonly ShoppingLine[] }) {
  const sees = lines.some(({ cost }) => cost !== null);
  const batches = lines.some(({ forBatches }) => forBatches > 0);
  return (
    <section className="leaf mt-4 overflow-x-auto p-4">
      <h2>{name ?? 'No supplier known'}</h2>
      <table className="table mt-2">
        <thead>
          <tr>
            <th>What</th>
            <th className="text-right">There is</th>
            <th className="text-right">Should be</th>
            {batches && <th className="text-right">For batches</th>}
            <th className="text-right">Buy</th>
            {sees && <th className="text-right">About</th>}
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.articleId}>
              <td>
                <Link
                  className="link"
                  href={`${TAG_PATHS[line.ware]}?words=${encodeURIComponent(line.name.replace(/,/g, ''))}`}
                >
                  {line.name}
                </Link>
              </td>
              <td className="text-right">
                <Amount ware={line.ware} unit={line.unit} of={line.inStock} />
              </td>
              <td className="text-right">
                {line.minimum > 0 && <Amount ware={line.ware} unit={line.unit} of={line.minimum} />}
              </td>
              {batches && (
                <td className="text-right">
                  {line.forBatches > 0 && <Amount ware={line.ware} unit={line.unit} of={line.forBatches} />}
                </td>
              )}
              <td className="text-right font-semibold">
                {line.packs} × <Amount ware={line.ware} unit={line.unit} of={line.packOf} />
              </td>
              {sees && <td className="text-right">{line.cost !== null && <Cost of={line.cost} />}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
