import type { Micrometres } from '../units/length';
import {
  checkBar,
  lengthOn,
  line,
  MARGIN,
  SHEETS,
  text,
  wrapped,
  type Page,
  type PaperRules,
  type Shape,
} from './sheet';

/** Characters that a line of body text holds. */
const LINE = 96;
export const BODY = 3.3;
/** What stands at the head of every page, and the bar at its foot, take so much, mm. */
const [HEAD, FOOT] = [12, 8];

/** Writes down pages of the studio's paper, a new one whenever there is no room: each with its title, a label, and the bar that shows the scale. */
export class PageWriter {
  private readonly pages: Shape[][] = [];
  /** Where the next thing goes, mm from the top. */
  y = Infinity;

  /** The paper, mm. */
  readonly size: { readonly width: number; readonly height: number };

  constructor(
    private readonly title: string,
    private readonly label: string,
    private readonly rules: PaperRules,
  ) {
    this.size = SHEETS[rules.sheet];
  }

  /** A computed length, in both units. */
  length(of: Micrometres): string {
    return lengthOn(this.rules, of);
  }

  /** Begins a page when so much does not go on this one, mm. */
  makeRoom(height: number): void {
    if (this.y + height <= this.size.height - MARGIN - FOOT) return;
    this.pages.push([
      text(MARGIN, MARGIN + 4, 6, this.title, { bold: true }),
      text(this.size.width - MARGIN, MARGIN + 4, 3.4, this.label, { anchor: 'end' }),
      ...checkBar(MARGIN, this.size.height - MARGIN),
    ]);
    this.y = MARGIN + HEAD;
  }

  put(...shapes: readonly Shape[]): void {
    this.pages.at(-1)?.push(...shapes);
  }

  write(said: string, indent = 0, bold = false): void {
    for (const each of wrapped(said, LINE - indent * 2)) {
      this.makeRoom(BODY * 1.5);
      this.put(text(MARGIN + indent * 4, this.y, BODY, each, { bold }));
      this.y += BODY * 1.4;
    }
  }

  heading(said: string): void {
    this.makeRoom(12);
    this.y += 3;
    this.put(
      text(MARGIN, this.y, 4, said, { bold: true }),
      line(MARGIN, this.y + 1.2, this.size.width - MARGIN, this.y + 1.2),
    );
    this.y += 6;
  }

  /** All pages; one at least. */
  finish(): Page[] {
    if (this.pages.length === 0) this.makeRoom(1);
    return this.pages.map((shapes) => ({ ...this.size, shapes }));
  }
}
