/** The findings of the trade, in the order they are listed. */
export const FINDINGS = [
  'jump ring',
  'head pin',
  'eye pin',
  'ear wire',
  'hook clasp',
  'clasp',
  'bail',
  'spacer',
  'coil bead',
  'chain link',
  'other',
] as const;
export type FindingKind = (typeof FINDINGS)[number];
