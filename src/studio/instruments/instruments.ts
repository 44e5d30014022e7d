import type { Result } from '@/core/result';
import { parseLength, type Micrometres } from '@/core/units/length';
import { parseMass, type Micrograms } from '@/core/units/mass';
import { askInstrument, sendLabels, type Told } from '@/devices/ask';
import type { Device } from '@/devices/devices';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { attempt, type StudioSession } from '../kernel/useCase';
import { cardsOf, rollPdf } from '../labels/cards';
import { labelPdf } from '../labels/labelPdf';
import { labelsOf } from '../labels/labels';
import { readDevices } from '../settings/devices';
import { PrintLabelsInput, type PrintedAs } from './instruments.input';

/** What a scale at an address shows. */
export interface Weighed {
  readonly mass: Micrograms;
  /** One division of its display; 0.01 g when it does not say. */
  readonly division: Micrograms;
}

/** Divisions of instruments that do not tell theirs: those of a workshop scale and of a calliper. */
const SCALE_DIVISION = '0.01 g';

/** Where a device of the studio answers. @throws Refused when it has none there */
async function addressOf(session: StudioSession, device: Device): Promise<string> {
  const { kind, address } = (await readDevices(session))[device];
  if (kind !== 'address') throw refused(`The studio has no ${device} at an address; see the house rules.`);
  return address;
}

/** What went wrong with asking, in words. */
function whyNot(fault: unknown): string {
  const { name = '', message = '' } = fault as Partial<Error>;
  if (name === 'TimeoutError') return 'it does not answer';
  return message === 'fetch failed' ? 'nothing answers at its address' : message;
}

const saying = (device: Device, why: string) => refused(`The ${device} cannot be read: ${why}.`);

/** What an instrument shows, at rest. @throws Refused when it does not answer, or is not at rest */
async function readingOf(session: StudioSession, device: Device): Promise<Told> {
  const address = await addressOf(session, device);
  try {
    const told = await askInstrument(address);
    if (told.resting) return told;
  } catch (fault) {
    throw saying(device, whyNot(fault));
  }
  throw saying(device, 'it is not at rest yet');
}

const understood = <T>(device: Device, { reading }: Told, read: (text: string) => Result<T>): T => {
  const value = read(reading);
  if (!value.ok) throw saying(device, `it shows “${reading.slice(0, 40)}”`);
  return value.value;
};

/** Reads the scale that the house rules name. */
export function readScale(session: StudioSession): Promise<Outcome<Weighed>> {
  return attempt(async () => {
    const told = await readingOf(session, 'scale');
    const division = told.division === '' ? SCALE_DIVISION : told.division;
    return {
      mass: understood('scale', told, parseMass),
      division: understood('scale', { ...told, reading: division }, parseMass),
    };
  });
}

/** Reads the calliper that the house rules name; a number without a unit is in millimetres. */
export function readCalliper(session: StudioSession): Promise<Outcome<Micrometres>> {
  return attempt(async () => {
    const told = await readingOf(session, 'calliper');
    return understood('calliper', told, (text) => parseLength(text, 'mm'));
  });
}

/** What a printer is sent for tags, and how many it prints. */
async function printed(
  session: StudioSession,
  tags: readonly string[],
  as: PrintedAs,
): Promise<{ readonly pdf: Buffer; readonly count: number }> {
  if (as === 'label') {
    const labels = await labelsOf(session, tags);
    return { pdf: await labelPdf(labels, 'small', 'qr', 'A4'), count: labels.length };
  }
  const cards = await cardsOf(session, tags);
  if (cards.length === 0) throw refused('None of these is a finished piece; only those have such tags.');
  return { pdf: await rollPdf(cards, as), count: cards.length };
}

/** Prints labels or tags, one each, on the printer that the house rules name. @returns how many */
export function printLabels(session: StudioSession, plain: unknown): Promise<Outcome<number>> {
  return attempt(async () => {
    const { tags, as = 'label' } = await readInput(PrintLabelsInput, plain);
    const address = await addressOf(session, 'label printer');
    const { pdf, count } = await printed(session, tags, as);
    try {
      await sendLabels(address, pdf);
    } catch (fault) {
      throw refused(
        `The label printer took nothing: ${whyNot(fault)}. Open the PDF instead, or print again.`,
      );
    }
    return count;
  });
}
