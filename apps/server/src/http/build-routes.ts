import {
  assemblyBuild,
  type AssemblyStart,
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

const Service = Type.Unsafe<EdgePanelAnswers['service']>({ type: 'string', enum: [...SERVICES] });
const Name = Type.String({ minLength: 1, maxLength: 120 });
const Project = Type.String({ maxLength: 200 });

/** A new panel from its eight answers. */
const NewPanelSchema = Type.Object(
  {
    template: Type.Literal('edge-panel'),
    answers: Type.Object(
      {
        name: Name,
        project: Project,
        species: Type.String(),
        boards: Type.Integer({ minimum: 2, maximum: MOST_BOARDS }),
        widthMm: millimetres({
          min: 2 * LIMITS.boardWidthMm.min,
          max: MOST_BOARDS * LIMITS.boardWidthMm.max,
        }),
        lengthMm: millimetres(LIMITS.boardLengthMm),
        thicknessMm: millimetres(LIMITS.boardThicknessMm),
        service: Service,
      },
      { additionalProperties: false },
    ),
  },
  { additionalProperties: false },
);

/** A new build of any other kind; its answers are checked by the kind. */
const NewAssemblySchema = Type.Object(
  {
    template: Type.String({ maxLength: 40 }),
    name: Name,
    project: Project,
    service: Service,
    answers: Type.Record(
      Type.String({ maxLength: 40 }),
      Type.Union([
        Type.Number(),
        Type.String({ maxLength: 200 }),
        Type.Array(Type.Number(), { maxItems: 12 }),
      ]),
    ),
  },
  { additionalProperties: false },
);

/** Checked against the schema of its template only, so that complaints are about what is being made. */
const NewBuildSchema = Type.Unsafe<NewPanel | AssemblyStart>({
  type: 'object',
  required: ['template'],
  properties: { template: { type: 'string' } },
  if: { type: 'object', properties: { template: { const: 'edge-panel' } } },
  then: NewPanelSchema,
  else: NewAssemblySchema,
});

interface NewPanel {
  readonly template: 'edge-panel';
  readonly answers: EdgePanelAnswers;
}

const isNewPanel = (asked: NewPanel | AssemblyStart): asked is NewPanel => asked.template === 'edge-panel';

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
    const asked = validator.check(NewBuildSchema, request.body);
    const body = isNewPanel(asked)
      ? edgePanelBuild(asked.answers, await shop(), makeId)
      : assemblyBuild(asked);
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
