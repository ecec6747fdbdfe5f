import { scaleLinear, scaleLog } from 'd3-scale';
import { line } from 'd3-shape';
import { textureSystems, type CurvePoint, type Fractions, type SystemId } from '../../core/index.ts';
import type { SiteDetail } from '../../contract/records/ground.ts';
import type { WorkFigure } from './types.ts';
import { t } from '../../words/index.ts';
import { drawnClasses, frameOf, pathOf, readingLines } from '../triangle/frame.ts';
import { along, NAME_LINE, placeName } from '../triangle/labels.ts';

const INK = '#262018';
const FAINT = '#a5967a';
const GRID = '#ddd4c0';
const PEN = '#1d44c4';

type Size = { width: number; height: number };
const svg = ({ width, height }: Size, parts: readonly string[]): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width.toFixed(1)} ${height.toFixed(1)}">${parts.join('')}</svg>`;
const path = (d: string, stroke: string, width: number, more = '') =>
  `<path d="${d}" fill="none" stroke="${stroke}" stroke-width="${width}" ${more}/>`;
/** Text as it may stand in a drawing, without what an XML cannot hold. */
const escaped = (text: string): string =>
  text
    .replaceAll(/\p{Cc}/gu, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;');

/** A word; faces are named as the printed sheet knows them. */
const word = (
  text: string | number,
  x: number,
  y: number,
  o: { size: number; anchor?: string; face?: string }
) =>
  `<text x="${x.toFixed(1)}" y="${y.toFixed(1)}" font-size="${o.size}" font-family="${o.face ?? 'Text'}" text-anchor="${o.anchor ?? 'middle'}" fill="${INK}">${text}</text>`;

/** A soil on a triangle for paper; of several each has a name. */
type Dot = { fractions: Fractions; name?: string };

/** The texture triangle with one soil and its three reading lines, in black and one colour, for paper. */
export const triangleFigure = (soil: Fractions, system: SystemId, classId: string): WorkFigure =>
  drawTriangle([{ fractions: soil }], system, classId);

/** The same with several soils, each by its name. */
export const soilsFigure = (soils: readonly Required<Dot>[], system: SystemId): WorkFigure => ({
  ...drawTriangle(soils, system),
  widthPt: 330
});

function drawTriangle(soils: readonly Dot[], system: SystemId, classId?: string): WorkFigure {
  const frame = frameOf(430);
  const dots = soils.map(({ fractions, name }) => ({ ...frame.place(fractions), name }));
  // Reading lines are those of one soil: of several they would be a thicket.
  const lines = soils.length === 1 && classId ? readingLines(soils[0].fractions, frame) : [];
  const obstacles = [
    ...dots.map((at) => ({ ...at, clear: 10 })),
    ...lines.flatMap((l) => along(dots[0], l.to, 3))
  ];
  const parts: string[] = [];
  for (const c of drawnClasses(system, frame)) {
    const own = c.id === classId;
    parts.push(`<path d="${c.d}" fill="${own ? '#dfe5f7' : '#ffffff'}" stroke="${FAINT}" stroke-width="1"/>`);
    // Small areas bear no name on paper either.
    if (c.area < 110) continue;
    const place = placeName(c.words, c.corners, obstacles);
    const top = place.y - ((c.words.length - 1) * NAME_LINE) / 2 + 4;
    c.words.forEach((text, i) => parts.push(word(text, place.x, top + i * NAME_LINE, { size: 12 })));
  }
  const corner = (f: Fractions) => frame.place(f);
  const outline = pathOf([
    corner({ sand: 100, silt: 0, clay: 0 }),
    corner({ sand: 0, silt: 100, clay: 0 }),
    corner({ sand: 0, silt: 0, clay: 100 })
  ]);
  parts.push(path(outline, INK, 1.6));
  for (let n = 20; n <= 80; n += 20) {
    const clay = corner({ sand: 100 - n, silt: 0, clay: n });
    const silt = corner({ sand: 0, silt: n, clay: 100 - n });
    const sand = corner({ sand: n, silt: 100 - n, clay: 0 });
    parts.push(
      path(`M${clay.x} ${clay.y}h-7M${silt.x} ${silt.y}l4 -6M${sand.x} ${sand.y}l4 7`, INK, 1),
      word(n, clay.x - 11, clay.y + 4, { size: 12, anchor: 'end' }),
      word(n, silt.x + 8, silt.y - 8, { size: 12, anchor: 'start' }),
      word(n, sand.x + 7, sand.y + 20, { size: 12 })
    );
  }
  for (const { to } of lines)
    parts.push(path(`M${dots[0].x} ${dots[0].y}L${to.x} ${to.y}`, INK, 1, 'stroke-dasharray="2 3"'));
  for (const { x, y, name } of dots) {
    parts.push(`<circle cx="${x}" cy="${y}" r="${name ? 4 : 5.5}" fill="${PEN}"/>`);
    if (name) parts.push(word(escaped(name), x + 7, y - 5, { size: 11, anchor: 'start' }));
  }
  const left = frame.at({ x: 0.25, y: 0.5 });
  const right = frame.at({ x: 0.75, y: 0.5 });
  const foot = frame.at({ x: 0.5, y: 0 });
  const percent = (layer: 'sand' | 'silt' | 'clay') => `${t.layer[layer]} %`;
  parts.push(
    word(percent('clay'), left.x - 34, left.y - 6, { size: 13, anchor: 'end' }),
    word(percent('silt'), right.x + 34, right.y - 6, { size: 13, anchor: 'start' }),
    word(percent('sand'), foot.x, foot.y + 40, { size: 13 })
  );
  return { svg: svg(frame, parts), widthPt: 215 };
}

const WIDTH = 720;
const HEIGHT = 340;
const PAD = { left: 46, right: 14, top: 26, bottom: 46 };
const SIZES = [0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000];

/** A grading curve for paper: size on a logarithmic scale, percent finer upward, readings round and meshes square. */
export function curveFigure(curve: readonly CurvePoint[], system: SystemId): WorkFigure {
  const x = scaleLog([0.5, 2000], [PAD.left, WIDTH - PAD.right]);
  const y = scaleLinear([0, 100], [HEIGHT - PAD.bottom, PAD.top]);
  const parts: string[] = [];
  for (const um of SIZES) {
    parts.push(path(`M${x(um)} ${y(0)}V${y(100)}`, GRID, 0.6), word(um, x(um), y(0) + 17, { size: 12 }));
  }
  for (let pct = 0; pct <= 100; pct += 20) {
    parts.push(
      path(`M${PAD.left} ${y(pct)}H${WIDTH - PAD.right}`, GRID, 0.6),
      word(pct, PAD.left - 8, y(pct) + 4, { size: 12, anchor: 'end' })
    );
  }
  const limits = textureSystems[system].limitsUm;
  const ends = [0.5, ...limits];
  (['clay', 'silt', 'sand'] as const).forEach((layer, i) => {
    const middle = (x(ends[i]) + x(ends[i + 1])) / 2;
    parts.push(word(t.layer[layer], middle, PAD.top - 9, { size: 13 }));
  });
  for (const um of limits.slice(0, 2)) parts.push(path(`M${x(um)} ${PAD.top - 20}V${y(0)}`, INK, 1.4));
  const shown = curve.filter((p) => p.diameterUm >= 0.5);
  const drawn = line<CurvePoint>()
    .x((p) => x(p.diameterUm))
    .y((p) => y(p.percentFiner))(shown);
  if (drawn) parts.push(path(drawn, PEN, 2));
  for (const p of shown) {
    const [cx, cy] = [x(p.diameterUm), y(p.percentFiner)];
    const look = `fill="#ffffff" stroke="${PEN}" stroke-width="2"`;
    if (p.from === 'reading') parts.push(`<circle cx="${cx}" cy="${cy}" r="4.5" ${look}/>`);
    else if (p.from === 'sieve')
      parts.push(`<rect x="${cx - 4}" y="${cy - 4}" width="8" height="8" ${look}/>`);
  }
  parts.push(
    path(`M${PAD.left} ${PAD.top}V${y(0)}H${WIDTH - PAD.right}`, INK, 1.4),
    word(t.curve.x, (PAD.left + WIDTH - PAD.right) / 2, HEIGHT - 8, { size: 13, face: 'Signs' })
  );
  return { svg: svg({ width: WIDTH, height: HEIGHT }, parts), widthPt: 490, title: t.curve.title };
}

const SKETCH = { width: 520, most: 420, pad: 18 };

/** The sketch of a site for paper: its areas by letter and name, their spots, north where it is known, and a scale. */
export function sketchFigure(site: SiteDetail): WorkFigure | undefined {
  const drawn = site.areas.filter((area) => area.outline.length > 2);
  const points = drawn.flatMap((area) => [...area.outline, ...area.spots.map((s) => [s.x, s.y] as const)]);
  if (points.length === 0) return undefined;
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [west, south] = [Math.min(...xs), Math.min(...ys)];
  const [wide, high] = [Math.max(...xs) - west || 1, Math.max(...ys) - south || 1];
  const perM = Math.min((SKETCH.width - 2 * SKETCH.pad) / wide, (SKETCH.most - 2 * SKETCH.pad) / high);
  const height = high * perM + 2 * SKETCH.pad + 24;
  const at = ([x, y]: readonly [number, number]) => ({
    x: SKETCH.pad + (x - west) * perM,
    y: SKETCH.pad + (south + high - y) * perM
  });
  const parts: string[] = [];
  for (const area of drawn) {
    parts.push(
      `<path d="${pathOf(area.outline.map(at))}" fill="#f4efe2" stroke="${INK}" stroke-width="1.3" stroke-linejoin="round"/>`
    );
    for (const spot of area.spots) {
      const { x, y } = at([spot.x, spot.y]);
      parts.push(
        `<circle cx="${x.toFixed(1)}" cy="${y.toFixed(1)}" r="2.6" fill="${spot.takenAt === null ? '#ffffff' : PEN}" stroke="${PEN}"/>`
      );
    }
  }
  for (const area of drawn) {
    const name = `${area.code} ${area.name}`;
    // Beside its spots where there is room, else in the roomiest place.
    const spots = area.spots.map((spot) => ({ ...at([spot.x, spot.y]), clear: 6 }));
    const { x, y } = placeName([name], area.outline.map(at), spots);
    parts.push(word(escaped(name), x, y + 4, { size: 13 }));
  }
  if (site.sketch.scaled) {
    const bar = [1, 2, 5, 10, 20, 50, 100, 200, 500].findLast((m) => m * perM <= 140) ?? 1;
    const y = height - 12;
    parts.push(
      path(`M${SKETCH.pad} ${y - 4}v4h${(bar * perM).toFixed(1)}v-4`, INK, 1.2),
      word(`${bar} m`, SKETCH.pad + bar * perM + 8, y, { size: 12, anchor: 'start' })
    );
  }
  return { svg: svg({ width: SKETCH.width, height }, parts), widthPt: 420 };
}
