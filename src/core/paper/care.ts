import type { MetalId } from '../wire/metal';

/**
 * How a metal is kept, in a sentence or two; common practice, and no more than that. What is coated loses its coat by rubbing, a layer of gold by
 * polish; what is darkened on purpose loses that in a dip.
 */
const CARE: Readonly<Record<MetalId, string>> = {
  copper:
    'Copper darkens with time. Rub it with a soft dry cloth; it may leave a green mark on the skin, which washes off.',
  brass: 'Brass darkens with time. Rub it with a soft dry cloth and keep it dry.',
  bronze: 'Bronze darkens with time. Rub it with a soft dry cloth and keep it dry.',
  'fine-silver': 'Silver tarnishes slowly. Keep it in a closed bag, and rub it with a silver cloth.',
  sterling:
    'Silver tarnishes. Keep it in a closed bag, and rub it with a silver cloth; a dip takes off what was darkened on purpose.',
  'gold-filled':
    'Gold-filled is a layer of gold: wipe it with a soft damp cloth and dry it. No polish that scours.',
  steel: 'Stainless steel is washed with mild soap and dried.',
  aluminium: 'Aluminium is wiped with a soft dry cloth. No dips and no strong soap.',
  niobium: 'The colour of niobium is a thin skin of its own: wipe it with a soft cloth, and never polish it.',
  titanium:
    'The colour of titanium is a thin skin of its own: wipe it with a soft cloth, and never polish it.',
};

const ALWAYS =
  'Put it on last, after scent and cream. Take it off before washing, swimming, sleeping and hard work.';
const STONES = 'Stones and beads are kept from heat, steam and ultrasonic baths, and from knocks.';

/**
 * How a piece is kept, for its care card.
 * @example careOf(['steel'], false).length // 2
 */
export const careOf = (metals: readonly MetalId[], hasStones: boolean): readonly string[] => [
  ALWAYS,
  ...[...new Set(metals)].map((metal) => CARE[metal]),
  ...(hasStones ? [STONES] : []),
];

/** Said on every certificate: the product never certifies what a metal is (handbook, cautions). */
const NO_HALLMARK =
  'This tells what the studio used, by what it was bought as. It is no assay and no hallmark: what may be stamped on a piece and said of it is ruled by the marking law of the place where it is sold; a qualified person decides.';
const THROUGH_SKIN = 'What goes through the skin: local rules on nickel, lead and cadmium apply.';

/** What a certificate of materials has to say besides. @param isWornInSkin of earrings and whatever else goes through it */
export const cautionsOf = (isWornInSkin: boolean): readonly string[] => [
  NO_HALLMARK,
  ...(isWornInSkin ? [THROUGH_SKIN] : []),
];
