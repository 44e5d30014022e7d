/** Stands in for the server's module of buffers where there are none: in a browser. */
export const Buffer = undefined;
