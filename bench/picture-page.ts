import { chromium } from '@playwright/test';
import sharp from 'sharp';
import { layeredScene, STANDARD_VESSELS, takePicture } from '../src/lib/core/index.ts';
import browserConfig from '../playwright.config.ts';
import { median, report } from './measure.ts';

const ROUNDS = 5;

/** A picture of twelve megapixels as a phone would write it. */
async function phonePicture(): Promise<Buffer> {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
  const layers = [
    { kind: 'sand' as const, topMm: 18 },
    { kind: 'silt' as const, topMm: 33 },
    { kind: 'clay' as const, topMm: 38 }
  ];
  const scene = layeredScene({ vessel, waterMm: 128, layers, turbidity: 0.3 });
  const { picture } = takePicture(scene, { widthPx: 750, heightPx: 1000, seed: 3, noise: 4 });
  return sharp(Buffer.from(picture.data.buffer), { raw: { width: 750, height: 1000, channels: 4 } })
    .resize(3000, 4000, { kernel: 'nearest' })
    .removeAlpha()
    .jpeg({ quality: 90 })
    .toBuffer();
}

/**
 * From the choice of a twelve-megapixel picture on the reading page to its proposed lines, by the page's own clock: the
 * way to the worker and back, decoding, strip, search and drawing; beside decoding alone.
 */
export async function benchPicturePage(base: string, testId: string): Promise<void> {
  const picture = { name: 'phone.jpg', mimeType: 'image/jpeg', buffer: await phonePicture() };
  const browser = await chromium.launch(browserConfig.use!.launchOptions);
  try {
    const context = await browser.newContext();
    await context.addInitScript('globalThis.__name = (f) => f');
    const page = await context.newPage();
    const lines: number[] = [];
    const decoded: number[] = [];
    for (let i = 0; i < ROUNDS; i++) {
      await page.goto(`${base}/read/${testId}`);
      await page.locator('html[data-awake]').waitFor();
      await page.getByText('from a picture').click();
      await page.evaluate(() => {
        const marks = globalThis as unknown as { began: number; ended: number; file: Blob };
        marks.ended = 0;
        addEventListener(
          'change',
          (event) => {
            const files = (event.target as HTMLInputElement).files;
            if (!files?.length) return;
            marks.file = files[0];
            marks.began = performance.now();
          },
          true
        );
        new MutationObserver(() => {
          if (!marks.ended && document.querySelector('ul[aria-label="Lines on the strip"] li'))
            marks.ended = performance.now();
        }).observe(document.body, { childList: true, subtree: true });
      });
      await page.getByLabel('Choose a picture').setInputFiles(picture);
      await page.waitForFunction(() => (globalThis as unknown as { ended: number }).ended > 0);
      const [whole, alone] = await page.evaluate(async () => {
        const marks = globalThis as unknown as { began: number; ended: number; file: Blob };
        const start = performance.now();
        const bitmap = await createImageBitmap(marks.file);
        const canvas = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d')!;
        canvas.drawImage(bitmap, 0, 0);
        canvas.getImageData(0, 0, bitmap.width, bitmap.height);
        return [marks.ended - marks.began, performance.now() - start];
      });
      lines.push(whole);
      decoded.push(alone);
    }
    const [whole, alone] = [median(lines), median(decoded)];
    report(
      'photo of 12 megapixels on the page',
      `${whole.toFixed(0)} ms to its proposed lines`,
      `${(whole / alone).toFixed(1)} x unpacking it alone (${alone.toFixed(0)} ms); by worker and back`
    );
  } finally {
    await browser.close();
  }
}
