import type { FuseReading } from '@lean-clasp/core/bench';

/** A moment of a fuse that is called out. */
export type Cue = 'half' | 'two-minutes' | 'out';

/** Minutes before the end at which the second cue is called. */
const LATE_CALL_MIN = 2;

/** Cues that a fuse has passed; names the fuse and its window so that each is called once. */
export function cuesPassed(reading: FuseReading): { readonly key: string; readonly cue: Cue }[] {
  const { leftMin, burnt, fuse, state } = reading;
  if (leftMin === null) return [];
  const passed: Cue[] = [
    ...(burnt >= 0.5 ? (['half'] as const) : []),
    ...(leftMin <= LATE_CALL_MIN ? (['two-minutes'] as const) : []),
    ...(leftMin <= 0 ? (['out'] as const) : []),
  ];
  return passed.map((cue) => ({ key: `${fuse.joint} ${state} ${cue}`, cue }));
}

/** What is said at a cue. */
export function cueWords(cue: Cue, label: string): string {
  const line = label.replace('–', ' ');
  switch (cue) {
    case 'half':
      return `${line}, half its time gone`;
    case 'two-minutes':
      return `${line}, two minutes`;
    case 'out':
      return `${line}, time is out`;
  }
}

const TONES: Readonly<Record<Cue | 'wait-over', { readonly hertz: number; readonly beeps: number }>> = {
  half: { hertz: 520, beeps: 1 },
  'two-minutes': { hertz: 660, beeps: 2 },
  out: { hertz: 880, beeps: 4 },
  'wait-over': { hertz: 740, beeps: 3 },
};

/** Plays a cue's beeps. The context is made on the first one, after the person has touched the page. */
export function makeBeeper(): (cue: Cue | 'wait-over') => void {
  let context: AudioContext | undefined;
  return (cue) => {
    // Some browsers have no sound to make; what is shown must not depend on it.
    if (typeof AudioContext === 'undefined') return;
    context ??= new AudioContext();
    const { hertz, beeps } = TONES[cue];
    for (let i = 0; i < beeps; i += 1) {
      const at = context.currentTime + i * 0.28;
      const tone = context.createOscillator();
      const volume = context.createGain();
      tone.frequency.value = hertz;
      volume.gain.setValueAtTime(0.25, at);
      volume.gain.exponentialRampToValueAtTime(0.001, at + 0.22);
      tone.connect(volume).connect(context.destination);
      tone.start(at);
      tone.stop(at + 0.24);
    }
  };
}
