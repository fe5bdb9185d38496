import { LIMITS } from '@lean-clasp/core/basics';
import { findClampKind } from '@lean-clasp/core/clamps';
import type { BuildDocument, RackLot, ShopDocument } from '@lean-clasp/core/formats';
import { KINDS, startOf } from '@lean-clasp/core/kinds';
import { ADHESIVE_OPTIONS, KIND_WORDS } from '@lean-clasp/words';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link as RouterLink, useNavigate } from 'react-router';
import { useCreateBuildMutation } from '../api/api';
import { useAppDispatch } from '../app/store';
import { createFailure } from '../builds/create-failure';
import { KindPicture } from '../builds/KindPicture';
import { editDocument, openDocument } from '../documents/sync';
import { Section } from '../frame/Page';
import { Choice } from '../parts/Choice';
import { FieldRow } from '../parts/FieldRow';
import { LengthField, NumberField } from '../quantities/fields';
import { useEditShop } from '../shop/use-edit-shop';
import { makeId } from '../workspace/edits';

/** Kinds that most people begin with; all others are a link away. */
const FIRST_KINDS = ['edge-panel', 'tenon-frame', 'mitred-frame', 'case', 'bent-lamination'];
/** Clamps that hang on most walls, and how far they usually open, mm. */
const FIRST_CLAMPS = [
  ['parallel-jaw', 1000],
  ['t-bar', 1200],
  ['f-heavy', 800],
  ['trigger', 600],
] as const;

const PICTURE = { width: 124, height: 96 };

type Wall = readonly Pick<RackLot, 'kind' | 'count' | 'maxOpeningMm'>[];

/** Three questions that lead from nothing to a first plan: what is glued, with what, and what hangs on the wall. */
export function FirstVisit() {
  const [kind, setKind] = useState('edge-panel');
  const [adhesive, setAdhesive] = useState('pva-interior');
  const [wall, setWall] = useState<Wall>(() =>
    FIRST_CLAMPS.map(([clamp, maxOpeningMm], i) => ({ kind: clamp, count: i === 0 ? 6 : 0, maxOpeningMm })),
  );
  const edit = useEditShop();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [create, { isLoading, error }] = useCreateBuildMutation();
  const begin = async () => {
    const chosen = KINDS.find(({ id }) => id === kind);
    if (chosen === undefined) return;
    const made = await create({
      template: kind,
      name: `First ${(KIND_WORDS[kind]?.name ?? kind).toLowerCase()}`,
      project: '',
      service: 'dry',
      answers: startOf(chosen),
    }).unwrap();
    edit('First clamps and glue', (shop) => equipped(shop, wall, adhesive));
    await dispatch(openDocument('builds', made.id));
    dispatch(
      editDocument<BuildDocument>(made.id, 'Glue', (build) => ({
        ...build,
        glue: { ...build.glue, adhesive },
      })),
    );
    void navigate(`/builds/${made.id}/fit`);
  };
  const change = (i: number, next: Partial<Wall[number]>) =>
    setWall(wall.map((each, k) => (k === i ? { ...each, ...next } : each)));
  return (
    <Section title="Three questions to a first plan">
      <Typography variant="h3" id="first-kind">
        1. What do you glue up?
      </Typography>
      <Box
        role="radiogroup"
        aria-labelledby="first-kind"
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(132px, 1fr))',
          gap: 1.5,
          my: 1.5,
        }}
      >
        {FIRST_KINDS.map((id) => (
          <ButtonBase
            key={id}
            role="radio"
            aria-checked={kind === id}
            onClick={() => setKind(id)}
            sx={{
              display: 'block',
              p: 0.5,
              minHeight: 72,
              border: 2,
              borderColor: kind === id ? 'text.primary' : 'divider',
              fontWeight: kind === id ? 700 : 400,
              fontSize: '0.9375rem',
            }}
          >
            <KindPicture template={id} size={PICTURE} />
            {KIND_WORDS[id]?.name}
          </ButtonBase>
        ))}
      </Box>
      <Typography sx={{ mb: 2 }}>
        Something else?{' '}
        <Link component={RouterLink} to="/builds/new">
          See every kind.
        </Link>
      </Typography>
      <Typography variant="h3" sx={{ mb: 1.5 }}>
        2. Which glue stands on the shelf?
      </Typography>
      <FieldRow>
        <Choice label="Glue" value={adhesive} options={ADHESIVE_OPTIONS} onChange={setAdhesive} width={300} />
      </FieldRow>
      <Typography variant="h3" sx={{ mb: 1.5 }}>
        3. What hangs on the wall?
      </Typography>
      {wall.map((lot, i) => (
        <Box
          key={lot.kind}
          role="group"
          aria-label={`${findClampKind(lot.kind).name}s`}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1.5 }}
        >
          <Typography sx={{ width: 170 }}>{findClampKind(lot.kind).name}s</Typography>
          <NumberField
            label="How many"
            whole
            value={lot.count}
            bounds={LIMITS.clampCount}
            onChange={(count) => count !== null && change(i, { count })}
            width={110}
          />
          <LengthField
            label="Open to"
            value={lot.maxOpeningMm}
            bounds={LIMITS.clampOpeningMm}
            onChange={(maxOpeningMm) => maxOpeningMm !== null && change(i, { maxOpeningMm })}
            width={130}
          />
        </Box>
      ))}
      {error !== undefined && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {createFailure(error)}
        </Alert>
      )}
      <Button
        variant="contained"
        size="large"
        disabled={isLoading}
        onClick={() => void begin().catch(() => undefined)}
      >
        Show me the first plan
      </Button>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Everything can be changed afterwards: sizes at Fit, clamps and glue under Shop.
      </Typography>
    </Section>
  );
}

/** The shop with the clamps and the glue that were told, in place of those that every shop starts with. */
function equipped(shop: ShopDocument, wall: Wall, adhesive: string): ShopDocument {
  const rack = wall
    .filter(({ count }) => count > 0)
    .map((lot): RackLot => {
      const { padWidthMm, padHeightMm } = findClampKind(lot.kind);
      return { ...lot, id: makeId(), forceN: null, padWidthMm, padHeightMm };
    });
  const [first, ...others] = shop.bottles;
  const bottles =
    first === undefined
      ? [{ id: makeId(), adhesive, openedOn: null, remainingMl: 500 }]
      : [{ ...first, adhesive }, ...others];
  return { ...shop, rack, bottles };
}
