import { chromium } from '@playwright/test';
import config from '/work/main/playwright.config.ts';
const base = 'http://127.0.0.1:5180';
const [,, out, path, w='1280', h='800', ...acts] = process.argv;
const b = await chromium.launch((config as any).use.launchOptions);
const ctx = await b.newContext({ viewport: { width: Number(w), height: Number(h) }, locale: 'en-GB', timezoneId: 'Europe/Oslo', hasTouch: Number(w)<500, isMobile: Number(w)<500 });
await ctx.addInitScript('globalThis.__name = f => f');
const p = await ctx.newPage();
p.on('console', m => m.type()==='error' && console.log('console:', m.text()));
p.on('pageerror', e => console.log('pageerror:', e.message));
await p.goto(base + path); await p.waitForFunction(() => document.documentElement.dataset.awake !== undefined);
for (const a of acts) { await eval(`(async () => { ${a} })()`); }
await p.waitForTimeout(1500);
await p.screenshot({ path: out, fullPage: acts.some(a=>a.includes('FULL')) });
await b.close();
