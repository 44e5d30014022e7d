import type { ValuesOf } from '../kernel/typed';
import { dayIn, sayDay, type Day } from '@/core/calendar/day';
import { expectedSale } from '@/core/costing/expectedSale';
import { metalsLadder, metalsOf } from '@/core/costing/ladder';
import { LARGE } from '@/core/drawing/lineDrawing';
import { allOf, type Looks } from '@/core/drawing/look';
import { pieceSize } from '@/core/drawing/pieceSize';
import { saidFrom, viewsOf, type View } from '@/core/drawing/view';
import { proposalPage, type Proposal, type ProposedView } from '@/core/paper/proposal';
import type { Page, PaperRules } from '@/core/paper/sheet';
import { gramsOfPiece } from '@/core/pattern/hangs';
import { isRing } from '@/core/pattern/drawnParts';
import { looksOf } from '@/core/pattern/looksOf';
import { ringSizeOf } from '@/core/pattern/ringSizeOf';
import { drawPlan } from '@/core/plan/drawPlan';
import { techniqueOf } from '@/core/techniques/registry';
import type { Plan } from '@/core/technique/technique';
import { formatMoney, parseMoney, plainMoney } from '@/core/units/money';
import { listed } from '@/core/units/listed';
import { BASIS } from '@/core/units/percent';
import { readNumbers, writeNumbers } from '@/core/units/writing';
import { metalOf, type MetalId } from '@/core/wire/metal';
import { Refused } from '../kernel/outcome';
import { readInput } from '../kernel/readInput';
import { ownerOnly, type StudioSession } from '../kernel/useCase';
import type { PatternView } from '../patterns/patterns';
import { patternAsLearned } from '../logbook/learnedTimes';
import { priceBook } from '../prices/priceBook';
import { readSettings, type Settings } from '../settings/settings';
import { listSpecs } from '../catalogue/wireSpecs';
import { pieceDrawn } from './pieceFile';
import { ProposalInput } from './proposal.input';

/** What is typed for a proposal, by its fields: `whom`, `until`, `words`, and a price for each metal, as `price.copper`. */
export type ProposalTexts = Readonly<Record<string, string>>;

/** A metal that a piece can be proposed in. */
export interface ProposedMetal {
  /** Null for the piece as it stands, be it of several. */
  readonly metal: MetalId | null;
  /** The field that its price is typed in. */
  readonly field: string;
  readonly name: string;
  /** What keeps the studio’s margin, as it is typed; empty when nothing is known of it. */
  readonly usual: string;
}

/** The metals that a pattern can be proposed in, with what the piece would usually sell for. */
export async function proposedMetals(
  session: StudioSession,
  pattern: Pick<PatternView, 'number' | 'body'>,
): Promise<readonly ProposedMetal[]> {
  ownerOnly(session);
  const body = await patternAsLearned(session, pattern);
  const known = await listSpecs(session);
  const book = await priceBook(session, {
    specIds: known.map(({ id }) => id),
    parts: body.parts.map(({ name }) => name),
  });
  if (!book) return [];
  const rules = await readSettings(session);
  const specs = Object.fromEntries(known.map((spec) => [spec.id, spec]));
  return metalsLadder(body, specs, book, techniqueOf, rules.lengthSystem).map(({ metal, shown, outlay }) => {
    const { price, split } = expectedSale({ ...outlay, sharedBy: 1 }, rules, null);
    return {
      metal,
      field: `price.${shown}`,
      name: listed((metal ? [metal] : metalsOf(body, specs)).map((each) => metalOf(each).name)),
      usual: split ? writeNumbers(plainMoney(price, rules.currency), rules.numbers) : '',
    };
  });
}

/** What is to be known of prices: the tax on them, and how long they stand. */
function termsOf({ taxPercent, taxIncluded, days, numbers }: Settings, until: Day | null): readonly string[] {
  const tax = writeNumbers(String((100 * taxPercent) / BASIS), numbers);
  return [
    ...(taxPercent === 0
      ? []
      : [taxIncluded ? `Prices include ${tax} % tax.` : `Prices are without tax; ${tax} % is added.`]),
    ...(until === null ? [] : [`Valid until ${sayDay(until, days)}.`]),
  ];
}

/** A proposal as it was typed: what is wrong of it, by its fields, as `prices` when no price was typed at all, and its page when nothing is. */
export interface ProposalMade {
  readonly wrong: Readonly<Record<string, string>>;
  readonly page: Page | undefined;
}

const NOTHING_SAID: ValuesOf<ProposalInput> = { whom: '', until: null, words: '' };

/** What was typed besides the prices, and what is wrong of it by its fields. */
async function readBeside({
  whom = '',
  until = '',
  words = '',
}: ProposalTexts): Promise<Pick<ProposalMade, 'wrong'> & { readonly said: ValuesOf<ProposalInput> }> {
  try {
    return { wrong: {}, said: await readInput(ProposalInput, { whom, until, words }) };
  } catch (error) {
    if (error instanceof Refused) return { wrong: error.problem.fields ?? {}, said: NOTHING_SAID };
    throw error;
  }
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
  const beside = await readBeside(texts);
  const wrong = {
    ...Object.fromEntries(
      priced.flatMap(({ field, price }) => (price.ok ? [] : [[field, price.error] as const])),
    ),
    ...(priced.length > 0 ? {} : { prices: NO_PRICE }),
    ...beside.wrong,
  };
  if (Object.keys(wrong).length > 0) return { wrong, page: undefined };
  const part = pieceDrawn(pattern);
  const run = part?.plan.run;
  const own = part ? looksOf(part, pattern.specs, pattern.body.parts) : allOf('copper');
  const looksIn = (metal: MetalId | null): Looks => (metal ? { ...own, wireOf: allOf(metal).wireOf } : own);
  const proposal: Proposal = {
    studio: settings.name,
    day: sayDay(dayIn(settings.timeZone, new Date()), settings.days),
    name: pattern.name,
    kind: pattern.kind,
    whom: beside.said.whom,
    size: run && pieceSize(run),
    copies: pattern.body.composition?.copies ?? 1,
    ringSize: ringSizeOf(pattern.body),
    holds: pattern.body.parts.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)),
    prices: priced.flatMap(({ name, metal, price }) =>
      price.ok
        ? [
            {
              metal: name,
              price: writeNumbers(formatMoney(price.value, currency), numbers),
              grams: run && gramsOfPiece(run, looksIn(metal)),
            },
          ]
        : [],
    ),
    terms: termsOf(settings, beside.said.until),
    words: beside.said.words,
  };
  // It is seen as it stands when that is among what is proposed.
  const seenIn = priced.some(({ metal }) => metal === null) ? null : (priced[0]?.metal ?? null);
  const views = part && run ? viewsOf(isRing(part)).map((view) => viewOf(part.plan, view)) : [];
  return { wrong, page: proposalPage(proposal, views, looksIn(seenIn), rules) };
}

const NO_PRICE = 'Type a price for one metal at least: a proposal says what the piece comes to.';

const viewOf = (plan: Plan, view: View): ProposedView => ({
  said: saidFrom(view),
  drawing: drawPlan(plan, LARGE, view),
});
