import { known } from '../known.ts';
import type { CylinderInput, WorkedCylinder, WorkedReading, WorkedReadings } from './worked.ts';

/** A line of a working: a formula in symbols, the same in numbers, and what comes of it. */
export type WorkingLine = { key: string; no?: number; symbols: string; numbers: string; outcome: string };

const n = (value: number, digits = 2) => value.toFixed(digits).replace('-', '−');
const signed = (value: number, digits = 2) => (value < 0 ? `(${n(value, digits)})` : n(value, digits));

/** Significant figures for sizes: 60.3, 2.58, 0.97. */
const um = (value: number) => value.toPrecision(3);

function massLines({ facts }: CylinderInput, worked: WorkedReadings): WorkingLine[] {
  const lines: WorkingLine[] = [];
  const { moisture } = facts;
  if (moisture) {
    lines.push({
      key: 'water',
      symbols: 'w = 100 (wet − dry) / (dry − tin)',
      numbers: `100 (${n(moisture.wetG)} − ${n(moisture.dryG)}) / (${n(moisture.dryG)} − ${n(moisture.tinG)})`,
      outcome: `${n(worked.waterPct)} %`
    });
  }
  lines.push({
    key: 'dry',
    symbols: 'Mₛ = M / (1 + w/100)',
    numbers: `${n(facts.airDryG)} / (1 + ${n(worked.waterPct)}/100)`,
    outcome: `${n(worked.ovenDryG)} g`
  });
  if (facts.particleDensity !== 2650) {
    const gs = n(facts.particleDensity / 1000, 3);
    lines.push({
      key: 'grains',
      symbols: 'a = 1.65 Gₛ / (2.65 (Gₛ − 1))',
      numbers: `1.65 × ${gs} / (2.65 (${gs} − 1))`,
      outcome: n(worked.densityFactor, 3)
    });
  }
  return lines;
}

function hydrometerLines({ facts }: CylinderInput, r: WorkedReading): WorkingLine[] {
  if (!r.hydrometer) return [];
  const { no } = r;
  const { grams, blank, corrected } = r.hydrometer;
  const lines: WorkingLine[] = [];
  if (facts.bulb === '151H') {
    lines.push({
      key: 'scale',
      no,
      symbols: 'R = 1000 (r − 1) 2.65/1.65',
      numbers: `1000 (${n(r.value, 4)} − 1) 2.65/1.65`,
      outcome: `${n(grams)} g/L`
    });
  }
  lines.push(
    blank
      ? {
          key: 'blank',
          no,
          symbols: 'R′ = R − R₀',
          numbers: `${n(grams)} − ${signed(grams - corrected)}`,
          outcome: `${n(corrected)} g/L`
        }
      : {
          key: 'warmth',
          no,
          symbols: 'R′ = R + 0.36 (T − 20)',
          numbers: `${n(grams)} + 0.36 (${n(r.tempC, 1)} − 20)`,
          outcome: `${n(corrected)} g/L`
        }
  );
  lines.push({
    key: 'depth',
    no,
    symbols: facts.meniscus === 0 ? 'L = 16.3 − 0.164 R' : 'L = 16.3 − 0.164 (R + m)',
    numbers:
      facts.meniscus === 0
        ? `16.3 − 0.164 × ${signed(grams)}`
        : `16.3 − 0.164 (${n(grams)} + ${n(facts.meniscus)})`,
    outcome: `${n(r.depthMm / 10)} cm`
  });
  return lines;
}

function sizeLine({ facts }: CylinderInput, r: WorkedReading): WorkingLine {
  return {
    key: 'size',
    no: r.no,
    symbols: 'd = √(18 η L / ((ρₛ − ρ₀) g t))',
    numbers: `L ${n(r.depthMm / 1000, 4)} m, t ${Math.round(r.timeS)} s, ${n(r.tempC, 1)} °C, ρₛ ${facts.particleDensity}`,
    outcome: `${um(r.diameterUm)} µm`
  };
}

function finerLine(input: CylinderInput, worked: WorkedReadings, r: WorkedReading): WorkingLine {
  const { facts } = input;
  const a = worked.densityFactor === 1 ? '' : `${n(worked.densityFactor, 3)} × `;
  const litres = facts.cylinderMl === 1000 ? '' : ` × ${n(facts.cylinderMl / 1000, 3)}`;
  const ms = n(worked.ovenDryG);
  const outcome = `${n(r.finerPct, 1)} %`;
  if (r.hydrometer) {
    return {
      key: 'finer',
      no: r.no,
      symbols: `P = 100 ${a ? 'a ' : ''}R′${litres ? ' V' : ''} / Mₛ`,
      numbers: `100 × ${a}${signed(r.hydrometer.corrected)}${litres} / ${ms}`,
      outcome
    };
  }
  const { dispersantG, volumeMl } = known(facts.pipette, 'a draw is worked out with what drew it');
  return {
    key: 'draw',
    no: r.no,
    symbols: 'P = 100 (m − m₀) (V / v) / Mₛ',
    numbers: `100 (${n(r.value, 4)} − ${n(dispersantG, 4)}) (${facts.cylinderMl} / ${volumeMl}) / ${ms}`,
    outcome
  };
}

function fractionLines(worked: WorkedCylinder): WorkingLine[] {
  const { sand, silt, clay } = worked.fractions;
  const by = worked.scheme === 'two-point' ? 'two' : 'curve';
  const fines = 100 - sand;
  return [
    {
      key: `sand-${worked.sandFrom}`,
      symbols: by === 'two' ? 'sand = 100 − P₁' : 'sand = 100 − P(limit)',
      numbers: `100 − ${n(fines, 1)}`,
      outcome: `${n(sand, 1)} %`
    },
    {
      key: `clay-${by}`,
      symbols: by === 'two' ? 'clay = P₂' : 'clay = P(2 µm)',
      numbers: n(clay, 1),
      outcome: `${n(clay, 1)} %`
    },
    {
      key: 'silt',
      symbols: 'silt = 100 − sand − clay',
      numbers: `100 − ${n(sand, 1)} − ${n(clay, 1)}`,
      outcome: `${n(silt, 1)} %`
    }
  ];
}

/**
 * The working of a cylinder test as it would be handed in: each formula in symbols, then in numbers, then what comes of
 * it, as far as the readings go. Formulas: oven-dry mass, corrected reading, depth of the bulb, size, percent finer, fractions.
 */
export function cylinderWorking(
  input: CylinderInput,
  worked: WorkedReadings | WorkedCylinder
): WorkingLine[] {
  return [
    ...massLines(input, worked),
    ...worked.readings.flatMap((r) => [
      ...hydrometerLines(input, r),
      sizeLine(input, r),
      finerLine(input, worked, r)
    ]),
    ...('fractions' in worked ? fractionLines(worked) : [])
  ];
}
