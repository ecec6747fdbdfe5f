import { ulid } from 'ulid';
import { fromCelsius } from '$lib/core';
import type { JarRecord } from '$lib/contract/records/jar';
import type { RunRecord } from '$lib/contract/records/run';
import { problemText, record } from '$lib/browser/actions';
import { CommandRefused, send } from '$lib/browser/outbox.svelte';
import type { ReadingRow } from '$lib/workbench/working/readings';
import { t } from '$lib/words';
import type { Format } from '$lib/words/format';
import { readNumber, readTemperature } from '$lib/workbench/entry/figure';

/** What was typed into the lines of a gauge table and is not kept yet, by number of reading. */
export type TypedGauges = Record<string, { value?: string; temp?: string }>;

type Table = { jar: JarRecord; run: RunRecord | null; rows: readonly ReadingRow[]; format: Format };

/** The entries of a gauge table. A line is kept when one of its fields is left; refused, it stays as it was typed. */
export class GaugeEntries {
  typed = $state<TypedGauges>({});
  refused = $state<Record<string, string>>({});

  /** Readings that were typed without a press, by number: a second figure belongs to the same. */
  readonly #made: Record<number, string> = {};
  /** One at a time: a figure typed over another must not overtake it. */
  #keeping: Promise<void> = Promise.resolve();

  /** @param table the table as it stands: jar, run and rows */
  constructor(private table: () => Table) {}

  warmth(tempC: number): string {
    return String(Math.round(fromCelsius(tempC, this.table().format.profile.temperature) * 10) / 10);
  }

  valueText(row: ReadingRow): string {
    return this.typed[row.no]?.value ?? String(row.gauge?.value ?? '');
  }

  tempText(row: ReadingRow): string {
    const { jar } = this.table();
    return this.typed[row.no]?.temp ?? (row.gauge ? this.warmth(row.gauge.tempC ?? jar.tempC) : '');
  }

  type(no: number, part: 'value' | 'temp', text: string): void {
    this.typed[no] = { ...this.typed[no], [part]: text };
  }

  /** Keeps what was typed in a line. */
  keep(no: number): void {
    this.#keeping = this.#keeping.then(() => this.#keepNow(no));
  }

  async takeBack({ no, gauge }: ReadingRow): Promise<void> {
    if (!gauge) return;
    const { jar } = this.table();
    delete this.#made[no];
    await record(
      'gauge.remove',
      { testId: jar.id, gaugeId: gauge.id },
      t.cylinder.done.removed(jar.code, no + 1)
    );
  }

  /** The figures of a line, or what is wrong with them. A value left out is taken off again. */
  #read(row: ReadingRow): { entered: { value: number | null; tempC: number } } | { error: string } {
    const { jar, format } = this.table();
    const [valueWords, tempWords] = [this.valueText(row).trim(), this.tempText(row).trim()];
    const value = valueWords === '' ? null : readNumber(valueWords);
    if (Number.isNaN(value))
      return { error: t.cylinder.number(t.cylinder.valueOf(row.no + 1).toLowerCase()) };
    if (tempWords === '') return { entered: { value, tempC: jar.tempC } };
    const temp = readTemperature(tempWords, format.profile.temperature);
    return temp.value === undefined ? { error: temp.error } : { entered: { value, tempC: temp.value } };
  }

  /** A line that was never pressed is taken at the time the method asks for. */
  async #keepNow(no: number): Promise<void> {
    const { jar, run, rows } = this.table();
    const row = rows[no];
    const words = this.typed[no];
    if (words === undefined || !run) return;
    delete this.refused[no];
    const gaugeId = row.gauge?.id ?? this.#made[no];
    if (this.valueText(row).trim() === '' && !gaugeId) {
      delete this.typed[no];
      return;
    }
    const read = this.#read(row);
    if ('error' in read) {
      this.refused[no] = read.error;
      return;
    }
    try {
      if (gaugeId) await send('gauge.enter', { testId: jar.id, gaugeId, ...read.entered });
      else {
        const at = run.setDownAt + (jar.method.readings?.[no].atS ?? 0) * 1000;
        const id = ulid();
        await send('gauge.take', { testId: jar.id, runId: run.id, gaugeId: id, no, ...read.entered }, at);
        this.#made[no] = id;
      }
      // What has been typed in the meantime stays, and is kept next.
      if (this.typed[no] === words) delete this.typed[no];
    } catch (problem) {
      this.refused[no] =
        problem instanceof CommandRefused
          ? (Object.values(problem.fields)[0] ?? problem.message)
          : problemText(problem);
    }
  }
}
