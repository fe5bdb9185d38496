import { Type } from '@sinclair/typebox';
import type { Validator } from '@lean-clasp/validation';
import { Router } from 'express';
import type { Operation } from 'rfc6902';
import type { DocumentStore } from '@lean-clasp/store';
import { HttpError, httpError, onlyMethods } from './errors';
import { textOf } from './paging';

const PatchSchema = Type.Array(
  Type.Object(
    {
      op: Type.Unsafe<Operation['op']>({
        type: 'string',
        enum: ['add', 'remove', 'replace', 'move', 'copy', 'test'],
      }),
      path: Type.String({ maxLength: 500 }),
      from: Type.Optional(Type.String({ maxLength: 500 })),
      value: Type.Optional(Type.Unknown()),
    },
    { additionalProperties: false },
  ),
  { maxItems: 2000 },
);

/** Body of a PATCH: RFC 6902 forward and back, on top of a revision. */
export const EditSchema = Type.Object(
  {
    /** The page's own for this edit, so that one that comes twice counts once. */
    id: Type.Optional(Type.String({ minLength: 1, maxLength: 64 })),
    baseRevision: Type.Integer({ minimum: 0 }),
    kind: Type.Unsafe<'edit' | 'undo' | 'redo'>({ type: 'string', enum: ['edit', 'undo', 'redo'] }),
    label: Type.String({ maxLength: 200 }),
    group: Type.String({ maxLength: 200 }),
    patch: PatchSchema,
    inverse: PatchSchema,
  },
  { additionalProperties: false },
);

/** What is asked of whoever looks for a document that is not there. */
function missing(what: string): HttpError {
  return httpError(
    404,
    'not-found',
    `There is no such ${what}; it may have been removed.`,
    `the id of a ${what}`,
  );
}

/** GET, PATCH and history of documents under `/:id`. */
export function documentRoutes<Body>(
  what: string,
  store: DocumentStore<Body>,
  validator: Validator,
  methods: readonly string[] = ['GET', 'PATCH'],
): Router {
  const router = Router();

  router.get('/:id', async (request, response) => {
    const document = await store.find(request.params.id);
    if (document === undefined) throw missing(what);
    response.json(document);
  });

  router.get('/:id/edits', async (request, response) => {
    if ((await store.find(request.params.id)) === undefined) throw missing(what);
    const after = Number(textOf(request.query.after) ?? 0);
    response.json(await store.history(request.params.id, Number.isFinite(after) ? after : 0));
  });

  router.patch('/:id', async (request, response) => {
    const { id, baseRevision, ...edit } = validator.check(EditSchema, request.body);
    const outcome = await store.edit(request.params.id, baseRevision, {
      ...edit,
      id: id ?? null,
      patch: edit.patch as Operation[],
      inverse: edit.inverse as Operation[],
    });
    switch (outcome.kind) {
      case 'done':
        // Nobody asks for this answer again: no tag is worked out for it.
        response.type('json').end(JSON.stringify(outcome.document));
        return;
      case 'missing':
        throw missing(what);
      case 'stale':
        throw new HttpError(409, {
          error: {
            code: 'stale',
            field: 'baseRevision',
            message: `This ${what} was changed elsewhere meanwhile.`,
            allowed: `an edit on top of revision ${outcome.document.revision}`,
          },
          document: outcome.document,
        });
      case 'patch-does-not-fit':
        throw httpError(
          422,
          'patch-does-not-fit',
          `The edit does not fit this ${what}.`,
          'a patch made from its latest revision',
          'patch',
        );
    }
  });

  router.all('/:id', onlyMethods(...methods));
  router.all('/:id/edits', onlyMethods('GET'));

  return router;
}
