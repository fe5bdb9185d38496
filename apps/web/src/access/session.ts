import { requestJson, refusals } from '../api/request';
import { type AppThunk, useAppSelector } from '../app/store';
import { wakeRetries } from '../keeping/retry';
import { keepBeside } from '../keeping/keep-beside';
import { type Session, sessionKnown } from './access-slice';

const SESSION = '/api/session';

/** Finds out who this is; unchanged where the server is away. */
const askSession = (): AppThunk<Promise<void>> => async (dispatch) => {
  const session = await requestJson<Session>(SESSION).catch(() => null);
  if (session !== null) dispatch(sessionKnown(session));
};

/** Asks at the start, and again whenever the server says that nobody has come in. */
export function watchSession(): AppThunk<Promise<void>> {
  return (dispatch) => {
    refusals.addEventListener('sign-in', () => void dispatch(askSession()));
    return dispatch(askSession());
  };
}

/** Comes in with a passphrase; what waits is sent. @throws ApiError where it is the wrong one. */
export function signIn(passphrase: string): AppThunk<Promise<void>> {
  return async (dispatch) => {
    dispatch(sessionKnown(await requestJson<Session>(SESSION, { method: 'POST', body: { passphrase } })));
    wakeRetries();
  };
}

/** Lists as last seen, kept by the service worker. */
const LISTS = 'lists';

/** Goes out, and takes what was seen out of this browser; what is not sent yet stays until somebody comes in again. */
export function signOut(): AppThunk<Promise<void>> {
  return async (dispatch) => {
    await requestJson(SESSION, { method: 'DELETE' });
    await dispatch(keepBeside((kept) => kept.forgetSeen(), { frees: true }));
    if ('caches' in globalThis) await caches.delete(LISTS);
    dispatch(sessionKnown({ role: null, here: false, open: true }));
  };
}

/** Whether plans and the shop may be changed from this screen. */
export const useMayChange = (): boolean => useAppSelector(({ access }) => access.role !== 'bench');
