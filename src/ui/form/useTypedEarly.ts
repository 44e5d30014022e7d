import { useEffect, useEffectEvent, useRef, type RefObject } from 'react';

/**
 * Takes what was done to a box before the page listened: the box holds it, and nobody was told.
 * @param drawn what the page was drawn with
 * @param standsIn what stands in the box
 * @param take is told once what stands there instead
 * @returns the ref of the box
 */
function useEarly<V>(
  drawn: V,
  standsIn: (box: HTMLInputElement) => V,
  take: (stands: V) => void,
): RefObject<HTMLInputElement | null> {
  const box = useRef<HTMLInputElement>(null);
  const look = useEffectEvent(() => {
    if (!box.current) return;
    const stands = standsIn(box.current);
    if (stands !== drawn) take(stands);
  });
  useEffect(() => look(), []);
  return box;
}

const textOf = ({ value }: HTMLInputElement) => value;
const isTicked = ({ checked }: HTMLInputElement) => checked;

/** Takes what was typed into a box before the page listened: see `useEarly`. */
export const useTypedEarly = (drawn: string, take: (typed: string) => void) => useEarly(drawn, textOf, take);

/** Takes that a box was ticked, or no longer is, or that one of several was chosen, before the page listened. */
export const useTickedEarly = (drawn: boolean, take: (ticked: boolean) => void) =>
  useEarly(drawn, isTicked, take);
