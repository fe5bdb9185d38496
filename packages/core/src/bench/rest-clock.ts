import type { Burning, Rest } from './rest';

/** People's minutes, and when what has been given a place begins and ends; what was placed last can be taken back. */
export class Clock {
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  /** Whose hands are at each task. */
  readonly hands: (readonly number[])[] = [];
  readonly #free: number[];
  /** By fuse: latest end of what holds it, and minutes of what holds it and has no place yet. */
  readonly #outMin: Float64Array;
  readonly #leftMin: Float64Array;
  /** By task: how many that come before have no place yet, and which come after it. */
  readonly #waits: Int32Array;
  readonly #next: readonly (readonly number[])[];

  constructor(readonly rest: Rest) {
    const { tasks, fuses, people, delayMin } = rest;
    this.starts = new Float64Array(tasks.length).fill(NaN);
    this.ends = new Float64Array(tasks.length).fill(NaN);
    this.#free = Array.from({ length: people }, (_, hand) => (hand === 0 ? delayMin : 0));
    this.#outMin = new Float64Array(fuses.length);
    this.#waits = Int32Array.from(tasks, ({ needs, follows }) => needs.length + follows.length);
    const next: number[][] = tasks.map(() => []);
    tasks.forEach(({ needs, follows }, i) => {
      for (const earlier of [...needs, ...follows]) next[earlier]?.push(i);
    });
    this.#next = next;
    this.#leftMin = Float64Array.from(fuses, ({ holds }) =>
      holds.reduce((sum, held) => sum + (tasks[held]?.workMin ?? 0), 0),
    );
  }

  isReady(i: number): boolean {
    return Number.isNaN(this.ends[i]) && this.#waits[i] === 0;
  }

  /** Begins a task as soon as what it needs is done and hands are free; answers with what takes it back. */
  place(i: number): () => void {
    const { hands = 1, needs = [], waitMin = 0, workMin = 0, holds = [] } = this.rest.tasks[i] ?? {};
    const before = [...this.#free];
    const first = before
      .map((minute, hand) => ({ minute, hand }))
      .sort((a, b) => a.minute - b.minute || a.hand - b.hand)
      .slice(0, Math.min(hands, before.length));
    let start = 0;
    for (const need of needs) start = Math.max(start, this.ends[need] ?? 0);
    for (const { minute } of first) start = Math.max(start, minute);
    const end = start + waitMin + workMin;
    for (const { hand } of first) this.#free[hand] = end;
    this.hands[i] = first.map(({ hand }) => hand);
    this.starts[i] = start;
    this.ends[i] = end;
    this.#count(i, -1);
    const outs = holds.map((fuse) => this.#outMin[fuse] ?? 0);
    for (const fuse of holds) {
      this.#outMin[fuse] = Math.max(this.#outMin[fuse] ?? 0, end);
      this.#leftMin[fuse] = (this.#leftMin[fuse] ?? 0) - workMin;
    }
    return () => {
      before.forEach((minute, hand) => {
        this.#free[hand] = minute;
      });
      this.starts[i] = NaN;
      this.ends[i] = NaN;
      this.#count(i, 1);
      holds.forEach((fuse, k) => {
        this.#outMin[fuse] = outs[k] ?? 0;
        this.#leftMin[fuse] = (this.#leftMin[fuse] ?? 0) + workMin;
      });
    };
  }

  #count(i: number, by: number): void {
    for (const later of this.#next[i] ?? []) this.#waits[later] = (this.#waits[later] ?? 0) + by;
  }

  /** More than any fuse can have to spare, whatever comes next: what has no place yet takes its minutes from when hands are free. */
  mostSpare(): number {
    const { fuses, people } = this.rest;
    const soonest = Math.min(...this.#free);
    let most = Infinity;
    fuses.forEach((burning, i) => {
      const { fuse, lit, closed } = burning;
      const litMin = 'task' in lit ? (this.starts[lit.task] ?? NaN) : lit.atMin;
      if (Number.isNaN(litMin)) return;
      const closedMin = 'task' in closed ? (this.ends[closed.task] ?? NaN) : closed.atMin;
      const leftMin = this.#leftMin[i] ?? 0;
      const least = leftMin > 1e-9 ? soonest + leftMin / people : 0;
      const outMin = Math.max(this.#outMin[i] ?? 0, least);
      most = Math.min(most, fuse.totalMin - (outMin - litMin));
      if ('task' in closed) {
        const soon = Number.isNaN(closedMin) ? soonest : closedMin;
        most = Math.min(most, fuse.openMin - (soon - litMin));
      }
      if (!Number.isNaN(closedMin)) most = Math.min(most, fuse.closedMin - (outMin - closedMin));
    });
    return most;
  }

  /** Least that is left of the windows of a fuse once all is in its place. */
  spareOf({ fuse, lit, closed }: Burning, i: number): number {
    const litMin = 'task' in lit ? (this.starts[lit.task] ?? 0) : lit.atMin;
    const closedMin = 'task' in closed ? (this.ends[closed.task] ?? 0) : closed.atMin;
    const outMin = Math.max(closedMin, this.#outMin[i] ?? 0);
    return Math.min(
      'task' in closed ? fuse.openMin - (closedMin - litMin) : Infinity,
      fuse.closedMin - (outMin - closedMin),
      fuse.totalMin - (outMin - litMin),
    );
  }
}
