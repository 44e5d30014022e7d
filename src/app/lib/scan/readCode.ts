import jsQR from 'jsqr';

/** A picture of so many points across and down, four bytes for each: red, green, blue, opacity. */
export interface Pixels {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** What a QR code in a picture says; undefined where there is none to be read. */
export function readCode({ data, width, height }: Pixels): string | undefined {
  const text = jsQR(data, width, height, { inversionAttempts: 'dontInvert' })?.data.trim();
  return text === '' ? undefined : text;
}

/** So many looks without a code, and the tag was taken away: held before the camera again it is told again. */
const GONE_AFTER = 5;

/** Tells each code once while it is held before the camera. */
export class Seen {
  #last = '';
  #missed = 0;

  /** @returns the text when it is to be told */
  look(text: string | undefined): string | undefined {
    if (text === undefined) {
      this.#missed += 1;
      if (this.#missed >= GONE_AFTER) this.#last = '';
      return undefined;
    }
    this.#missed = 0;
    if (text === this.#last) return undefined;
    this.#last = text;
    return text;
  }
}
