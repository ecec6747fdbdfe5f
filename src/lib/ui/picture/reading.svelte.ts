import {
  checkScale,
  CROSS_SIGMA_MM,
  edgeOnStrip,
  fitStrip,
  heightByRuler,
  labelOnStrip,
  LINE_ORDER,
  nameLines,
  pixelOfHeight,
  outcomeOf,
  stripAxes,
  type Boundary,
  type Corners,
  type LayerTops,
  type LengthUnit,
  type LineName,
  type Pixel,
  type Strip,
  known
} from '$lib/core';
import { readLength } from '$lib/workbench/entry/figure';
import { PictureProblem, PictureWork, type StripRead } from '$lib/browser/picture-work';
import { t } from '$lib/words';

/** A line as it is proposed, or as somebody put it: what it is the top of, where, and how sure. */
export type FoundLine = {
  key: number;
  name: LineName | '';
  heightMm: number;
  sigmaMm: number;
  confidence?: number;
};

/** Error of a line that somebody put by hand on a picture, mm. */
const HAND_SIGMA_MM = 0.5;

/** A picture as it is being read: where heights are known, where the strip lies, and the lines in it. */
export class PictureReading {
  file: Blob | undefined;
  /** File of a picture that is kept already. */
  fileId: string | undefined;
  url = $state('');
  size = $state({ width: 0, height: 0 });
  low = $state<{ at: Pixel; text: string }>({ at: [0, 0], text: '0' });
  high = $state<{ at: Pixel; text: string }>({ at: [0, 0], text: '' });
  asidePx = $state(0);
  widthPx = $state(60);
  fromMm = $state(1);
  toMm = $state(100);
  corners = $state<Corners | undefined>();
  /** Whether the strip lies aside where somebody put it, or where it was moved to clear glass. */
  placed = false;
  squaring = $state(false);
  stretched = $state(false);
  read = $state.raw<StripRead | undefined>();
  lines = $state<FoundLine[]>([]);
  /** Somebody has moved, added or taken off a line: they are not found anew by themselves. */
  touched = $state(false);
  busy = $state(false);
  problems = $state<Record<string, string>>({});

  #work: PictureWork | undefined;
  #nextKey = 1;
  #asked = 0;
  readonly unit: LengthUnit;
  readonly waterMm: number;

  /** Where the tops are looked for, mm. */
  readonly #expected: LayerTops;

  constructor(o: { unit: LengthUnit; waterMm: number; expected?: LayerTops }) {
    this.#expected = o.expected ?? {};
    this.unit = o.unit;
    this.waterMm = o.waterMm;
    this.high.text = `${Math.round(o.waterMm)} mm`;
    this.toMm = Math.max(20, o.waterMm - 4);
  }

  /** Opens a picture; what was found in another is let go. */
  async open(file: Blob, fileId?: string): Promise<void> {
    this.problems = {};
    this.busy = true;
    try {
      this.#work ??= new PictureWork();
      const size = await this.#work.open(file);
      this.#show(file);
      this.file = file;
      this.fileId = fileId;
      this.size = size;
      const { width, height } = size;
      this.low.at = [width / 2, height * 0.82];
      this.high.at = [width / 2, height * 0.32];
      this.widthPx = Math.round(width * 0.1);
      this.asidePx = 0;
      this.placed = false;
      this.corners = undefined;
      this.cornersFound = false;
      this.squaring = false;
      this.lines = [];
      this.mine = [];
      this.touched = false;
      this.read = undefined;
      this.#ruler = undefined;
      this.#seen = '';
    } catch (problem) {
      if (!(problem instanceof PictureProblem)) throw problem;
      this.problems = { picture: problem.message };
    } finally {
      this.busy = false;
    }
  }

  #open(): PictureWork {
    return known(this.#work, 'a strip lies on an open picture');
  }

