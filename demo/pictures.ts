import sharp from 'sharp';
import type { HolePicture } from './scenario/samples.ts';

const [WIDTH, HEIGHT] = [1200, 900];
const TURF = 70;

/** Numbers that look scattered and are the same every time. */
function scatter(i: number): number {
  const x = Math.sin(i * 127.1) * 43_758.5453;
  return x - Math.floor(x);
}

/** The side of a hole with a staff in it, drawn: a stand-in for a photograph, and it says so. */
export async function profilePicture({ layers }: HolePicture): Promise<Buffer> {
  const deepest = layers.at(-1)!.toMm;
  const y = (mm: number) => TURF + ((HEIGHT - TURF) * mm) / deepest;
  const bands = layers
    .map((layer, i) => {
      const [top, low] = [y(i === 0 ? 0 : layers[i - 1].toMm), y(layer.toMm)];
      const wave = Array.from(
        { length: 13 },
        (_, j) => `${j * 100} ${(top + 18 * (scatter(i * 20 + j) - 0.5)).toFixed(1)}`
      );
      const stones = Array.from({ length: layer.stones ?? 0 }, (_, j) => {
        const [a, b, c] = [scatter(j * 3 + i), scatter(j * 3 + 1 + i), scatter(j * 3 + 2 + i)];
        return `<ellipse cx="${(a * WIDTH).toFixed(0)}" cy="${(top + 20 + b * (low - top - 20)).toFixed(0)}" rx="${(8 + 26 * c).toFixed(0)}" ry="${(6 + 17 * c).toFixed(0)}" fill="#a9a294" opacity="0.85"/>`;
      });
      return `<path d="M${wave.join('L')}L${WIDTH} ${HEIGHT}L0 ${HEIGHT}Z" fill="${layer.colour}"/>${stones.join('')}`;
    })
    .join('');
  const blades = Array.from({ length: 220 }, (_, i) => {
    const x = scatter(i) * WIDTH;
    return `<path d="M${x.toFixed(0)} ${TURF + 8}q${(6 * (scatter(i + 500) - 0.5)).toFixed(1)} -30 ${(16 * (scatter(i + 900) - 0.5)).toFixed(1)} -${(30 + 30 * scatter(i + 70)).toFixed(0)}" stroke="#5d7040" stroke-width="3" fill="none"/>`;
  }).join('');
  const ticks = Array.from({ length: Math.floor(deepest / 50) + 1 }, (_, i) => {
    const at = y(i * 50).toFixed(1);
    const long = i % 2 === 0;
    return `<path d="M1010 ${at}h${long ? 34 : 20}" stroke="#262018" stroke-width="4"/>${long ? `<text x="1052" y="${Number(at) + 9}" font-size="24" font-family="sans-serif" fill="#262018">${i * 5}</text>` : ''}`;
  }).join('');
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
    <defs><filter id="grain"><feTurbulence type="fractalNoise" baseFrequency="0.7" numOctaves="3" seed="4"/>
    <feColorMatrix values="0 0 0 0 0.1  0 0 0 0 0.07  0 0 0 0 0.03  0.9 0 0 0 -0.28"/></filter></defs>
    <rect width="${WIDTH}" height="${TURF}" fill="#dfe5de"/>${bands}${blades}
    <rect y="${TURF}" width="${WIDTH}" height="${HEIGHT - TURF}" filter="url(#grain)" opacity="0.55"/>
    <rect x="1006" y="${TURF - 40}" width="104" height="${HEIGHT - TURF + 40}" fill="#efe2b6" opacity="0.95"/>${ticks}
    <text x="24" y="${HEIGHT - 24}" font-size="26" font-family="sans-serif" fill="#fdfaf0" opacity="0.85">drawn, not photographed</text>
  </svg>`;
  return sharp(Buffer.from(svg)).jpeg({ quality: 86 }).toBuffer();
}
