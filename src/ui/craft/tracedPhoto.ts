import { edgeNear, greyOf, type GreyPhoto } from '@/core/outline/photoEdges';
import { scaled, type Vec } from '@/core/geometry/vector';

/** A photograph’s own width, in the units that points are set in. */
export const ACROSS = 100;

/** A photograph that is traced over. */
export interface TracedPhoto {
  /** Where the browser has it. */
  readonly url: string;
  /** Its height, when its width is {@link ACROSS}. */
  readonly high: number;
  /** In pixels; undefined where the browser does not let them be read. */
  readonly grey: GreyPhoto | undefined;
}

/** Edges are looked for in so many pixels across at most: more show the grain of the stone. */
const MOST_PIXELS = 1600;
/** And so far from where a point was set: parts of the photograph’s width. */
const REACH = 0.015;

function greyIn(image: HTMLImageElement): GreyPhoto | undefined {
  const smaller = Math.min(1, MOST_PIXELS / image.naturalWidth);
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.naturalWidth * smaller));
  canvas.height = Math.max(1, Math.round(image.naturalHeight * smaller));
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context) return undefined;
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  const { width, height, data } = context.getImageData(0, 0, canvas.width, canvas.height);
  return greyOf(width, height, data);
}

/** A photograph from a file. @throws where the browser cannot show it */
export async function photoFrom(file: File): Promise<TracedPhoto> {
  const url = URL.createObjectURL(file);
  const image = new Image();
  image.src = url;
  try {
    await image.decode();
  } catch (fault) {
    URL.revokeObjectURL(url);
    throw fault;
  }
  return { url, high: (ACROSS * image.naturalHeight) / image.naturalWidth, grey: greyIn(image) };
}

/** A point that was set on a photograph, on the edge that is near it; where it was set when there is none. */
export function onEdge({ grey }: TracedPhoto, point: Vec): Vec {
  if (!grey) return point;
  const pixels = grey.wide / ACROSS;
  return scaled(edgeNear(grey, scaled(point, pixels), REACH * grey.wide), 1 / pixels);
}
