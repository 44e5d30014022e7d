import { ok, refuse, type Result } from '../result';

/**
 * One entry of a weave. `wrap`: the wire goes round the frame wires from `first` to `last` so many times; `eight`: it goes in
 * figure-eights over two neighbours; `pass`: it passes between the frame wires to the other side.
 */
export type WeaveGroup =
  | {
      readonly kind: 'wrap';
      readonly first: number;
      readonly last: number;
      readonly wraps: number;
      /** In the room of how many wraps it is laid, when that is not its own: more of them fan out outside of a curve. */
      readonly fits?: number;
      /** Whether it lies beside the group before it, at its height, instead of further on: coils side by side on two wires. */
      readonly beside?: true;
    }
  | { readonly kind: 'eight'; readonly first: number; readonly wraps: number }
  | { readonly kind: 'pass' };

/** A weave: what is repeated, and what is laid once at the end to close it. Frame wires are counted from the edge: 0 is A. */
export interface Weave {
  readonly repeat: readonly WeaveGroup[];
  readonly close: readonly WeaveGroup[];
}

/** What is wrong with a written weave, and where. */
export interface WeaveProblem {
  readonly message: string;
  /** Characters before the place. */
  readonly at: number;
  readonly length: number;
}

const LETTERS = 'ABCDEFGH';
const MOST_WRAPS = 99;
const MOST_GROUPS = 60;

const letter = (index: number): string => LETTERS[index] ?? '?';

function printGroup(group: WeaveGroup): string {
  if (group.kind === 'pass') return '/';
  const wires =
    group.kind === 'eight'
      ? `${letter(group.first)}~${letter(group.first + 1)}`
      : LETTERS.slice(group.first, group.last + 1);
  return wires + (group.wraps === 1 ? '' : String(group.wraps));
}

const printGroups = (groups: readonly WeaveGroup[]): string =>
  groups.reduce((text, group, index) => {
    const joint = index === 0 ? '' : isBeside(group) ? '+' : ' ';
    return text + joint + printGroup(group);
  }, '');

/** Whether a group lies at the height of the one before it. */
export const isBeside = (group: WeaveGroup): boolean => group.kind === 'wrap' && group.beside === true;

/** Writes a weave: "A3 AB2", "A3 AB BC; AB A3". */
export const printWeave = ({ repeat, close }: Weave): string =>
  printGroups(repeat) + (close.length > 0 ? `; ${printGroups(close)}` : '');

/** How many frame wires a weave goes over. */
export const wiresOf = ({ repeat, close }: Weave): number =>
  1 +
  Math.max(
    0,
    ...[...repeat, ...close].map((group) =>
      group.kind === 'pass' ? 0 : group.kind === 'eight' ? group.first + 1 : group.last,
    ),
  );

/**
 * Reads a weave as it is written: frame wires by their letters from the edge inward, then how often the wire goes round them (once
 * when nothing is said): "A3 AB2" is three on A, two on A and B together, repeated. `A~B` are figure-eights, `/` passes
 * between the wires, `A2+B2` are coils side by side, at one height, `(A2 AB)3` writes something three times, and what stands behind `;` is laid
 * once at the end.
 *
 * @returns what is wrong, and at which place
 */
export function parseWeave(text: string): Result<Weave, WeaveProblem> {
  const reader = new Reader(text);
  try {
    const repeat = reader.groups();
    if (repeat.length === 0) reader.fail('Nothing is repeated here; write a weave like A3 AB2.');
    const close = reader.take(';') ? reader.groups() : [];
    reader.end();
    return ok({ repeat, close });
  } catch (fault) {
    if (fault instanceof Misread) return refuse(fault.problem);
    throw fault;
  }
}

class Misread extends Error {
  constructor(readonly problem: WeaveProblem) {
    super(problem.message);
  }
}

class Reader {
  #at = 0;

  constructor(readonly text: string) {}

