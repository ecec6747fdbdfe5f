import type { Role } from '../contract/records/person.ts';
import { refusals } from '../words/refusals.ts';

/** What only a keeper does, by the beginning of its path: what touches the whole record, or who may come in. */
const KEEPERS = ['/api/v1/copies', '/api/v1/restore', '/api/v1/archive', '/api/v1/commands/bin.empty'];
/** What everybody does for themselves. */
const OWN = [
  '/leave',
  '/enter',
  '/join',
  '/people/own',
  '/lesson',
  '/api/v1/lesson',
  '/api/v1/practice',
  '/api/v1/test-clock'
];

const begins = (path: string, with_: readonly string[]) =>
  with_.some((one) => path === one || path.startsWith(`${one}/`) || path.startsWith(`${one}.`));

/**
 * What stands in the way of a request by the role of who sends it; undefined for nothing. Pages are read by everybody; this is the
 * only place that says who does what.
 */
export function roleRefused(role: Role, method: string, path: string): string | undefined {
  if (role === 'keeper') return undefined;
  const reads = method === 'GET' || method === 'HEAD';
  if (begins(path, OWN)) return undefined;
  if (
    begins(path, ['/people']) ||
    (begins(path, KEEPERS) && (!reads || path.startsWith('/api/v1/archive')))
  ) {
    return refusals.people.keeperOnly;
  }
  return role === 'reader' && !reads ? refusals.people.readOnly : undefined;
}
