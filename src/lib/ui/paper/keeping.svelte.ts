import { untrack } from 'svelte';
import { ulid } from 'ulid';
import { goto } from '$app/navigation';
import { clock } from '$lib/browser/clock.svelte';
import { send } from '$lib/browser/outbox.svelte';
import { say } from '$lib/browser/toasts';
import type { JarRecord } from '$lib/contract/records/jar';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';
import { commandForm } from '../fields/command-form.svelte';
import { blankSheet, readSheet, type Sheet, type SheetTexts } from './sheet';

/** A field sheet that is being entered, and how it is kept. Call it while the page is set up. */
export function sheetToKeep(test: () => JarRecord, profile: () => Profile) {
  let form = $state<SheetTexts>(blankSheet());
  const read = (texts: SheetTexts) =>
    readSheet(texts, {
      method: test().method,
      length: profile().length,
      temperature: profile().temperature,
      tempC: test().tempC,
      now: clock.now
    });
  const sheet = $derived(read(form));

  /** What has gone through already: a second try must not do it again. */
  const runId = ulid();
  const ids = new Map<string, string>();
  const idOf = (key: string) => {
    const id = ids.get(key) ?? ulid();
    ids.set(key, id);
    return id;
  };
  const done = new Set<string>();
  async function once(key: string, work: () => Promise<unknown>) {
    if (done.has(key)) return;
    await work();
    done.add(key);
  }

  async function keep({ marks, readings }: Sheet, setDownAt: number) {
    const testId = test().id;
    await once('down', () => send('jar.set-down', { testId, runId }, setDownAt));
    for (const { mark, afterS, height } of marks) {
      if (afterS === undefined) continue;
      const { layer } = mark;
      const markId = idOf(layer);
      const at = Math.round(setDownAt + afterS * 1000);
      await once(layer, () => send('jar.mark', { testId, runId, markId, layer }, at));
      if (height) await once(`height-${layer}`, () => send('mark.height', { testId, markId, height }));
    }
    for (const { no, written, afterS, value, tempC } of readings) {
      if (!written || afterS === undefined || tempC === undefined) continue;
      const gauge = { testId, runId, gaugeId: idOf(`gauge-${no}`), no, value, tempC };
      await once(`gauge-${no}`, () => send('gauge.take', gauge, Math.round(setDownAt + afterS * 1000)));
    }
  }

  const keeping = commandForm({
    id: 'sheet',
    texts: () => form,
    read: (texts) => {
      const entered = read(texts);
      const { setDownAt } = entered;
      if (setDownAt === undefined) return { errors: { setDown: t.paper.needSetDown, ...entered.errors } };
      return { errors: entered.errors, payload: { entered, setDownAt } };
    },
    keep: async ({ entered, setDownAt }) => {
      await keep(entered, setDownAt);
      const { id, code, cylinder } = test();
      say(t.paper.kept(code));
      await goto(cylinder ? `/read/${id}/cylinder` : `/tests/${id}`);
    },
    draft: {
      key: untrack(() => `paper:${test().id}`),
      take: (kept) => (form = { ...form, ...kept }),
      measured: { lengths: ['height'], temperatures: ['temp'] }
    }
  });

  return {
    keeping,
    get texts() {
      return form;
    },
    set texts(to: SheetTexts) {
      form = to;
    },
    get sheet() {
      return sheet;
    },
    get errors(): Record<string, string | undefined> {
      return { ...keeping.errors, ...sheet.errors };
    }
  };
}
