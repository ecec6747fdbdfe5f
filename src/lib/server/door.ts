import { createHash, createHmac, timingSafeEqual } from 'node:crypto';
import { hashRaw } from '@node-rs/argon2';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** Name of the cookie that shows the passphrase was given. */
export const PASS_COOKIE = 'tivrel-pass';

/** Wrong tries that one address, one name, and all of them together may make in the given time. */
export const OWN_TRIES = { points: 5, duration: 60 };
const NAME_TRIES = { points: 20, duration: 600 };
export const ALL_TRIES = { points: 60, duration: 60 };
/** The same of the codes of lessons: a school has one address, and its children mistype. */
export const CLASS_TRIES = { points: 120, duration: 60 };
const ALL_CLASSES_TRIES = { points: 1200, duration: 60 };

type Limit = { points: number; duration: number };

/** What came of a try: in, wrong, or not even looked at for so many seconds. */
export type Try = 'in' | 'wrong' | { waitS: number };

/** Compares in constant time, whatever the lengths. */
function same(a: string | Buffer, b: string | Buffer): boolean {
  const digest = (text: string | Buffer) => createHash('sha256').update(text).digest();
  return timingSafeEqual(digest(a), digest(b));
}

/** So many addresses are remembered from which somebody came in, each for so long, s. */
const KNOWN = { most: 10_000, lastS: 30 * 86_400 };

/**
 * Guesses, limited by address, by name and all together. One is counted before it is looked at, so that many at once are no way round.
 * From where somebody came in before, the guesses of others shut them out no more: there only its own are counted.
 */
export class Guesses {
  readonly #own: RateLimiterMemory;
  readonly #name = new RateLimiterMemory(NAME_TRIES);
  readonly #all: RateLimiterMemory;

  constructor(limits: { own: Limit; all: Limit } = { own: OWN_TRIES, all: ALL_TRIES }) {
    this.#own = new RateLimiterMemory(limits.own);
    this.#all = new RateLimiterMemory(limits.all);
  }

  /** Until when one is remembered from where somebody came in, by whatever name or by one, ms; the oldest first. */
  readonly #known = new Map<string, number>();

  #isKnown(from: string, name = ''): boolean {
    return (this.#known.get(`${from} ${name}`) ?? 0) > Date.now();
  }

  #remember(from: string, name = ''): void {
    const key = `${from} ${name}`;
    this.#known.delete(key);
    this.#known.set(key, Date.now() + KNOWN.lastS * 1000);
    if (this.#known.size > KNOWN.most) this.#known.delete(this.#known.keys().next().value ?? '');
  }

  /** @returns how long to wait, s; undefined where it may be looked at */
  async count(from: string, name?: string): Promise<number | undefined> {
    try {
      await this.#own.consume(from);
      if (name && !this.#isKnown(from, name)) await this.#name.consume(name);
      if (!this.#isKnown(from)) await this.#all.consume('all');
      return undefined;
    } catch (full) {
      if (full instanceof RateLimiterRes) return Math.ceil(full.msBeforeNext / 1000);
      throw full;
    }
  }

  /** A right one gives its own back. */
  async right(from: string, name?: string): Promise<void> {
    await this.#own.delete(from);
    if (name) await this.#name.delete(name);
    if (!this.#isKnown(from)) await this.#all.reward('all');
  }

  /** The same of one by which somebody came in. */
  async cameIn(from: string, name?: string): Promise<void> {
    await this.right(from, name);
    this.#remember(from);
    if (name) this.#remember(from, name);
  }
}

/** The guesses of this server: one address has no more of them for trying both ways in. */
export const guesses = new Guesses();

/** Guesses at the codes of lessons, apart: a class that mistypes keeps nobody out of the bench. */
export const classGuesses = (): Guesses => new Guesses({ own: CLASS_TRIES, all: ALL_CLASSES_TRIES });

/**
 * The door of a shared bench. The passphrase itself is not kept: only its argon2id digest, which each try is measured
 * against. What a device keeps as its cookie has nothing to do with it: see `sessions.ts`.
 */
export class Door {
  readonly #salt: Buffer;
  readonly #digest: Promise<Buffer>;

  /** @param place tells this bench from others with the same passphrase, and is the same after a restart */
  constructor(
    passphrase: string,
    place: string,
    private tries = new Guesses()
  ) {
    this.#salt = createHash('sha256').update(`tivrel door ${place}`).digest();
    this.#digest = this.#measure(passphrase);
  }

  #measure(text: string): Promise<Buffer> {
    // Argon2id is what it makes unless told otherwise.
    return hashRaw(text, { salt: this.#salt });
  }

  /** Tells this passphrase from another, and nothing else: sessions end when it is changed. */
  async fingerprint(): Promise<string> {
    return createHmac('sha256', await this.#digest)
      .update('sessions')
      .digest('base64url');
  }

  /**
   * Tries a passphrase.
   *
   * @param from the address it comes from
   */
  async try(given: string, from: string): Promise<Try> {
    const waitS = await this.tries.count(from);
    if (waitS !== undefined) return { waitS };
    if (!same(await this.#measure(given), await this.#digest)) return 'wrong';
    await this.tries.cameIn(from);
    return 'in';
  }
}