  fail(message: string, at = this.#at, length = 1): never {
    throw new Misread({ message, at, length });
  }

  #blank(): void {
    while (/[\s,·]/.test(this.text[this.#at] ?? 'x')) this.#at += 1;
  }

  #match(pattern: RegExp): string | undefined {
    const found = pattern.exec(this.text.slice(this.#at))?.[0];
    if (found !== undefined) this.#at += found.length;
    return found;
  }

  take(sign: string): boolean {
    this.#blank();
    if (this.text[this.#at] !== sign) return false;
    this.#at += 1;
    return true;
  }

  #count(): number {
    const at = this.#at;
    const digits = this.#match(/^\s*(?:[×x]\s*)?\d+/);
    if (digits === undefined) return 1;
    const count = Number(digits.replace(/\D/g, ''));
    if (count < 1 || count > MOST_WRAPS)
      this.fail(`${count} times is not possible; 1 to ${MOST_WRAPS} are.`, at, digits.length);
    return count;
  }

  groups(): WeaveGroup[] {
    const groups: WeaveGroup[] = [];
    for (;;) {
      this.#blank();
      const at = this.#at;
      const next = this.text[at];
      if (next === undefined || next === ';' || next === ')') return groups;
      if (this.take('(')) {
        const inner = this.groups();
        if (!this.take(')')) this.fail('A bracket is open here and never shut.', at);
        const times = this.#count();
        for (let turn = 0; turn < times; turn += 1) groups.push(...inner);
      } else if (this.take('+')) groups.push(this.#beside(at, groups.at(-1)));
      else groups.push(this.#group());
      if (groups.length > MOST_GROUPS)
        this.fail(`There are more than ${MOST_GROUPS} groups here.`, at, this.#at - at);
    }
  }

  /** A coil at the height of the one before it. @param at where its plus stands */
  #beside(at: number, before: WeaveGroup | undefined): WeaveGroup {
    this.#blank();
    const group = this.#group();
    const length = this.#at - at;
    if (before?.kind !== 'wrap' || group.kind !== 'wrap' || isBeside(before))
      return this.fail('“+” stands between two coils that lie side by side, like A2+B2.', at, length);
    if (before.first !== before.last || group.first !== group.last || before.first === group.first)
      return this.fail('Coils side by side lie on one wire each, like A2+B2.', at, length);
    if (before.wraps !== group.wraps)
      return this.fail(
        `Coils side by side are equal; ${printGroup(before)} and ${printGroup(group)} are not.`,
        at,
        length,
      );
    return { ...group, beside: true };
  }

  #group(): WeaveGroup {
    const at = this.#at;
    if (this.take('/')) return { kind: 'pass' };
    const wires = this.#match(/^[A-Ha-h]+(\s*~\s*[A-Ha-h]*)?/);
    if (wires === undefined)
      return this.fail(
        `“${this.text[at] ?? ''}” is not a frame wire; they are called A, B, C … from the edge inward.`,
        at,
      );
    const length = this.#at - at;
    const eight = wires.includes('~');
    const places = [...wires.toUpperCase().replace(/[^A-H]/g, '')].map((each) => LETTERS.indexOf(each));
    const first = places[0] ?? 0;
    if (places.some((place, index) => place !== first + index))
      this.fail(
        `${wires.toUpperCase()} are not neighbours in order; a wrap goes over wires that lie side by side, like AB or BCD.`,
        at,
        length,
      );
    if (eight && places.length !== 2)
      this.fail('A figure-eight goes over two neighbours, like A~B.', at, length);
    const wraps = this.#count();
    return eight
      ? { kind: 'eight', first, wraps }
      : { kind: 'wrap', first, last: first + places.length - 1, wraps };
  }

  end(): void {
    this.#blank();
    if (this.#at < this.text.length)
      this.fail(
        this.text[this.#at] === ')'
          ? 'This bracket was never opened.'
          : 'Only one closing part can follow the semicolon.',
      );
  }
}
