import {
  error,
  json,
  type Handle,
  type HandleServerError,
  type RequestEvent,
  type ServerInit
} from '@sveltejs/kit';
import { building } from '$app/environment';
import { bringsMost, roleRefused, whoMay } from '$lib/server/access';
import { serverNow, shiftClock } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { whoIsIn } from '$lib/server/entering';
import { PASS_COOKIE, type Door } from '$lib/server/door';
import { bodyRefused, hostAllowed, originAllowed } from '$lib/server/gate';
import { databaseProblem } from '$lib/server/problem';
import { readProfile } from '$lib/server/repositories/profile';
import { store } from '$lib/server/store';
import { profileOutside } from '$lib/words/profile';

export const init: ServerInit = async () => {
  if (building) return;
  shiftClock(config().testClockMs ?? 0);
  await store();
};

/** On every answer: nothing is guessed, framed, told elsewhere, or lent to another site; of devices the camera alone is used, and here. */
const HEADERS = [
  ['x-content-type-options', 'nosniff'],
  ['x-frame-options', 'DENY'],
  ['referrer-policy', 'same-origin'],
  ['cross-origin-opener-policy', 'same-origin'],
  ['cross-origin-resource-policy', 'same-origin'],
  [
    'permissions-policy',
    'camera=(self), fullscreen=(self), screen-wake-lock=(self), geolocation=(), microphone=(), payment=(), usb=()'
  ]
] as const;

function headed(response: Response): Response {
  for (const [name, value] of HEADERS) response.headers.set(name, value);
  return response;
}

/** What is refused before any page is asked: in a sentence, for programs and for whoever looks. */
const refuse = (status: number, message: string): Response =>
  headed(json({ message, fields: {} }, { status }));

/** Sends whoever asks for a page, its data or one of its forms to another, as each of them hears it; thrown it would go without our headers. */
function sendTo({ request, isDataRequest }: RequestEvent, location: string): Response {
  if (isDataRequest) return headed(json({ type: 'redirect', location }));
  if (request.headers.get('x-sveltekit-action') === 'true')
    return headed(json({ type: 'redirect', status: 303, location }));
  return headed(new Response(null, { status: 303, headers: { location } }));
}

/** So much of a body that is refused is let by, bytes: whoever sends it hears the answer, and can go on by the same connection. */
const LET_BY = 64_000_000;

async function refuseBody(request: Request, status: number, message: string): Promise<Response> {
  // What does not say how long it is may have no end.
  const reader = request.headers.has('content-length') ? request.body?.getReader() : undefined;
  let bytes = 0;
  try {
    for (let part = await reader?.read(); part && !part.done && bytes < LET_BY; part = await reader?.read())
      bytes += part.value.length;
  } catch {
    // Whoever sends it has gone.
  }
  const answer = refuse(status, message);
  answer.headers.set('connection', 'close');
  return answer;
}

/** Zones that were asked for, as they are called; making a formatter to find out is slow. */
const zones = new Map<string, string>();

function zoneFrom(cookie = 'UTC'): string {
  const known = zones.get(cookie);
  if (known) return known;
  try {
    const zone = new Intl.DateTimeFormat('en', { timeZone: cookie }).resolvedOptions().timeZone;
    if (zones.size > 1000) zones.clear();
    zones.set(cookie, zone);
    return zone;
  } catch {
    return 'UTC';
  }
}

/** Who sends a request, on a bench of how many people, and how it likes things shown. */
async function whoComes(door: Door | undefined, cookie: string) {
  const bench = await store();
  const who = await whoIsIn(bench, door, cookie, serverNow());
  return { ...who, profile: await bench.shared('profile', readProfile) };
}

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url, locals, cookies } = event;
  const host = request.headers.get('host');
  if (!hostAllowed(config(), host)) return refuse(421, 'This server does not answer to that name.');
  if (!originAllowed(request.method, request.headers.get('origin'), host)) {
    return refuse(403, 'This request came from another site.');
  }
  const { door } = config();
  const cookie = cookies.get(PASS_COOKIE) ?? '';
  const { people, guarded, isIn, entered, profile } = await whoComes(door, cookie).catch(
    (problem: unknown) => {
      const said = databaseProblem(problem);
      if (said) error(said.status, said.message);
      throw problem;
    }
  );
  locals.people = people;
  locals.entered = isIn;
  locals.sessionId = entered?.sessionId;
  locals.person = entered?.person ?? undefined;
  const asked = { method: request.method, routeId: event.route.id, params: event.params };
  const api = event.route.id?.startsWith('/api/') ?? url.pathname.startsWith('/api/');
  if (!locals.entered && whoMay(asked) !== 'stranger') {
    if (api) return refuse(401, 'Give the passphrase first.');
    return sendTo(event, `/enter?to=${encodeURIComponent(url.pathname)}`);
  }
  // Whoever knows the passphrase of the bench keeps it.
  const denied = locals.entered ? roleRefused(locals.person?.role ?? 'keeper', asked) : undefined;
  if (denied && api) return refuse(403, denied);
  if (denied) error(403, denied);
  const refused = bodyRefused(bringsMost(event.route.id), request.headers);
  if (refused) return refuseBody(request, ...refused);
  locals.profile = locals.entered ? profile : profileOutside(profile);
  locals.zone = zoneFrom(cookies.get('tivrel-zone'));
  locals.device = /Mobi|Android/.test(request.headers.get('user-agent') ?? '') ? 'phone' : 'computer';
  locals.who = locals.person?.name ?? locals.device;
  const response = await resolve(event, {
    transformPageChunk: ({ html }) =>
      html.replace('%tivrel.mode%', modeOf(locals.profile.theme, cookies.get('tivrel-dark'))),
    filterSerializedResponseHeaders: (name) => name === 'content-type'
  });
  headed(response);
  response.headers.delete('x-sveltekit-page');
  // What a bench tells is for whoever asked: no shared cache keeps it, and none at all where there is a door.
  if (!response.headers.has('cache-control'))
    response.headers.set('cache-control', guarded ? 'private, no-store' : 'private, no-cache');
  return response;
};

function modeOf(theme: App.Locals['profile']['theme'], deviceDark: string | undefined): string {
  if (theme === 'device') return deviceDark === '1' ? 'dark' : 'light';
  return theme === 'night' ? 'dark' : 'light';
}

export const handleError: HandleServerError = ({ error: problem, status, message, event }) => {
  if (status >= 500) console.error(`${event.request.method} ${event.url.pathname}`, problem);
  return {
    message: status >= 500 ? 'Something went wrong here. Nothing that was saved is lost; try again.' : message
  };
};
