import { textsAsked, type Search } from '@/app/lib/search';
import { withMissingWires } from '@/core/pattern/addTechnique';
import { MEASURES, type Composition, type Specs } from '@/core/pattern/composition';
import { cutFromWire } from '@/core/pattern/cutFromWire';
import { describeStone } from '@/core/stone/stone';
import { numberOnTag, tag } from '@/core/tag';
import { techniqueOf } from '@/core/techniques/registry';
import type { Texts } from '@/core/parameter/readTexts';
import type { StudioSession } from '@/studio/kernel/useCase';
import { showStockPiece } from '@/studio/wire/rack';
import { composedOf } from '@/core/house/composedOf';
import { STARTERS } from '@/studio/patterns/starters';
import { bodyOfTag } from '@/studio/pictures/bodies';
import { draftOf, EMPTY_DRAFT, type PatternDraft, type StoneChoice } from './patternDraft';
import { withStone } from './withStone';

/** What a new pattern begins as. */
export interface Begun {
  readonly given: PatternDraft;
  /** What it was begun from, as a text: drafts of different beginnings are kept apart. */
  readonly from: string;
}

/** What there is to begin a pattern with. */
interface AtHand {
  readonly specs: Specs;
  readonly stones: readonly StoneChoice[];
  readonly currency: string;
}

const isMeasure = (field: string): boolean =>
  Object.keys(MEASURES).some((measure) => field === measure || field.startsWith(`${measure}.`));

/**
 * What an address begins a pattern from: `from` the tag of a pattern or of a finished piece, or `starter` the name of a pattern of the house; for
 * `for`, the tag of a stone of the drawer, or for measures as they are typed; cut from `wire`, the tag of a length of the rack.
 * @returns undefined when it names nothing to begin from; a sentence when what it names has nothing to begin with
 */
export async function begunFrom(
  session: StudioSession,
  search: Search,
  { specs, stones, currency }: AtHand,
): Promise<Begun | string | undefined> {
  const { from = '', starter = '', for: made = '', wire = '', ...others } = await textsAsked(search);
  if (from === '' && starter === '') return undefined;
  const source = starter === '' ? await ofTag(session, from, specs, currency) : ofStarter(starter, specs);
  if (typeof source === 'string') return source;
  const measures: Texts = Object.fromEntries(Object.entries(others).filter(([field]) => isMeasure(field)));
  const stone = stones.find(({ number }) => number === numberOnTag('stone', made));
  if (made !== '' && !stone) return `${made} is no stone that lies free in the drawer.`;
  const { composition } = source;
  const cut = wire === '' ? composition : await ofWire(session, composition, wire, specs);
  if (typeof cut === 'string') return cut;
  const begun = { ...source, composition: { ...cut, measures: { ...cut.measures, ...measures } } };
  return {
    given: stone
      ? {
          ...withStone(begun, stone, stones),
          name: `${begun.name}, ${describeStone(stone)}`.slice(0, MOST_NAME),
        }
      : begun,
    from: JSON.stringify([from, starter, made, wire, measures]),
  };
}

/** What it is begun from, cut from a length of the rack; a sentence when that cannot be. */
async function ofWire(
  session: StudioSession,
  composition: Composition,
  typed: string,
  specs: Specs,
): Promise<Composition | string> {
  const number = numberOnTag('wire', typed);
  const piece = number === undefined ? null : await showStockPiece(session, number);
  if (!piece) return `There is no length ${typed} on the rack.`;
  return cutFromWire(composition, piece.spec.id, specs) ?? `Nothing in it is of a wire like ${typed}.`;
}

/** The longest name that a pattern takes. */
const MOST_NAME = 120;

async function ofTag(
  session: StudioSession,
  from: string,
  specs: Specs,
  currency: string,
): Promise<PatternDraft | string> {
  const found = numberOnTag('batch', from) === undefined ? await bodyOfTag(session, from) : null;
  if (!found) return `There is no pattern and no finished piece ${from}.`;
  const { body } = found;
  if (!body.composition)
    return `${from} was made by a pattern that is written by hand: there is no technique in it to begin with.`;
  const composition = withMissingWires(body.composition, techniqueOf, specs);
  const number = numberOnTag('piece', from);
  const name = number === undefined ? body.name : `${body.name}, like ${tag('piece', number)}`;
  return { ...draftOf(body, composition, currency), name: name.slice(0, MOST_NAME) };
}

function ofStarter(starter: string, specs: Specs): PatternDraft | string {
  const pattern = STARTERS.find(({ name }) => name === starter);
  if (!pattern) return `“${starter}” is none of the house’s own patterns.`;
  return {
    ...EMPTY_DRAFT,
    name: starter,
    kind: pattern.kind,
    notes: pattern.notes,
    composition: composedOf(pattern, specs),
    parts: (pattern.parts ?? []).map(([name, count]) => ({ name, count: String(count), unitCost: '' })),
  };
}
