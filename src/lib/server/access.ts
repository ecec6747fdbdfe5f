import { definitionOf, isCommandName } from '../contract/commands.ts';
import type { Role } from '../contract/records/person.ts';
import { refusals } from '../words/refusals.ts';

/** Who may, from anybody on: strangers before the door (a lesson's own code lets its learners in), then the people of the bench. */
export type Who = 'stranger' | Role;
const ORDER: readonly Who[] = ['stranger', 'reader', 'helper', 'keeper'];

/** Who may look at a route, who may change something by it, and how much a request may bring there, bytes. */
export type Access = { looks: Who; changes: Who; brings?: number };

/** What a request brings where nothing else is said, bytes: a form, or a few figures. */
const BRINGS_MOST = 256_000;
/** Whoever has not come in brings a code, a name and a passphrase. */
const OPEN: Access = { looks: 'stranger', changes: 'stranger', brings: 16_000 };
/** What everybody on the bench does for themselves. */
const OWN: Access = { looks: 'reader', changes: 'reader' };
/** The work of the bench. */
const WORK: Access = { looks: 'reader', changes: 'helper' };
/** What touches the whole record: its state is shown to all. */
const WHOLE: Access = { looks: 'reader', changes: 'keeper' };
/** Lessons, with what their learners answered: whoever teaches. */
const TEACH: Access = { looks: 'helper', changes: 'helper' };
const KEPT: Access = { looks: 'keeper', changes: 'keeper' };

/** By which commands come: of each it is said with its definition. */
const COMMANDS = '/api/v1/commands/[name]';

/**
 * Every route by its id, as the router finds it: however its address is written, it is the same route. What stands not here
 * lets nobody in.
 */
