/** Cautions of the trade, shown where the act happens. They inform; local codes and a qualified person decide. */
export const CAUTIONS = {
  'cut ends': 'Cut ends fly: hold both sides of the cut and wear eye protection.',
  piercing: 'Picks and awls stab: never push toward your hand.',
  hammering: 'Keep fingers clear of the hammer; wear eye protection, and ear protection for long work.',
  antiquing:
    'Antiquing baths want ventilation and gloves; read the maker’s safety data sheet, and keep them away from food.',
  filing: 'Dust of plated or unknown metal: wear a mask.',
  skin: 'What goes through skin wants a known metal and rounded ends. Local rules on nickel, lead and cadmium apply.',
  'small parts': 'Small parts and children’s jewelry: local safety rules apply.',
  marking: 'Local hallmarking and marking law decides what may be stamped and said.',
  gripping: 'Repetitive gripping: take breaks.',
} as const;

export type Caution = keyof typeof CAUTIONS;
