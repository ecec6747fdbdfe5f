import { z } from 'zod';
import { commandNames, commandSchemas, envelope } from '../contract/commands.ts';
import { logDocument, testDocument } from './json.ts';

/** JSON Schemas of what goes out, by name of the document. */
export function publishedSchemas(): Record<'test' | 'log', object> {
  return { test: z.toJSONSchema(testDocument), log: z.toJSONSchema(logDocument) };
}

const failure = {
  description: 'Not done: a sentence for the whole, and one beside each field.',
  content: {
    'application/json': {
      schema: {
        type: 'object',
        required: ['message', 'fields'],
        properties: {
          message: { type: 'string' },
          fields: { type: 'object', additionalProperties: { type: 'string' } }
        }
      }
    }
  }
};

function commandPath(name: (typeof commandNames)[number]) {
  const body = z.object({ ...envelope.shape, payload: commandSchemas[name] });
  return {
    post: {
      operationId: name,
      summary: `Command ${name}. Sent twice with the same commandId, it is done once.`,
      requestBody: {
        required: true,
        content: { 'application/json': { schema: z.toJSONSchema(body, { io: 'input' }) } }
      },
      responses: {
        200: {
          description: 'Done.',
          content: {
            'application/json': {
              schema: {
                type: 'object',
                required: ['eventId', 'testId'],
                properties: {
                  eventId: { type: 'string' },
                  testId: { type: ['string', 'null'] },
                  code: { type: 'string' }
                }
              }
            }
          }
        },
        404: failure,
        409: failure,
        422: failure
      }
    }
  };
}

function documentPath(summary: string, schema: object, parameters: object[] = []) {
  const format = { name: 'format', in: 'query', schema: { enum: ['json', 'csv'], default: 'json' } };
  return {
    get: {
      summary,
      parameters: [...parameters, format],
      responses: {
        200: { description: summary, content: { 'application/json': { schema }, 'text/csv': {} } }
      }
    }
  };
}

/** The API as an OpenAPI 3.1 document, made from the schemas that check what comes in. */
export function openApi(version: string): object {
  const schemas = publishedSchemas();
  const id = { name: 'id', in: 'path', required: true, schema: { type: 'string' } };
  const commands = Object.fromEntries(
    commandNames.map((name) => [`/api/v1/commands/${name}`, commandPath(name)])
  );
  return {
    openapi: '3.1.0',
    info: { title: 'Tivrel', version, license: { name: 'MIT' } },
    paths: {
      '/api/v1/clock': {
        get: { summary: 'Time of the server, ms UTC.', responses: { 200: { description: 'now' } } }
      },
      '/api/v1/stream': {
        get: {
          summary: 'Server-sent news of every change.',
          responses: { 200: { description: 'text/event-stream' } }
        }
      },
      '/api/v1/tests': documentPath('The log.', schemas.log),
      '/api/v1/tests/{id}': documentPath('One test.', schemas.test, [id]),
      ...commands
    }
  };
}
