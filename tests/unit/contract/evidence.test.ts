import { expect } from 'chai';
import { toEarlyEstimate, toEstimate } from '../../../src/lib/contract/evidence.ts';
import { metEstimate } from '../../../src/lib/contract/met.ts';
import type { ReadingEntry } from '../../../src/lib/contract/records/reading.ts';
import type { MarkRecord, RunRecord, TopRecord } from '../../../src/lib/contract/records/run.ts';
import { anyRun } from '../workbench/jar.ts';
import {
  parseLength,
  UNKNOWN_VESSEL,
  volumeToHeight,
  type Evidence,
  type NamedVessel,
  type WeighedSoil
} from '../../../src/lib/core/index.ts';

const HOUR = 3600;
const line = (mm: number, more: object = {}) => ({ mm, text: String(mm), ...more });
const ENTRY: ReadingEntry = { ruler: 'mm', lines: { sand: line(20), silt: line(30), clay: line(36) } };
const JAR = {
  vessel: UNKNOWN_VESSEL,
  waterMm: 128,
  tempC: 18,
  dispersantMl: 4,
  soilMm: 40,
  weighed: null as WeighedSoil | null
};

const mark = (layer: MarkRecord['layer'], s: number, heightMm: number | null): MarkRecord => ({
  id: layer,
  layer,
  at: 1000 * s,
  heightMm,
  heightText: heightMm === null ? null : String(heightMm)
});
const top = (s: number, heightMm: number, water: TopRecord['water'] = null): TopRecord => ({
  id: String(s),
  at: 1000 * s,
  heightMm,
  heightText: String(heightMm),
  water
});
const run = (o: Partial<RunRecord> = {}) => anyRun({ setDownAt: 0, ...o });
const AT = 48 * HOUR * 1000;
const kinds = (evidence: readonly Evidence[] = []) => evidence.map((e) => e.kind);
const of = <K extends Evidence['kind']>(evidence: readonly Evidence[] | undefined, kind: K) =>
  (evidence ?? []).filter((e): e is Extract<Evidence, { kind: K }> => e.kind === kind);

