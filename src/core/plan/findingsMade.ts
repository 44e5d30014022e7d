import type { FindingKind } from '../stock/finding';
import type { Texts } from '../parameter/readTexts';

/** Which finding a technique makes, where it makes one. */
const MAKES: Readonly<Record<string, FindingKind>> = {
  'jump-rings': 'jump ring',
  'head-pin': 'head pin',
  'eye-pin': 'eye pin',
  'ear-wire': 'ear wire',
  'hook-clasp': 'hook clasp',
  'coil-bead': 'coil bead',
  'woven-bail': 'bail',
  'wrapped-bail': 'bail',
};

/** A making of findings as a technique works it out. */
export interface FindingsMade {
  readonly finding: FindingKind;
  /** How many come of it at once. */
  readonly count: number;
}

/** What findings a technique makes as it was asked for; undefined when it makes none. */
export function findingsMade(techniqueId: string, texts: Texts): FindingsMade | undefined {
  const finding = MAKES[techniqueId];
  const rings = Number(texts['rings'] ?? '1');
  return finding && { finding, count: Number.isInteger(rings) && rings > 0 ? rings : 1 };
}
