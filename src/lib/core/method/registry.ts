import { JAR_METHODS } from './presets/jars.ts';
import { OTHER_METHODS } from './presets/others.ts';
import type { Method } from './types.ts';

/** Every method that ships, in the order in which they are offered. */
export const METHODS: readonly Method[] = [...JAR_METHODS, ...OTHER_METHODS];

/**
 * A method by its key.
 * @throws {Error} for a key that does not ship
 */
export function methodByKey(key: string): Method {
  const found = METHODS.find((m) => m.key === key);
  if (!found) throw new Error(`No method is called "${key}".`);
  return found;
}
