import { sayMore } from '@/core/learning/sayMore';
import { um, type Micrometres } from '@/core/units/length';
import type { LoggedWire } from '@/studio/logbook/loggedOfPieces';
import { Length } from '@/ui/lengths';
import { WireBar } from '@/ui/WireBar';

/** Wires as they were cut, each to its length, with a line where the plan was and what of it stayed in the piece. */
export function LoggedWires({ wires, span }: { wires: readonly LoggedWire[]; span: Micrometres }) {
  if (wires.length === 0) return <p className="muted text-sm">Made before wires were logged.</p>;
  return (
    <ul className="space-y-1">
      {wires.map((wire, index) => (
        <li key={index} className="grid items-center gap-x-4 lg:grid-cols-[23rem_1fr]">
          <p className="text-sm">
            <span className="font-semibold [overflow-wrap:anywhere]">
              {wire.count > 1 && `${wire.count} × `}
              {wire.name}
            </span>
            : <CameTo wire={wire} />
          </p>
          <WireBar
            spec={wire.spec}
            length={wire.cut}
            was={wire.planned}
            span={span}
            height={14}
            marks={wire.planned < wire.cut ? [{ at: wire.planned, name: 'planned' }] : []}
          />
        </li>
      ))}
    </ul>
  );
}

/** What was cut and what stayed, against the plan. */
function CameTo({ wire: { planned, tails, cut, back, isMeasured } }: { wire: LoggedWire }) {
  if (!isMeasured)
    return (
      <span className="muted">
        <Length of={cut} short />, as planned
      </span>
    );
  const [stays, wanted] = [cut - back, planned - tails];
  return (
    <>
      cut <Length of={cut} short /> of <Length of={planned} short /> planned; <Length of={um(stays)} short />{' '}
      stayed
      {wanted > 0 && <span className="muted">, {sayMore(stays / wanted - 1)}</span>}
    </>
  );
}
