import { refusals } from '../words/refusals.ts';
import type { Config } from './config.ts';

/** Whether a host name (with or without port) is one this server answers to. */
export function hostAllowed(config: Config, host: string | null): boolean {
  if (!host) return false;
  const name = host.replace(/:\d+$/, '');
  return config.hosts.includes(name) || config.hosts.includes('0.0.0.0');
}

/** The path of this site that an address leads to, as a browser would read it; the bench where it leads elsewhere. */
export function ownPath(to: string | null): string {
  const here = 'http://bench.invalid';
  try {
    const url = new URL(to ?? '/', here);
    // A path that begins with two slashes names another host.
    return url.origin === here && !url.pathname.startsWith('//') ? url.pathname + url.search : '/';
  } catch {
    return '/';
  }
}

/** Whether a request that changes something comes from our own pages. Programs send no Origin and are let through. */
export function originAllowed(method: string, origin: string | null, host: string | null): boolean {
  if (method === 'GET' || method === 'HEAD' || method === 'OPTIONS' || origin === null) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

/**
 * What stands in the way of what a request brings, before any of it is read: a status and a sentence; undefined for nothing.
 * It has to say how much it is, and is cut off where it brings more.
 *
 * @param most bytes
 */
export function bodyRefused(most: number, headers: Headers): [411 | 413, string] | undefined {
  if (headers.has('transfer-encoding')) return [411, refusals.api.sayHowLong];
  const bytes = Number(headers.get('content-length') ?? 0);
  return bytes > most ? [413, refusals.api.tooLarge(bytes, most)] : undefined;
}
