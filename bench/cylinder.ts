import {
  judgeCylinder,
  simulatedHydrometer,
  USUAL_FACTS,
  workOutCylinder,
  type CylinderInput
} from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const TIMES = [30, 40, 60, 180, 600, 1800, 3600, 5400, 7200, 23_400, 86_400];

/** A grading curve with its band against the curve alone, worked out as often as the band draws it. */
export function benchCylinder(): void {
  const facts = { ...USUAL_FACTS, airDryG: 40 };
  const cylinder = { fractions: { sand: 35, silt: 40, clay: 25 }, facts, tempC: 20, blank: 3 };
  const readings = TIMES.map((timeS, no) => ({
    no,
    timeS,
    value: simulatedHydrometer(cylinder, timeS, no).read()!,
    tempC: 20
  }));
  const input: CylinderInput = {
    scheme: 'curve',
    facts,
    readings,
    blanks: [{ timeS: 60, value: 3, tempC: 20 }]
  };
  const draws = 2000;
  const band = medianMs(() => judgeCylinder(input, 'usda', { draws }), 5);
  const alone = medianMs(() => {
    for (let i = 0; i < draws; i++) workOutCylinder(input, 'usda');
  }, 5);
  report(
    'grading curve with its band',
    `${band.toFixed(0)} ms for ${draws} draws`,
    `${(band / alone).toFixed(2)} x the curve alone as often (${alone.toFixed(0)} ms)`
  );
}
