import { EmptyPlace } from '@/ui/EmptyPlace';

/** A pattern is written for wires the studio knows. */
export function NoWireYet() {
  return (
    <EmptyPlace
      title="First some wire, then a pattern"
      next={{ href: '/rack/receive', text: 'Receive the first wire' }}
    >
      A pattern names the wires it is cut from, so there has to be one on the rack.
    </EmptyPlace>
  );
}
