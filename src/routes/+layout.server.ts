import { serverNow } from '$lib/server/clock';
import { latestNews } from '$lib/server/live';
import { holesOf } from '$lib/server/repositories/holes';
import { remindersOf } from '$lib/server/repositories/reminders';
import { usualFigures } from '$lib/server/repositories/profiles';
import { trialsOf } from '$lib/server/repositories/trials';
import { USUAL_FIGURES } from '$lib/core';
import { benchShelf } from '$lib/server/repositories/tests';
import { store } from '$lib/server/store';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ locals, depends }) => {
  depends('tivrel:data');
  // Taken before anything is read: what comes in meanwhile is news to this page.
  const news = latestNews();
  // Before the passphrase is given, nothing of the bench is told.
  const bench = locals.entered ? await store() : undefined;
  const { jars, unreadable } = bench ? await bench.shared('bench', benchShelf) : { jars: [], unreadable: [] };
  const dug = bench
    ? await bench.shared('holes', (db) => holesOf(db, { bench: true }))
    : { holes: [], unreadable: [] };
  const made = bench
    ? await bench.shared('trials', (db) => trialsOf(db, { bench: true }))
    : { trials: [], unreadable: [] };
  const usual = bench ? await bench.shared('figures', usualFigures) : USUAL_FIGURES;
  const reminders = bench ? await bench.shared('reminders', remindersOf) : [];
  return {
    entered: locals.entered,
    person: locals.person ?? null,
    reminders,
    profile: locals.profile,
    zone: locals.zone,
    now: serverNow(),
    news,
    jars,
    holes: dug.holes,
    trials: made.trials,
    usual,
    unreadable: [...unreadable, ...dug.unreadable, ...made.unreadable]
  };
};
