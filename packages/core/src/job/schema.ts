import { FIGURE_KEYS, labelOf } from '../book';
import type { Message } from '../texts';
import { Job } from './document';
import { schemaOf } from './field';
import type { Schema } from './schema-parts';

/** JSON Schema of a job file, made from what the door checks. */
export const JOB_SCHEMA: Schema = {
  $schema: 'http://json-schema.org/draft-07/schema#',
  title: 'Lisse job',
  description: [
    'A drywall finishing job. Lengths mm, temperatures °C, times min; fields not named here are kept.',
    'Reading says more than a schema can: the corners of an outline are at least 10 mm apart, its walls do not cross, and it encloses 0.09 to 100000 m² within 400 m each way; calendar.to is later than calendar.from;',
    'a file is at most 40 MB of UTF-8, nested at most 40 levels, and uses no name __proto__, constructor or prototype.',
    'Ids that stand twice in one list are renamed as they are read. What does not fit together (an opening past its wall, a slope upside down, a face that is not there) is advice in the plan.',
  ].join(' '),
  ...schemaOf(Job),
};

/** The schema as it is published, with the figures of the book by their names. */
export function jobSchema(say: (what: Message) => string): Schema {
  const schema = structuredClone(JOB_SCHEMA);
  const figures = part(part(schema, 'shop'), 'figures');
  for (const key of FIGURE_KEYS) {
    const figure = part(figures, key);
    figure['description'] = [say(labelOf(key)), figure['description']].filter(Boolean).join(', ');
  }
  return schema;
}

const part = (schema: Schema, key: string): Schema =>
  (schema['properties'] as Record<string, Schema>)[key] as Schema;
