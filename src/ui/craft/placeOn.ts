import type { Vec } from '@/core/geometry/vector';

/** Where on a picture a pointer is, in the picture’s own millimetres; undefined while it is not on the page. */
export function placeOn(
  picture: SVGSVGElement | null,
  { clientX, clientY }: { readonly clientX: number; readonly clientY: number },
): Vec | undefined {
  const back = picture?.getScreenCTM()?.inverse();
  return back && new DOMPoint(clientX, clientY).matrixTransform(back);
}
