import {
  type Answer,
  answerMishap,
  answersNow,
  beginDrill,
  type Drill,
  type DrillStart,
  playOn,
} from '@lean-clasp/core/bench';
import { useEffect, useState } from 'react';

const TICK_MS = 200;
const MS_PER_MIN = 60_000;
/** A page that slept does not find the game over, ms. */
const MOST_STEP_MS = 1000;

/** A drill that plays on by itself, so many times as fast, until it is over or left. */
export function useDrill(start: DrillStart, speed: number) {
  const [drill, setDrill] = useState<Drill>(() => beginDrill(start));
  const { over } = drill;
  useEffect(() => {
    if (over) return undefined;
    let before = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const stepMin = (speed * Math.min(MOST_STEP_MS, now - before)) / MS_PER_MIN;
      before = now;
      setDrill((at) => playOn(at, at.atMin + stepMin));
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [speed, over]);
  return {
    drill,
    /** Answers as things stand by now; what helped when the mishap came may no longer. */
    answer: (chosen: Answer) =>
      setDrill((at) =>
        answerMishap(at, answersNow(at).find(({ answer }) => answer === chosen.answer) ?? chosen),
      ),
    again: () => setDrill(beginDrill(start)),
  };
}
