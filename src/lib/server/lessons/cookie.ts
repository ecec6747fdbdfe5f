import type { Cookies } from '@sveltejs/kit';

/** Name of the cookie by which a device shows which learner it is. */
export const LEARNER_COOKIE = 'tivrel-learner';
/** A device stays a learner for so long, s. */
const LASTS_S = 60 * 86_400;

/** Gives a device the cookie of a learner. */
export function keepLearner(cookies: Cookies, cookie: string, request: Request): void {
  cookies.set(LEARNER_COOKIE, cookie, {
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: request.headers.get('x-forwarded-proto') === 'https',
    maxAge: LASTS_S
  });
}
