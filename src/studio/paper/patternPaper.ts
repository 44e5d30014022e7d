import { cutStrips } from '@/core/paper/cutStrips';
import { patternCard } from '@/core/paper/patternCard';
import type { Page, PaperRules } from '@/core/paper/sheet';
import { tag } from '@/core/tag';
import type { PatternView } from '../patterns/patterns';
import { paperFile, type PaperFile } from './paperFile';

/** The papers of a pattern. */
const PAPERS: Readonly<Record<string, (pattern: PatternView, rules: PaperRules) => Page[]>> = {
  strips: (pattern, rules) => cutStrips(headOf(pattern), pattern.body, pattern.specs, rules),
  card: (pattern, rules) => patternCard(headOf(pattern), pattern.body, pattern.specs, rules),
};

const headOf = ({ number, name, revision }: PatternView) => ({ tag: tag('pattern', number), name, revision });

/** A paper of a pattern: "strips.pdf", "card.svg"; undefined when there is none of that name. */
export async function patternPaper(
  pattern: PatternView,
  file: string,
  rules: PaperRules,
): Promise<PaperFile | undefined> {
  const [, name = '', format] = /^(\w+)\.(pdf|svg)$/.exec(file) ?? [];
  const paper = Object.hasOwn(PAPERS, name) ? PAPERS[name] : undefined;
  if (!paper) return undefined;
  return paperFile(paper(pattern, rules), format, pattern.name);
}
