declare const of: unique symbol;

/** What rows of the database are known by. */
export type Identified =
  | ('studio' | 'user' | 'token' | 'post' | 'photo' | 'import' | 'count' | 'refining')
  | ('article' | 'stock piece' | 'lot' | 'place' | 'spool type' | 'supplier' | 'delivery' | 'reservation')
  | ('pattern' | 'piece' | 'batch' | 'sitting')
  | ('channel' | 'sale' | 'stall sale' | 'stall cost' | 'scenario' | 'customer')
  | ('order' | 'payment');

/**
 * The id of something. One of a batch is not taken for one of a piece; a text that does not say what it is the id of (a new one, one from
 * an address) is taken for any. A wire spec has the id of its article.
 */
export type Id<Of extends Identified> = string & { readonly [of]?: Of };
