import type { Remark } from '@/core/pattern/remark';
import { Said } from '../house';

/** Shows where on a piece something is said of it. */
export interface Showing {
  /** What is shown. */
  readonly shown: Remark | undefined;
  /** Shows another one; none when it is the one that is shown. */
  readonly show: (remark: Remark | undefined) => void;
}

/** A remark; where its places can be shown, by choosing it. */
export function RemarkSaid({ remark, showing }: { readonly remark: Remark; readonly showing?: Showing }) {
  const { said, at } = remark;
  if (!showing || at.length === 0) return <Said>{said}</Said>;
  const isShown = showing.shown?.said === said;
  return (
    <button
      type="button"
      aria-pressed={isShown}
      title="Show where"
      className={`min-h-6 cursor-pointer text-left underline decoration-dotted underline-offset-4 ${isShown ? 'font-semibold decoration-solid' : ''}`}
      onClick={() => showing.show(isShown ? undefined : remark)}
    >
      <Said>{said}</Said>
    </button>
  );
}

/** What is to be said of a whole piece, a sentence each; nothing where there is nothing to say. */
export function Remarks({
  of,
  label,
  isWarning = false,
  showing,
}: {
  readonly of: readonly Remark[];
  /** What they are. */
  readonly label: string;
  readonly isWarning?: boolean;
  readonly showing?: Showing;
}) {
  if (of.length === 0) return null;
  return (
    <ul
      className={`mt-1 space-y-1 text-sm ${isWarning ? 'border-l-4 border-warning pl-2' : ''}`}
      aria-label={label}
    >
      {of.map((remark) => (
        <li key={remark.said}>
          <RemarkSaid remark={remark} {...(showing && { showing })} />
        </li>
      ))}
    </ul>
  );
}

/** Checks of the whole piece: what of its stone is bare, how that is kept, how its sides differ. */
export const CHECKS = 'Checks of the whole piece';
/** Where its wires lie in one another or in its stones. */
export const TOUCHES = 'Wires without room';
