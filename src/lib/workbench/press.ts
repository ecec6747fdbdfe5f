/** What waits for something: with a state, and a time where it has one, ms UTC. */
type Step = { state: 'ready' | 'waiting' | 'due' | 'late'; dueAt?: number };

const PRESSING = { late: 0, due: 1, waiting: 2, ready: 3 };

/** What waits by what presses most: late, due, then what falls due first, then what waits for nobody. What is done is left out. */
export const byPress = <V extends { step?: Step }>(views: readonly V[]): V[] =>
  views
    .filter((view) => view.step)
    .sort(
      (a, b) =>
        PRESSING[a.step?.state ?? 'ready'] - PRESSING[b.step?.state ?? 'ready'] ||
        (a.step?.dueAt ?? Infinity) - (b.step?.dueAt ?? Infinity)
    );

/** That which calls now, if anything does. */
export const calling = <V extends { step?: Step }>(views: readonly V[]): V | undefined =>
  byPress(views).find(({ step }) => step?.state === 'due' || step?.state === 'late');
