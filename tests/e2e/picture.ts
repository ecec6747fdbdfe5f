import { chromium, type Browser, type Page } from '@playwright/test';
import config from '../../playwright.config.ts';

/** Moves a handle of the picture to a place of it, given as shares of its width and height. */
export async function put(page: Page, handle: string, x: number, y: number): Promise<void> {
  const stage = page.getByRole('group', { name: 'The picture, with the scale and the strip on it' });
  const picture = stage.locator('image');
  await page.getByRole('button', { name: handle, exact: true }).scrollIntoViewIfNeeded();
  const box = (await picture.boundingBox())!;
  // The cross itself: the words beside it belong to the handle too.
  const cross = page.getByRole('button', { name: handle, exact: true }).locator('circle').first();
  const from = (await cross.boundingBox())!;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width * x, box.y + box.height * y, { steps: 4 });
  await page.mouse.up();
}

/** Where heights of a litre jar lie in a bench-camera picture of three to four, as shares of its height. */
export const heightAt = (mm: number) => 0.5 - ((mm - (156 - 5) / 2) * 0.92 * 0.75) / 171.2;
export const LITRE = { bottom: heightAt(0), water: heightAt(128) };

/** A browser whose camera shows a film from a file, over and over. */
export async function withCamera(film: string): Promise<Browser> {
  const options = config.use!.launchOptions!;
  return chromium.launch({
    ...options,
    args: [
      ...options.args!,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`
    ]
  });
}
