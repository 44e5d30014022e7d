import { WEAVE_EXAMPLES } from '@/core/weave/examples';

/** How a weave is written; pressing an example writes it into the field. */
export function WeaveExamples({ onPick }: { onPick: (text: string) => void }) {
  return (
    <>
      <p className="text-sm">
        Frame wires have letters from the edge inward, A first; the number behind them says how often the
        working wire goes round them. What is written is repeated.
      </p>
      <ul className="mt-1">
        {WEAVE_EXAMPLES.map(({ text, means }) => (
          <li key={text} className="flex items-center gap-2 border-t border-base-300 py-1 text-sm">
            <button
              type="button"
              className="btn btn-sm min-h-11 shrink-0 font-mono"
              aria-label={`Write ${text}`}
              onClick={() => onPick(text)}
            >
              {text}
            </button>
            {means}
          </li>
        ))}
      </ul>
    </>
  );
}
