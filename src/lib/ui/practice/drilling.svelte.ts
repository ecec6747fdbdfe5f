import {
  DRILL_KEYS,
  makeTask,
  nextTry,
  type DrillKey,
  type Given,
  type Next,
  type Score,
  type Task
} from '$lib/core';
import type { SoloTry } from '$lib/contract/records/lesson';
import { asked, askedWith } from '$lib/browser/asked';

const NAME_KEY = 'tivrel:practises';
const OWN_KEY = 'tivrel:tries';
/** So many tries are kept on a device for whoever gives no name. */
const OWN_MOST = 500;

function ownTries(): SoloTry[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(OWN_KEY) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((one: SoloTry) => DRILL_KEYS.includes(one?.key) && Number.isFinite(one.points))
      : [];
  } catch {
    return [];
  }
}

/** Drills of one learner in turn: what comes next, what was tried, and where that is kept. */
export class Drilling {
  name = $state('');
  only = $state<DrillKey | 'all'>('all');
  tries = $state.raw<SoloTry[]>([]);
  next = $state.raw<Next>();
  task = $state.raw<Task>();
  problem = $state<string>();

  #keys(): readonly DrillKey[] {
    return this.only === 'all' ? DRILL_KEYS : [this.only];
  }

  /** Takes up who practised on this device last; or whoever is in and practises under no other name. */
  async start(own?: string): Promise<void> {
    this.name = own ?? localStorage.getItem(NAME_KEY) ?? '';
    await this.look();
  }

  /** Fetches the history of whoever practises now. */
  async look(): Promise<void> {
    this.problem = undefined;
    const name = this.name.trim();
    localStorage.setItem(NAME_KEY, name);
    if (name === '') {
      this.tries = ownTries();
      return;
    }
    try {
      const { tries } = await asked<{ tries: SoloTry[] }>(
        `/api/v1/practice/tries?${new URLSearchParams({ name })}`
      );
      this.tries = tries;
    } catch (problem) {
      this.problem = (problem as Error).message;
    }
  }

  /** Lays the next task. */
  go(): void {
    this.next = nextTry(this.#keys(), this.tries);
    this.task = makeTask(this.next.key, 1 + Math.floor(Math.random() * 1e9), this.next.level);
  }

  /** Keeps what was answered. */
  async answered(given: Given, score: Score): Promise<void> {
    if (!this.task) return;
    const { key, level, seed } = this.task;
    this.tries = [...this.tries, { key, level, points: score.points, at: Date.now() }];
    const name = this.name.trim();
    if (name === '') {
      localStorage.setItem(OWN_KEY, JSON.stringify(this.tries.slice(-OWN_MOST)));
      return;
    }
    try {
      await askedWith('POST', '/api/v1/practice/tries', { name, key, level, seed, given });
    } catch (problem) {
      this.problem = (problem as Error).message;
    }
  }

  /** Forgets the history of whoever practises now. */
  async forget(): Promise<void> {
    const name = this.name.trim();
    if (name === '') localStorage.removeItem(OWN_KEY);
    else await asked(`/api/v1/practice/tries?${new URLSearchParams({ name })}`, { method: 'DELETE' });
    this.tries = [];
    this.task = this.next = undefined;
  }
}
