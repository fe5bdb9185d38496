import { type Answers, assemblyBuild, FREE, KINDS, type Service, startOf } from '@lean-clasp/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useCreateBuildMutation } from '../api/api';
import { AnswersForm } from '../assembly/AnswersForm';
import { refusalOf, useAttempt } from '../assembly/use-attempt';
import { NothingHere } from '../frame/NothingHere';
import { Page } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { SERVICE_OPTIONS } from '../words/catalogue';
import { KIND_WORDS } from '../words/kind-names';
import { AssemblyPicture } from './AssemblyPicture';
import { createFailure } from './create-failure';

/** A new build of any kind but the panel: its few answers, drawn while they are given. */
export function NewAssemblyPage() {
  const { template = '' } = useParams();
  const known = template === FREE || KINDS.some(({ id }) => id === template);
  return known ? <NewAssembly key={template} template={template} /> : <NothingHere />;
}

function NewAssembly({ template }: { readonly template: string }) {
  const kind = KINDS.find(({ id }) => id === template) ?? null;
  const words = KIND_WORDS[template];
  const [name, setName] = useState(`New ${(words?.name ?? '').toLowerCase()}`);
  const [project, setProject] = useState('');
  const [service, setService] = useState<Service>('dry');
  const [answers, keep] = useState<Answers>(kind === null ? {} : startOf(kind));
  const [create, { isLoading, error }] = useCreateBuildMutation();
  const navigate = useNavigate();
  const { shown, refusal, set } = useAttempt(
    answers,
    (attempt) => refusalOf(() => assemblyBuild({ template, name, project, service, answers: attempt })),
    keep,
  );
  const build = useMemo(
    () => assemblyBuild({ template, name: 'New', project: '', service, answers }),
    [template, service, answers],
  );
  const nameMissing = name.trim() === '';
  const submit = async () => {
    const made = await create({ template, name, project, service, answers }).unwrap();
    void navigate(`/builds/${made.id}/fit`);
  };
  return (
    <Page title={`New: ${(words?.name ?? template).toLowerCase()}`} intro={words?.about}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '440px 1fr' }, gap: 4 }}>
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            submit().catch(() => undefined);
          }}
        >
          <FieldRow>
            <TextField
              label="Name"
              size="small"
              value={name}
              error={nameMissing}
              helperText={nameMissing ? 'Give it a name, so that you find it again.' : undefined}
              onChange={(event) => setName(event.target.value.slice(0, 120))}
              sx={{ width: 260 }}
              slotProps={{ inputLabel: { shrink: true } }}
            />
            <TextField
              label="Belongs to"
              size="small"
              value={project}
              onChange={(event) => setProject(event.target.value.slice(0, 200))}
              sx={{ width: 166 }}
              slotProps={{ inputLabel: { shrink: true } }}
            />
          </FieldRow>
          {kind !== null && <AnswersForm kind={kind} answers={shown} refusal={refusal} onChange={set} />}
          <FieldRow>
            <Choice
              label="Where it will live"
              value={service}
              options={SERVICE_OPTIONS}
              onChange={setService}
              width={240}
            />
          </FieldRow>
          {error !== undefined && (
            <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
              {createFailure(error)}
            </Alert>
          )}
          <Button
            type="submit"
            variant="contained"
            size="large"
            disabled={nameMissing || refusal !== null || isLoading}
          >
            Start this build
          </Button>
        </Box>
        <AssemblyPicture build={build} />
      </Box>
    </Page>
  );
}
