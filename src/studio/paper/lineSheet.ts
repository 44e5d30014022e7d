import { sayDay } from '@/core/calendar/day';
import { metalsOf } from '@/core/costing/ladder';
import { lineSheetPages, type LineSheet, type OfferedPiece } from '@/core/paper/lineSheet';
import { typedLines } from '@/core/paper/paperHead';
import type { Page } from '@/core/paper/sheet';
import { priceIn } from '@/core/selling/channelPrice';
import type { Id } from '@/core/id';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { tag } from '@/core/tag';
import { currencyOf, formatMoney, type MinorUnits } from '@/core/units/money';
import { writeNumbers } from '@/core/units/writing';
import { metalOf } from '@/core/wire/metal';
import { lastPricesOfSql } from '@/data/sql/patterns';
import { look, ownerOnly, todayOf, type StudioSession } from '../kernel/useCase';
import { newestPatterns } from '../patterns/newestPatterns';
import { specsOf } from '../patterns/patterns';
import { colouredPicture } from '../pictures/pictures';
import { channelsIn } from '../selling/channels';
import { paperStudio, settingsIn, type PaperStudio } from '../settings/settings';

/** The most patterns of one line sheet. */
export const MOST_OFFERED = 60;

/** What is offered to whom. */
export interface Offer {
  readonly channel: Id<'channel'>;
  /** Numbers of patterns, in the order in which they are shown. */
  readonly patterns: readonly number[];
  /** How they are sold, line by line. */
  readonly terms: string;
}

/** A line sheet, and how the studio has its papers. */
export interface LineSheetMade {
  readonly sheet: LineSheet;
  readonly studio: PaperStudio;
}

/**
 * Patterns with their pictures and what a channel asks for them, to be shown to a shop: the last price on a tag, as that channel has it. What was
 * never priced is told on request. Null where nothing is sold there any more. For the owner.
 */
export function lineSheetOf(
  session: StudioSession,
  { channel, patterns, terms }: Offer,
): Promise<LineSheetMade | null> {
  ownerOnly(session);
  return look(session, async (tx) => {
    const settings = await settingsIn(tx);
    const sold = (await channelsIn(tx)).find(({ id, isOpen }) => isOpen && id === channel);
    if (!sold) return null;
    const { name, pricing } = sold;
    const numbers = [...new Set(patterns)].slice(0, MOST_OFFERED);
    const found = await newestPatterns(tx, numbers);
    const prices = new Map(
      (await tx.rows(lastPricesOfSql, { patterns: numbers })).map(({ number, price }) => [number, price]),
    );
    const specs = await specsOf(
      tx,
      found.map(({ body }) => body),
    );
    const { places } = currencyOf(settings.currency);
    const money = (amount: MinorUnits) =>
      writeNumbers(formatMoney(amount, settings.currency), settings.numbers);
    const pieces = numbers.flatMap((number): OfferedPiece[] => {
      const pattern = found.find((each) => each.number === number);
      if (!pattern) return [];
      const { body } = pattern;
      const tagged = prices.get(number);
      const asked = tagged === undefined ? undefined : priceIn(tagged, pricing, places);
      const metals = metalsOf(body, specs).map((metal) => metalOf(metal).name);
      return [
        {
          name: body.name,
          about: [
            [tag('pattern', number), ringSizeOf(body) ?? ''].filter((each) => each !== '').join(' · '),
            metals.join(', '),
          ].filter((each) => each !== ''),
          price: asked === undefined ? 'on request' : money(asked),
          retail:
            asked === undefined || tagged === undefined || asked === tagged ? '' : `tag ${money(tagged)}`,
          picture: colouredPicture(body, specs),
        },
      ];
    });
    const studio = paperStudio(settings);
    return {
      studio,
      sheet: {
        studio: studio.name,
        letterhead: typedLines(studio.letterhead),
        title: name,
        under: [`Prices of ${sayDay(todayOf(session), studio.days)}`],
        pieces,
        terms: typedLines(terms),
      },
    };
  });
}

/** The pages of a line sheet. */
export const lineSheetPaper = ({ sheet, studio }: LineSheetMade): readonly Page[] =>
  lineSheetPages(sheet, studio);
