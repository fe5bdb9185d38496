import { useEffect, useState } from 'react';
import { ApiError } from '../api/request';
import { useAppDispatch, useAppSelector } from '../app/store';
import { growingRetries, mayPass } from '../keeping/retry';
import type { Body, OpenDocument } from './documents-slice';
import { openDocument } from './sync';

/** A document's body: on its way, here, or not to be had. */
export type DocumentState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open'; readonly body: Body }
  | { readonly kind: 'failed'; readonly message: string };

const UNREACHABLE =
  'The server does not answer. Start it again: this page asks by itself, and edits kept here go in then.';

/** Opens a document when first asked for and follows its body, and nothing else about it; asks again while the server is away. */
export function useDocument(collection: OpenDocument['collection'], id: string): DocumentState {
  const dispatch = useAppDispatch();
  const body = useAppSelector((state) => state.documents.open[id]?.body);
  const [failure, setFailure] = useState<{ readonly id: string; readonly message: string } | null>(null);
  useEffect(() => {
    const retries = growingRetries();
    let left = false;
    const open = () => {
      dispatch(openDocument(collection, id)).then(retries.succeeded, (error: unknown) => {
        // An answer that comes after the page was left must not begin to ask again.
        if (left) return;
        setFailure({ id, message: error instanceof ApiError ? error.message : UNREACHABLE });
        if (mayPass(error)) retries.later(open);
      });
    };
    open();
    return () => {
      left = true;
      retries.succeeded();
    };
  }, [dispatch, collection, id]);
  if (body !== undefined) return { kind: 'open', body };
  return failure?.id === id ? { kind: 'failed', message: failure.message } : { kind: 'opening' };
}
