/** How long a device may take, ms. */
const PATIENCE_MS = 4000;
/** The longest answer that is read of one, characters. */
const MOST = 2000;

/** What an instrument tells over HTTP. */
export interface Told {
  /** What stands on its display, with its unit: "60.12 g". */
  readonly reading: string;
  /** One division of the display, with its unit; empty when it does not say. */
  readonly division: string;
  /** False while the reading still moves. */
  readonly resting: boolean;
}

const textIn = (value: unknown): string => (typeof value === 'string' ? value.trim() : '');

/**
 * Asks an instrument for its reading: `GET` answers either the text on its display, or JSON
 * `{"reading": "60.12 g", "division": "0.01 g", "resting": true}`, of which only the reading is needed.
 * @throws Error in a sentence when it does not answer, or answers something else
 */
export async function askInstrument(address: string): Promise<Told> {
  const response = await fetch(address, { signal: AbortSignal.timeout(PATIENCE_MS), cache: 'no-store' });
  if (!response.ok) throw new Error(`it answered ${response.status}`);
  const text = (await response.text()).trim();
  if (text.length > MOST) throw new Error('its answer is longer than a reading');
  if (!text.startsWith('{')) return { reading: text, division: '', resting: true };
  let told: Record<string, unknown>;
  try {
    told = JSON.parse(text) as Record<string, unknown>;
  } catch {
    throw new Error(`it answered “${text.slice(0, 60)}”`);
  }
  const { reading, division, resting } = told;
  return { reading: textIn(reading), division: textIn(division), resting: resting !== false };
}

/** Sends a PDF of labels, one a page, to a printer: `POST` with the file as its body. @throws Error when it does not take it */
export async function sendLabels(address: string, pdf: Uint8Array): Promise<void> {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'content-type': 'application/pdf' },
    body: new Uint8Array(pdf),
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
  if (!response.ok) throw new Error(`it answered ${response.status}`);
}
