import { dayIn, isDay, sayDay } from '@/core/calendar/day';
import { expectedSale } from '@/core/costing/expectedSale';
import { mainMetal, metalsLadder } from '@/core/costing/ladder';
import { LARGE } from '@/core/drawing/lineDrawing';
import { allOf, type Looks } from '@/core/drawing/look';
import { pieceSize } from '@/core/drawing/pieceSize';
import { saidFrom, viewsOf } from '@/core/drawing/view';
import { MOST_ON_PROPOSAL, proposalPage, type Proposal, type ProposedView } from '@/core/paper/proposal';
import type { Page, PaperRules } from '@/core/paper/sheet';
import { gramsOfPiece } from '@/core/pattern/hangs';
import { isRing } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { drawPlan } from '@/core/technique/drawPlan';
import { techniqueOf } from '@/core/technique/registry';
import { formatMoney, parseMoney, plainMoney } from '@/core/units/money';
import { BASIS } from '@/core/units/percent';
import { readNumbers, writeNumbers } from '@/core/units/writing';
import { metalOf, type MetalId } from '@/core/wire/metal';
import { ownerOnly, type StudioSession } from '../kernel/useCase';
import type { PatternView } from '../patterns/patterns';
import { priceBook } from '../prices/priceBook';
import { readSettings, type Settings } from '../settings/settings';
import { listSpecs } from '../wire/specs';
import { pieceDrawn } from './pieceFile';

/** What is typed for a proposal, by its fields: `whom`, `until`, `words`, and a price for each metal, as `price.copper`. */
export type ProposalTexts = Readonly<Record<string, string>>;

/** A metal that a piece can be proposed in. */
export interface ProposedMetal {
  readonly metal: MetalId;
  /** The field that its price is typed in. */
  readonly field: string;
  readonly name: string;
  /** What keeps the studio’s margin, as it is typed; empty when nothing is known of it. */
  readonly usual: string;
}

/** The metals that a pattern can be proposed in, with what the piece would usually sell for. */
export async function proposedMetals(
  session: StudioSession,
  { body }: Pick<PatternView, 'body'>,
): Promise<readonly ProposedMetal[]> {
  ownerOnly(session);
  const known = await listSpecs(session);
  const book = await priceBook(session, {
    specIds: known.map(({ id }) => id),
    parts: body.parts.map(({ name }) => name),
  });
  if (!book) return [];
  const rules = await readSettings(session);
  const specs = Object.fromEntries(known.map((spec) => [spec.id, spec]));
  return metalsLadder(body, specs, book, techniqueOf, rules.lengthSystem).map(({ shown, outlay }) => {
    const { price, split } = expectedSale({ ...outlay, sharedBy: 1 }, rules, null);
    return {
      metal: shown,
      field: `price.${shown}`,
      name: metalOf(shown).name,
      usual: split ? writeNumbers(plainMoney(price, rules.currency), rules.numbers) : '',
    };
  });
}

/** What is to be known of prices: the tax on them, and how long they stand. */
function termsOf({ taxPercent, taxIncluded, days, numbers }: Settings, until: string): readonly string[] {
  const tax = writeNumbers(String((100 * taxPercent) / BASIS), numbers);
  return [
    ...(taxPercent === 0
      ? []
      : [taxIncluded ? `Prices include ${tax} % tax.` : `Prices are without tax; ${tax} % is added.`]),
    ...(until === '' ? [] : [`Valid until ${sayDay(until, days)}.`]),
  ];
}

/** A proposal as it was typed: what is wrong of it, by its fields, and its page when nothing is. */
export interface ProposalMade {
  readonly wrong: Readonly<Record<string, string>>;
  readonly page: Page | undefined;
}

/** What is wrong of the texts beside the prices, by their fields. */
function wrongTexts({
  whom = '',
  until = '',
  words = '',
}: ProposalTexts): readonly (readonly [string, string])[] {
  return [
    ...(until === '' || isDay(until)
      ? []
      : [['until', `“${until}” is no day; choose one, like 2026-12-24, or leave it empty.`] as const]),
    ...(whom.length > MOST_ON_PROPOSAL.whom
      ? [
          [
            'whom',
            `That is ${whom.length} characters; at most ${MOST_ON_PROPOSAL.whom} are allowed.`,
          ] as const,
        ]
      : []),
    ...(words.length > MOST_ON_PROPOSAL.words
      ? [
          [
            'words',
            `That is ${words.length} characters; at most ${MOST_ON_PROPOSAL.words} go on the page.`,
          ] as const,
        ]
      : []),
  ];
}

/**
 * The page on which a piece is proposed to a customer: nothing of its cuts, its steps and what it costs is on it.
 * @param metals that it can be proposed in; those whose field is empty are left out
 */
export async function makeProposal(
  session: StudioSession,
  pattern: PatternView,
  metals: readonly ProposedMetal[],
  texts: ProposalTexts,
  rules: PaperRules,
): Promise<ProposalMade> {
  const settings = await readSettings(session);
  const { currency, numbers } = settings;
  const priced = metals.flatMap((each) => {
    const typed = (texts[each.field] ?? '').trim();
    return typed === '' ? [] : [{ ...each, price: parseMoney(readNumbers(typed, numbers), currency) }];
  });
  const [first] = priced;
  const wrong = Object.fromEntries([
    ...priced.flatMap(({ field, price }) => (price.ok ? [] : [[field, price.error] as const])),
    ...(first ? [] : [[metals[0]?.field ?? 'price', NO_PRICE] as const]),
    ...wrongTexts(texts),
  ]);
  if (!first || Object.keys(wrong).length > 0) return { wrong, page: undefined };
  const own = mainMetal(pattern.body, pattern.specs);
  const { views, looks, ...seen } = seenOf(
    pattern,
    priced.some(({ metal }) => metal === own) ? undefined : first.metal,
  );
  const proposal: Proposal = {
    ...seen,
    studio: settings.name,
    day: sayDay(dayIn(settings.timeZone, new Date()), settings.days),
    name: pattern.name,
    kind: pattern.kind,
    whom: (texts['whom'] ?? '').trim(),
    ringSize: ringSizeOf(pattern.body),
    holds: pattern.body.parts.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)),
    prices: priced.flatMap(({ name, price }) =>
      price.ok ? [{ metal: name, price: writeNumbers(formatMoney(price.value, currency), numbers) }] : [],
    ),
    terms: termsOf(settings, texts['until'] ?? ''),
    words: (texts['words'] ?? '').trim(),
  };
  return { wrong, page: proposalPage(proposal, views, looks, rules) };
}

const NO_PRICE = 'Type a price for one metal at least: a proposal says what the piece comes to.';

/**
 * What is seen and measured of the piece of a pattern; nothing of one that was written by hand.
 * @param metal that it is drawn in; undefined as it stands
 */
function seenOf(
  pattern: PatternView,
  metal: MetalId | undefined,
): Pick<Proposal, 'size' | 'grams'> & {
  readonly views: readonly ProposedView[];
  readonly looks: Looks;
} {
  const part = pieceDrawn(pattern);
  const run = part?.plan.run;
  if (!part || !run) return { size: undefined, grams: undefined, views: [], looks: allOf('copper') };
  const own = looksOf(part, pattern.specs, pattern.body.parts);
  const looks = metal ? { ...own, wireOf: allOf(metal).wireOf } : own;
  return {
    size: pieceSize(run),
    grams: gramsOfPiece(run, looks),
    looks,
    views: viewsOf(isRing(part)).map((view) => ({
      said: saidFrom(view),
      drawing: drawPlan(part.plan, LARGE, view),
    })),
  };
}
