import type { Service } from '@lean-clasp/core/adhesives';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import { type Answers, FREE, KINDS, startOf } from '@lean-clasp/core/kinds';
import { newBuild } from '@lean-clasp/core/templates';
import {
  ASPECT_NAMES,
  KIND_WORDS,
  SERVICE_OPTIONS,
  againstWords,
  planSays,
  figureWords,
} from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useCreateBuildMutation } from '../api/api';
import { AnswersForm } from '../assembly/AnswersForm';
import { refusalOf, useAttempt } from '../assembly/use-attempt';
import { useDocument } from '../documents/use-document';
import { Loading } from '../frame/Loading';
import { NothingHere } from '../frame/NothingHere';
import { Page } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { useVerdictsOf } from '../planner/use-verdicts-of';
import { useFormat } from '../quantities/use-format';
import { SHOP_ID } from '../shop/shop-id';
import { StateMark } from '../verdicts/state-mark';
import { BuildPicture } from './BuildPicture';
import { createFailure } from './create-failure';
import { isNamed, NameFields } from './NameFields';

/** A new build of any kind: its few answers, drawn and judged while they are given. */
export function NewBuildPage() {
  const { template = '' } = useParams();
  const known = template === FREE || KINDS.some(({ id }) => id === template);
  const shop = useDocument('shops', SHOP_ID);
  if (!known) return <NothingHere />;
  if (shop.kind !== 'open') return <Loading what="Opening the shop" />;
  return <NewBuild key={template} template={template} shop={shop.body as ShopDocument} />;
}

/** Ids of what is only looked at. */
const previewIds = () => {
  let next = 0;
  return () => `new-${(next += 1)}`;
};

function NewBuild({ template, shop }: { readonly template: string; readonly shop: ShopDocument }) {
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
    (attempt) =>
      refusalOf(() => newBuild({ template, name, project, service, answers: attempt }, shop, previewIds())),
    keep,
  );
  const build = useMemo(
    () => newBuild({ template, name: 'New', project: '', service, answers }, shop, previewIds()),
    [template, service, answers, shop],
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
        <Box>
          <BuildPicture build={build} />
          <Preview build={build} shop={shop} />
        </Box>
      </Box>
    </Page>
  );
}

/** What the four verdicts come to with these answers and the shop as it is. */
function Preview({ build, shop }: { readonly build: BuildDocument; readonly shop: ShopDocument }) {
  const f = useFormat();
  const verdicts = useVerdictsOf(build, shop);
  if (verdicts === null) return null;
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {Object.values(verdicts).map((verdict) => (
        <li key={verdict.aspect}>
          <StateMark state={verdict.state} /> <strong>{ASPECT_NAMES[verdict.aspect]}</strong>{' '}
          {figureWords(verdict, verdict.figure, f)} {againstWords(verdict, f)}: {planSays(verdict.cause, f)}
        </li>
      ))}
    </Box>
  );
}
