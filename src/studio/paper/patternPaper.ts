import { cutStrips } from '@/core/paper/cutStrips';
import { patternCard } from '@/core/paper/patternCard';
import type { Page } from '@/core/paper/sheet';
import { sheetSvg } from '@/core/paper/sheetSvg';
import { tag } from '@/core/tag';
import type { PatternView } from '../patterns/patterns';
import { sheetPdf } from './sheetPdf';

/** The papers of a pattern. */
const PAPERS: Readonly<Record<string, (pattern: PatternView) => Page[]>> = {
  strips: (pattern) => cutStrips(headOf(pattern), pattern.body, pattern.specs),
  card: (pattern) => patternCard(headOf(pattern), pattern.body, pattern.specs),
};

const headOf = ({ number, name, revision }: PatternView) => ({ tag: tag('pattern', number), name, revision });

/** A file that is sent. */
export interface PaperFile {
  readonly type: string;
  readonly content: Uint8Array | string;
}

/** A paper of a pattern: "strips.pdf", "card.svg"; undefined when there is none of that name. */
export async function patternPaper(pattern: PatternView, file: string): Promise<PaperFile | undefined> {
  const [, name = '', format] = /^(\w+)\.(pdf|svg)$/.exec(file) ?? [];
  const paper = Object.hasOwn(PAPERS, name) ? PAPERS[name] : undefined;
  if (!paper) return undefined;
  const pages = paper(pattern);
  if (format === 'svg') return { type: 'image/svg+xml; charset=utf-8', content: sheetSvg(pages) };
  return { type: 'application/pdf', content: new Uint8Array(await sheetPdf(pages, pattern.name)) };
}
