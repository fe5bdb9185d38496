import { SERVICES } from '@lean-clasp/core/adhesives';
import {
  AnswersSchema,
  type BuildDocument,
  BuildDocumentSchema,
  type ShopDocument,
  upgradedBuild,
} from '@lean-clasp/core/formats';
import { type BuildStart, newBuild } from '@lean-clasp/core/templates';
import type { Validator } from '@lean-clasp/validation';
import { Type } from '@sinclair/typebox';
import { Router } from 'express';
import type { DocumentStore } from '@lean-clasp/store';
import { documentRoutes } from './document-routes';
import { httpError, onlyMethods } from './errors';
import { pageAsked } from './paging';

const Service = Type.Unsafe<BuildStart['service']>({ type: 'string', enum: [...SERVICES] });
const Name = Type.String({ minLength: 1, maxLength: 120 });
const Project = Type.String({ maxLength: 200 });

/** A new build; its answers are checked by the kind. */
export const NewBuildSchema = Type.Object(
  {
    template: Type.String({ maxLength: 40 }),
    name: Name,
    project: Project,
    service: Service,
    answers: AnswersSchema,
  },
  { additionalProperties: false },
);

/** What the build routes need. */
interface BuildRoutesDeps {
  readonly builds: DocumentStore<BuildDocument>;
  readonly shop: () => Promise<ShopDocument>;
  /** Which of some builds have been glued up. */
  readonly gluedBuilds: (ids: readonly string[]) => Promise<ReadonlySet<string>>;
  readonly validator: Validator;
  readonly makeId: () => string;
}

/** Builds: pages of the list, create from a template, put into the bin, and everything documents can do. */
export function buildRoutes({ builds, shop, gluedBuilds, validator, makeId }: BuildRoutesDeps): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    const { documents, next } = await builds.page(pageAsked(request.query));
    const glued = await gluedBuilds(documents.map(({ id }) => id));
    response.json({ builds: documents.map((line) => ({ ...line, glued: glued.has(line.id) })), next });
  });

  router.post('/', async (request, response) => {
    const asked = validator.check(NewBuildSchema, request.body);
    const body = newBuild(asked, await shop(), makeId);
    response.status(201).json(await builds.create(makeId(), body));
  });

  // A build as it was saved elsewhere, by this program or an earlier one: it comes as one more.
  router.post('/read', async (request, response) => {
    const body = validator.check(BuildDocumentSchema, upgradedBuild(request.body));
    response.status(201).json(await builds.create(makeId(), body));
  });

  router.delete('/:id', async (request, response) => {
    if (!(await builds.remove(request.params.id))) {
      throw httpError(404, 'not-found', 'There is no such build.', 'the id of a build');
    }
    response.status(204).end();
  });

  router.all('/', onlyMethods('GET', 'POST'));
  router.all('/read', onlyMethods('POST'));
  router.use(documentRoutes('build', builds, validator, ['GET', 'PATCH', 'DELETE']));
  return router;
}
