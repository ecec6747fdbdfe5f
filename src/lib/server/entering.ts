import type { Cookies } from '@sveltejs/kit';
import { serverNow } from './clock.ts';
import type { Store } from './db.ts';
import { PASS_COOKIE } from './door.ts';
import { openSession, SESSION } from './sessions.ts';

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
