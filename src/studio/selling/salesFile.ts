import { createHash } from 'node:crypto';
import { orderIn, readTypedDay, type NumericOrder } from '@/core/calendar/typedDay';
import { sellBasket } from '@/core/selling/sale';
import { guessColumns, ordersIn, type ColumnsChosen, type OrderRows } from '@/core/selling/salesFile';
import type { SaleTyped, ToldSale } from '@/core/selling/stall';
import { numberOnTag, tag } from '@/core/tag';
import { minor, plainMoney } from '@/core/units/money';
import { readNumbers } from '@/core/units/writing';
import { readCsv } from '../lists/csv';
import { fileAsCsv } from '../lists/sheetFile';
import { refused, type Outcome } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { readAmount } from '../kernel/rules';
import { attempt, look, ownerOnly, type StudioSession } from '../kernel/useCase';
import { settingsIn, type Settings } from '../settings/settings';
import { openChannel, type KnownChannel } from './channels';
import { SalesFileInput } from './salesFile.input';
import { hearStall } from './stall';

/** The most sales of one file. */
export const MOST_IN_FILE = 500;
/** Rows that are shown of a file. */
const SHOWN = 5;

/** A file of sales as it was read, before anything is entered. */
export interface SalesFileLook {
  readonly titles: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** How many rows it has. */
  readonly count: number;
  readonly guessed: ColumnsChosen;
}

/** What is entered of a file, and what is not. */
export interface SalesFileEntered {
  /** Sales that have a receipt now, also those that an earlier reading gave one. */
  readonly entered: number;
  /** Sales that could not be entered as they stand, and wait to be settled. */
  readonly unsettled: number;
  /** Lines of the file that nothing could be read of, with why. */
  readonly wrong: readonly { readonly line: number; readonly why: string }[];
}

const rowsOf = (base64: string) => readCsv(fileAsCsv(new Uint8Array(Buffer.from(base64, 'base64'))));

/** Reads a file of sales, and tells which column is likely which. For the owner. */
export function lookAtSalesFile(session: StudioSession, base64: string): Promise<Outcome<SalesFileLook>> {
  return attempt(() => {
    ownerOnly(session);
    const { header, rows } = rowsOf(base64);
    if (rows.length === 0) throw refused('This file has no rows below its titles.');
    const look = { titles: header, rows: rows.slice(0, SHOWN), count: rows.length };
    return Promise.resolve({ ...look, guessed: guessColumns(header) });
  });
}

/** A key that is the same for the same sale of the same channel, so that a file that is read twice enters nothing twice. */
function keyOf(studioId: string, channel: string, order: string): string {
  const hex = createHash('sha256').update(`sale of a file ${studioId} ${channel} ${order}`).digest('hex');
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}`;
}

/** What a cell says of money, in the currency of the books: "$42.00", "42,00", "42.00 USD". */
function moneyIn(cell: string, { currency, numbers }: Settings): string | undefined {
  const bare = readNumbers(cell.replace(/[^\d.,-]/g, ''), numbers);
  const read = readAmount(`${bare} ${currency}`, { zero: true });
  return read.ok ? `${plainMoney(read.value.money, currency)} ${currency}` : undefined;
}

interface Reading {
  readonly settings: Settings;
  readonly channel: KnownChannel;
  readonly order: NumericOrder | undefined;
  readonly paidBy: string;
}

/** A sale as it is typed, or what of it cannot be read. */
function typedOf(
  { day, buyer, pieces }: OrderRows,
  { settings, channel, order, paidBy }: Reading,
): { readonly typed: SaleTyped } | { readonly why: string } {
  const read = readTypedDay(day, order);
  if (!read) return { why: `“${day.slice(0, 40)}” is not a day; write it like 2026-05-21.` };
  if (!('day' in read)) return { why: `“${day}”: does the day or the month stand first?` };
  const lines: { piece: string; asked: string }[] = [];
  for (const { piece, price } of pieces) {
    const number = numberOnTag('piece', /^\d+$/.test(piece) ? `F-${piece}` : piece);
    if (number === undefined)
      return { why: `“${piece.slice(0, 40)}” is not the tag of a piece; write it like F-0042.` };
    const asked = moneyIn(price, settings);
    if (asked === undefined) return { why: `“${price.slice(0, 40)}” is not a price; write it like 42.00.` };
    lines.push({ piece: tag('piece', number), asked });
  }
  return {
    typed: {
      ...{ channel: channel.id, soldOn: read.day, pieces: lines, letGo: 'nothing', off: '' },
      ...{ paidBy, given: '', buyer: buyer.slice(0, 120), note: '' },
    },
  };
}

/** What a sale comes to by the terms of its channel. */
function grossOf({ pieces }: SaleTyped, { channel, settings }: Reading) {
  const asked = pieces.flatMap((each) => {
    const read = readAmount(each.asked, { zero: true });
    return read.ok ? [read.value.money] : [];
  });
  const { terms, rounding } = channel;
  const { currency } = settings;
  const sold = sellBasket(asked, { discount: { kind: 'none' }, terms, rounding, currency });
  return sold.ok ? sold.value.total.gross : minor(0);
}

/**
 * Enters the sales of a file, each by itself and once: a file that is read again enters nothing again. What cannot be entered as it stands (its piece
 * is sold already) waits to be settled like a sale of a stall.
 * @param plain which column is which, where it was sold, and how it was paid
 */
export function enterSalesFile(
  session: StudioSession,
  base64: string,
  plain: unknown,
): Promise<Outcome<SalesFileEntered>> {
  return attempt(async () => {
    ownerOnly(session);
    const { channel: channelId, paidBy, ...columns } = await readInput(SalesFileInput, plain);
    const { rows } = rowsOf(base64);
    const orders = ordersIn(rows, columns);
    if (orders.length > MOST_IN_FILE)
      throw refused(`This file has ${orders.length} sales; ${MOST_IN_FILE} are read at once.`);
    const [settings, channel] = await look(session, async (tx) => [
      await settingsIn(tx),
      await openChannel(tx, channelId),
    ]);
    const days = orders.map(({ day }) => day);
    const house: Readonly<Record<string, NumericOrder>> = { day: 'day first', month: 'month first' };
    const reading = { settings, channel, order: orderIn(days) ?? house[settings.days], paidBy };
    const wrong: { line: number; why: string }[] = [];
    const told: ToldSale[] = [];
    for (const order of orders) {
      const found = typedOf(order, reading);
      if ('why' in found) {
        wrong.push({ line: order.lines[0] ?? 0, why: found.why });
        continue;
      }
      const id = keyOf(session.studioId, channel.id, order.key);
      const gross = grossOf(found.typed, reading);
      told.push({ id, at: session.now.valueOf(), typed: found.typed, gross });
    }
    const { fates } = await hearStall(session, told, []);
    const all = Object.values(fates);
    return {
      entered: all.filter(({ is }) => is === 'sold').length,
      unsettled: all.filter(({ is }) => is === 'unsettled').length,
      wrong,
    };
  });
}
