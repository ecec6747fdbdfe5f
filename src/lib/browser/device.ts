import { ulid } from 'ulid';

const KEY = 'tivrel:device';
let id: string | undefined;

/** The id of this device, made once and kept in it: it tells two presses of one mark from one that is made again. */
export function deviceId(): string {
  if (id) return id;
  try {
    id = localStorage.getItem(KEY) ?? undefined;
    id ??= ulid();
    localStorage.setItem(KEY, id);
  } catch {
    // Not allowed to keep anything: this page is then a device of its own.
    id ??= ulid();
  }
  return id;
}
