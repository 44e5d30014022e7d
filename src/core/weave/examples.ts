/** A way of writing a weave, with what it means. */
export interface WeaveExample {
  readonly text: string;
  readonly means: string;
}

/** How weaves are written, from the simplest on; each may be typed as it stands. */
export const WEAVE_EXAMPLES: readonly WeaveExample[] = [
  { text: 'A', means: 'one wrap round the frame wire at the edge, again and again' },
  { text: 'A3 AB2', means: 'three wraps on A, then two round A and its neighbour B together' },
  { text: 'A3 AB BC', means: 'the working wire wanders inward over three frame wires' },
  { text: 'A~B2', means: 'two figure-eights between A and B' },
  { text: 'A2 / B2', means: 'two on A, between the frame wires to the other side, two on B' },
  { text: 'A2+B2', means: 'two on A and two on B at one height, the wire going back between them' },
  { text: '(A2 AB)3 B4', means: 'what stands in the brackets three times, then four on B' },
  { text: 'A3 AB; AB A3', means: 'what stands behind the semicolon is laid once, at the end' },
];