describe('the evidence of a jar', () => {
  it('is its bands, its fill and its dispersant, and the water where somebody looked', () => {
    expect(kinds(toEstimate(JAR, run(), ENTRY, AT)!.evidence)).to.deep.equal([
      'dry-fill',
      'dispersant',
      'bands'
    ]);
    const looked = toEstimate(JAR, run(), { ...ENTRY, water: 'hazy' }, AT)!.evidence;
    expect(of(looked, 'water')).to.deep.equal([{ kind: 'water', atS: 48 * HOUR, seen: 'hazy' }]);
    expect(of(toEstimate(JAR, run(), { ...ENTRY, water: 'unseen' }, AT)!.evidence, 'water')).to.deep.equal(
      []
    );
  });

  it('is the same in whatever units it was typed', () => {
    const typed = (unit: 'mm' | 'cm' | 'in', texts: [string, string, string]): ReadingEntry => {
      const [sand, silt, clay] = texts.map((text) => ({ mm: parseLength(text, unit), text }));
      return { ...ENTRY, lines: { sand, silt, clay } };
    };
    const bands = (entry: ReadingEntry) => of(toEstimate(JAR, run(), entry, AT)!.evidence, 'bands')[0];
    const inMm = bands(typed('mm', ['22.225', '31.75', '38.1']));
    for (const entry of [
      typed('in', ['7/8', '1 1/4', '1.5']),
      typed('cm', ['2.2225', '3.175', '3.81']),
      typed('mm', ['7/8"', '1 1/4 in', '3.81 cm'])
    ])
      for (const line of ['sandTopMm', 'siltTopMm', 'clayTopMm'] as const)
        expect(bands(entry)[line]).to.be.closeTo(inMm[line]!, 1e-9);
  });

  it('is the dry soil as it was weighed, over the floor, less its gravel', () => {
    // 300 g over the floor of this jar.
    const floorM2 = volumeToHeight(JAR.vessel, 100) / 100 / 1000;
    const jar = { ...JAR, weighed: { grams: 300, readsToG: 1 } };
    const load = (entry: ReadingEntry) => of(toEstimate(jar, run(), entry, AT)!.evidence, 'weighed')[0];
    expect(load(ENTRY).kgM2).to.be.closeTo(0.3 / floorM2, 1e-9);
    const stony = { ...ENTRY, lines: { ...ENTRY.lines, gravel: line(5) } };
    expect(load(stony).kgM2).to.be.below(load(ENTRY).kgM2 - 5);
    // Nobody saw how a jar was filled that stood already.
    expect(kinds(toEstimate(jar, run({ stood: 'days' }), ENTRY, AT)!.evidence)).not.to.include('weighed');
    expect(kinds(toEarlyEstimate(jar, run({ marks: [mark('sand', 60, 22)] }))!.evidence)).to.include(
      'weighed'
    );
  });

  it('is the trouble that makes it less sure: a knock from its time on, the rest from the start', () => {
    const at = 5 * HOUR * 1000;
    const notes = [
      { kind: 'photographed' as const, at: 1000 },
      { kind: 'moved' as const, at },
      { kind: 'knocked' as const, at: 2 * at },
      { kind: 'foamed' as const, at: 2 * at }
    ];
    const troubles = (jar: typeof JAR, one: RunRecord) =>
      of(toEstimate(jar, one, ENTRY, AT)!.evidence, 'trouble');
    expect(troubles(JAR, run({ notes }))).to.deep.equal([
      { kind: 'trouble', id: 'knocked', atS: 5 * HOUR },
      { kind: 'trouble', id: 'foamed', atS: 0 }
    ]);
    expect(troubles({ ...JAR, soilMm: 0.6 * UNKNOWN_VESSEL.shoulderHeightMm }, run())).to.deep.equal([
      { kind: 'trouble', id: 'too-full', atS: 0 }
    ]);
    // Nobody saw how a jar was filled that stood already.
    expect(
      troubles({ ...JAR, soilMm: 0.6 * UNKNOWN_VESSEL.shoulderHeightMm }, run({ stood: 'days' }))
    ).to.deep.equal([]);
  });

  it('is what the layers themselves show: much gravel from the start, a skin or a missing line as they were read', () => {
    const troubles = (lines: ReadingEntry['lines'], more: Partial<ReadingEntry> = {}) =>
      of(toEstimate(JAR, run(), { ...ENTRY, ...more, lines }, AT)!.evidence, 'trouble').map((e) => [
        e.id,
        e.atS
      ]);
    const { sand, silt, clay } = ENTRY.lines;
    expect(troubles(ENTRY.lines)).to.deep.equal([]);
    expect(troubles({ gravel: line(15), sand, silt, clay })).to.deep.equal([['stones', 0]]);
    expect(troubles({ ...ENTRY.lines, skin: line(38) })).to.deep.equal([['dark-skin', 48 * HOUR]]);
    expect(troubles({ sand, silt }, { unplaced: { clay: 'none' } })).to.deep.equal([
      ['two-layers', 48 * HOUR]
    ]);
  });

  it('is crumbs that fell apart between two shakes, whose sand then stood lower', () => {
    const first = run({ setDownAt: -1e9, marks: [{ ...mark('sand', 0, 26), at: -1e9 + 60_000 }] });
    const crumbs = (sandMm: number) => {
      const now = run({ marks: [mark('sand', 60, sandMm)] });
      const { evidence } = toEstimate({ ...JAR, runs: [first, now] }, now, ENTRY, AT)!;
      return of(evidence, 'trouble').map((e) => e.id);
    };
    expect(crumbs(20)).to.deep.equal(['crumbs']);
    expect(crumbs(25)).to.deep.equal([]);
  });

  it('takes gravel off every height and off the column', () => {
    const { columnMm, evidence } = toEstimate(
      JAR,
      run({ marks: [mark('sand', 60, 22)] }),
      { ...ENTRY, lines: { ...ENTRY.lines, gravel: line(5) } },
      AT
    )!;
    expect(columnMm).to.equal(123);
    expect(of(evidence, 'bands')[0]).to.include({ sandTopMm: 15, siltTopMm: 25, clayTopMm: 31 });
    expect(of(evidence, 'mark')[0]).to.include({ timeS: 60, heightMm: 17 });
  });

  it('is marks alone where the lines of the reading are the marks, as measured at last', () => {
    const lines = {
      sand: line(20, { markS: 60 }),
      silt: line(30, { markS: 2 * HOUR }),
      clay: line(36, { markS: 26 * HOUR })
    };
    const { evidence } = toEstimate(
      JAR,
      run({ marks: [mark('sand', 61, 19), mark('silt', 2 * HOUR, null)] }),
      { ...ENTRY, lines },
      AT
    )!;
    expect(of(evidence, 'bands')).to.deep.equal([]);
    expect(of(evidence, 'mark').map((m) => [m.timeS, m.heightMm])).to.deep.equal([
      [60, 20],
      [2 * HOUR, 30],
      [26 * HOUR, 36]
    ]);
  });

  it('is marks and lines together where an eye placed what nobody marked', () => {
    const lines = { sand: line(20, { markS: 60 }), silt: line(30), clay: line(36) };
    const { evidence } = toEstimate(JAR, run({ marks: [mark('sand', 60, 20)] }), { ...ENTRY, lines }, AT)!;
    expect(of(evidence, 'mark').map((m) => m.timeS)).to.deep.equal([60]);
    const [bands] = of(evidence, 'bands');
    expect(bands).to.deep.include({ atS: 48 * HOUR, sandTopMm: undefined, siltTopMm: 30, clayTopMm: 36 });
  });

  it('puts the line of a layer that is not there on the one below, and leaves one out that was not read', () => {
    const two = { sand: line(20), clay: line(36) };
    const none = toEstimate(JAR, run(), { ...ENTRY, lines: two, unplaced: { silt: 'none' } }, AT)!.evidence;
    expect(of(none, 'bands')[0]).to.include({ sandTopMm: 20, siltTopMm: 20, clayTopMm: 36 });
    const lower = { sand: line(20), silt: line(30) };
    const open = { ...ENTRY, lines: lower, unplaced: { clay: 'not-read' } } as const;
    expect(of(toEstimate(JAR, run(), open, AT)!.evidence, 'bands')[0]).to.include({
      siltTopMm: 30,
      clayTopMm: undefined
    });
  });

  it('counts a few later looks at the top, none that repeats a mark, and the last look at the water', () => {
    const tops = [1, 2, 3, 5, 8, 12, 20, 26, 40].map((h) => top(h * HOUR, 30 + h / 10));
    tops.push(top(44 * HOUR, 35, 'cloudy'));
    const { evidence } = toEarlyEstimate(JAR, run({ marks: [mark('clay', 26 * HOUR, 34)], tops }))!;
    const times = of(evidence, 'mark').map((m) => m.timeS / HOUR);
    expect(times).to.have.length(5);
    expect(times).to.include.members([26, 44]);
    expect(times.filter((h) => h === 26)).to.have.length(1);
    const looked = { kind: 'water' as const, atS: 44 * HOUR, seen: 'cloudy' as const };
    expect(of(evidence, 'water')).to.deep.equal([looked]);
    // That nobody looks again takes nothing back; who does stands for both.
    const waters = (water: ReadingEntry['water']) =>
      of(toEstimate(JAR, run({ tops }), { ...ENTRY, water }, AT)!.evidence, 'water');
    expect(waters('unseen')).to.deep.equal([looked]);
    expect(waters('hazy').map((w) => w.seen)).to.deep.equal(['hazy']);
  });

  it('of a jar that stood already has no fill, no marks and a time that is a guess', () => {
    const stood = run({ stood: 'unknown', marks: [mark('sand', 60, 20)] });
    const { evidence } = toEstimate(JAR, stood, ENTRY, 1000)!;
    expect(kinds(evidence)).to.deep.equal(['bands']);
    expect(of(evidence, 'bands')[0].atS).to.equal(48 * HOUR);
    const met = metEstimate(ENTRY, { vessel: UNKNOWN_VESSEL, vesselKnown: false, stood: 'hours' })!;
    expect(of(met.evidence, 'bands')[0].atS).to.equal(4 * HOUR);
    expect(met.columnMm).to.be.above(36);
  });

  it('is shares by eye as shares: gravel off them, with what the jar was filled with and tapes as they were measured', () => {
    const entry: ReadingEntry = {
      ruler: 'eye',
      figures: 'eye',
      lines: { gravel: line(20), sand: line(60), silt: line(80), clay: line(100) }
    };
    const { evidence, columnMm } = toEstimate(JAR, run({ marks: [mark('sand', 60, 20)] }), entry, AT)!;
    expect(kinds(evidence)).to.deep.equal(['mark', 'dry-fill', 'dispersant', 'by-eye']);
    const [byEye] = of(evidence, 'by-eye');
    expect([byEye.sandTopPct, byEye.siltTopPct, byEye.atS]).to.deep.equal([50, 75, 48 * HOUR]);
    // A fifth of the deposit is gravel: 8 mm of 40.
    expect(columnMm).to.equal(120);
    expect(of(evidence, 'mark')).to.deep.equal([{ kind: 'mark', timeS: 60, heightMm: 12 }]);
  });

  it('is what jars of this person differ from a laboratory by, with how each line was read', () => {
    const calibration = { pairs: 3, siltLog: -0.2, clayLog: -0.6 };
    const lines = { ...ENTRY.lines, sand: line(20, { markS: 60 }) };
    const { evidence } = toEstimate(JAR, run(), { ...ENTRY, lines, calibration }, AT)!;
    const eye = { by: 'eye', timeS: 48 * HOUR };
    expect(of(evidence, 'calibration')).to.deep.equal([
      {
        kind: 'calibration',
        ...calibration,
        lines: { sand: { by: 'clock', timeS: 60 }, silt: eye, clay: eye }
      }
    ]);
  });

  it('is none for what somebody else made of it, for one line, and without a run', () => {
    expect(toEstimate(JAR, run(), { ...ENTRY, figures: 'others' }, AT)).to.equal(undefined);
    expect(toEstimate(JAR, run(), { ...ENTRY, lines: { sand: line(20) } }, AT)).to.equal(undefined);
    expect(toEstimate(JAR, null, ENTRY, AT)).to.equal(undefined);
    expect(toEarlyEstimate(JAR, run())).to.equal(undefined);
    expect(toEarlyEstimate(JAR, null)).to.equal(undefined);
  });

  it('goes by volume in a glass that is not straight', () => {
    const cup: NamedVessel = {
      ...UNKNOWN_VESSEL,
      profile: [
        { heightMm: 0, diameterMm: 60 },
        { heightMm: 150, diameterMm: 90 }
      ]
    };
    const straight = of(toEstimate(JAR, run(), ENTRY, AT)!.evidence, 'bands')[0];
    const tapered = of(toEstimate({ ...JAR, vessel: cup }, run(), ENTRY, AT)!.evidence, 'bands')[0];
    // Narrow below: the same height holds less there.
    expect(tapered.sandTopMm).to.be.below(straight.sandTopMm!);
  });
});
