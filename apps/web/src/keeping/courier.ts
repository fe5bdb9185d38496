import { sendKeptRuns } from '../bench/run-sync';
import { sendPictures } from '../logbook/record/picture-sync';
import type { AppThunk } from '../app/store';
import { openDocument } from '../documents/sync';
import { readKept } from './keep-beside';
import { answerWindows, openWindows } from './windows';

/**
 * Sends what earlier windows could not, from whatever page is opened: edits of builds that nobody has opened since, and runs that
 * ended without a server.
 */
export function startCourier(): AppThunk<Promise<void>> {
  return async (dispatch, _getState, { window: own }) => {
    answerWindows(own);
    await dispatch(sendKeptRuns());
    void dispatch(sendPictures());
    const [kept, open] = await Promise.all([
      dispatch(readKept((store) => store.edits(), [])),
      openWindows(own),
    ]);
    const left = new Map(
      kept.filter(({ window }) => !open.has(window)).map((each) => [each.document, each.collection]),
    );
    for (const [id, collection] of left) {
      // Opening brings them back. Where the server is away they stay kept, and the next page tries again.
      await dispatch(openDocument(collection, id)).catch(() => undefined);
    }
  };
}
