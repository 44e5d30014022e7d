import { resolve, type Specs } from '../pattern/composition';
import { cutLength, minutesOf, type PatternBody } from '../pattern/pattern';
import { drawPlan, type DrawnLine } from '../technique/drawPlan';
import { formatMarkBothWays } from '../units/length';
import { describeSpec } from '../wire/spec';
import type { SheetHead } from './cutStrips';
import { PageWriter } from './pageWriter';
import { A4, MARGIN, text, type Page, type Shape } from './sheet';

/** Height of the row of drawings, and how many stand in it. */
const [DRAWN, MOST_DRAWN] = [46, 4];

const strokes = (lines: readonly DrawnLine[], x: number, y: number, scale: number, grey: number): Shape[] =>
  lines.flatMap(({ d, thick }): Shape[] => [
    { kind: 'path', d, x, y, scale, thick, grey: 0.15 },
    { kind: 'path', d, x, y, scale, thick: thick * 0.7, grey },
  ]);

/** The techniques of a composed pattern, each drawn as large as its room allows, with its own scale said. */
function drawings(body: PatternBody, specs: Specs, top: number): Shape[] {
  if (!body.composition) return [];
  const drawn = resolve(body.composition, specs)
    .uses.flatMap(({ use, plan, values }) =>
      plan && values ? [{ name: use.name, drawing: drawPlan(plan, values, 3000) }] : [],
    )
    .slice(0, MOST_DRAWN);
  const room = (A4.width - 2 * MARGIN) / Math.max(1, drawn.length);
  return drawn.flatMap(({ name, drawing: { box, behind, level, before, stones, beads } }, index) => {
    const scale = Math.min((room - 6) / box.width, (DRAWN - 10) / box.height, 4);
    const x = MARGIN + room * index + room / 2 - (box.x + box.width / 2) * scale;
    const y = top + (DRAWN - 8) / 2 - (box.y + box.height / 2) * scale;
    return [
      ...strokes(behind, x, y, scale, 0.75),
      ...stones.map((d): Shape => ({ kind: 'path', d, x, y, scale, thick: 0, grey: 0.9, filled: true })),
      ...beads.map((bead): Shape => {
        const r = bead.diameter / 2;
        const d = `M${bead.x - r} ${bead.y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
        return { kind: 'path', d, x, y, scale, thick: 0.2, grey: 0.4 };
      }),
      ...strokes(level, x, y, scale, 0.8),
      ...strokes(before, x, y, scale, 0.8),
      text(MARGIN + room * (index + 0.5), top + DRAWN - 3, 2.8, `${name} (${scale.toFixed(1)} : 1)`, {
        anchor: 'middle',
      }),
    ];
  });
}

/** Everything that is needed at the bench for one piece: drawn, cut, threaded, in order, with its cautions. */
export function patternCard(head: SheetHead, body: PatternBody, specs: Specs): Page[] {
  const paper = new PageWriter(head.name, `${head.tag}, revision ${head.revision}`);
  const { each, setUp } = minutesOf(body);
  paper.write(`A ${body.kind}; ${each} minutes${setUp > 0 ? `, ${setUp} to set up` : ''}.`);
  if (body.composition) {
    paper.makeRoom(DRAWN);
    paper.put(...drawings(body, specs, paper.y));
    paper.y += DRAWN;
  }
  paper.heading('Wires to cut');
  for (const cut of body.cuts) {
    const spec = specs[cut.specId];
    paper.write(
      `${cut.count > 1 ? `${cut.count} × ` : ''}${cut.name}: ${formatMarkBothWays(cutLength(cut))}${spec ? `, ${describeSpec(spec)}` : ''}`,
      0,
      true,
    );
    const terms = [
      `${formatMarkBothWays(cut.net)} in the piece`,
      ...cut.allowances.map(({ name, length }) => `${formatMarkBothWays(length)} ${name}`),
    ];
    paper.write(terms.join(' + '), 1);
    for (const { at, what } of cut.marks ?? []) paper.write(`at ${formatMarkBothWays(at)}: ${what}`, 1);
  }
  if (body.parts.length > 0) {
    paper.heading('Beads, stones and findings');
    for (const { name, count } of body.parts) paper.write(`${count} × ${name}`);
  }
  paper.heading('Order of work');
  body.steps.forEach(({ name, minutes, perSitting, stops = [] }, index) => {
    for (const stop of stops) paper.write(stop, 1);
    paper.write(`${index + 1}. ${name}, ${minutes} min${perSitting ? ', once a sitting' : ''}`);
  });
  const cautions = [...new Set(body.steps.flatMap((step) => step.cautions ?? []))];
  if (cautions.length > 0) {
    paper.heading('Take care');
    for (const caution of cautions) paper.write(caution);
    paper.write('Local codes and a qualified person decide.');
  }
  if (body.notes.trim() !== '') {
    paper.heading('Notes');
    paper.write(body.notes);
  }
  return paper.finish();
}
