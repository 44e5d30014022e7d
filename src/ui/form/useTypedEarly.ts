import { useEffect, useEffectEvent, useRef, type RefObject } from 'react';

/**
 * Takes what was typed into a box before the page listened: the box holds it, and nobody was told.
 * @param drawn what the page was drawn with
 * @param take is told once what stands there instead
 * @returns the ref of the box
 */
export function useTypedEarly(
  drawn: string,
  take: (typed: string) => void,
): RefObject<HTMLInputElement | null> {
  const box = useRef<HTMLInputElement>(null);
  const look = useEffectEvent(() => {
    const stands = box.current?.value;
    if (stands !== undefined && stands !== drawn) take(stands);
  });
  useEffect(() => look(), []);
  return box;
}
