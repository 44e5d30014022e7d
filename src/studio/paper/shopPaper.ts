import { sayDay, type Day } from '@/core/calendar/day';
import { typedLines } from '@/core/paper/paperHead';
import { receiptPages, type Receipt } from '@/core/paper/receipt';
import type { Page } from '@/core/paper/sheet';
import { tag } from '@/core/tag';
import { counted } from '@/core/units/counted';
import { formatMoney, minor, type MinorUnits } from '@/core/units/money';
import { writeNumbers } from '@/core/units/writing';
import type { Shop, ShopsView } from '../selling/shops';

/** What stands on the note that goes to a shop with its pieces: what the shop asks for each, and what of it is the studio’s. */
export function shopNoteOf({ name, pieces }: Shop, studio: ShopsView['studio'], today: Day): Receipt {
  const money = (amount: MinorUnits | null): string =>
    amount === null ? '–' : writeNumbers(formatMoney(amount, studio.currency), studio.numbers);
  const sum = (of: 'asked' | 'yours'): MinorUnits =>
    minor(pieces.reduce((all, piece) => all + (piece[of] ?? 0), 0));
  return {
    studio: studio.name,
    letterhead: typedLines(studio.letterhead),
    title: 'Delivery note',
    under: [
      `${sayDay(today, studio.days)}, on commission to ${name}`,
      'Each stays the studio’s until it is sold.',
    ],
    heads: ['Asked', 'Ours'],
    lines: pieces.map(({ number, name: called, size, since, asked, yours }) => ({
      what: called,
      about: [tag('piece', number), size, `there since ${sayDay(since, studio.days)}`]
        .filter((each) => each !== '')
        .join(' · '),
      asked: money(asked),
      price: money(yours),
    })),
    sums: [
      { label: `${counted(pieces.length, 'piece')}, asked together`, amount: money(sum('asked')) },
      { label: 'of which ours', amount: money(sum('yours')), bold: true },
    ],
  };
}

/** The pages of the note that goes to a shop. */
export const shopNotePaper = (shop: Shop, studio: ShopsView['studio'], today: Day): readonly Page[] =>
  receiptPages(shopNoteOf(shop, studio, today), studio);
