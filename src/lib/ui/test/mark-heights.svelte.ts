import { outcomeOf, requireInside } from '$lib/core';
import type { JarRecord } from '$lib/contract/records/jar';
import type { MarkRecord } from '$lib/contract/records/run';
import { problemText, record } from '$lib/browser/actions';
import { sayProblem } from '$lib/browser/toasts';
import { t } from '$lib/words';
import type { Format } from '$lib/words/format';
import { keptLength, readLength } from '$lib/workbench/entry/figure';

/** Heights of marks as they are typed, by mark, what is wrong with them, and how they are kept and opened again. */
export class MarkHeights {
  texts = $state<Record<string, string>>({});
  errors = $state<Record<string, string>>({});

  constructor(private page: () => { jar: JarRecord; format: Format }) {}

  async keep({ id }: MarkRecord): Promise<void> {
    const { jar, format } = this.page();
    const text = (this.texts[id] ?? '').trim();
    delete this.errors[id];
    const read = readLength(text, format.profile.length);
    if (read.error !== undefined) {
      this.errors[id] = read.error;
      return;
    }
    if (outcomeOf(() => requireInside('height', read.value, jar.vessel)).problem) {
      this.errors[id] = t.jar.overRim(format.length(jar.vessel.innerHeightMm));
      return;
    }
    try {
      const payload = { testId: jar.id, markId: id, height: { mm: read.value, text } };
      if (await record('mark.height', payload, t.done['mark.height'](jar.code))) delete this.texts[id];
    } catch (problem) {
      sayProblem(problemText(problem));
    }
  }

  /** Opens a height that was kept: it stands in its field again, to be typed over. */
  async reopen({ id, heightMm, heightText }: MarkRecord): Promise<void> {
    const { jar, format } = this.page();
    if (heightMm === null) return;
    this.texts[id] = keptLength({ mm: heightMm, text: heightText ?? '' }, format.profile.length);
    await record(
      'mark.height',
      { testId: jar.id, markId: id, height: null },
      t.done['mark.height'](jar.code)
    );
  }
}
