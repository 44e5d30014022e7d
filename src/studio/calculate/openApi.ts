import 'reflect-metadata';
import { defaultMetadataStorage } from 'class-transformer/cjs/storage';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { LINE_POINTS, type Parameter } from '@/core/parameter/parameter';
import { TECHNIQUES } from '@/core/techniques/registry';
import { printWeave } from '@/core/weave/notation';
import { OUTLINES } from '@/core/stone/stone';
import { GAUGE_SYSTEMS } from '@/core/wire/gauge';
import { DRAWN_PROFILES } from '@/core/wire/profile';
import { ENDPOINTS } from './endpoints';

/** A JSON schema, or a part of one. */
type Schema = Readonly<Record<string, unknown>>;

const MM: Schema = { type: 'number', description: 'mm' };

const TEXT_OR_NUMBER: Schema = { oneOf: [{ type: 'number' }, { type: 'string' }] };

const WIRE: Schema = {
  type: 'object',
  description: 'A gauge, or a width; round unless a profile is told',
  additionalProperties: false,
  properties: {
    profile: { enum: DRAWN_PROFILES, default: 'round' },
    gauge: {
      type: 'object',
      additionalProperties: false,
      required: ['system', 'value'],
      properties: {
        system: { enum: GAUGE_SYSTEMS },
        value: TEXT_OR_NUMBER,
      },
    },
    widthMm: MM,
    heightMm: MM,
  },
};

const POINT: Schema = { type: 'object', required: ['x', 'y'], properties: { x: MM, y: MM } };

const POINTS: Schema = { type: 'array', minItems: 3, maxItems: 500, items: POINT };

const STONE: Schema = {
  type: 'object',
  additionalProperties: false,
  required: ['outline', 'lengthMm'],
  properties: {
    outline: { enum: OUTLINES },
    ...Object.fromEntries(
      ['lengthMm', 'widthMm', 'depthMm', 'edgeMm', 'cornerMm', 'stripMm'].map((name) => [name, MM]),
    ),
    pointsMm: POINTS,
  },
};

const WEAVE: Schema = {
  oneOf: [
    { type: 'string', description: 'As it is written: A3 AB2' },
    {
      type: 'object',
      required: ['groups'],
      properties: { groups: { type: 'array', items: { $ref: '#/components/schemas/WeaveGroupInput' } } },
    },
  ],
};

/** A technique’s parameter as JSON schema; lengths in mm. */
export function parameterSchema(parameter: Parameter): Schema {
  const { label, help } = parameter;
  const description = help ? `${label}. ${help}` : label;
  switch (parameter.kind) {
    case 'length':
      return {
        type: 'number',
        description: `${description}, mm`,
        minimum: parameter.from,
        maximum: parameter.to,
        default: parameter.initial,
      };
    case 'count':
      return {
        type: 'integer',
        description,
        minimum: parameter.from,
        maximum: parameter.to,
        default: parameter.initial,
      };
    case 'choice':
      return { enum: parameter.choices, description, default: parameter.initial };
    case 'wire': {
      const { profile, width, height } = parameter.initial;
      return { ...WIRE, description, default: { profile, widthMm: width, heightMm: height } };
    }
    case 'stone': {
      const { outline, length, width, depth, edge } = parameter.initial;
      return {
        ...STONE,
        description,
        default: { outline, lengthMm: length, widthMm: width, depthMm: depth, edgeMm: edge },
      };
    }
    case 'line': {
      const { least, most } = LINE_POINTS;
      return {
        type: 'array',
        description: `${description}, mm`,
        minItems: least,
        maxItems: most,
        items: POINT,
        default: parameter.initial,
      };
    }
    case 'weave':
      return { ...WEAVE, description, default: printWeave(parameter.initial) };
  }
}

const json = (schema: Schema, example?: object) => ({
  content: { 'application/json': { schema, ...(example ? { example } : {}) } },
});

const PROBLEM = { $ref: '#/components/schemas/Problem' };

const ANSWERS = {
  200: { description: 'The answer; lengths in mm, masses in g', ...json({ type: 'object' }) },
  400: { description: 'A field is wrong: what was given, and what is allowed', ...json(PROBLEM) },
  401: { description: 'No token, or none that works', ...json(PROBLEM) },
};

const posted = (summary: string, schema: Schema, example?: object) => ({
  post: {
    summary,
    security: [{ token: [] }],
    requestBody: { required: true, ...json(schema, example) },
    responses: ANSWERS,
  },
});

const asked = (summary: string) => ({ get: { summary, security: [{ token: [] }], responses: ANSWERS } });

const SCHEMAS = '#/components/schemas/';

/** The names of schemas, with those that they refer to. */
function withReferred(
  schemas: Readonly<Record<string, unknown>>,
  names: readonly string[],
  found = new Set<string>(),
): ReadonlySet<string> {
  for (const name of names) {
    if (found.has(name)) continue;
    found.add(name);
    const referred = JSON.stringify(schemas[name] ?? {}).matchAll(/"#\/components\/schemas\/(\w+)"/g);
    withReferred(
      schemas,
      [...referred].map(([, to = '']) => to),
      found,
    );
  }
  return found;
}

/** What programs may ask, as OpenAPI 3.1. */
export function openApi(): Schema {
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: SCHEMAS,
    // What the rules of our own allow, by their names.
    additionalConverters: {
      textOrNumber: TEXT_OR_NUMBER,
      points: POINTS,
      values: {
        type: 'object',
        description: 'Parameters of the technique, as its own calculation takes them',
      },
      takes: {
        type: 'object',
        description: 'By port, what is taken up of acts before it',
        additionalProperties: { type: 'array', maxItems: 24, items: { type: 'string', maxLength: 80 } },
      },
    },
  });
  const wanted = withReferred(schemas, [
    ...Object.values(ENDPOINTS).map(({ Input }) => Input.name),
    'WeaveGroupInput',
  ]);
  return {
    openapi: '3.1.0',
    info: {
      title: 'Pewterer',
      version: '1',
      description: 'Lengths in mm, masses in g. An unknown field is refused, not ignored.',
    },
    paths: {
      '/api/v1/me': asked('Whom a token stands for'),
      '/api/v1/techniques': asked('Every technique with its parameters'),
      ...Object.fromEntries(
        Object.entries(ENDPOINTS).map(([name, { summary, Input, example }]) => [
          `/api/v1/calculate/${name}`,
          posted(summary, { $ref: `#/components/schemas/${Input.name}` }, example),
        ]),
      ),
      ...Object.fromEntries(
        TECHNIQUES.map(({ id, title, parameters }) => [
          `/api/v1/calculate/technique/${id}`,
          posted(title, {
            type: 'object',
            additionalProperties: false,
            properties: Object.fromEntries(
              Object.entries(parameters).map(([key, each]) => [key, parameterSchema(each)]),
            ),
          }),
        ]),
      ),
    },
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
      schemas: {
        ...Object.fromEntries(
          [...wanted].map((name) => [name, { ...schemas[name], additionalProperties: false }]),
        ),
        Problem: {
          type: 'object',
          required: ['message'],
          properties: {
            message: { type: 'string' },
            fields: { type: 'object', additionalProperties: { type: 'string' } },
          },
        },
      },
    },
  };
}
