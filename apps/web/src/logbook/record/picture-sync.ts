import { nanoid } from '@reduxjs/toolkit';
import { ApiError, noteRefusal } from '../../api/request';
import type { AppThunk } from '../../app/store';
import { noteEvent } from '../../bench/run-sync';
import { keepingFailed } from '../../keeping/keeping-slice';
import { type KeptPicture, keptPictures } from '../../keeping/kept-pictures';
import { mayPass } from '../../keeping/retry';

/** Pictures of this page that are not sent, where the browser keeps none; and addresses to show those of this page by. */
const waiting = new Map<string, KeptPicture>();
const shown = new Map<string, string>();

/** Where a picture is to be had: from this page if it was taken here, else from the server. */
export const pictureAddress = (run: string, id: string): string =>
  shown.get(id) ?? `/api/runs/${run}/pictures/${id}`;

/** Puts a picture into a run's record: kept here first, told, then sent. */
export function addPicture(run: string, blob: Blob): AppThunk<Promise<void>> {
  return async (dispatch) => {
    const picture: KeptPicture = { run, id: nanoid(), blob };
    waiting.set(picture.id, picture);
    shown.set(picture.id, URL.createObjectURL(blob));
    await keptPictures
      .keep(picture)
      .catch(() => dispatch(keepingFailed('its storage does not take the picture')));
    dispatch(
      noteEvent(run, { kind: 'note', payload: { picture: { id: picture.id, caption: '', gone: false } } }),
    );
    void dispatch(sendPictures());
  };
}

/** Sends what waits, of this page and of earlier ones, until the server has all. */
export function sendPictures(): AppThunk<Promise<void>> {
  return async (dispatch, _getState, { queues }) => {
    const end = queues.begin('pictures');
    if (end === null) return;
    try {
      for (const picture of await keptPictures.all().catch(() => [])) waiting.set(picture.id, picture);
      for (const picture of waiting.values()) {
        await put(picture).catch((error: unknown) => {
          // The run itself may be sent only after its picture.
          if (mayPass(error) || (error as ApiError).status === 404) throw error;
        });
        waiting.delete(picture.id);
        await keptPictures.forget(picture.id).catch(() => undefined);
      }
      queues.retries('pictures').succeeded();
    } catch {
      queues.retries('pictures').later(() => void dispatch(sendPictures()));
    } finally {
      end();
    }
  };
}

async function put({ run, id, blob }: KeptPicture): Promise<void> {
  const response = await fetch(`/api/runs/${run}/pictures/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/jpeg' },
    body: blob,
  });
  if (response.ok) return;
  noteRefusal(response.status);
  throw new ApiError(response.status, {
    error: { code: 'picture', field: '', message: 'The picture was not taken.', allowed: 'a JPEG picture' },
  });
}
