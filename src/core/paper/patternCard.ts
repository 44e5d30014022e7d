import { counted } from '../units/counted';
import type { Specs } from '../pattern/composition';
import { resolve } from '../pattern/resolve';
import { techniqueOf } from '../technique/registry';
import { cutLength, minutesOf, type PatternBody } from '../pattern/pattern';
import { LARGE, type LineDrawing } from '../drawing/lineDrawing';
import { VIEWS } from '../drawing/view';
import { drawnParts } from '../pattern/drawnParts';
import { drawPlan } from '../technique/drawPlan';
import { describeSpec } from '../wire/spec';
import type { SheetHead } from './cutStrips';
import { PageWriter } from './pageWriter';
import { MARGIN, text, type Page, type PaperRules, type Shape } from './sheet';

/** Height of a row of drawings, and how many stand in it. */
const [DRAWN, IN_ROW] = [46, 4];

interface Drawn {
  readonly name: string;
  readonly drawing: LineDrawing;
}

/** The pieces of a composed pattern from all sides, and its other techniques, in rows. */
function drawingsOf({ composition }: PatternBody, specs: Specs): Drawn[][] {
  if (!composition) return [];
  const drawn = drawnParts(resolve(composition, specs, techniqueOf)).flatMap(
    ({ name, plan, values }): Drawn[] =>
      plan.run
        ? VIEWS.map((view) => ({ name: view, drawing: drawPlan(plan, values, LARGE, view) }))
        : [{ name, drawing: drawPlan(plan, values) }],
  );
  return Array.from({ length: Math.ceil(drawn.length / IN_ROW) }, (_, row) =>
    drawn.slice(row * IN_ROW, (row + 1) * IN_ROW),
  );
}

/** A row of drawings, each as large as its room allows, with its own scale said. */
function drawnRow(drawn: readonly Drawn[], width: number, top: number): Shape[] {
  const room = (width - 2 * MARGIN) / drawn.length;
  return drawn.flatMap(({ name, drawing: { box, layers } }, index) => {
    const scale = Math.min((room - 6) / box.width, (DRAWN - 10) / box.height, 4);
    const x = MARGIN + room * index + room / 2 - (box.x + box.width / 2) * scale;
    const y = top + (DRAWN - 8) / 2 - (box.y + box.height / 2) * scale;
    const at = { kind: 'path', x, y, scale } as const;
    return [
      ...layers.flatMap((each): Shape[] =>
        each.kind === 'body'
          ? [
              { ...at, d: each.d, thick: 0, grey: 0.9, filled: true },
              { ...at, d: each.d, thick: 0.15, grey: 0.4 },
            ]
          : [{ ...at, d: each.d, thick: each.thick, grey: each.kind === 'edge' ? 0.15 : 0.8 }],
      ),
      text(MARGIN + room * (index + 0.5), top + DRAWN - 3, 2.8, `${name} (${scale.toFixed(1)} : 1)`, {
        anchor: 'middle',
      }),
    ];
  });
}

/** Everything that is needed at the bench for one piece: drawn, cut, threaded, in order, with its cautions. */
export function patternCard(head: SheetHead, body: PatternBody, specs: Specs, rules: PaperRules): Page[] {
  const paper = new PageWriter(head.name, `${head.tag}, revision ${head.revision}`, rules);
  const { each, setUp } = minutesOf(body);
  paper.write(`A ${body.kind}; ${counted(each, 'minute')}${setUp > 0 ? `, ${setUp} to set up` : ''}.`);
  for (const row of drawingsOf(body, specs)) {
    paper.makeRoom(DRAWN);
    paper.put(...drawnRow(row, paper.size.width, paper.y));
    paper.y += DRAWN;
  }
  paper.heading('Wires to cut');
  for (const cut of body.cuts) {
    const spec = specs[cut.specId];
    paper.write(
      `${cut.count > 1 ? `${cut.count} × ` : ''}${cut.name}: ${paper.length(cutLength(cut))}${spec ? `, ${describeSpec(spec)}` : ''}`,
      0,
      true,
    );
    const terms = [
      `${paper.length(cut.net)} in the piece`,
      ...cut.allowances.map(({ name, length }) => `${paper.length(length)} ${name}`),
    ];
    paper.write(terms.join(' + '), 1);
    for (const { at, what } of cut.marks ?? []) paper.write(`at ${paper.length(at)}: ${what}`, 1);
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
