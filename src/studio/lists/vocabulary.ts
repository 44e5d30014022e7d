/**
 * What makers call things, by the column that it stands in and what it means here. All lower case, without stops and hyphens, as
 * {@link plainWord} makes them. Words that could mean two things (plain "silver") are left out: they are asked.
 */
export const VOCABULARY: Readonly<Record<string, Readonly<Record<string, readonly string[]>>>> = {
  metal: {
    copper: ['bare copper', 'raw copper', 'cu', 'copper wire', 'pure copper'],
    brass: ['yellow brass', 'brass wire', 'raw brass'],
    bronze: ['jewelry bronze', 'jewelers bronze', 'jewellers bronze', 'bronze wire'],
    'fine-silver': ['fine silver', '999', '999 silver', 'silver 999', 'fine silver 999', 'fs'],
    sterling: [
      'sterling silver',
      '925',
      '925 silver',
      'silver 925',
      'ster',
      'ss',
      'sterling silver 925',
      '925 sterling',
    ],
    'gold-filled': [
      'gold filled',
      'gf',
      '14/20',
      'gold filled 14/20',
      '14/20 gold filled',
      '14k gold filled',
      '14kt gold filled',
      '14k gf',
      '14k gold fill',
      'gold fill',
    ],
    steel: ['stainless', 'stainless steel', 'ss steel', '304 stainless', '316 stainless'],
    aluminium: ['aluminum', 'alu', 'aluminium wire'],
    titanium: ['ti'],
    niobium: ['nb'],
  },
  profile: {
    round: ['rnd', 'r', 'ro', 'round wire'],
    square: ['sq', 'sqr', 'square wire'],
    'half-round': ['half round', 'hr', '1/2 round', 'halfround', '½ round', 'half rd'],
    flat: ['flat wire', 'ribbon', 'flat ribbon'],
  },
  temper: {
    'dead soft': ['ds', 'soft', 'annealed', 'd soft', 'd/s', 'dead'],
    'quarter hard': ['qh', '1/4 hard', '¼ hard', '1/4'],
    'half hard': ['hh', '1/2 hard', '½ hard', 'h/h', 'half', '1/2'],
    hard: ['full hard', 'fh', 'hard drawn', 'h'],
    spring: ['spring hard', 'spring temper', 'extra hard'],
  },
  finish: {
    bare: ['none', 'plain', 'uncoated', 'raw', 'no'],
    plated: ['silver plated', 'gold plated', 'plate'],
    coated: ['enamelled', 'enameled', 'lacquered', 'colour coated', 'color coated', 'anti tarnish'],
  },
  form: {
    spool: ['reel', 'roll', 'on spool'],
    coil: ['hank', 'loose coil'],
    'off-cut': ['offcut', 'off cut', 'piece', 'remnant', 'leftover'],
    strand: ['string', 'full strand'],
    loose: ['bag', 'packet', 'tube'],
  },
  shape: {
    round: ['rounds', 'ball', 'smooth round'],
    rondelle: ['rondel', 'rondelles', 'rondels', 'button'],
    seed: ['seed bead', 'seed beads', 'rocaille'],
    drop: ['drops', 'teardrop', 'pear'],
    chip: ['chips', 'nugget'],
    faceted: ['faceted round', 'fire polished'],
    tube: ['tubes', 'cylinder'],
    cube: ['cubes'],
  },
  outline: {
    teardrop: ['pear', 'drop', 'tear drop', 'pear shape'],
    marquise: ['navette', 'boat'],
    round: ['circle', 'circular'],
    freeform: ['free form', 'free shape', 'irregular'],
    rectangle: ['rectangular', 'baguette', 'oblong'],
    crescent: ['moon', 'half moon'],
  },
  finding: {
    'jump ring': ['jump rings', 'jumpring', 'jumprings', 'jr'],
    'head pin': ['head pins', 'headpin', 'headpins'],
    'eye pin': ['eye pins', 'eyepin', 'eyepins'],
    'ear wire': ['ear wires', 'earwire', 'earwires', 'ear hooks', 'french hooks'],
    'hook clasp': ['hook', 'hooks', 's hook'],
    clasp: ['clasps', 'lobster', 'lobster clasp', 'toggle', 'toggle clasp'],
    bail: ['bails'],
    spacer: ['spacers', 'spacer bead'],
    'coil bead': ['coil beads'],
    'chain link': ['chain', 'chain links'],
  },
};

/** A word as it is looked up: lower case, hyphens and stops as spaces. @example plainWord('Half-Hard.') // 'half hard' */
export const plainWord = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[-_.,’']+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** What a word means in a column; undefined when nobody has said. */
export function meaningOf(column: string, word: string, choices: readonly string[]): string | undefined {
  const plain = plainWord(word);
  const same = choices.find((choice) => plainWord(choice) === plain);
  if (same !== undefined) return same;
  const own = Object.entries(VOCABULARY[column] ?? {});
  return own.find(
    ([means, words]) => choices.includes(means) && words.some((each) => plainWord(each) === plain),
  )?.[0];
}

/**
 * What of a column stands somewhere in a description ("20ga dead soft copper, round"): the longest name wins, so that "half hard" is
 * not "hard".
 */
export function foundIn(column: string, description: string, choices: readonly string[]): string | undefined {
  const text = ` ${plainWord(description)} `;
  const names = choices.flatMap((choice) =>
    [choice, ...(VOCABULARY[column]?.[choice] ?? [])].map((name) => ({ choice, name: plainWord(name) })),
  );
  return names
    .filter(({ name }) => name.length > 1 && text.includes(` ${name} `))
    .sort((a, b) => b.name.length - a.name.length)[0]?.choice;
}
