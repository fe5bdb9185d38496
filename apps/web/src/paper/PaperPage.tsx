import { type FullSizeItem, fullSizeItems, isPrintable } from '@lean-clasp/core/full-size';
import type { PaperName } from '@lean-clasp/paper';
import type { Plan } from '@lean-clasp/core/plan';
import { fullSizeHow, fullSizeName, MACHINE_CAUTION } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { Link as RouterLink, useParams } from 'react-router';
import { Loading } from '../frame/Loading';
import { Page } from '../frame/Page';
import { Caution } from '../parts/Caution';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { usePlan } from '../planner/plan-context';
import { useOpenBuild } from '../workspace/open-build';
import { OpenedBuild } from '../workspace/OpenedBuild';
import { saveBuild, saveCutList } from './own-files';
import { TemplateView } from './TemplateView';
import { usePaperFile } from './use-paper-file';

/** What draws in space is read in only where it is wanted. */
const save = (plan: Plan) => import('./gltf-file').then(({ saveAssembly }) => saveAssembly(plan));

/** Everything of a build that goes on paper, to the saw, or to another program. */
export function PaperPage() {
  const { buildId = '' } = useParams();
  return (
    <OpenedBuild id={buildId} failedTitle="Paper and files">
      <FilesPage />
    </OpenedBuild>
  );
}

function FilesPage() {
  const { id, build } = useOpenBuild();
  return (
    <Page
      title="Paper and files"
      intro={`${build.name}: for the wall above the bench, for the saw, and for other programs.`}
      actions={
        <Button component={RouterLink} to={`/builds/${id}/fit`}>
          Back to the build
        </Button>
      }
    >
      <Files />
    </Page>
  );
}

const PAPERS: readonly { readonly value: PaperName; readonly name: string }[] = [
  { value: 'a4', name: 'A4' },
  { value: 'letter', name: 'Letter' },
];

function Files() {
  const { plan } = usePlan();
  const { build } = useOpenBuild();
  const [paper, setPaper] = useState<PaperName>('a4');
  const { make, busy, fault } = usePaperFile();
  if (plan === null) return <Loading />;
  const sessions = plan.order?.sessions ?? [];
  const items = plan.squeeze === null ? null : fullSizeItems(plan);
  return (
    <>
      <FieldRow>
        <Choice label="Paper" value={paper} options={PAPERS} onChange={setPaper} width={140} />
      </FieldRow>
      {fault !== null && (
        <Alert severity="error" variant="outlined" sx={{ my: 2 }}>
          {fault}
        </Alert>
      )}
      <Part
        title="Glue-up sheet"
        about="The drawing with numbered clamps, what to gather, the order with minutes, readings to fill in, cautions; a code opens the glue-up on a tablet."
      >
        <Button
          variant="contained"
          disabled={busy}
          onClick={() => void make({ what: 'sheet', format: 'pdf', paper })}
        >
          {sessions.length > 1 ? `All ${sessions.length} sessions, PDF` : 'Sheet, PDF'}
        </Button>
        {sessions.length > 1 &&
          sessions.map((_, session) => (
            <Button
              key={session}
              disabled={busy}
              onClick={() => void make({ what: 'sheet', format: 'pdf', paper, session })}
            >
              Session {session + 1}
            </Button>
          ))}
      </Part>
      {items === null && <Loading what="Placing the clamps" />}
      {items?.map((item) => {
        const name = fullSizeName(item);
        return (
          <Part key={item.id} title={`${name}, full size`} about={fullSizeHow(item)}>
            <Box sx={{ flex: '1 1 100%' }}>
              <TemplateView item={item} title={name} />
            </Box>
            {formatsOf(item).map((format) => (
              <Button
                key={format}
                disabled={busy}
                aria-label={`${name}, ${format.toUpperCase()}`}
                onClick={() => void make({ what: 'full-size', item: item.id, format, paper })}
              >
                {format === 'pdf' ? 'PDF in sheets' : format.toUpperCase()}
              </Button>
            ))}
          </Part>
        );
      })}
      {items !== null && items.length > 0 && <Caution>{MACHINE_CAUTION}</Caution>}
      <Part
        title="For other programs"
        about="The whole drawing to scale, the parts as a table, and the build itself."
      >
        {(['svg', 'dxf'] as const).map((format) => (
          <Button key={format} disabled={busy} onClick={() => void make({ what: 'drawing', format, paper })}>
            Drawing, {format.toUpperCase()}
          </Button>
        ))}
        <Button
          disabled={busy}
          onClick={() => void make({ what: 'drawing', format: 'svg', paper }, 'picture')}
        >
          Drawing, PNG
        </Button>
        <Button disabled={busy} onClick={() => void save(plan)}>
          Solid with its closing order, glTF
        </Button>
        <Button onClick={() => saveCutList(plan)}>Cut list, CSV</Button>
        <Button onClick={() => saveBuild(build)}>Build, JSON</Button>
      </Part>
    </>
  );
}

/** What a template can be had as. */
const formatsOf = (item: FullSizeItem) =>
  isPrintable(item) ? (['pdf', 'svg', 'dxf', 'stl', '3mf'] as const) : (['pdf', 'svg', 'dxf'] as const);

function Part({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly children: ReactNode;
}) {
  return (
    <Box component="section" aria-label={title} sx={{ py: 2, borderTop: 1, borderColor: 'divider', mt: 2 }}>
      <Typography variant="h2">{title}</Typography>
      <Typography color="text.secondary" sx={{ maxWidth: 760, mb: 1 }}>
        {about}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>{children}</Box>
    </Box>
  );
}
