import { ok, refuse, type Result } from '../result';
import type { OfferedTechnique } from '../technique/technique';
import type { ChosenPorts } from '../technique/refs';
import type { Texts } from '../parameter/readTexts';
import { ACTS } from '../judgement/finishes';
import { isAct, isOwnStepId, LONGEST_NAME, MOST_OWN_STEPS, OWN_STEP_KINDS, type OwnStep } from './ownSteps';
import { MOST_COPIES, type Composition, type TechniqueUse } from './composition';

type Plain = Readonly<Record<string, unknown>>;

const MOST_USES = 40;
const MOST_FIELDS = 80;
/** A traced outline has hundreds of figures. */
const MOST_TEXT = 5000;
const MOST_STEPS = 400;
const MOST_PORTS = 12;
const MOST_ENDS = 24;

class Unreadable extends Error {}

const fail = (where: string, allowed: string): never => {
  throw new Unreadable(`${where}: ${allowed}.`);
};

function object(value: unknown, where: string, fields: readonly string[] | null): Plain {
  if (typeof value !== 'object' || value === null || Array.isArray(value))
    return fail(where, 'an object is expected');
  const unknown = fields && Object.keys(value).find((key) => !fields.includes(key));
  if (unknown) return fail(`${where}.${unknown}`, `there is no such field; ${fields.join(', ')} are allowed`);
  return value as Plain;
}

function text(value: unknown, where: string, most = MOST_TEXT): string {
  return typeof value === 'string' && value.length <= most
    ? value
    : fail(where, `a text of at most ${most} characters is expected`);
}

function texts(value: unknown, where: string): Texts {
  const entries = Object.entries(object(value, where, null));
  if (entries.length > MOST_FIELDS) return fail(where, `at most ${MOST_FIELDS} fields are allowed`);
  return Object.fromEntries(entries.map(([key, each]) => [key, text(each, `${where}.${key}`)]));
}

/** By port, what is taken up. */
function ports(value: unknown, where: string): ChosenPorts {
  const entries = Object.entries(object(value, where, null));
  if (entries.length > MOST_PORTS) return fail(where, `at most ${MOST_PORTS} ports are allowed`);
  return Object.fromEntries(entries.map(([key, each]) => [key, names(each, `${where}.${key}`, MOST_ENDS)]));
}

function list(value: unknown, where: string, most: number): readonly unknown[] {
  return Array.isArray(value) && value.length <= most
    ? value
    : fail(where, `a list of at most ${most} is expected`);
}

const names = (value: unknown, where: string, most: number): string[] =>
  list(value, where, most).map((each, index) => text(each, `${where}.${index}`, 80));

const USE_FIELDS = ['id', 'technique', 'name', 'texts', 'wires', 'own', 'takes', 'mirrors'];

function readUse(value: unknown, where: string, offered: readonly OfferedTechnique[]): TechniqueUse {
  const plain = object(value, where, USE_FIELDS);
  const technique = text(plain['technique'], `${where}.technique`, 80);
  const known = offered.map(({ id }) => id);
  if (!known.includes(technique))
    return fail(`${where}.technique`, `“${technique}” is none of ${known.join(', ')}`);
  const id = text(plain['id'], `${where}.id`, 8);
  if (!/^[a-z]\d*$/.test(id))
    return fail(`${where}.id`, 'a letter with or without a number is expected, like a or b2');
  return {
    id,
    technique,
    name: text(plain['name'], `${where}.name`, 60),
    texts: texts(plain['texts'], `${where}.texts`),
    wires: texts(plain['wires'], `${where}.wires`),
    own: names(plain['own'], `${where}.own`, MOST_FIELDS),
    // Patterns of before techniques took up what others leave have none.
    takes: plain['takes'] === undefined ? {} : ports(plain['takes'], `${where}.takes`),
    ...(plain['mirrors'] === undefined ? {} : { mirrors: text(plain['mirrors'], `${where}.mirrors`, 8) }),
  };
}

const STEP_FIELDS = ['id', 'name', 'minutes', 'once', 'kind', 'does'];

function readStep(value: unknown, where: string): OwnStep {
  const plain = object(value, where, STEP_FIELDS);
  const { id, once, kind, does } = plain;
  if (typeof id !== 'string' || !isOwnStepId(id)) return fail(`${where}.id`, 'an id like own.1 is expected');
  const known = OWN_STEP_KINDS.find((each) => each === kind);
  if (!known) return fail(`${where}.kind`, `${OWN_STEP_KINDS.join(', ')} are allowed`);
  if (typeof does !== 'string' || (does !== '' && !isAct(does)))
    return fail(`${where}.does`, `${ACTS.join(', ')} or nothing is allowed`);
  if (typeof once !== 'boolean') return fail(`${where}.once`, 'true or false is expected');
  return {
    id,
    name: text(plain['name'], `${where}.name`, LONGEST_NAME),
    minutes: text(plain['minutes'], `${where}.minutes`, 20),
    once,
    kind: known,
    does,
  };
}

/** A fault when an id stands twice. */
function eachOnce(ids: readonly string[], where: string): void {
  const twice = ids.find((id, index) => ids.indexOf(id) !== index);
  if (twice !== undefined) fail(where, `the id “${twice}” stands twice`);
}

const FIELDS = ['measures', 'uses', 'steps', 'order', 'overridden', 'copies', 'inHand'];

/**
 * Reads a composition as it is stored, sent or imported.
 * @param offered techniques that it may be made by
 * @returns a sentence that says where it is wrong
 */
export function readComposition(value: unknown, offered: readonly OfferedTechnique[]): Result<Composition> {
  try {
    const plain = object(value, 'composition', FIELDS);
    const uses = list(plain['uses'], 'uses', MOST_USES).map((each, index) =>
      readUse(each, `uses.${index}`, offered),
    );
    eachOnce(
      uses.map(({ id }) => id),
      'uses',
    );
    // Patterns of before makers added steps of their own have none.
    const steps =
      plain['steps'] === undefined
        ? undefined
        : list(plain['steps'], 'steps', MOST_OWN_STEPS).map((each, index) =>
            readStep(each, `steps.${index}`),
          );
    eachOnce(
      (steps ?? []).map(({ id }) => id),
      'steps',
    );
    const copies = plain['copies'];
    if (!Number.isInteger(copies) || Number(copies) < 1 || Number(copies) > MOST_COPIES)
      fail('copies', `a whole number from 1 to ${MOST_COPIES} is expected`);
    return ok({
      measures: texts(plain['measures'], 'measures'),
      uses,
      ...(steps ? { steps } : {}),
      order: names(plain['order'], 'order', MOST_STEPS),
      overridden: names(plain['overridden'], 'overridden', MOST_STEPS),
      copies: Number(copies),
      ...(plain['inHand'] === undefined ? {} : { inHand: texts(plain['inHand'], 'inHand') }),
    });
  } catch (fault) {
    if (fault instanceof Unreadable) return refuse(fault.message);
    throw fault;
  }
}
