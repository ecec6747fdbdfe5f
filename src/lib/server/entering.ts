import type { Cookies } from '@sveltejs/kit';
import { serverNow } from './clock.ts';
import type { Store } from './db.ts';
import { PASS_COOKIE, type Door } from './door.ts';
import { peopleThere } from './people.ts';
import { enteredBy, openSession, SESSION, type Entered } from './sessions.ts';

/** Whether a cookie is let in on a bench of how many people, and who it is of: where there is no door and nobody has come by name, all are. */
export async function whoIsIn(
  bench: Store,
  door: Door | undefined,
  cookie: string,
  now: number
): Promise<{ people: number; guarded: boolean; isIn: boolean; entered: Entered | undefined }> {
  const people = await bench.shared('people', peopleThere);
  const guarded = door !== undefined || people > 0;
  const entered = guarded ? await enteredBy(bench, door, cookie, now) : undefined;
  return { people, guarded, isIn: !guarded || entered !== undefined, entered };
}

/** Lets a device in: opens its session, and gives it the cookie that shows it. */
export async function letIn(
  store: Store,
  comes: Parameters<typeof openSession>[1],
  { cookies, request, device }: { cookies: Cookies; request: Request; device: string }
): Promise<void> {
  cookies.set(PASS_COOKIE, await openSession(store, comes, device, serverNow()), {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: request.headers.get('x-forwarded-proto') === 'https',
    maxAge: SESSION.mostMs / 1000
  });
}