  #show(picture: Blob): void {
    if (this.url) URL.revokeObjectURL(this.url);
    this.url = URL.createObjectURL(picture);
  }

  /** The strip as it lies, or undefined while a height cannot be read or the scale is nothing. */
  get strip(): Strip | undefined {
    const [low, high] = [readLength(this.low.text, this.unit), readLength(this.high.text, this.unit)];
    if (low.value === undefined || high.value === undefined || !this.url) return undefined;
    const strip: Strip = {
      low: { at: this.low.at, heightMm: low.value, sigmaMm: CROSS_SIGMA_MM },
      high: { at: this.high.at, heightMm: high.value, sigmaMm: CROSS_SIGMA_MM },
      asidePx: this.asidePx,
      widthPx: this.widthPx,
      fromMm: this.fromMm,
      toMm: this.toMm
    };
    return outcomeOf(() => {
      checkScale(strip);
      return fitStrip(strip, this.size);
    }).done;
  }

  /** Picture points a millimetre by the ruler beside the glass, where one was seen. */
  #ruler = $state.raw<number | undefined>();
  #wanted: Pick<Strip, 'low' | 'high'> | undefined;
  #seeing = false;

  /** Looks for a ruler by the scale as it stands; while one look goes on only the last that is asked for waits. */
  async seeRuler(scale: Pick<Strip, 'low' | 'high'>): Promise<void> {
    this.#wanted = scale;
    if (this.#seeing) return;
    this.#seeing = true;
    try {
      while (this.#wanted) {
        const asked: Pick<Strip, 'low' | 'high'> = this.#wanted;
        this.#wanted = undefined;
        this.#ruler = (await this.#open().ruler(asked))?.pxPerMm;
      }
    } catch (problem) {
      // What is wrong with the scale stands beside its fields already.
      if (!(problem instanceof PictureProblem)) throw problem;
    } finally {
      this.#seeing = false;
    }
  }

  /** Height of the upper cross by the ruler beside the glass, from the lower one on, mm; and whether the two heights agree. */
  get byRuler(): { highMm: number; agrees: boolean } | undefined {
    const { strip } = this;
    return strip && this.#ruler !== undefined ? heightByRuler(strip, this.#ruler) : undefined;
  }

  /** Why there is no strip, beside its field. */
  get scaleProblems(): { low?: string; high?: string; scale?: string } {
    const [low, high] = [readLength(this.low.text, this.unit), readLength(this.high.text, this.unit)];
    if (low.value === undefined || high.value === undefined) return { low: low.error, high: high.error };
    const scale = {
      low: { at: this.low.at, heightMm: low.value },
      high: { at: this.high.at, heightMm: high.value }
    };
    const { problem } = outcomeOf(() => checkScale(scale));
    return problem ? { scale: problem.message } : {};
  }

  /** Corners of the strip in the picture: lower left, lower right, upper right, upper left. */
  outline(strip: Strip): Pixel[] {
    const { right } = stripAxes(strip);
    const half = strip.widthPx / 2;
    const at = (mm: number, side: number): Pixel => {
      const [x, y] = pixelOfHeight(strip, mm);
      return [x + right[0] * half * side, y + right[1] * half * side];
    };
    return [at(strip.fromMm, -1), at(strip.fromMm, 1), at(strip.toMm, 1), at(strip.toMm, -1)];
  }

  /** A place in the picture, or the nearest that is. */
  #inside([x, y]: Pixel): Pixel {
    const { width, height } = this.size;
    return [Math.min(Math.max(0, x), width - 1), Math.min(Math.max(0, y), height - 1)];
  }
  moveCross(end: 'low' | 'high', to: Pixel): void {
    this[end].at = this.#inside(to);
  }

  /** Lines that somebody had put before the strip was moved; they can be put back. */
  mine = $state<FoundLine[]>([]);
  putMineBack(): void {
    this.lines = this.mine;
    this.mine = [];
    this.touched = true;
  }

  /** Where the strip lies on a label, mm. */
  get label(): { fromMm: number; toMm: number } | undefined {
    return this.read && labelOnStrip(this.read.profile);
  }

  /** Whether a side of the strip lies on the edge of the glass. */
  get edge(): boolean {
    return this.read !== undefined && edgeOnStrip(this.read.profile);
  }
  /** Puts the strip elsewhere, by hand. */
  putStrip(change: { asidePx?: number; fromMm?: number; toMm?: number }): void {
    Object.assign(this, change);
    if (change.asidePx !== undefined) this.placed = true;
  }

  #seen = '';

  /** The strip lies elsewhere: lines of where it lay before are let go at once, so that nobody takes them. */
  moved(strip: Strip): void {
    const place = JSON.stringify(strip);
    if (this.#seen !== '' && this.#seen !== place) {
      // What was asked for before is of a strip that has gone.
      this.#asked++;
      if (this.touched && this.lines.length > 0) this.mine = this.lines;
      this.lines = [];
      this.touched = false;
    }
    this.#seen = place;
  }

  /** Reads the strip; only the last that was asked for counts. */
  async look(strip: Strip): Promise<void> {
    this.moved(strip);
    const asked = ++this.#asked;
    try {
      const read = await this.#open().read(strip);
      if (asked !== this.#asked) return;
      this.read = read;
      // Nobody chose this place: it moves to clear glass by itself.
      if (read.clearAside !== undefined && !this.placed) {
        this.asidePx = read.clearAside;
        this.placed = true;
      }
      const { strip: _, ...rest } = this.problems;
      this.problems = rest;
      if (!this.touched) this.propose(read.lines);
    } catch (problem) {
      if (!(problem instanceof PictureProblem)) throw problem;
      if (asked === this.#asked) this.problems = { ...this.problems, [problem.field]: problem.message };
    }
  }

  /** Puts the found lines in place of those that are there. */
  propose(found: readonly Boundary[]): void {
    const names = nameLines(
      found.map((b) => b.heightMm),
      this.#expected
    );
    this.lines = found.map(({ heightMm, sigmaMm, confidence }, i) => ({
      key: this.#nextKey++,
      name: names[i],
      heightMm,
      sigmaMm,
      confidence
    }));
    this.touched = false;
  }

  /** Lets go of what was done by hand: the lines as they were found. */
  proposeAnew(): void {
    if (this.read) this.propose(this.read.lines);
  }

  /** Moves a line by hand: what it is sure of is then what a hand is. */
  moveLine(line: FoundLine, heightMm: number): void {
    line.heightMm = heightMm;
    line.sigmaMm = HAND_SIGMA_MM;
    line.confidence = undefined;
    this.touched = true;
  }
  addLine(): void {
    const taken = new Set(this.lines.map((l) => l.name));
    const name = LINE_ORDER.find((n) => !taken.has(n) && ['sand', 'silt', 'clay'].includes(n)) ?? '';
    const heightMm = (this.fromMm + this.toMm) / 3;
    this.lines.push({ key: this.#nextKey++, name, heightMm, sigmaMm: HAND_SIGMA_MM });
    this.touched = true;
  }
  dropLine(line: FoundLine): void {
    this.lines = this.lines.filter((l) => l.key !== line.key);
    this.touched = true;
  }

  /** Two lines of one name cannot both be it. */
  get doubleName(): string | undefined {
    const seen = new Set<string>();
    for (const { name } of this.lines) {
      if (name && seen.has(name)) return t.picture.twice(t.layer[name]);
      seen.add(name);
    }
    return undefined;
  }

  /** Four corners were found on the walls of the glass, and nobody has moved one. */
  cornersFound = $state(false);

  /** Starts to put four corners on something upright and square: on the walls of the glass where they are seen. */
  async beginSquare(): Promise<void> {
    const { width, height } = this.size;
    if (!this.corners) {
      const seen = await this.#work?.corners($state.snapshot(this.low.at), $state.snapshot(this.high.at));
      this.cornersFound = seen !== undefined;
      this.corners ??= seen ?? [
        [width * 0.3, height * 0.25],
        [width * 0.7, height * 0.25],
        [width * 0.7, height * 0.8],
        [width * 0.3, height * 0.8]
      ];
    }
    this.squaring = true;
  }
  moveCorner(i: number, to: Pixel): void {
    const place = this.#inside(to);
    this.cornersFound = false;
    this.corners = this.corners?.map((c, k) => (k === i ? place : c)) as unknown as Corners;
  }
  /** Looks at the picture square to the corners, or as it was taken. */
  async square(on: boolean): Promise<void> {
    const corners = on && this.corners ? ($state.snapshot(this.corners) as unknown as Corners) : undefined;
    try {
      this.#show(await this.#open().straighten(corners));
      this.squaring = false;
      this.#seen = 'another picture';
      if (!on) this.corners = undefined;
      const { corners: _, ...rest } = this.problems;
      this.problems = rest;
      if (this.strip) await this.look($state.snapshot(this.strip) as Strip);
    } catch (problem) {
      if (!(problem instanceof PictureProblem)) throw problem;
      this.problems = { ...this.problems, [problem.field]: problem.message };
    }
  }

  close(): void {
    if (this.url) URL.revokeObjectURL(this.url);
    this.#work?.close();
  }
}
