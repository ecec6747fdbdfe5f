import { goto } from '$app/navigation';
import { TintWork } from '$lib/browser/work';
import type { KnowPoint } from '$lib/contract/records/log';
import type { CylinderSnapshot } from '$lib/contract/records/result';
import {
  fractionsUnder,
  readableCurve,
  textureSystems,
  USDA_SAND_LIMIT_UM,
  type Fractions,
  type JarAnswer,
  type JarReading,
  type SystemId
} from '$lib/core';
import { changes, filterPoints, knowAddress, replicates, shownFractions } from '$lib/workbench/points';
import type { KnowFilter } from '$lib/workbench/filter';
import { keepsDraft } from '../fields/kept.svelte';
import { NOTHING_TYPED, readTyped, type TypedFractions } from './typed';

/** How the triangle is looked at: by which system, by height or mass, with replicates joined and changes drawn. */
export type KnowLook = { system: SystemId; byMass: boolean; join: boolean; changes: boolean };

/** The test in hand, with what its chances are drawn from. */
export type KnowTest = {
  id: string;
  code: string;
  sampleName: string;
  /** The reading of a result of before there were answers. */
  jar: JarReading | null;
  answer: JarAnswer | null;
  cylinder: CylinderSnapshot | null;
};

/**
 * The triangle as it is looked at: which tests are shown, and the soil in hand, which is a test's, dragged or typed. Call it
 * while the page is set up.
 *
 * @param asked the filter of the address
 */
export function looking(
  all: () => readonly KnowPoint[],
  test: () => KnowTest | null | undefined,
  asked: KnowFilter
) {
  let look = $state<KnowLook>({ system: 'usda', byMass: false, join: false, changes: false });
  let filter = $state<KnowFilter>({ ...asked });
  let typed = $state<TypedFractions>({ ...NOTHING_TYPED });
  /** Where the soil in hand has been dragged or typed to; by the limits of the system it was moved under. */
  let moved = $state.raw<{ f: Fractions; system: SystemId }>();
  keepsDraft<{ look: typeof look; filter: KnowFilter; typed: typeof typed }>(
    'know',
    (kept) => {
      look = { ...look, ...kept.look };
      // What the address asks for goes before what was kept.
      if (!Object.values(asked).some(Boolean)) filter = { ...filter, ...kept.filter };
      typed = { ...typed, ...kept.typed };
      const point = readTyped(typed).point;
      if (point) moved = { f: point, system: look.system };
    },
    () => ({ look: $state.snapshot(look), filter: $state.snapshot(filter), typed: $state.snapshot(typed) })
  );
  const { system } = $derived(look);

  const points = $derived(filterPoints(all(), filter));
  const soilOf = $derived((p: KnowPoint) => shownFractions(p, look.byMass, system));
  const dots = $derived(points.map((p) => ({ id: p.id, code: p.code, f: soilOf(p) })));
  const stars = $derived(look.join ? replicates(points, soilOf) : []);
  const arrows = $derived(look.changes ? changes(points, soilOf) : []);

  /** The test in hand, as it stands, by the limits of the system. */
  const chosen = $derived(all().find((p) => p.id === test()?.id));
  const cylinder = $derived(test()?.cylinder);
  const curve = $derived(cylinder ? readableCurve(cylinder.result) : undefined);
  const stands = $derived(
    chosen &&
      fractionsUnder(system, (look.byMass && chosen.mass) || chosen.fractions, USDA_SAND_LIMIT_UM, curve)
        .fractions
  );
  const whatIf = $derived(
    moved && fractionsUnder(system, moved.f, textureSystems[moved.system].limitsUm[1]).fractions
  );
  const point = $derived(whatIf ?? stands);
  /** The soil in hand as it was read or typed, and the limit it stands on: other limits are reached from there. */
  const base = $derived(
    moved
      ? { f: moved.f, um: textureSystems[moved.system].limitsUm[1] }
      : chosen && { f: (look.byMass && chosen.mass) || chosen.fractions, um: USDA_SAND_LIMIT_UM }
  );
  let hovered = $state.raw<{ f: Fractions; code?: string }>();
  const shown = $derived(hovered?.f ?? point);

  const tint = new TintWork();
  $effect(() => {
    const { jar, answer, cylinder } = test() ?? {};
    const question = answer
      ? { system, answer }
      : jar
        ? { system, jar }
        : cylinder
          ? { system, cylinder: cylinder.input }
          : undefined;
    void tint.ask(question && ($state.snapshot(question) as typeof question));
  });
  /** The tint is that of the test as it stands: what is dragged has no reading behind it. */
  const tinted = $derived(
    tint.answer?.system === system && !whatIf && !(look.byMass && test()?.jar) ? tint.answer : undefined
  );

  function move(f: Fractions) {
    moved = { f, system };
    typed = { ...NOTHING_TYPED };
  }
  function putBack() {
    moved = undefined;
    typed = { ...NOTHING_TYPED };
  }
  async function pick(id: string | undefined) {
    putBack();
    await goto(knowAddress(id, filter), { noScroll: true, keepFocus: true, replaceState: true });
  }

  const view = $derived({
    points,
    dots,
    stars,
    arrows,
    curve,
    stands,
    whatIf,
    point,
    base,
    hovered,
    shown,
    tinted
  });
  return {
    move,
    putBack,
    pick,
    hover(f: Fractions | undefined, code?: string) {
      hovered = f && { f, code };
    },
    get look() {
      return look;
    },
    set look(to: KnowLook) {
      look = to;
    },
    get filter() {
      return filter;
    },
    set filter(to: KnowFilter) {
      filter = to;
    },
    get typed() {
      return typed;
    },
    set typed(to: TypedFractions) {
      typed = to;
    },
    /** Puts a typed soil in hand, leaving what was typed. */
    type(f: Fractions) {
      moved = { f, system };
    },
    /** What is drawn of it. */
    get view() {
      return view;
    }
  };
}
