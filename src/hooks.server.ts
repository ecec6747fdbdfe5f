import { error, json, redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { building } from '$app/environment';
import { serverNow, shiftClock } from '$lib/server/clock';
import { config } from '$lib/server/config';
import { PASS_COOKIE, type Door } from '$lib/server/door';
import { bodyRefused, hostAllowed, originAllowed } from '$lib/server/gate';
import { databaseProblem } from '$lib/server/problem';
import { readProfile } from '$lib/server/repositories/profile';
import { peopleThere } from '$lib/server/people';
import { roleRefused } from '$lib/server/roles';
import { enteredBy } from '$lib/server/sessions';
import { store } from '$lib/server/store';

export const init: ServerInit = async () => {
  if (building) return;
  shiftClock(config().testClockMs ?? 0);
  await store();
};

/** Paths that are open before the passphrase is given. */
const OPEN_PATHS = ['/enter', '/join', '/api/v1/health', '/api/v1/test-clock'];
/** And what learners of a lesson come by: its own code lets them in, and to nothing else. */
const LEARNERS = /^\/(api\/v1\/)?lesson(\/|$)/;

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
  const people = await bench.shared('people', peopleThere);
  const entered = door || people > 0 ? await enteredBy(bench, door, cookie, serverNow()) : undefined;
  return { people, entered, profile: await bench.shared('profile', readProfile) };
}

export const handle: Handle = async ({ event, resolve }) => {
  const { request, url, locals, cookies } = event;
  const host = request.headers.get('host');
  if (!hostAllowed(config(), host)) error(421, 'This server does not answer to that name.');
  if (!originAllowed(request.method, request.headers.get('origin'), host)) {
    error(403, 'This request came from another site.');
  }
  const refused = bodyRefused(url.pathname, request.headers);
  if (refused) error(...refused);
  const { door } = config();
  const cookie = cookies.get(PASS_COOKIE) ?? '';
  const { people, entered, profile } = await whoComes(door, cookie).catch((problem: unknown) => {
    const said = databaseProblem(problem);
    if (said) error(said.status, said.message);
    throw problem;
  });
  locals.people = people;
  const guarded = door !== undefined || people > 0;
  locals.entered = !guarded || entered !== undefined;
  locals.sessionId = entered?.sessionId;
  locals.person = entered?.person ?? undefined;
  if (!locals.entered && !OPEN_PATHS.includes(url.pathname) && !LEARNERS.test(url.pathname)) {
    if (url.pathname.startsWith('/api/')) error(401, 'Give the passphrase first.');
    redirect(303, `/enter?to=${encodeURIComponent(url.pathname)}`);
  }
  // Whoever knows the passphrase of the bench keeps it.
  const denied = roleRefused(locals.person?.role ?? 'keeper', request.method, url.pathname);
  if (denied && url.pathname.startsWith('/api/'))
    return json({ message: denied, fields: {} }, { status: 403 });
  if (denied) error(403, denied);
  locals.profile = profile;
  locals.zone = zoneFrom(cookies.get('tivrel-zone'));
  locals.device = /Mobi|Android/.test(request.headers.get('user-agent') ?? '') ? 'phone' : 'computer';
  locals.who = locals.person?.name ?? locals.device;
  const response = await resolve(event, {
    transformPageChunk: ({ html }) =>
      html.replace('%tivrel.mode%', modeOf(locals.profile.theme, cookies.get('tivrel-dark'))),
    filterSerializedResponseHeaders: (name) => name === 'content-type'
  });
  response.headers.set('x-content-type-options', 'nosniff');
  response.headers.set('referrer-policy', 'same-origin');
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
