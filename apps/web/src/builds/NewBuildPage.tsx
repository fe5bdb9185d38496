import {
  EDGE_PANEL_DEFAULTS,
  type EdgePanelAnswers,
  edgePanelBuild,
  InputError,
  LIMITS,
  MOST_BOARDS,
  panelMarks,
  planBuild,
  type ShopDocument,
} from '@lean-clasp/core';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreateBuildMutation } from '../api/api';
import { useDocument } from '../documents/use-document';
import { PanelDrawing } from '../drawing/PanelDrawing';
import { useSize } from '../drawing/use-size';
import { Page } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField } from '../quantities/fields';
import { useFormat } from '../quantities/use-format';
import { SHOP_ID } from '../shop/shop-id';
import { againstWords, ASPECT_NAMES, figureWords } from '../verdicts/figures';
import { StateMark } from '../verdicts/state-mark';
import { createFailure } from './create-failure';
import { isNamed, NameFields } from './NameFields';
import { SERVICE_OPTIONS, SPECIES_OPTIONS } from '../words/catalogue';
import { causeWords } from '../words/causes';

/** A new panel from eight answers, drawn and judged while they are given. */
export function NewBuildPage() {
  const [answers, setAnswers] = useState(EDGE_PANEL_DEFAULTS);
  const set = (change: Partial<EdgePanelAnswers>) => setAnswers((before) => ({ ...before, ...change }));
  const shop = useDocument('shops', SHOP_ID);
  const [create, { isLoading, error }] = useCreateBuildMutation();
  const navigate = useNavigate();
  const submit = async () => {
    const made = await create({ template: 'edge-panel', answers }).unwrap();
    void navigate(`/builds/${made.id}/fit`);
  };
  return (
    <Page
      title="New edge-glued panel"
      intro="Boards side by side. Everything else starts from what a careful worker would do, and can be changed after."
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '400px 1fr' }, gap: 4 }}>
        <Box
          component="form"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            submit().catch(() => undefined);
          }}
        >
          <FieldRow>
            <NameFields name={answers.name} project={answers.project} width={230} onChange={set} />
            <Choice
              label="Species"
              value={answers.species}
              options={SPECIES_OPTIONS}
              onChange={(species) => set({ species })}
              width={240}
            />
            <NumberField
              label="Boards"
              whole
              value={answers.boards}
              bounds={{ min: 2, max: MOST_BOARDS, unit: '' }}
              onChange={(boards) => boards !== null && set({ boards })}
              width={110}
            />
            <LengthField
              label="Width of the panel"
              value={answers.widthMm}
              bounds={{
                min: LIMITS.boardWidthMm.min * answers.boards,
                max: LIMITS.boardWidthMm.max * answers.boards,
                unit: 'mm',
              }}
              onChange={(widthMm) => widthMm !== null && set({ widthMm })}
              width={150}
            />
            <LengthField
              label="Length"
              value={answers.lengthMm}
              bounds={LIMITS.boardLengthMm}
              onChange={(lengthMm) => lengthMm !== null && set({ lengthMm })}
              width={130}
            />
            <LengthField
              label="Thickness"
              value={answers.thicknessMm}
              bounds={LIMITS.boardThicknessMm}
              onChange={(thicknessMm) => thicknessMm !== null && set({ thicknessMm })}
              width={130}
            />
            <Choice
              label="Where it will live"
              value={answers.service}
              options={SERVICE_OPTIONS}
              onChange={(service) => set({ service })}
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
            disabled={!isNamed(answers.name) || isLoading}
          >
            Start this build
          </Button>
        </Box>
        {shop.kind === 'open' && <Preview answers={answers} shop={shop.body as ShopDocument} />}
      </Box>
    </Page>
  );
}

function Preview({ answers, shop }: { readonly answers: EdgePanelAnswers; readonly shop: ShopDocument }) {
  const [ref, size] = useSize({ width: 640, height: 420 });
  const f = useFormat();
  const attempt = planOf(answers, shop);
  return (
    <Box>
      <Box ref={ref} sx={{ height: { xs: 300, md: 420 } }}>
        {attempt.plan === null ? (
          <Typography color="error">{attempt.reason}</Typography>
        ) : (
          <PanelDrawing
            marks={panelMarks(attempt.plan)}
            title={answers.name}
            size={size}
            extras={{ dressing: 'pressure' }}
          />
        )}
      </Box>
      {attempt.plan !== null && (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {Object.values(attempt.plan.verdicts).map((verdict) => (
            <li key={verdict.aspect}>
              <StateMark state={verdict.state} /> <strong>{ASPECT_NAMES[verdict.aspect]}</strong>{' '}
              {figureWords(verdict, verdict.figure, f)} {againstWords(verdict, f)}:{' '}
              {causeWords(verdict.cause, f)}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function planOf(answers: EdgePanelAnswers, shop: ShopDocument) {
  let next = 0;
  try {
    const build = edgePanelBuild(answers, shop, () => `n${(next += 1)}`);
    return { plan: planBuild(build, shop), reason: null } as const;
  } catch (error) {
    if (error instanceof InputError)
      return { plan: null, reason: `${error.message} Allowed: ${error.allowed}.` } as const;
    throw error;
  }
}
