import { type Answers, assemblyBuild, FREE, KINDS, type Service, startOf } from '@lean-clasp/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
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
import { isNamed, NameFields } from './NameFields';

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
            <NameFields
              name={name}
              project={project}
              width={166}
              onChange={(change) => {
                setName(change.name ?? name);
                setProject(change.project ?? project);
              }}
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
            disabled={!isNamed(name) || refusal !== null || isLoading}
          >
            Start this build
          </Button>
        </Box>
        <AssemblyPicture build={build} />
      </Box>
    </Page>
  );
}
