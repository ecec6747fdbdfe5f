/** Turns a drawing on the page into a file that stands by itself, at print quality. */

import { drawingOn } from '$lib/browser/canvas';

/** What of its look an element takes along; the rest is the page's business. */
const CARRIED = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-opacity',
  'stroke-linejoin',
  'stroke-linecap',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'font-variant-numeric',
  'text-anchor',
  'paint-order',
  'display',
  'visibility'
];
/** Room under a drawing for its legend and source, and about it, px. */
const FOOT = { line: 20, pad: 16 };
/** Dots to a px: a 440 px triangle prints sharply a hand wide. */
const PNG_SCALE = 4;

/** Lines of a legend under a picture, and where it comes from. */
export type Caption = { legend: string[]; source: string };

function copyLook(from: Element, to: Element): void {
  const style = getComputedStyle(from);
  for (const name of CARRIED) (to as SVGElement).style.setProperty(name, style.getPropertyValue(name));
  to.removeAttribute('class');
  [...from.children].forEach((child, i) => copyLook(child, to.children[i]));
}

/** The faces that the application ships with, as a style sheet that needs no other file. */
async function faces(): Promise<string> {
  const rules = [...document.styleSheets]
    .flatMap((sheet) => [...sheet.cssRules])
    .filter((rule) => rule instanceof CSSFontFaceRule)
    .filter((rule) =>
      [...document.fonts].some(
        (f) => f.status === 'loaded' && rule.cssText.includes(f.family.replaceAll('"', ''))
      )
    )
    .filter(
      (rule) => !/U\+0460|U\+1F00|U\+0100|U\+0301|U\+0102/i.test(rule.style.getPropertyValue('unicode-range'))
    );
  const out = await Promise.all(
    rules.map(async (rule) => {
      const url = /url\("?([^")]+)"?\)/.exec(rule.style.getPropertyValue('src'))?.[1];
      if (!url) return '';
      const bytes = new Uint8Array(
        await (await fetch(new URL(url, rule.parentStyleSheet?.href ?? location.href))).arrayBuffer()
      );
      let text = '';
      for (const byte of bytes) text += String.fromCharCode(byte);
      return `@font-face{font-family:${rule.style.getPropertyValue('font-family')};font-weight:${rule.style.getPropertyValue('font-weight') || 400};src:url(data:font/woff2;base64,${btoa(text)})}`;
    })
  );
  return out.join('');
}

/** A drawing with its look written into it, its legend and its source line. */
async function standaloneSvg(svg: SVGSVGElement, caption: Caption): Promise<string> {
  const { width, height, x, y } = svg.viewBox.baseVal;
  const copy = svg.cloneNode(true) as SVGSVGElement;
  copyLook(svg, copy);
  const lines = [...caption.legend, caption.source];
  const full = { w: width + 2 * FOOT.pad, h: height + 2 * FOOT.pad + lines.length * FOOT.line };
  const ink = getComputedStyle(svg).getPropertyValue('--ink') || '#222';
  const paper = getComputedStyle(svg).getPropertyValue('--paper') || '#fff';
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('viewBox', `${x - FOOT.pad} ${y - FOOT.pad} ${full.w} ${full.h}`);
  copy.setAttribute('width', String(full.w));
  copy.setAttribute('height', String(full.h));
  copy.removeAttribute('id');
  copy.style.overflow = 'visible';
  const make = (name: string, attributes: Record<string, string>) => {
    const el = document.createElementNS('http://www.w3.org/2000/svg', name);
    for (const [key, value] of Object.entries(attributes)) el.setAttribute(key, value);
    return el;
  };
  const style = make('style', {});
  style.textContent = await faces();
  const ground = make('rect', {
    x: String(x - FOOT.pad),
    y: String(y - FOOT.pad),
    width: String(full.w),
    height: String(full.h),
    fill: paper.trim()
  });
  copy.prepend(style, ground);
  const family = getComputedStyle(document.body).fontFamily;
  lines.forEach((words, i) => {
    const text = make('text', {
      x: String(x),
      y: String(y + height + FOOT.pad + (i + 0.5) * FOOT.line),
      'font-family': family,
      'font-size': i < caption.legend.length ? '13' : '11.5',
      fill: ink.trim()
    });
    text.textContent = words;
    copy.append(text);
  });
  return new XMLSerializer().serializeToString(copy);
}

function save(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Saves a drawing as SVG. */
export async function saveSvg(svg: SVGSVGElement, caption: Caption, name: string): Promise<void> {
  save(new Blob([await standaloneSvg(svg, caption)], { type: 'image/svg+xml' }), `${name}.svg`);
}

/** Saves a drawing as PNG, four dots to a px. */
export async function savePng(svg: SVGSVGElement, caption: Caption, name: string): Promise<void> {
  const text = await standaloneSvg(svg, caption);
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(text)}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = picture.naturalWidth * PNG_SCALE;
  canvas.height = picture.naturalHeight * PNG_SCALE;
  drawingOn(canvas).drawImage(picture, 0, 0, canvas.width, canvas.height);
  const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
  if (blob) save(blob, `${name}.png`);
}
