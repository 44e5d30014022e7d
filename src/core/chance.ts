/** A small seeded generator (mulberry32): what is drawn is the same every time. */
export class Chance {
  constructor(private state: number) {}

  /** 0 up to, not including, 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  between(low: number, high: number): number {
    return low + this.next() * (high - low);
  }

  whole(low: number, high: number): number {
    return Math.floor(this.between(low, high + 1));
  }

  pick<T>(from: readonly T[]): T {
    const chosen = from[Math.floor(this.next() * from.length)];
    if (chosen === undefined) throw new RangeError('nothing to pick from');
    return chosen;
  }

  happens(probability: number): boolean {
    return this.next() < probability;
  }

  /** Of normal errors about a mean (Box and Muller). */
  normal(mean: number, deviation: number): number {
    const away = Math.sqrt(-2 * Math.log(1 - this.next()));
    return mean + deviation * away * Math.cos(2 * Math.PI * this.next());
  }

  /** A key that is the same for the same draw. */
  key(): string {
    const hex = Array.from({ length: 32 }, () => Math.floor(this.next() * 16).toString(16)).join('');
    return hex.replace(/^(.{8})(.{4}).(.{3}).(.{3})(.{12})$/, '$1-$2-4$3-a$4-$5');
  }
}
