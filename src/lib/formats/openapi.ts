import { PAPERS } from './work-pdf.ts';
import { z } from 'zod';
import { commandNames, definitionOf, envelope } from '../contract/commands.ts';
import {
  classifyAnswer,
  classifyQuery,
  pageQuery,
  readingsDocument,
  resultsDocument,
  resultsQuery,
  samplesDocument
} from './api-json.ts';
import { archiveManifest } from './archive/manifest.ts';
import { amendmentsDocument, holesDocument } from './beds.ts';
import { judgementsDocument } from './judgements.ts';
import { wateringQuery } from '../contract/act.ts';
import { foldersDocument, trialsDocument } from './trials.ts';
import { LOG_ASKED } from '../workbench/find.ts';
import { logDocument, testDocument } from './json-schema.ts';

/** JSON Schemas of what goes out, by name of the document. */
export function publishedSchemas(): Record<'test' | 'log' | 'archive', object> {
  return {
    test: z.toJSONSchema(testDocument),
    log: z.toJSONSchema(logDocument),
    archive: z.toJSONSchema(archiveManifest)
  };
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
  const body = z.object({ ...envelope.shape, payload: definitionOf(name).body });
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

function answerPath(summary: string, answer: z.ZodType, parameters: object[] = [], more: object = {}) {
  const schema = z.toJSONSchema(answer);
  const ok = { description: summary, content: { 'application/json': { schema } } };
  return { get: { summary, parameters, responses: { 200: ok, ...more } } };
}

function filePath(summary: string, type: string, parameters: object[] = []) {
  return {
    get: { summary, parameters, responses: { 200: { description: summary, content: { [type]: {} } } } }
  };
}

const query = (name: string, type: string) => ({ name, in: 'query', schema: { type } });

/** What a schema asks for, as parameters of an address. */
const askedBy = (asked: z.ZodObject) =>
  Object.entries(asked.shape).map(([name, schema]) => ({
    name,
    in: 'query',
    schema: z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' })
  }));

const kind = { name: 'kind', in: 'path', required: true, schema: { enum: ['test', 'sample', 'site'] } };

/** A path that something is sent to, and what comes of it. */
const sendPath = (summary: string, type: string, parameters: object[] = []) => ({
  post: {
    summary,
    parameters,
    requestBody: { required: true, content: { [type]: {} } },
    responses: { 200: { description: 'Looked through, or begun.' }, 422: failure }
  }
});

const photoPath = {
  post: {
    summary:
      'Takes a JPEG, PNG or WebP picture and keeps it anew as JPEG. The command photo.add says what it shows.',
    requestBody: { required: true, content: { 'application/octet-stream': {} } },
    responses: {
      201: {
        description: 'Kept.',
        content: {
          'application/json': {
            schema: {
              type: 'object',
              required: ['id', 'width', 'height', 'takenText'],
              properties: {
                id: { type: 'string' },
                width: { type: 'integer' },
                height: { type: 'integer' },
                takenText: { type: ['string', 'null'] }
              }
            }
          }
        }
      },
      422: failure
    }
  }
};

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
          summary:
            'Server-sent news of every change. It opens with the event "latest", which names the latest news by its id.',
          responses: { 200: { description: 'text/event-stream' } }
        }
      },
      '/api/v1/plan.ics': filePath('What lies ahead on the bench.', 'text/calendar', [
        query('homeFrom', 'integer'),
        query('homeTo', 'integer')
      ]),
      '/api/v1/watering.ics': filePath(
        'The waterings of a bed, from the soil it is of.',
        'text/calendar',
        askedBy(wateringQuery)
      ),
      '/api/v1/labels.pdf': filePath('Labels of samples and of further jars.', 'application/pdf', [
        query('samples', 'string'),
        query('tests', 'string'),
        { ...query('sheet', 'string'), required: true },
        query('skip', 'integer'),
        query('copies', 'integer'),
        query('watch', 'string')
      ]),
      '/api/v1/progress/{watch}': answerPath(
        'How far something is that was asked for with this `watch`: labels, an archive, a bench that is put back; null for what is not under way.',
        z.object({ share: z.number().min(0).max(1).nullable() }),
        [{ name: 'watch', in: 'path', required: true, schema: { type: 'string' } }]
      ),
      '/api/v1/copies': {
        post: {
          summary: 'Makes a copy of the record beside the server, and looks through it.',
          responses: { 201: { description: 'Made, and counted.' }, 507: failure }
        }
      },
      '/api/v1/archive.zip': filePath(
        'The whole bench as one file: tivrel-archive.json says what it holds (schema `archive`).',
        'application/zip',
        [query('watch', 'string')]
      ),
      '/api/v1/archive': sendPath(
        'Takes up an archive and looks through it; nothing is changed. Answers with the id by which it is put back.',
        'application/zip',
        [query('name', 'string')]
      ),
      '/api/v1/restore': sendPath(
        'Takes up a copy that was kept, by its name: {"copy": NAME}.',
        'application/json'
      ),
      '/api/v1/restore/{id}': {
        post: {
          summary: 'Puts what was taken up in the place of the bench, after a copy of what is there.',
          parameters: [id],
          responses: { 200: { description: 'It is in place.' }, 404: failure, 409: failure }
        },
        delete: {
          summary: 'Lets go of what was taken up.',
          parameters: [id],
          responses: { 200: { description: 'Gone.' } }
        }
      },
      '/api/v1/imports/look': sendPath(
        'Looks through a table (`file`, and `matching` as JSON) without taking anything in.',
        'multipart/form-data'
      ),
      '/api/v1/imports': {
        ...sendPath(
          'Begins to take in the rows of a table that can be (`file`, `matching`, `importId`).',
          'multipart/form-data'
        ),
        get: {
          summary: 'Tables that were taken in.',
          responses: { 200: { description: 'the latest first' } }
        }
      },
      '/api/v1/imports/{id}': {
        get: {
          summary: 'How far an import is, or what stood in its way.',
          parameters: [id],
          responses: { 200: { description: 'its record' }, 404: failure }
        },
        delete: {
          summary: 'Stops an import, or takes it back once it is in.',
          parameters: [id],
          responses: { 200: { description: 'stopped, or taken back' }, 409: failure }
        }
      },
      '/api/v1/practice/tries': {
        get: {
          summary: 'What somebody has tried alone, oldest first.',
          parameters: [{ ...query('name', 'string'), required: true }],
          responses: { 200: { description: 'tries, each by drill, level and points' }, 422: failure }
        }
      },
      '/api/v1/lessons': sendPath('Makes a lesson (`title`, `items`).', 'application/json'),
      '/api/v1/lessons/{id}': {
        delete: {
          summary: 'Deletes a lesson with everybody in it; nothing of it is left.',
          parameters: [id],
          responses: { 200: { description: 'deleted' } }
        },
        put: {
          summary: 'Mends the sheet of a lesson (`title`, `items`); what somebody has answered to stays.',
          parameters: [id],
          responses: { 200: { description: 'mended' }, 409: failure, 422: failure }
        }
      },
      '/api/v1/lessons/{id}/table.csv': filePath('A lesson as a table, a line a learner.', 'text/csv', [id]),
      '/api/v1/reports/{kind}/{id}/report.pdf': filePath(
        'A report of a test, a sample or a site, in the units of the profile.',
        'application/pdf',
        [kind, id, { ...query('paper', 'string'), schema: { type: 'string', enum: [...PAPERS] } }]
      ),
      '/api/v1/reports/{kind}/{id}/report.html': filePath(
        'The same as one HTML file that fetches nothing.',
        'text/html',
        [kind, id]
      ),
      '/api/v1/tests/{id}/working.pdf': filePath(
        'The working of a test, in the units of the profile.',
        'application/pdf',
        [id, { ...query('paper', 'string'), schema: { type: 'string', enum: [...PAPERS] } }]
      ),
      '/api/v1/sites/{id}/geojson': filePath('Areas and spots of a site.', 'application/geo+json', [id]),
      '/api/v1/bench-camera/{id}/{file}': filePath(
        'Simulated pictures of a jar: picture.png, series.zip or film.y4m.',
        'image/png',
        [
          id,
          {
            name: 'file',
            in: 'path',
            required: true,
            schema: { enum: ['picture.png', 'series.zip', 'film.y4m'] }
          },
          query('sand', 'number'),
          query('silt', 'number'),
          query('clay', 'number'),
          query('seconds', 'string'),
          query('seed', 'integer')
        ]
      ),
      '/api/v1/photos': photoPath,
      '/api/v1/photos/{id}': filePath('A picture that was kept.', 'image/jpeg', [id]),
      '/api/v1/tests': documentPath(
        'The log as its page with the same address shows it; in pages, newest first.',
        schemas.log,
        [...askedBy(pageQuery), ...LOG_ASKED.map((name) => query(name, 'string'))]
      ),
      '/api/v1/tests/{id}': documentPath('One test.', schemas.test, [id]),
      '/api/v1/tests/{id}/readings': answerPath('What was read of a test.', readingsDocument, [id]),
      '/api/v1/holes': documentPath('Drainage holes.', z.toJSONSchema(holesDocument)),
      '/api/v1/amendments': documentPath(
        'What was put on or into areas.',
        z.toJSONSchema(amendmentsDocument)
      ),
      '/api/v1/trials': documentPath('Sets of trial pieces.', z.toJSONSchema(trialsDocument)),
      '/api/v1/folders': documentPath(
        'Folders of soils that somebody sent.',
        z.toJSONSchema(foldersDocument)
      ),
      '/api/v1/judgements': documentPath('Judgements as they were kept.', z.toJSONSchema(judgementsDocument)),
      '/api/v1/reminders.ics': filePath(
        'Waterings, areas to be tested again, and what is to be done with trial pieces.',
        'text/calendar'
      ),
      '/api/v1/samples': answerPath('Every sample.', samplesDocument),
      '/api/v1/results': answerPath(
        'Every kept result that is a point on the triangle.',
        resultsDocument,
        askedBy(resultsQuery)
      ),
      '/api/v1/classify': answerPath(
        'The class of a soil, and how far the others are.',
        classifyAnswer,
        askedBy(classifyQuery),
        { 422: failure }
      ),
      ...commands
    }
  };
}
