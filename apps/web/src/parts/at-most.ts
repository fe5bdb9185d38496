/** Ends with `work`, or after `ms` if that takes longer. */
export function atMost(ms: number, work: Promise<unknown>): Promise<void> {
  return new Promise((done) => {
    const tired = setTimeout(done, ms);
    const end = () => {
      clearTimeout(tired);
      done();
    };
    work.then(end, end);
  });
}
