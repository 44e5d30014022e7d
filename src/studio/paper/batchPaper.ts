import { cutSheet } from '@/core/paper/cutSheet';
import type { PaperRules } from '@/core/paper/sheet';
import { calledInFull } from '@/core/pattern/ringSizeOf';
import { formatLength } from '@/core/units/length';
import { tag } from '@/core/tag';
import { describeSpec } from '@/core/wire/spec';
import type { BatchView } from '../batches/batches';
import { csvLines } from '../lists/csv';
import { paperFile, type PaperFile } from './paperFile';

const CSV = 'text/csv; charset=utf-8';

/** The papers of a batch. */
const PAPERS: Readonly<
  Record<string, (batch: BatchView, rules: PaperRules) => Promise<PaperFile> | PaperFile>
> = {
  'cut-sheet.pdf': (batch, rules) => paperFile(sheetOf(batch, rules), 'pdf', batch.name),
  'cut-sheet.svg': (batch, rules) => paperFile(sheetOf(batch, rules), 'svg', batch.name),
  'cuts.csv': (batch) => ({ type: CSV, content: csvLines(cutRows(batch)) }),
  'picks.csv': (batch) => ({ type: CSV, content: csvLines(pickRows(batch)) }),
};

export const BATCH_PAPERS = Object.keys(PAPERS);

/** A paper of a batch; undefined when there is none of that name. */
export async function batchPaper(
  batch: BatchView,
  file: string,
  rules: PaperRules,
): Promise<PaperFile | undefined> {
  return Object.hasOwn(PAPERS, file) ? PAPERS[file]?.(batch, rules) : undefined;
}

const sheetOf = (batch: BatchView, rules: PaperRules) =>
  cutSheet(
    { tag: tag('batch', batch.number), name: batch.name },
    batch.plans.map(({ spec, plan }) => ({
      spec,
      pieces: plan.pieces.map(({ number, form, place, cuts, left, leftIs }) => ({
        label: [tag('wire', number), form, place].filter(Boolean).join(', '),
        cuts: cuts.map(({ length, line, name }) => ({ length, name: `${name}, ${lineName(batch, line)}` })),
        left,
        leftIs,
      })),
    })),
    batch.picks.map(({ ware, number, name, place, quantity }) => ({
      count: quantity,
      name,
      from: [tag(ware, number), place].filter(Boolean).join(', '),
    })),
    rules,
  );

/** What a line of a batch makes. */
function lineName({ lines }: BatchView, line: number): string {
  const body = lines.find((each) => each.line === line)?.body;
  return body ? calledInFull(body) : '';
}

const cutRows = (batch: BatchView): string[][] => [
  ['Stock piece', 'Form', 'Place', 'Wire', 'Length (mm)', 'Length (in)', 'Cut', 'Pattern', 'Piece'],
  ...batch.plans.flatMap(({ spec, plan }) => {
    const wire = describeSpec(spec);
    const row = (from: readonly string[], cut: (typeof plan.unmet)[number]): string[] => [
      ...from,
      wire,
      String(cut.length / 1000),
      formatLength(cut.length, 'in'),
      cut.name,
      lineName(batch, cut.line),
      String(cut.piece + 1),
    ];
    return [
      ...plan.pieces.flatMap(({ number, form, place, cuts }) =>
        cuts.map((cut) => row([tag('wire', number), form, place ?? ''], cut)),
      ),
      ...plan.unmet.map((cut) => row(['', 'no wire', ''], cut)),
    ];
  }),
];

const pickRows = (batch: BatchView): string[][] => [
  ['Tag', 'What', 'Place', 'How many'],
  ...batch.picks.map(({ ware, number, name, place, quantity }) => [
    tag(ware, number),
    name,
    place ?? '',
    String(quantity),
  ]),
];
