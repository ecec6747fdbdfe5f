import { chromium } from '@playwright/test';
import config from '../playwright.config.ts';
const base = 'http://127.0.0.1:5180';
const browser = await chromium.launch(config.use!.launchOptions);
const desk = { width: 1280, height: 800 }, phone = { width: 390, height: 844 };
const awake = (page: any) => page.waitForFunction(() => document.documentElement.dataset.awake !== undefined);
const wants = process.argv.slice(2);
const tests = (await (await fetch(base + '/api/v1/tests')).json()).tests as any[];
const ready = tests.find((x) => x.status === 'ready' && !x.code.startsWith('P'));
const fin = tests.filter((x) => x.status === 'finished' && x.code === 'S1');
console.log(tests.map((x) => x.code + ' ' + x.status).join(', '));
const steps: Record<string, [typeof desk, (page: any) => Promise<void>]> = {
  set: [desk, async (p) => { await p.goto(base + '/set'); await awake(p); }],
  prep: [desk, async (p) => { await p.goto(base + '/set/' + ready.id); await awake(p); await p.getByRole('button', { name: 'Say what was used' }).click(); await p.getByLabel('Dispersant', { exact: true }).selectOption('washing-up'); await p.getByLabel('So much of it').fill('half'); await p.getByRole('button', { name: 'Keep what was used' }).click(); await p.getByLabel('So much of it').scrollIntoViewIfNeeded(); }],
  prepphone: [phone, async (p) => { await p.goto(base + '/set/' + ready.id); await awake(p); await p.getByRole('button', { name: 'Say what was used' }).click(); await p.getByLabel('Shaken for').scrollIntoViewIfNeeded(); }],
  lessons: [desk, async (p) => { await p.goto(base + '/practice/lessons'); await awake(p); await p.locator('main a.ink').first().click(); await p.getByRole('button', { name: 'Mend the sheet' }).click(); }],
  marks: [desk, async (p) => { await p.goto(base + '/practice/lessons'); await awake(p); await p.locator('main a.ink').first().click(); await p.getByRole('button', { name: /^Answers of/ }).first().click(); await p.getByRole('button', { name: /^Mark task/ }).first().scrollIntoViewIfNeeded(); }],
  sheet: [desk, async (p) => { await p.goto(base + '/practice/lessons'); await awake(p); await p.locator('main a.ink').first().click(); await p.getByRole('link', { name: 'See it as a learner does' }).click(); }],
  import: [desk, async (p) => { await p.goto(base + '/log/import'); await awake(p); await p.getByLabel('Choose a table').setInputFiles({ name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from('Jars of the walled garden (cm),,,,,\nread in April,,,,,\nName,When,Sand,Silt,Clay,What I saw\n,dd/mm/yyyy,cm,cm,cm,\nNorth bed,29/04/2026,2,1.5,0.5,clear\nSouth bed,30/04/2026,2.4,1.2,0.4,\nAverage,,2.2,1.35,0.45,\nTotal:,,4.4,2.7,0.9,\n') }); await p.getByText(/can be taken in/).first().waitFor(); }],
  act: [desk, async (p) => { await p.goto(base + '/act?test=' + fin[0].id); await awake(p); await p.waitForTimeout(1500); }],
  actphone: [phone, async (p) => { await p.goto(base + '/act?test=' + fin[0].id); await awake(p); await p.waitForTimeout(1500); }],
  water: [desk, async (p) => { await p.goto(base + '/act?test=' + fin[0].id); await awake(p); await p.getByText(/A rule of thumb/).scrollIntoViewIfNeeded(); }],
  sample: [desk, async (p) => { await p.goto(base + '/samples/' + fin[0].sampleId); await awake(p); }],
  test: [desk, async (p) => { await p.goto(base + '/tests/' + fin[0].id); await awake(p); }],
  read: [desk, async (p) => { const r = tests.find((x) => x.status === 'running'); await p.goto(base + '/read/' + r.id); await awake(p); await p.getByRole('button', { name: 'It was read earlier' }).click().catch(() => {}); await p.waitForTimeout(1200); }],
  readphone: [phone, async (p) => { const r = tests.find((x) => x.status === 'running'); await p.goto(base + '/read/' + r.id); await awake(p); await p.getByRole('button', { name: 'It was read earlier' }).click().catch(() => {}); await p.evaluate(() => scrollTo(0, 99999)); await p.waitForTimeout(1200); }],
  log: [desk, async (p) => { await p.goto(base + '/log'); await awake(p); }],
  stands: [phone, async (p) => { await p.goto(base + '/stands'); await awake(p); }]
};
for (const name of wants.length ? wants : Object.keys(steps)) {
  const [viewport, go] = steps[name];
  const page = await browser.newPage({ viewport, locale: 'en-GB', timezoneId: 'Europe/Oslo' });
  try { await go(page); await page.waitForTimeout(500); } catch (e) { console.log(name, String(e).slice(0, 300)); }
  await page.screenshot({ path: `/tmp/shot-${name}.png` });
  await page.close();
}
await browser.close();
