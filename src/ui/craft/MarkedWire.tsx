import { cutLength, type PatternCut } from '@/core/pattern/pattern';
import type { Micrometres } from '@/core/units/length';
import type { WireSpec } from '@/core/wire/spec';
import { Reckoned } from '../lengths';
import { WireBar } from '../WireBar';
import { MarkList } from './MarkList';

/** A wire of a pattern drawn to its length, with what happens where along it. */
export function MarkedWire({
  cut,
  spec,
  span,
  times = 1,
  length = cutLength(cut),
}: {
  cut: PatternCut;
  /** Undefined when nobody knows it any more: then it is not drawn. */
  spec: WireSpec | undefined;
  /** Length the full width stands for. */
  span: Micrometres;
  /** For how many pieces. */
  times?: number;
  /** How long it is cut, where that is not as planned. */
  length?: Micrometres | undefined;
}) {
  const { name, count, marks = [] } = cut;
  const many = count * times;
  return (
    <>
      <p className="text-xl font-semibold [overflow-wrap:anywhere]">
        {many > 1 && `${many} × `}
        {name}, <Reckoned of={length} cut />
      </p>
      {spec && (
        <WireBar
          spec={spec}
          length={length}
          span={span}
          height={20}
          marks={marks.map(({ at, what }) => ({ at, name: what }))}
        />
      )}
      <MarkList marks={marks} on={name} />
    </>
  );
}
