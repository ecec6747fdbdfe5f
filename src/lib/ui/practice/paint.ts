import { jarColourAt, type Grains, type JarTrack, type Moment, type NamedVessel } from '$lib/core';
import { outlineOf } from '../vessel/outline';

/** Colours of the page, as they are by day or by night. */
export type Paints = {
  glass: string;
  air: string;
  paper: string;
  sheet: string;
  rule: string;
  grains: readonly [string, string, string];
  stone: string;
  clear: string;
};

export function paintsOf(element: Element): Paints {
  const style = getComputedStyle(element);
  const of = (name: string) => style.getPropertyValue(name).trim();
  return {
    glass: of('--glass'),
    air: of('--air'),
    paper: of('--paper'),
    sheet: of('--sheet'),
    rule: of('--rule'),
    grains: [of('--sand-grain'), of('--silt-grain'), of('--clay')],
    clear: of('--clear'),
    stone: of('--gravel-grain')
  };
}

/** Rows of the picture of the water and the bed, px. */
const ROW_PX = 2;

/**
 * Paints a jar at a moment: what is in it by colour, every grain at its height, foam and stones, and the glass. A jar that leans
 * turns its glass; what is in it stays level.
 */
export function paintJar(
  pen: CanvasRenderingContext2D,
  o: {
    track: JarTrack;
    grains: Grains;
    heights: Float32Array;
    moment: Moment;
    vessel: NamedVessel;
    scale: number;
    foam: boolean;
    paints: Paints;
    at: { x: number; y: number };
  }
): void {
  const { track, grains, heights, moment, vessel, scale, paints, at } = o;
  const outline = outlineOf(vessel, scale);
  const cx = outline.width / 2;
  const bottom = outline.y(0);
  const waterMm = track.jar.floorMm + track.jar.columnMm;
  const lean = (track.jar.leanDeg * Math.PI) / 180;
  pen.save();
  pen.translate(at.x, at.y);
  const turned = () => {
    pen.translate(cx, bottom);
    pen.rotate(lean);
    pen.translate(-cx, -bottom);
  };
  pen.save();
  turned();
  pen.fillStyle = paints.sheet;
  pen.strokeStyle = paints.glass;
  pen.lineWidth = 1.5;
  pen.fill(new Path2D(outline.outer));
  pen.stroke(new Path2D(outline.outer));
  pen.clip(new Path2D(outline.inner));
  // Back to level for what is in it.
  pen.translate(cx, bottom);
  pen.rotate(-lean);
  pen.translate(-cx, -bottom);
  pen.fillStyle = paints.air;
  pen.fillRect(-outline.width, 0, 3 * outline.width, outline.height);
  const [left, width] = [-outline.width, 3 * outline.width];
  for (let y = outline.y(waterMm); y < bottom + 20; y += ROW_PX) {
    const mm = Math.max(0, (bottom - y) / scale);
    const [r, g, b] = jarColourAt(track, moment, mm);
    pen.fillStyle = `rgb(${Math.round(r)},${Math.round(g)},${Math.round(b)})`;
    pen.fillRect(left, y, width, ROW_PX + 0.5);
  }
  // Thinner than it is, so that the grains in it are seen.
  pen.fillStyle = paints.clear;
  pen.globalAlpha = 0.4;
  pen.fillRect(left, outline.y(waterMm), width, outline.y(moment.topMm) - outline.y(waterMm));
  pen.globalAlpha = 1;
  paintStones(pen, track.jar.floorMm, outline, scale, paints);
  const half = (outline.innerRight - outline.innerLeft) / 2;
  for (let band = 2; band >= 0; band--) {
    pen.fillStyle = paints.grains[band];
    pen.globalAlpha = [0.9, 0.75, 0.8][band];
    for (let i = 0; i < heights.length; i++) {
      if (grains.band[i] !== band) continue;
      const size = grains.floc[i] ? 3.4 : 1.2 + 2.6 * grains.large[i] ** 1.4;
      pen.fillRect(
        cx + grains.across[i] * half - size / 2,
        bottom - heights[i] * scale - size,
        size,
        grains.floc[i] ? size * 0.7 : size
      );
    }
  }
  pen.globalAlpha = 1;
  if (o.foam) paintFoam(pen, outline, outline.y(waterMm), moment.timeS, paints);
  pen.restore();
  pen.save();
  turned();
  pen.strokeStyle = paints.glass;
  pen.lineWidth = 1;
  pen.stroke(new Path2D(outline.inner));
  pen.restore();
  pen.restore();
}

/** A hash of a number, 0 to 1: the same stones and bubbles every time. */
const strewn = (i: number) => (Math.sin(i * 127.1) * 43_758.545_3 + 1e6) % 1;

type Drawn = ReturnType<typeof outlineOf>;

function paintStones(
  pen: CanvasRenderingContext2D,
  floorMm: number,
  o: Drawn,
  scale: number,
  paints: Paints
): void {
  if (floorMm <= 0) return;
  pen.fillStyle = paints.stone;
  pen.strokeStyle = paints.paper;
  pen.lineWidth = 1;
  const wide = o.innerRight - o.innerLeft;
  for (let i = 0; i < 26; i++) {
    const r = (2.2 + 2.6 * strewn(i)) * scale;
    const x = o.innerLeft + r + (wide - 2 * r) * ((i * 0.618) % 1);
    const y = o.y(0) - r - Math.max(0, floorMm * scale - 2 * r) * strewn(i + 50);
    pen.beginPath();
    pen.ellipse(x, y, r, r * 0.8, 3 * strewn(i + 9), 0, 2 * Math.PI);
    pen.fill();
    pen.stroke();
  }
}

/** Foam stands for hours, s. */
const FOAM_LASTS_S = 40_000;

function paintFoam(
  pen: CanvasRenderingContext2D,
  o: Drawn,
  waterY: number,
  timeS: number,
  paints: Paints
): void {
  const high = 34 * Math.exp(-timeS / FOAM_LASTS_S);
  if (high < 3) return;
  const wide = o.innerRight - o.innerLeft;
  pen.strokeStyle = paints.rule;
  pen.fillStyle = paints.sheet;
  pen.lineWidth = 0.8;
  for (let i = 0; i < 220; i++) {
    const r = 2.5 + 4.5 * strewn(i + 400);
    pen.beginPath();
    pen.arc(o.innerLeft + wide * strewn(i + 700), waterY + 4 - high * strewn(i + 900), r, 0, 2 * Math.PI);
    pen.fill();
    pen.stroke();
  }
}
