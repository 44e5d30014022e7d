/** Lets others have their turn: whoever works at something long waits for this in between. */
export const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
