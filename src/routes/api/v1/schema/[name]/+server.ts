import { error, json } from '@sveltejs/kit';
import { publishedSchemas } from '$lib/formats/openapi';
import type { RequestHandler } from './$types';
import { refusals } from '$lib/words/refusals';

/** The published JSON Schemas: `test`, `log` and `archive`. */
export const GET: RequestHandler = ({ params }) => {
  const schemas = publishedSchemas();
  const name = params.name.replace(/\.json$/, '');
  if (!Object.hasOwn(schemas, name)) error(404, refusals.api.noSuchSchema);
  return json(schemas[name as keyof typeof schemas]);
};
