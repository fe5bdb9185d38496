import { useEffect, useState } from 'react';
import { ApiError } from '../api/request';
import { useAppDispatch, useAppSelector } from '../app/store';
import type { Body, OpenDocument } from './documents-slice';
import { openDocument } from './sync';

/** A document's body: on its way, here, or not to be had. */
export type DocumentState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open'; readonly body: Body }
  | { readonly kind: 'failed'; readonly message: string };

/** Opens a document when first asked for and follows its body, and nothing else about it. */
export function useDocument(collection: OpenDocument['collection'], id: string): DocumentState {
  const dispatch = useAppDispatch();
  const body = useAppSelector((state) => state.documents.open[id]?.body);
  const [failure, setFailure] = useState<{ readonly id: string; readonly message: string } | null>(null);
  useEffect(() => {
    dispatch(openDocument(collection, id)).catch((error: unknown) => {
      const unreachable =
        'The server does not answer. Start it again and load the page; edits kept here go in then.';
      setFailure({ id, message: error instanceof ApiError ? error.message : unreachable });
    });
  }, [dispatch, collection, id]);
  if (body !== undefined) return { kind: 'open', body };
  return failure?.id === id ? { kind: 'failed', message: failure.message } : { kind: 'opening' };
}
