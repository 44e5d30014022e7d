/** How axes of charts are drawn. */
export const AXIS_LOOK = { tick: { fill: 'currentColor', fontSize: 12 }, stroke: 'var(--color-base-300)' };

/** How what a chart says of a point is drawn. */
export const TIP_LOOK = { background: 'var(--color-base-100)', borderColor: 'var(--color-base-300)' };
