import type { EstimateInput, JarAnswer } from '../core/index.ts';
import { Thread } from './thread.ts';

const thread = new Thread<EstimateInput, JarAnswer | null>('estimate');

/**
 * Estimates a jar in a thread of its own: the event loop goes on.
 * @returns the answer as it is kept; undefined where what was read allows none
 */
export async function estimateBeside(input: EstimateInput): Promise<JarAnswer | undefined> {
  return (await thread.ask(input)) ?? undefined;
}
