import { tag } from '@/core/tag';
import type { CountSheet } from '@/studio/counting/counting';
import { Amount } from '@/ui/Amount';

/** A count that was posted: what the books said then, what was counted, and by whom. */
export function PastCount({ sheet }: { sheet: CountSheet }) {
  return (
    <div className="leaf mt-4 overflow-x-auto p-4">
      <table className="table">
        <thead>
          <tr>
            <th>What</th>
            <th className="text-right">Books</th>
            <th className="text-right">Counted</th>
            <th className="text-right">Difference</th>
            <th>By</th>
          </tr>
        </thead>
        <tbody>
          {sheet.lines.map(({ id, ware, unit, number, name, expected, counted, who }) => (
            <tr key={id}>
              <td>
                {tag(ware, number)} {name}
              </td>
              <td className="text-right">
                <Amount ware={ware} unit={unit} of={expected} />
              </td>
              <td className="text-right">
                {counted === null ? 'not counted' : <Amount ware={ware} unit={unit} of={counted} />}
              </td>
              <td className="text-right">
                {counted !== null && counted !== expected && (
                  <Amount ware={ware} unit={unit} of={counted - expected} signed />
                )}
              </td>
              <td>{who}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