export const ROUTES: Readonly<Record<string, Access>> = {
  '/enter': OPEN,
  '/join': OPEN,
  '/lesson': OPEN,
  '/lesson/[code]': OPEN,
  '/api/v1/lesson/answers/[no]': { ...OPEN, brings: 64_000 },
  '/api/v1/lesson/hand-in': OPEN,
  '/api/v1/health': OPEN,
  '/api/v1/test-clock': OPEN,

  '/leave': OWN,
  '/people/own': OWN,
  '/api/v1/practice/tries': OWN,

  '/people': KEPT,
  '/api/v1/archive': { ...KEPT, brings: 4_000_000_000 },
  '/api/v1/archive.zip': KEPT,

  '/api/v1/copies': WHOLE,
  '/api/v1/restore': WHOLE,
  '/api/v1/restore/[id]': WHOLE,

  '/': WORK,
  '/act': WORK,
  '/act/beds': WORK,
  '/act/figures': WORK,
  '/act/folders': WORK,
  '/act/folders/[id]': WORK,
  '/act/kept/[id]': WORK,
  '/act/seasons/[area]': WORK,
  '/act/techniques': WORK,
  '/holes/[id]': WORK,
  '/holes/new': WORK,
  '/know': WORK,
  '/know/compare': WORK,
  '/know/how': WORK,
  '/log': WORK,
  '/log/bin': WORK,
  '/log/groups': WORK,
  '/log/import': WORK,
  '/plan': WORK,
  '/plan/gather': WORK,
  '/plan/ground/[id]': WORK,
  '/plan/ground/[id]/walk/[area]': WORK,
  '/plan/labels': WORK,
  '/plan/methods': WORK,
  '/plan/methods/[key]': WORK,
  '/plan/methods/[key]/edit': WORK,
  '/plan/timetable': WORK,
  '/practice': WORK,
  '/practice/cylinder': WORK,
  '/practice/drills': WORK,
  '/practice/jar': WORK,
  '/practice/lessons': TEACH,
  '/practice/lessons/[id]': TEACH,
  '/practice/lessons/[id]/sheet': TEACH,
  '/profile': WORK,
  '/read': WORK,
  '/read/[id]': WORK,
  '/read/[id]/cylinder': WORK,
  '/reports/[kind=reported]/[id]': WORK,
  '/samples/[id]': WORK,
  '/set': WORK,
  '/set/[id]': WORK,
  '/set/[id]/paper': WORK,
  '/stands': WORK,
  '/tests/[id]': WORK,
  '/tests/[id]/film': WORK,
  '/trials': WORK,
  '/trials/[id]': WORK,
  '/trials/new': WORK,
  '/api/v1/amendments': WORK,
  '/api/v1/answers/[id]': TEACH,
  '/api/v1/bench-camera/[id]/[file]': WORK,
  '/api/v1/classify': WORK,
  '/api/v1/clock': WORK,
  // An import of a whole site is well below it.
  [COMMANDS]: { ...WORK, brings: 2_000_000 },
  '/api/v1/folders': WORK,
  '/api/v1/holes': WORK,
  '/api/v1/imports': { ...WORK, brings: 51_000_000 },
  '/api/v1/imports/[id]': WORK,
  '/api/v1/imports/look': { ...WORK, brings: 51_000_000 },
  '/api/v1/judgements': WORK,
  '/api/v1/labels.pdf': WORK,
  '/api/v1/learners/[id]': TEACH,
  '/api/v1/lessons': TEACH,
  '/api/v1/lessons/[id]': TEACH,
  '/api/v1/lessons/[id]/table.csv': TEACH,
  '/api/v1/openapi.json': WORK,
  // The route itself says best what is wrong with a picture that is a little too large.
  '/api/v1/photos': { ...WORK, brings: 40_000_000 },
  '/api/v1/photos/[id]': WORK,
  '/api/v1/plan.ics': WORK,
  '/api/v1/progress/[watch]': WORK,
  '/api/v1/reminders.ics': WORK,
  '/api/v1/reports/[kind=reported]/[id]/report.html': WORK,
  '/api/v1/reports/[kind=reported]/[id]/report.pdf': WORK,
  '/api/v1/results': WORK,
  '/api/v1/samples': WORK,
  '/api/v1/schema/[name]': WORK,
  '/api/v1/sites/[id]/geojson': WORK,
  '/api/v1/stream': WORK,
  '/api/v1/tests': WORK,
  '/api/v1/tests/[id]': WORK,
  '/api/v1/tests/[id]/readings': WORK,
  '/api/v1/tests/[id]/working.pdf': WORK,
  '/api/v1/trials': WORK,
  '/api/v1/watering.ics': WORK
};

/** A request as the router has understood it. */
export type Asked = { method: string; routeId: string | null; params: Partial<Record<string, string>> };

/** Who may send a request; undefined where the route is none, or nobody has said who may come by it. */
export function whoMay({ method, routeId, params }: Asked): Who | undefined {
  const access = routeId === null ? undefined : ROUTES[routeId];
  if (!access) return undefined;
  if (method === 'GET' || method === 'HEAD') return access.looks;
  const { name } = params;
  if (name !== undefined && routeId === COMMANDS && isCommandName(name)) return definitionOf(name).who;
  return access.changes;
}

/** How much a request may bring to a route, bytes. */
export const bringsMost = (routeId: string | null): number =>
  (routeId === null ? undefined : ROUTES[routeId]?.brings) ?? BRINGS_MOST;

/** Whether one of so much may do what is asked of another. */
export const isAtLeast = (who: Who, asked: Who): boolean => ORDER.indexOf(who) >= ORDER.indexOf(asked);

/** What stands in the way of a request by the role of who sends it; undefined for nothing, and for what is no route. */
export function roleRefused(role: Role, asked: Asked): string | undefined {
  const may = whoMay(asked);
  if (asked.routeId === null || (may && isAtLeast(role, may))) return undefined;
  return may === 'helper' ? refusals.people.readOnly : refusals.people.keeperOnly;
}
