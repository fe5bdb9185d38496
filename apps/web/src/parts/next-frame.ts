/** Nobody looks at a page that is not drawn for so long, ms. */
const UNSEEN_MS = 200;

/** Ends when what came before has been drawn; a moment later where nothing is drawn, as in a tab that is not on show. */
export const nextFrame = (): Promise<void> =>
  new Promise((done) => {
    const unseen = setTimeout(done, UNSEEN_MS);
    requestAnimationFrame(() => {
      clearTimeout(unseen);
      setTimeout(done);
    });
  });
