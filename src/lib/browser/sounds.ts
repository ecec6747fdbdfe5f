import type { Profile } from '../words/profile.ts';

let context: AudioContext | undefined;

/** Browsers keep sound asleep until somebody touches the page; call this from a press or a key. */
export function wakeSound(): void {
  if (!('AudioContext' in globalThis)) return;
  context ??= new AudioContext();
  if (context.state === 'suspended') void context.resume();
}

/** Whether a sound would be heard now. */
export function soundAwake(): boolean {
  return context?.state === 'running';
}

type Tone = { at: number; hz: number; s: number; gain: number; wave: OscillatorType };

/** Three calls, made from plain tones: a knock on wood, a small bell, a reed. Times in s. */
const CALLS: Record<Exclude<Profile['sound'], 'off'>, Tone[]> = {
  knock: [0, 0.16, 0.48, 0.64].flatMap((at) => [
    { at, hz: 190, s: 0.09, gain: 0.7, wave: 'sine' as const },
    { at, hz: 610, s: 0.035, gain: 0.3, wave: 'triangle' as const }
  ]),
  bell: [0, 0.9].flatMap((at) => [
    { at, hz: 880, s: 1.4, gain: 0.35, wave: 'sine' as const },
    { at, hz: 2217, s: 0.7, gain: 0.14, wave: 'sine' as const }
  ]),
  reed: [0, 0.35, 0.7].map((at) => ({ at, hz: 392, s: 0.26, gain: 0.22, wave: 'sawtooth' as const }))
};

/** Plays a call, or only its first tone as a soft cue; answers false if the browser keeps sound asleep. */
export function playCall(sound: Profile['sound'], how: 'full' | 'soft' = 'full'): boolean {
  if (sound === 'off') return true;
  if (!context || !soundAwake()) return false;
  for (const tone of CALLS[sound].slice(0, how === 'soft' ? 1 : undefined)) {
    const start = context.currentTime + tone.at;
    const voice = context.createOscillator();
    const level = context.createGain();
    voice.type = tone.wave;
    voice.frequency.value = tone.hz;
    level.gain.setValueAtTime(tone.gain, start);
    level.gain.exponentialRampToValueAtTime(0.001, start + tone.s);
    voice.connect(level).connect(context.destination);
    voice.start(start);
    voice.stop(start + tone.s + 0.05);
  }
  return true;
}
