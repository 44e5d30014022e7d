import { counted } from '../units/counted';
import type { Specs } from '../pattern/composition';
import { afterStepsInOrder } from '../pattern/afterSteps';
import { resolve, type Resolved } from '../pattern/resolve';
import { techniqueOf } from '../techniques/registry';
import { cutLength, minutesOf, type PatternBody } from '../pattern/pattern';
import { LARGE, type LineDrawing } from '../drawing/lineDrawing';
import { viewsOf } from '../drawing/view';
import { drawnParts, isRing, type DrawnPart } from '../pattern/drawnParts';
import { drawPlan, drawSmall } from '../plan/drawPlan';
import { describeSpec } from '../wire/spec';
import { drawnShapes } from './drawnShapes';
import type { SheetHead } from './cutStrips';
import { PageWriter } from './pageWriter';
import { MARGIN, text, type Page, type PaperRules, type Shape } from './sheet';

/** A row of drawings: its height, and how many stand in it. */
interface Row {
  readonly height: number;
  /** How high the letters under them are. */
  readonly letters: number;
  readonly count: number;
}
const PIECES: Row = { height: 46, letters: 2.8, count: 4 };
const AFTER_STEPS: Row = { height: 30, letters: 2.4, count: 6 };

interface Drawn {
  readonly name: string;
  readonly drawing: LineDrawing;
}

const inRows = (drawn: readonly Drawn[], { count }: Row): Drawn[][] =>
  Array.from({ length: Math.ceil(drawn.length / count) }, (_, row) =>
    drawn.slice(row * count, (row + 1) * count),
  );

/** The pieces of a composed pattern from all sides. */
const drawingsOf = (parts: readonly DrawnPart[]): readonly Drawn[] =>
  parts.flatMap((part) =>
    viewsOf(isRing(part)).map((view): Drawn => ({ name: view, drawing: drawPlan(part.plan, LARGE, view) })),
  );

/** A piece after every step that changes what is seen of it; none when there is but one picture of it. */
function afterEachStep(part: DrawnPart, steps: Resolved['steps']): readonly Drawn[] {
  const after = afterStepsInOrder(part, steps);
  return after.length < 2
    ? []
    : after.map(({ number, plan }) => ({
        name: `after ${number}`,
        drawing: drawSmall(plan),
      }));
}

/** A row of drawings, each as large as its room allows, with its own scale said. */
function drawnRow(
  drawn: readonly Drawn[],
  { height, letters, count }: Row,
  width: number,
  top: number,
): Shape[] {
  const room = (width - 2 * MARGIN) / Math.min(count, Math.max(drawn.length, 3));
  return drawn.flatMap(({ name, drawing }, index) => {
    const { shapes, scale } = drawnShapes(drawing, {
      x: MARGIN + room * index + 3,
      y: top + 1,
      width: room - 6,
      height: height - 10,
    });
    return [
      ...shapes,
      text(MARGIN + room * (index + 0.5), top + height - 3, letters, `${name} (${scale.toFixed(1)} : 1)`, {
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
  const resolved = body.composition && resolve(body.composition, specs, techniqueOf);
  const parts = resolved ? drawnParts(resolved) : [];
  const draw = (drawn: readonly Drawn[], row: Row) => {
    for (const each of inRows(drawn, row)) {
      paper.makeRoom(row.height);
      paper.put(...drawnRow(each, row, paper.size.width, paper.y));
      paper.y += row.height;
    }
  };
  draw(drawingsOf(parts), PIECES);
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
  body.steps.forEach(({ name, minutes, perSitting, kind, stops = [] }, index) => {
    for (const stop of stops) paper.write(stop, 1);
    const mark = kind === undefined ? '' : kind === 'stop' ? 'STOP: ' : 'CHECK: ';
    paper.write(`${index + 1}. ${mark}${name}, ${minutes} min${perSitting ? ', once a sitting' : ''}`);
  });
  for (const part of parts) draw(afterEachStep(part, resolved?.steps ?? []), AFTER_STEPS);
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
