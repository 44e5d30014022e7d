/** Degrees as radians. */
export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
/** Radians as degrees. */
export const degreesIn = (angle: number): number => (angle * 180) / Math.PI;
