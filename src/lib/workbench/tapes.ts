import { formatTapeTime, type JarPicture, type NextStep } from '../core/index.ts';
import { standingMarks } from '../contract/reading.ts';
import type { JarView } from './jars.ts';
import { t } from '../words/index.ts';

/** Strips of tape for a jar: the marks made, and the one to be made now if its time has come or is near. */
export function tapesOf(
  view: Pick<JarView, 'run'> & {
    step: Pick<NextStep, 'kind' | 'layer' | 'state'>;
    jar: Pick<JarView['jar'], 'status'>;
  },
  picture: JarPicture | undefined,
  isNext: boolean
) {
  const { run, step, jar } = view;
  if (!run || !picture) return [];
  const made = standingMarks(run.marks).map((mark) => ({
    key: mark.id,
    label: formatTapeTime((mark.at - run.setDownAt) / 1000),
    heightMm: mark.heightMm ?? picture.layers.find((l) => l.layer === mark.layer)?.topMm ?? picture.depositMm,
    state: mark.heightMm === null ? ('guess' as const) : ('on' as const)
  }));
  if (jar.status === 'finished' || step.kind !== 'mark' || (step.state === 'waiting' && !isNext)) return made;
  const next = {
    key: 'next',
    label: step.layer ? t.layer[step.layer] : '',
    heightMm: picture.depositMm,
    state: 'next' as const
  };
  return [...made, next];
}
