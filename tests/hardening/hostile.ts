import { ulid } from 'ulid';
import { z } from 'zod';
import { commandNames, definitionOf, type CommandName } from '../../src/lib/contract/commands.ts';
import { runCommand } from '../../src/lib/server/commands.ts';
import type { Store } from '../../src/lib/server/db.ts';
import { CommandProblem } from '../../src/lib/server/problem.ts';

/** Random numbers from a seed (mulberry32): a run that found something can be run again. */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32;
  };
}

/** A JSON Schema, as far as commands use it. */
type Shape = {
  type?: string;
  properties?: Record<string, Shape>;
  items?: Shape;
  prefixItems?: Shape[];
  anyOf?: Shape[];
  oneOf?: Shape[];
  enum?: unknown[];
  const?: unknown;
  minimum?: number;
  maximum?: number;
  exclusiveMinimum?: number;
  minItems?: number;
  maxItems?: number;
  pattern?: string;
  format?: string;
  default?: unknown;
  required?: string[];
};

/** What nobody sends on purpose. */
const HOSTILE: readonly unknown[] = [
  ...[null, true, '', 'x', '__proto__', 'constructor', '=1+1\n', '../../etc', '<b>&amp;', 'é\u0301', '🪣'],
  ...[-1, 0, 0.5, 1e-7, 1e9, 1e305, -1e305, Number.MAX_SAFE_INTEGER, 2 ** 48],
  ...[[], {}, [[]], { toString: 1 }, 'w'.repeat(5000), 'a b '.repeat(200), '2026-02-31', '9999-12-31']
];

/** Figures as somebody would type them, by the field or by the line that they are of. */
const USUAL: Record<string, readonly [number, number]> = {
  tempC: [8, 25],
  soilMm: [20, 60],
  waterMm: [110, 150],
  dispersantMl: [0, 8],
  coarse: [12, 18],
  sand: [20, 36],
  silt: [36, 46],
  clay: [46, 60],
  skin: [60, 64],
  measuredTotal: [46, 60],
  depth: [200, 400],
  width: [200, 400],
  height: [1, 190],
  piston: [20, 60],
  box: [300, 700],
  count: [1, 6],
  soaked: [0, 2],
  cureDays: [0, 28],
  soakDays: [0, 4]
};

/** Makes payloads by the schemas of commands, of ids that are there, with something hostile now and then. */
class Attacker {
  readonly #random: () => number;
  readonly #known = new Map<string, string[]>();
  /** Ids that stood together in one command that was done, the newest last; and those that this payload goes by. */
  readonly #together: Map<string, string>[] = [];
  #by = new Map<string, string>();
  readonly #shapes = new Map<CommandName, Shape>();

