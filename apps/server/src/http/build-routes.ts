import {
  type BuildDocument,
  type EdgePanelAnswers,
  edgePanelBuild,
  LIMITS,
  MOST_BOARDS,
  SERVICES,
  type ShopDocument,
} from '@lean-clasp/core';
import type { Validator } from '@lean-clasp/validation';
import { Type } from '@sinclair/typebox';
import { Router } from 'express';
import type { DocumentStore } from '../store';
import { documentRoutes } from './document-routes';
import { httpError } from './errors';

const millimetres = (bounds: { min: number; max: number }) =>
  Type.Number({ minimum: bounds.min, maximum: bounds.max });

const NewBuildSchema = Type.Object(
  {
    template: Type.Literal('edge-panel'),
    answers: Type.Object(
      {
        name: Type.String({ minLength: 1, maxLength: 120 }),
        project: Type.String({ maxLength: 200 }),
        species: Type.String(),
        boards: Type.Integer({ minimum: 2, maximum: MOST_BOARDS }),
        widthMm: millimetres({
          min: 2 * LIMITS.boardWidthMm.min,
          max: MOST_BOARDS * LIMITS.boardWidthMm.max,
        }),
        lengthMm: millimetres(LIMITS.boardLengthMm),
        thicknessMm: millimetres(LIMITS.boardThicknessMm),
        service: Type.Unsafe<EdgePanelAnswers['service']>({ type: 'string', enum: [...SERVICES] }),
      },
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false },
);

/** What the build routes need. */
interface BuildRoutesDeps {
  readonly builds: DocumentStore<BuildDocument>;
  readonly shop: () => Promise<ShopDocument>;
  readonly validator: Validator;
  readonly makeId: () => string;
}

/** Builds: list, create from a template, remove, and everything documents can do. */
export function buildRoutes({ builds, shop, validator, makeId }: BuildRoutesDeps): Router {
  const router = Router();

  router.get('/', async (_request, response) => {
    response.json(await builds.list());
  });

  router.post('/', async (request, response) => {
    const { answers } = validator.check(NewBuildSchema, request.body);
    const body = edgePanelBuild(answers, await shop(), makeId);
    response.status(201).json(await builds.create(makeId(), body));
  });

  router.delete('/:id', async (request, response) => {
    if (!(await builds.remove(request.params.id))) {
      throw httpError(404, 'not-found', 'There is no such build.', 'the id of a build');
    }
    response.status(204).end();
  });

  router.use(documentRoutes('build', builds, validator));
  return router;
}
