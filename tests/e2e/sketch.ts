import type { Page } from '@playwright/test';
import { expect, type Bench } from './bench';

/** Presses places of the sheet, given as shares of its width and height. */
export async function pressSheet(page: Page, places: [number, number][]): Promise<void> {
  const sheet = page.getByRole('group', { name: /^Sketch of/ });
  const box = (await sheet.boundingBox())!;
  for (const [x, y] of places) await sheet.click({ position: { x: x * box.width, y: y * box.height } });
}

export async function startSite(bench: Bench): Promise<Page> {
  const page = await bench.open('/plan');
  await expect(page.getByRole('heading', { name: 'Where is the ground?' })).toBeVisible();
  await page.getByRole('button', { name: 'Start the sketch' }).click();
  await expect(page.getByText('Name the site: where the ground lies.')).toBeVisible();
  await page.getByLabel('Name of the site').fill('Skarn Holm');
  await page.getByRole('button', { name: 'Start the sketch' }).click();
  await expect(page.getByRole('heading', { name: 'Skarn Holm', level: 1 })).toBeVisible();
  return page;
}

/** A site with one area put down by its measures, five spots suggested in it. */
export async function startArea(bench: Bench): Promise<Page> {
  const page = await startSite(bench);
  await page.getByRole('button', { name: 'Draw an area' }).click();
  await page.getByLabel('Across').fill('6');
  await page.getByLabel('Up the sheet').fill('5');
  await page.getByRole('button', { name: 'Put down a rectangle' }).click();
  await keepArea(page, 'Till bank');
  await page.getByRole('button', { name: 'Suggest spots' }).click();
  await expect(page.getByText('0 of 5 spots taken')).toBeVisible();
  return page;
}

export async function keepArea(page: Page, name: string): Promise<void> {
  await page.getByLabel('Name of the area').fill(name);
  await page.getByRole('button', { name: 'Keep the area' }).click();
  await expect(page.getByText(`${name} is on the sketch.`)).toBeVisible();
}
