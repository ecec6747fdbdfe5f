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
    return url.origin === here ? url.pathname + url.search : '/';
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
