import { formatGauge } from '@/core/wire/gauge';
import { describeMetal, describeSize, type WireSpec } from '@/core/wire/spec';
import { Said } from './house';
import { CrossSection } from './CrossSection';

/** A wire spec, the same everywhere: its end drawn true, then its words. */
export function WireChip({ spec, box }: { spec: WireSpec; box?: number }) {
  return (
    <span className="inline-flex items-center gap-2 align-middle">
      <CrossSection spec={spec} {...(box === undefined ? {} : { box })} />
      <span className="leading-tight">
        <span className="font-semibold whitespace-nowrap">{formatGauge(spec.label)}</span> {spec.profile}{' '}
        <span className="whitespace-nowrap">{describeMetal(spec)}</span>
        <span className="muted block text-sm whitespace-nowrap">
          {spec.temper} · <Said>{describeSize(spec)}</Said>
        </span>
      </span>
    </span>
  );
}
