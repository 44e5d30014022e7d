import type { FindingKind } from '@/core/stock/finding';
import { METALS } from '@/core/wire/metal';

/** One line of wire each, in a box of 48 × 48: what the finding is, not how large. */
const PATHS: Readonly<Record<Exclude<FindingKind, 'other'>, string>> = {
  'jump ring': 'M26 10 A14 14 0 1 1 22 10',
  'head pin': 'M24 42 V6 M20 42 H28',
  'eye pin': 'M24 42 V18 A6 6 0 1 1 26 18',
  'ear wire': 'M15 40 V18 A9 9 0 0 1 33 18 V24 M15 40 A3 3 0 1 0 15 34',
  'hook clasp': 'M24 42 A5 5 0 1 1 24 32 V18 A7 7 0 0 1 38 18 V22 L41 25',
  clasp: 'M24 6 A9 9 0 1 1 23.9 6 M10 36 H38 M24 36 V24',
  bail: 'M24 42 Q10 18 24 8 Q38 18 24 42 M20 42 H28',
  spacer: 'M12 16 H36 V32 H12 Z M12 24 H36',
  'coil bead': 'M10 16 V32 M15 16 V32 M20 16 V32 M25 16 V32 M30 16 V32 M35 16 V32 M39 16 V32',
  'chain link': 'M16 12 H32 A12 12 0 0 1 32 36 H16 A12 12 0 0 1 16 12',
};

/** What a finding looks like, in the colour of its metal when its material names one. */
export function FindingDrawing({ finding, material }: { finding: FindingKind; material: string }) {
  const metal = METALS.find(({ name }) => material.toLowerCase().startsWith(name));
  const [edge, fill] = metal
    ? [`var(--metal-${metal.id}-edge)`, `var(--metal-${metal.id})`]
    : ['currentColor', 'currentColor'];
  const line = finding === 'other' ? 'M18 24 A6 6 0 1 1 18 24.1' : PATHS[finding];
  return (
    <svg width="48" height="48" viewBox="0 0 48 48" aria-hidden="true" className="shrink-0 text-base-content">
      <g fill="none" strokeLinecap="round" strokeLinejoin="round">
        <path d={line} stroke={edge} strokeWidth="4" />
        <path d={line} stroke={fill} strokeWidth="2.2" />
      </g>
    </svg>
  );
}
