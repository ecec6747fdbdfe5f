/** How somebody likes things shown; one per server for now. */
export type Profile = {
  length: 'mm' | 'cm' | 'in';
  temperature: 'C' | 'F';
  volume: 'L' | 'gal';
  clock: '24' | '12';
  theme: 'day' | 'night' | 'device';
  sound: 'off' | 'knock' | 'bell' | 'reed';
  /** A line said aloud, and a notice of the browser, when something falls due. */
  spoken: 'on' | 'off';
  notices: 'on' | 'off';
  /** Hours of quiet, minutes after local midnight; equal ends mean none. */
  quietFrom: number;
  quietTo: number;
  /** What stands over reports, up to four lines. */
  letterhead: string;
  /** Whether anybody has chosen anything yet. */
  chosen?: boolean;
};

export const DEFAULT_PROFILE: Profile = {
  length: 'mm',
  temperature: 'C',
  volume: 'L',
  clock: '24',
  theme: 'device',
  sound: 'knock',
  spoken: 'off',
  notices: 'off',
  quietFrom: 22 * 60,
  quietTo: 7 * 60,
  letterhead: ''
};

/** What is told of a profile before the door: how things look and by what units, and nothing of whose bench it is. */
export const profileOutside = ({ length, temperature, volume, clock, theme }: Profile): Profile => ({
  ...DEFAULT_PROFILE,
  length,
  temperature,
  volume,
  clock,
  theme
});

/** How much room the letterhead of reports has. */
export const LETTERHEAD = { lines: 4, letters: 300, tooLong: 'Four lines are room enough.' };
export const isLetterhead = (text: string): boolean => text.split('\n').length <= LETTERHEAD.lines;
