'use client';

import { useMemo, useState } from 'react';
import type { Looks } from '@/core/drawing/look';
import type { Path, Vec3 } from '@/core/geometry/path';
import type { DrawnPart } from '@/core/pattern/drawnParts';
import { hangingOf, saidHanging, type PieceHanging } from '@/core/pattern/hangs';
import { linesOfUse, type Remark } from '@/core/pattern/remark';
import type { Showing } from '@/ui/craft/Remarks';
import { usePieceSaid } from '@/ui/craft/usePieceSaid';
import { asItHangs, type Hanging } from './asItHangs';

/** What is said of a piece, and where it is shown on its picture. */
export interface ShownWhere {
  readonly checks: readonly Remark[];
  readonly touches: readonly Remark[];
  /** How it hangs, and where from; undefined when nothing was made for a chain. */
  readonly hangs: { readonly how: PieceHanging; readonly from: Vec3 } | undefined;
  readonly showing: Showing;
  /** Places to be ringed: of the remark that is shown, as long as it is said. */
  readonly at: readonly Vec3[];
  /** Lines to be drawn over: of the technique that a judgement is of. */
  readonly lines: readonly Path[];
  /** The piece as it hangs, while it is let to. */
  readonly hung: Hanging | undefined;
  readonly letHang: (isLet: boolean) => void;
}

/**
 * What is said of a piece follows it; one thing of it at a time is shown on the picture, as the piece lies or as it hangs.
 * @param pointed the technique that a judgement is of that is shown
 */
export function useShownWhere(
  { piece, plan }: Pick<DrawnPart, 'piece' | 'plan'>,
  looks: Looks,
  pointed: string | undefined,
): ShownWhere {
  const said = usePieceSaid(piece ?? {});
  const [checks, touches] = [said?.checks ?? NOTHING, said?.touches ?? NOTHING];
  const hangs = useMemo(() => {
    const how = piece && hangingOf(piece, looks);
    return how && piece.hang && { how, from: piece.hang };
  }, [piece, looks]);
  const [remark, setRemark] = useState<Remark>();
  const [isLetToHang, setLetToHang] = useState(false);
  const shown = useMemo(() => {
    const hung = hangs ? [{ said: saidHanging(hangs.how), at: [hangs.from, hangs.how.middle] }] : [];
    return [...checks, ...touches, ...hung].find((each) => each.said === remark?.said);
  }, [checks, touches, hangs, remark]);
  const lines = useMemo(
    () => (piece && pointed !== undefined ? linesOfUse(piece, pointed) : NO_LINES),
    [piece, pointed],
  );
  const hung = useMemo(
    () => (hangs && isLetToHang ? asItHangs(plan, hangs.from, hangs.how) : undefined),
    [plan, hangs, isLetToHang],
  );
  const onPicture = useMemo(() => {
    const at = shown?.at ?? NOWHERE;
    return hung
      ? { at: at.map(hung.moved), lines: lines.map((line) => line.map(hung.moved)) }
      : { at, lines };
  }, [shown, lines, hung]);
  return {
    checks,
    touches,
    hangs,
    showing: { shown, show: setRemark },
    ...onPicture,
    hung,
    letHang: setLetToHang,
  };
}

const NOTHING: readonly Remark[] = [];
const NOWHERE: readonly Vec3[] = [];
const NO_LINES: readonly Path[] = [];
