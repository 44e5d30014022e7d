import type { ReceiptSum } from '@/core/paper/receipt';

/** What the lines of a paper come to, below them on the screen: words, and the amount in the last of so many columns. */
export const PaperSums = ({ sums, columns = 3 }: { sums: readonly ReceiptSum[]; columns?: number }) => (
  <tfoot className="text-base text-base-content">
    {sums.map(({ label, amount, bold }) => (
      <tr key={label} className={bold ? 'font-semibold' : 'muted'}>
        <th scope="row" colSpan={columns - 1} className="text-right font-normal">
          {label}
        </th>
        <td className="text-right whitespace-nowrap">{amount}</td>
      </tr>
    ))}
  </tfoot>
);
