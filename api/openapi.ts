import { z } from 'zod';
import { API_BASE } from './base';
import type { Operation } from './operation';
import { OPERATIONS } from './operations';

export { OPERATIONS, type Operation };
import { Problem } from './problem';

type Json = Record<string, unknown>;

/** What every operation may answer with, and what else some do. */
const REFUSALS: Readonly<Record<number, string>> = {
  400: 'The request is not JSON, or could not be read',
  403: 'Not the passphrase',
  404: 'There is no such thing here',
  409: 'Changed elsewhere, or taken; where it was changed, both versions are in the answer',
  410: 'This session is over',
  413: 'A request holds at most 2 MB, a backup file 500 MB',
  421: 'This address is not answered here',
  422: 'Something in the request is wrong; each field is named with the reason',
  423: 'People’s data is locked',
  429: 'Too many tries; the header retry-after says when to try again',
};
const ALWAYS = [400, 413, 421, 422] as const;

/** A schema as JSON Schema, as OpenAPI 3.1 takes it. */
function schemaOf(schema: z.ZodType, io: 'input' | 'output'): Json {
  const json: Json = z.toJSONSchema(schema, { io, unrepresentable: 'any' });
  // The dialect is that of OpenAPI 3.1 and is said once.
  delete json.$schema;
  return json;
}

const pathOf = (path: string): string => path.replace(/:(\w+)/g, '{$1}');
/** `getPlansById`: unique, and readable as the name of a function. */
const idOf = ({ method, path }: Operation): string =>
  method +
  path
    .split('/')
    .filter(Boolean)
    .map((part) => (part.startsWith(':') ? `By${capital(part.slice(1))}` : part.split('.').map(capital).join('')))
    .join('');
const capital = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1);

function parametersOf({ params = {}, query }: Operation): Json[] {
  const inPath = Object.entries(params).map(([name, schema]) => ({
    name,
    in: 'path',
    required: true,
    schema: schemaOf(schema, 'input'),
  }));
  const inQuery = Object.entries(query?.shape ?? {}).map(([name, schema]) => ({
    name,
    in: 'query',
    required: false,
    schema: schemaOf(schema as z.ZodType, 'input'),
  }));
  return [...inPath, ...inQuery];
}

const TYPES = { text: 'text/plain', bytes: 'application/octet-stream' } as const;

function responsesOf({ status, answer, refuses = [], isPrivate }: Operation): Json {
  const content =
    answer === undefined
      ? {}
      : {
          content:
            answer === 'text' || answer === 'bytes'
              ? { [TYPES[answer]]: { schema: { type: 'string' } } }
              : { 'application/json': { schema: schemaOf(answer, 'output') } },
        };
  const refused = [...ALWAYS, ...refuses, ...(isPrivate ? [423] : [])].sort((one, other) => one - other);
  const problems = refused.map((code) => [
    String(code),
    {
      description: REFUSALS[code],
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    },
  ]);
  return { [String(status)]: { description: 'Done', ...content }, ...Object.fromEntries(problems) };
}

const bodyOf = (body: z.ZodType | 'bytes'): Json =>
  body === 'bytes'
    ? { [TYPES.bytes]: { schema: { type: 'string', format: 'binary' } } }
    : { 'application/json': { schema: schemaOf(body, 'input') } };

function operationOf(operation: Operation): Json {
  const { tag, summary, body, door } = operation;
  return {
    operationId: idOf(operation),
    tags: [tag],
    summary,
    parameters: parametersOf(operation),
    ...(body ? { requestBody: { required: true, content: bodyOf(body) } } : {}),
    ...(door === 'phones' ? { security: [{ code: [] }] } : {}),
    responses: responsesOf(operation),
  };
}

/** The description of the API in OpenAPI 3.1, made from the shapes that the server itself reads and answers with. */
export function openApi(): Json {
  const paths: Record<string, Json> = {};
  for (const operation of OPERATIONS) {
    (paths[pathOf(operation.path)] ??= {})[operation.method] = operationOf(operation);
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Zovrin',
      version: '1',
      description:
        'Plans, sessions and what belongs to them. Lengths in documents are seconds, those of timelines and sessions milliseconds; moments are ISO 8601 in UTC. ' +
        'A document is saved over the revision it was made from, named in the body or as a tag in If-Match. A list comes in pages.',
    },
    servers: [{ url: API_BASE }],
    tags: [...new Set(OPERATIONS.map(({ tag }) => tag))].map((name) => ({ name })),
    paths,
    components: {
      schemas: { Problem: schemaOf(Problem, 'output') },
      securitySchemes: { code: { type: 'http', scheme: 'bearer', description: 'The code in the link for phones' } },
    },
  };
}
