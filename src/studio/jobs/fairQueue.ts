/** Things that wait, each for somebody; everybody is served in turn, however many one has waiting. */
export class FairQueue<T> {
  /** Who waits, next to be served first; each with what is theirs, oldest first. */
  readonly #waiting = new Map<string, T[]>();
  #size = 0;

  get size(): number {
    return this.#size;
  }

  sizeOf(who: string): number {
    return this.#waiting.get(who)?.length ?? 0;
  }

  add(who: string, thing: T): void {
    const own = this.#waiting.get(who);
    if (own) own.push(thing);
    else this.#waiting.set(who, [thing]);
    this.#size += 1;
  }

  /** The oldest thing of whoever has waited longest since they were served. */
  take(): T | undefined {
    const [next] = this.#waiting;
    if (!next) return undefined;
    const [who, own] = next;
    const thing = own.shift();
    this.#waiting.delete(who);
    // To the end of those who wait.
    if (own.length > 0) this.#waiting.set(who, own);
    this.#size -= 1;
    return thing;
  }
}
