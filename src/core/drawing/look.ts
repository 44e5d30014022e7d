/** How a surface looks: sRGB colour, and whether it is metal. */
export interface Look {
  readonly colour: string;
  readonly isMetal: boolean;
}

/** What a stone or a bead looks like of which nobody has said more. */
export const STONE_LOOK: Look = { colour: '#9fb4ae', isMetal: false };
