import Joi from 'joi';
import { ARCHIVE_FORMAT, ARCHIVE_LIMITS, ARCHIVE_VERSION, type ArchivePiece } from '@pace-bend/core/exchange';
import { isDay } from '@pace-bend/core/record';
import type { Column, ColumnKind, Layout } from './columns.ts';
import { ID } from './ids.ts';
import { ARCHIVE_TABLES } from './tables.ts';

/** Rows of one table in one piece at most. */
const MOST_ROWS = 200_000;
const INSTANT = '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}\\.\\d{3}Z$';
const DAY = '^(19|20|21)\\d{2}-\\d{2}-\\d{2}$';
const ids = new RegExp(`^${ID}$`);
const instants = new RegExp(INSTANT);

const day = Joi.string().custom((value: string, helpers) =>
  isDay(value) ? value : helpers.message({ custom: '{{#label}} is no day of the calendar' }),
);
const instant = Joi.string().custom((value: string, helpers) =>
  instants.test(value) && !Number.isNaN(Date.parse(value)) && isDay(value.slice(0, 10))
    ? value
    : helpers.message({ custom: '{{#label}} is no instant in UTC' }),
);

function joiOf(kind: ColumnKind): Joi.Schema {
  switch (kind.is) {
    case 'id':
      return Joi.string().pattern(ids);
    case 'day':
      return day;
    case 'instant':
      return instant;
    case 'number':
      return Joi.number();
    case 'yes or no':
      return Joi.boolean();
    case 'json':
      return Joi.alternatives(Joi.object(), Joi.array().max(MOST_ROWS));
    case 'text':
      return Joi.string().allow('').max(kind.most);
    case 'whole number':
      return Joi.number().integer().min(kind.least).max(kind.most);
    case 'one of':
      return Joi.string().valid(...kind.values);
  }
}

const joiColumn = ({ kind, nullable, optional }: Column) => {
  const schema = nullable ? joiOf(kind).allow(null) : joiOf(kind);
  return optional ? schema : schema.required();
};

const tablesSchema = (layout: Layout, part: 'shared' | 'athlete') =>
  Joi.object(
    Object.fromEntries(
      ARCHIVE_TABLES.filter((table) => table.part === part).map(({ name }) => [
        name,
        Joi.array()
          .items(Joi.object(Object.fromEntries(layout.get(name)!.map((column) => [column.name, joiColumn(column)]))))
          .max(name === 'athlete' ? 1 : MOST_ROWS),
      ]),
    ),
  );

/** What a piece may be, checked column by column. */
export function pieceSchema(layout: Layout): Joi.ObjectSchema<ArchivePiece> {
  const text = (most: number) => Joi.string().min(1).max(most).required();
  const id = Joi.string().pattern(ids).required();
  return Joi.object({
    head: Joi.object({
      format: Joi.valid(ARCHIVE_FORMAT).required(),
      version: Joi.valid(ARCHIVE_VERSION).required(),
      layout: text(120),
      practice: Joi.object({ id, name: text(120) }).required(),
      accounts: Joi.array()
        .items(Joi.object({ id, name: text(120), role: text(40) }))
        .max(ARCHIVE_LIMITS.accounts)
        .required(),
    }).required(),
    shared: tablesSchema(layout, 'shared').required(),
    athlete: tablesSchema(layout, 'athlete').allow(null).required(),
    derived: Joi.object()
      .pattern(Joi.string().max(60), Joi.array().items(Joi.string().max(60)).max(40))
      .max(60)
      .required(),
    people: Joi.object()
      .pattern(ids, Joi.alternatives(Joi.valid('new'), Joi.object({ same: id })))
      .max(ARCHIVE_LIMITS.athletes)
      .required(),
  });
}

function schemaOf(kind: ColumnKind): Record<string, unknown> {
  switch (kind.is) {
    case 'id':
      return { type: 'string', pattern: `^${ID}$` };
    case 'day':
      return { type: 'string', pattern: DAY, description: 'A day of the calendar.' };
    case 'instant':
      return { type: 'string', pattern: INSTANT, description: 'An instant in UTC.' };
    case 'number':
      return { type: 'number' };
    case 'yes or no':
      return { type: 'boolean' };
    case 'json':
      return { type: ['object', 'array'] };
    case 'text':
      return { type: 'string', maxLength: kind.most };
    case 'whole number':
      return { type: 'integer', minimum: kind.least, maximum: kind.most };
    case 'one of':
      return { type: 'string', enum: kind.values };
  }
}

function columnSchema({ kind, nullable }: Column): Record<string, unknown> {
  const schema = schemaOf(kind);
  if (!nullable) return schema;
  return {
    ...schema,
    type: [schema.type, 'null'].flat(),
    ...('enum' in schema ? { enum: [...(schema.enum as string[]), null] } : {}),
  };
}

/** A JSON Schema (draft 7) of a whole file. */
export function archiveSchema(layout: Layout): Record<string, unknown> {
  const tables = (part: 'shared' | 'athlete') => ({
    type: 'object',
    additionalProperties: false,
    properties: Object.fromEntries(
      ARCHIVE_TABLES.filter((table) => table.part === part).map(({ name }) => [
        name,
        { type: 'array', items: { $ref: `#/definitions/${name}` } },
      ]),
    ),
  });
  const text = { type: 'string', minLength: 1, maxLength: 120 };
  const id = { type: 'string', pattern: `^${ID}$` };
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: 'A whole record, or the whole practice, of Pace Bend',
    type: 'object',
    additionalProperties: false,
    required: ['format', 'version', 'layout', 'takenOutAt', 'practice', 'accounts', 'shared', 'athletes'],
    properties: {
      format: { const: ARCHIVE_FORMAT },
      version: { const: ARCHIVE_VERSION },
      layout: { ...text, description: 'The last change of the layout of tables this was written with.' },
      takenOutAt: { type: 'string', pattern: INSTANT },
      practice: {
        type: 'object',
        additionalProperties: false,
        required: ['id', 'name'],
        properties: { id, name: text, timeZone: text },
      },
      accounts: {
        type: 'array',
        maxItems: ARCHIVE_LIMITS.accounts,
        description: 'Who worked there; without what they sign in with.',
        items: {
          type: 'object',
          additionalProperties: false,
          required: ['id', 'name', 'role'],
          properties: { id, name: text, role: { ...text, maxLength: 40 } },
        },
      },
      settings: { type: 'object', description: 'How the practice works. It is never read in.' },
      shared: { ...tables('shared'), description: 'What belongs to nobody alone.' },
      athletes: {
        type: 'array',
        maxItems: ARCHIVE_LIMITS.athletes,
        items: {
          type: 'object',
          additionalProperties: false,
          required: ['tables'],
          properties: {
            tables: tables('athlete'),
            beside: { type: 'object', description: 'Lines of the audit and the event days they were at. It is never read in.' },
          },
        },
      },
    },
    definitions: Object.fromEntries(
      [...layout].map(([name, columns]) => [
        name,
        {
          type: 'object',
          additionalProperties: false,
          required: columns.filter(({ optional }) => !optional).map((column) => column.name),
          properties: Object.fromEntries(columns.map((column) => [column.name, columnSchema(column)])),
        },
      ]),
    ),
  };
}