  constructor(seed: number) {
    this.#random = randomFrom(seed);
    for (const name of commandNames)
      this.#shapes.set(
        name,
        z.toJSONSchema(definitionOf(name).body, { io: 'input', unrepresentable: 'any' }) as Shape
      );
  }

  pick<T>(from: readonly T[]): T {
    return from[Math.floor(this.#random() * from.length)];
  }

  chance(of: number): boolean {
    return this.#random() < of;
  }

  /** Ids that a command which was done has named: others may name them again. */
  learn(payload: unknown, key = ''): void {
    if (typeof payload === 'string') {
      if (!/Ids?$/.test(key) || payload.length > 40) return;
      const kind = key.replace(/s$/, '');
      const ids = this.#known.get(kind) ?? [];
      if (!ids.includes(payload)) this.#known.set(kind, [...ids.slice(-40), payload]);
    } else if (typeof payload === 'object' && payload !== null)
      for (const [inner, value] of Object.entries(payload))
        this.learn(value, Array.isArray(payload) ? key : inner);
  }

  /** Ids that belong together, as a run and its jar: they are named together again. */
  remember(payload: unknown): void {
    const ids = Object.entries(payload as Record<string, unknown>).flatMap(([key, value]) =>
      /Id$/.test(key) && typeof value === 'string' ? [[key, value] as const] : []
    );
    // What was known of one of them is known of the others.
    const before = this.#together.findLast((known) => ids.some(([key, value]) => known.get(key) === value));
    this.#together.push(new Map([...(before ?? []), ...ids]));
    if (this.#together.length > 60) this.#together.shift();
  }

  payload(name: CommandName): unknown {
    this.#by = this.#together.length > 0 ? this.pick(this.#together) : new Map<string, string>();
    return this.#make(this.#shapes.get(name) ?? {}, '');
  }

  /** @param key the field it is for, and @param of the field that one stands in */
  #make(shape: Shape, key: string, of = ''): unknown {
    if (this.chance(0.01)) return this.pick(HOSTILE);
    if (shape.default !== undefined && this.chance(0.5)) return shape.default;
    if (shape.const !== undefined) return shape.const;
    if (shape.enum) return this.pick(shape.enum);
    const either = shape.anyOf ?? shape.oneOf;
    if (either) return this.#make(this.pick(either), key, of);
    switch (shape.type) {
      case 'object':
        return this.#object(shape, key);
      case 'array':
        return this.#array(shape, key);
      case 'number':
      case 'integer':
        return this.#number(shape, key === 'mm' ? of : key);
      case 'boolean':
        return this.chance(0.5);
      case 'null':
        return null;
      default:
        return this.#text(shape, key);
    }
  }

  #object({ properties = {}, required = [] }: Shape, key: string): unknown {
    const out: Record<string, unknown> = {};
    for (const [name, inner] of Object.entries(properties))
      if (required.includes(name) || this.chance(0.5)) out[name] = this.#make(inner, name, key);
    return out;
  }

  #array({ items = {}, prefixItems, minItems = 0, maxItems = 4 }: Shape, key: string): unknown {
    if (prefixItems) return prefixItems.map((inner) => this.#make(inner, key));
    const count = Math.max(minItems, Math.floor(this.#random() * Math.min(maxItems, 4)));
    return Array.from({ length: count }, () => this.#make(items, key));
  }

  #number(shape: Shape, key: string): number {
    const { minimum = shape.exclusiveMinimum ?? -5, maximum = 120, type } = shape;
    const [least, most] =
      USUAL[key] && this.chance(0.95) ? USUAL[key] : [minimum, Math.min(maximum, minimum + 300)];
    const value = least + (most - least) * this.#random();
    return type === 'integer' ? Math.round(value) : Math.round(value * 10) / 10;
  }

  #text({ pattern, format }: Shape, key: string): string {
    if (format === 'date') return this.pick(['2026-03-02', '2025-12-31', '2026-05-04']);
    const known = this.#known.get(key.replace(/s$/, ''));
    const own = this.#by.get(key);
    if (own !== undefined && !pattern?.includes('{26}') && this.chance(0.85)) return own;
    // An id of 26 letters is a new one, mostly; a reference is to something that is there.
    if (pattern?.includes('{26}')) return known && this.chance(0.04) ? this.pick(known) : ulid();
    if (/Ids?$/.test(key))
      return known && this.chance(0.95) ? this.pick(known) : this.pick([ulid(), 'nobody']);
    if (/^vessel/.test(key)) return this.pick(['jar-litre', 'jar-half-litre', 'cylinder-litre']);
    if (/Key$/.test(key))
      return this.pick([
        'jar-timed',
        'jar-bands',
        'hydrometer-2pt',
        'vegetables',
        'rammed',
        'usual',
        'own-x'
      ]);
    if (key === 'query' || key === 'materials') return this.pick(['', 'own', 'own;95/2', 'ask=wall']);
    if (key === 'text') return this.pick(['31 mm', '1/2', '12', '']);
    return this.pick(['North bed', 'Æ', 'a note', '  spaced  ', 'Three words here']);
  }
}

/** What came of an attack. */
export type Outcome = {
  done: number;
  refused: number;
  /** What was neither done nor refused in a sentence: a fault. */
  faults: { name: CommandName; payload: unknown; error: unknown }[];
  /** The slowest command, ms. */
  slowestMs: number;
};

/**
 * Sends commands of every kind, most of which could be meant, in no order.
 *
 * @param o.now ms UTC; goes on by up to some hours between two
 */
export async function attack(
  store: Store,
  o: { seed: number; count: number; now: number }
): Promise<Outcome & { now: number }> {
  const attacker = new Attacker(o.seed);
  const out: Outcome = { done: 0, refused: 0, faults: [], slowestMs: 0 };
  // What others are made of comes more often.
  const often: CommandName[] = [
    'sample.add',
    'jar.prepare',
    'jar.set-down',
    'jar.mark',
    'jar.read',
    'test.finish'
  ];
  const standing = ['jar-litre', 'jar-half-litre'].map((vesselId) => ({ vesselId }));
  standing.forEach((payload) => attacker.learn(payload));
  let { now } = o;
  for (let i = 0; i < o.count; i++) {
    now += attacker.chance(0.3) ? Math.round(attacker.pick([1, 60, 3600, 30_000]) * 1000) : 0;
    const any = attacker.chance(0.4) ? attacker.pick(often) : attacker.pick(commandNames);
    // What takes away comes seldom, or nothing would be left to attack.
    const name = /remove|bin|undo|retire/.test(any) && attacker.chance(0.8) ? 'jar.read' : any;
    const payload = attacker.payload(name);
    const at = attacker.chance(0.05) ? attacker.pick([1, now - 86_400_000, now + 86_400_000]) : now;
    const began = performance.now();
    try {
      const answer = await runCommand(store, name, { commandId: ulid(), at, payload }, 'attacker', now);
      attacker.learn(payload);
      attacker.remember(payload);
      attacker.learn({ eventId: answer.eventId });
      out.done++;
    } catch (error) {
      if (error instanceof CommandProblem) out.refused++;
      else out.faults.push({ name, payload, error });
    }
    out.slowestMs = Math.max(out.slowestMs, performance.now() - began);
  }
  return { ...out, now };
}
