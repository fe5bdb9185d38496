import { gatherArchive, packArchive, takeIn, unpackArchive, type WholeShop } from '@lean-clasp/archive';
import { InputError } from '@lean-clasp/core/basics';
import type { Validator } from '@lean-clasp/validation';
import express, { Router } from 'express';
import { requireOwner, requireSignedIn } from '../access/visitor';
import { httpError, onlyMethods } from './errors';
import { textOf } from './paging';

/** Largest archive that is read in over HTTP; a larger one goes in from the command line. */
const ARCHIVE_LIMIT = '256mb';
const MODES = ['merge', 'replace'] as const;

/** Everything of the shop as one file, out and in; for the owner only. */
export function archiveRoutes(
  whole: WholeShop,
  {
    validator,
    makeId,
    now,
  }: { readonly validator: Validator; readonly makeId: () => string; readonly now: () => number },
): Router {
  const router = Router();
  router
    .route('/')
    .all(requireSignedIn, requireOwner)
    .get(async (_request, response) => {
      const bytes = await packArchive(await gatherArchive(whole), now());
      response.set('Cache-Control', 'no-store');
      response.type('application/zip').send(Buffer.from(bytes));
    })
    .post(express.raw({ limit: ARCHIVE_LIMIT, type: 'application/zip' }), async (request, response) => {
      if (!Buffer.isBuffer(request.body)) {
        throw httpError(415, 'not-an-archive', 'That is no archive.', 'a body of the type application/zip');
      }
      const asked = textOf(request.query.mode) ?? 'merge';
      const mode = MODES.find((each) => each === asked);
      if (mode === undefined)
        throw new InputError('inconsistent', 'mode', `There is no mode "${asked}".`, MODES.join(', '));
      const { archive, faults } = await unpackArchive(request.body, validator);
      const only = textOf(request.query.only) === 'look';
      const outcome = await takeIn(archive, whole, { mode, only, makeId });
      response.json({ ...outcome, faults: [...faults, ...outcome.faults] });
    })
    .all(onlyMethods('GET', 'POST'));
  return router;
}
