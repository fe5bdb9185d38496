import type { FuseReading } from '@lean-clasp/core/bench';
import { useEffect, useRef } from 'react';
import { useAppSelector } from '../app/store';
import { cuesPassed, cueWords, makeBeeper } from './cues';

const beep = makeBeeper();

function speak(words: string): void {
  if (!('speechSynthesis' in window)) return;
  const utterance = new SpeechSynthesisUtterance(words);
  utterance.lang = 'en-GB';
  window.speechSynthesis.speak(utterance);
}

/** Beeps and speaks when a fuse is at half, at two minutes and at its end; once each, and not for what had passed. */
export function useCues(readings: readonly FuseReading[]): void {
  const { sound, speech } = useAppSelector((state) => state.preferences);
  const called = useRef<Set<string> | null>(null);
  useEffect(() => {
    const passed = readings.flatMap((reading) =>
      cuesPassed(reading).map(({ key, cue }) => ({ key, cue, label: reading.fuse.label })),
    );
    if (called.current === null) {
      called.current = new Set(passed.map(({ key }) => key));
      return;
    }
    for (const { key, cue, label } of passed) {
      if (called.current.has(key)) continue;
      called.current.add(key);
      if (sound) beep(cue);
      if (speech) speak(cueWords(cue, label));
    }
  }, [readings, sound, speech]);
}

/** Reads an instruction out when it comes up. */
export function useSpoken(words: string): void {
  const speech = useAppSelector((state) => state.preferences.speech);
  useEffect(() => {
    if (speech && words !== '') speak(words);
  }, [words, speech]);
}

/** Beeps once when a wait that was on is over. */
export function useWaitCue(waiting: boolean): void {
  const sound = useAppSelector((state) => state.preferences.sound);
  const waited = useRef(false);
  useEffect(() => {
    if (waited.current && !waiting && sound) beep('wait-over');
    waited.current = waiting;
  }, [waiting, sound]);
}
