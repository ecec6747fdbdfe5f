/** States of what commands are about. A test that lies in the bin is in that state, whatever it was in before. */
export const STATES = {
  test: ['ready', 'running', 'read', 'finished', 'bin'],
  hole: ['dug', 'soaked', 'filled', 'finished'],
  trial: ['planned', 'formed', 'soaked', 'finished']
} as const;
type StateOf<S extends keyof typeof STATES> = (typeof STATES)[S][number];
export type TestState = StateOf<'test'>;
export type HoleState = StateOf<'hole'>;
export type TrialState = StateOf<'trial'>;

/** What is said in a state that is not a command's own: a sentence, or one about a jar, hole or set by its code. */
export type Sentence = string | ((code: string) => string);

export type TestRule = {
  /** The test it names; that of the film it names; every jar of the plan; or each of several. */
  of: 'test' | 'film' | 'plan' | 'several';
  in: readonly TestState[];
  /** Only of tests that are read so. */
  by?: 'layers' | 'instrument';
  /** The run it names is on; and somebody saw it set down. */
  run?: 'on' | 'seen';
  /** Where another sentence than the usual says what to do. */
  refuse?: Partial<Record<TestState | 'instrument', Sentence>>;
};
export type HoleRule = {
  of: 'hole';
  in: readonly HoleState[];
  refuse?: Partial<Record<HoleState, Sentence>>;
};
export type TrialRule = {
  of: 'trial';
  in: readonly TrialState[];
  refuse?: Partial<Record<TrialState, Sentence>>;
};
/** In which states of what it is about a command is done. */
export type Rule = TestRule | HoleRule | TrialRule;

/** A test that is worked on: before it is set down, while it stands, and once it is read. */
export const OPEN = ['ready', 'running', 'read'] as const;
/** A jar that stands. */
export const STANDS = ['running', 'read'] as const;
/** A hole that is watched. */
export const WATCHED = ['dug', 'soaked', 'filled'] as const;
/** Trial pieces that were made. */
export const MADE = ['formed', 'soaked'] as const;

export const ofTest = (states: readonly TestState[], more: Omit<TestRule, 'of' | 'in'> = {}): TestRule => ({
  of: 'test',
  in: states,
  ...more
});
export const ofFilm = (states: readonly TestState[]): TestRule => ({ of: 'film', in: states });
export const ofHole = (states: readonly HoleState[], refuse: HoleRule['refuse'] = {}): HoleRule => ({
  of: 'hole',
  in: states,
  refuse
});
export const ofTrial = (states: readonly TrialState[], refuse: TrialRule['refuse'] = {}): TrialRule => ({
  of: 'trial',
  in: states,
  refuse
});
