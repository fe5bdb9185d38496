import type { Measure } from '@lean-clasp/core/formats';
import type { Subject } from '@lean-clasp/core/learning';
import { findAdhesive } from '@lean-clasp/core/adhesives';
import { METHOD_OPTIONS } from './catalogue';
import { KIND_WORDS } from './kind-names';

/** Work whose pace is learned. */
export const WORK_WORDS: Readonly<Record<string, string>> = {
  spread: 'spreading',
  close: 'closing joints',
  press: 'putting clamps on',
  tighten: 'bringing clamps to full pull',
  check: 'readings',
};

const REACHED_WORDS: Readonly<Record<Measure, string>> = {
  square: 'how square it comes out',
  flat: 'how flat it comes out',
  gap: 'the widest gap left in its lines',
};

/** What something learned is about. */
export function loreWords(subject: Subject): string {
  switch (subject.kind) {
    case 'pace': {
      const method = METHOD_OPTIONS.find(({ value }) => value === subject.method)?.name ?? subject.method;
      return `Pace at ${WORK_WORDS[subject.work]}${method === '' ? '' : `, ${method}`}`;
    }
    case 'scatter':
      return 'How much your minutes vary from step to step';
    case 'window':
      return `Open time of ${findAdhesive(subject.adhesive).name} at your bench`;
    case 'reached':
      return `${KIND_WORDS[subject.template]?.name ?? subject.template}: ${REACHED_WORDS[subject.measure]}`;
  }
}
