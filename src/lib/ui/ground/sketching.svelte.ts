import { untrack } from 'svelte';
import { ulid } from 'ulid';
import { goto } from '$app/navigation';
import { page } from '$app/state';
import { record } from '$lib/browser/actions';
import type { SiteDetail } from '$lib/contract/records/ground';
import type { Point } from '$lib/core';
import { t } from '$lib/words';
import { fitted } from '../fields/draft';
import { keepsDraft } from '../fields/kept.svelte';
import { areaForm, newWork, outlineProblem, type AreaWork } from './form';

/** What a press on the sketch does, and what is in hand on it. Call it while the page is set up. */
export function sketching(site: () => SiteDetail, area: () => SiteDetail['areas'][number] | undefined) {
  /** What is in hand: an area being drawn or written up; undefined while the sketch is only looked at. */
  let work = $state<AreaWork>();
  const forget = keepsDraft<AreaWork | null>(
    untrack(() => `ground:${site().id}`),
    (kept) => (work = kept ? fitted(kept, newWork()) : undefined),
    () => (work ? $state.snapshot(work) : null)
  );
  let placing = $state(false);
  let scaling = $state(false);
  let points = $state<Point[]>([]);
  /** An outline whose corner is off its kept place: on its way to the server, or not an area as it stands. */
  let moved = $state.raw<Point[]>();
  let movedProblem = $state('');
  $effect(() => {
    // What comes back from the server stands in place of what was dragged, unless that still has to be mended.
    void area()?.outline;
    void area()?.id;
    untrack(() => {
      if (!movedProblem) moved = undefined;
    });
  });

  const drawing = $derived(work !== undefined && !work.closed);
  const tool = $derived<'draw' | 'scale' | 'spot' | 'look'>(
    drawing ? 'draw' : scaling ? 'scale' : placing && area() ? 'spot' : 'look'
  );
  const drawn = $derived(scaling ? points : work && !work.editing ? closedUp(work) : []);

  function closedUp({ closed, form }: AreaWork): Point[] {
    return closed && form.outline.length > 0 ? [...form.outline, form.outline[0]] : form.outline;
  }
  function open(id: string | null) {
    placing = false;
    moved = undefined;
    movedProblem = '';
    const to = id ? `?area=${id}` : page.url.pathname;
    void goto(to, { keepFocus: true, noScroll: true });
  }
  function draw() {
    open(null);
    work = newWork();
  }
  function leave() {
    work = undefined;
    forget();
  }

  async function onpaper(place: Point) {
    if (work && !work.closed) work.form.outline = [...work.form.outline, place];
    else if (scaling) points = points.length < 2 ? [...points, place] : [place];
    else if (placing) {
      const [x, y] = place;
      const areaId = area()?.id;
      if (areaId) await record('spot.add', { spotId: ulid(), areaId, place: [x, y] }, t.ground.spotAdded);
    }
  }
  function close() {
    if (work) work.closed = true;
  }

  function onkept(areaId: string) {
    leave();
    open(areaId);
  }

  async function oncorner(outline: Point[], done: boolean) {
    const here = area();
    if (!here) return;
    moved = outline;
    movedProblem = outlineProblem(outline);
    if (!done || movedProblem) return;
    const { name, purpose, history, note } = here;
    const kept = outline.map(([x, y]): [number, number] => [x, y]);
    const payload = { areaId: here.id, name, purpose, history, note, outline: kept };
    if (!(await record('area.edit', payload, t.ground.outlineKept(name)))) moved = undefined;
  }

  async function onspot(spotId: string, [x, y]: Point) {
    await record('spot.move', { spotId, place: [x, y] }, t.ground.spotMoved);
  }

  function key(event: KeyboardEvent) {
    if (!drawing || !work || (event.target as HTMLElement).closest('input, textarea')) return;
    if (event.key === 'Escape') leave();
    else if (event.key === 'Backspace') work.form.outline = work.form.outline.slice(0, -1);
    else if (event.key === 'Enter' && work.form.outline.length > 2) close();
    else return;
    event.preventDefault();
  }

  const view = $derived({
    tool,
    drawn,
    moved,
    movedProblem,
    points,
    scaling,
    placing
  });
  return {
    open,
    draw,
    leave,
    close,
    key,
    onpaper,
    onkept,
    oncorner,
    onspot,
    get work() {
      return work;
    },
    set work(to: AreaWork | undefined) {
      work = to;
    },
    /** Takes up an area that is on record, to write it up anew. */
    edit() {
      const here = area();
      if (here) work = { ...newWork(), editing: here.id, closed: true, form: areaForm(here) };
    },
    /** Puts an outline that is no area back as it was kept. */
    putBack() {
      movedProblem = '';
      moved = undefined;
    },
    scale(on: boolean) {
      scaling = on;
      points = [];
      placing = false;
    },
    place() {
      placing = !placing;
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
