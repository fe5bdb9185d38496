import { Type } from '@sinclair/typebox';
import { type AssemblyBuild, AssemblyBuildSchema } from './assembly-build';
import { type PanelBuild, PanelBuildSchema } from './panel-build';

/** A build of any kind. */
export type BuildDocument = PanelBuild | AssemblyBuild;

/** Template of the one kind that has a document of its own. */
const PANEL = 'edge-panel';

/** Checks a build against the schema of its template only, so that complaints are about what it is. */
export const BuildDocumentSchema = Type.Unsafe<BuildDocument>({
  type: 'object',
  required: ['template'],
  properties: { template: { type: 'string' } },
  if: { type: 'object', properties: { template: { const: PANEL } } },
  then: PanelBuildSchema,
  else: AssemblyBuildSchema,
});

/** Whether a build is an edge-glued panel. */
export function isPanel(build: BuildDocument): build is PanelBuild {
  return build.template === PANEL;
}
