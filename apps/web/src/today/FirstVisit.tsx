import { listAdhesives } from '@lean-clasp/core/adhesives';
import { LIMITS } from '@lean-clasp/core/basics';
import { findClampKind, NOT_OPENED } from '@lean-clasp/core/clamps';
import type { BuildDocument, RackLot, ShopDocument } from '@lean-clasp/core/formats';
import { KINDS, startOf } from '@lean-clasp/core/kinds';
import { clampName, KIND_WORDS } from '@lean-clasp/words';
import RemoveIcon from '@mui/icons-material/Remove';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { type ReactNode, useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreateBuildMutation } from '../api/api';
import { useAppDispatch } from '../app/store';
import { createFailure } from '../builds/create-failure';
import { KindPicture } from '../builds/KindPicture';
import { editDocument, openDocument } from '../documents/sync';
import { Section } from '../frame/Page';
import { LengthField } from '../quantities/fields';
import { Picture } from '../shop/Picture';
import { CLAMP_PICTURES, GLUE_PICTURES } from '../shop/pictures';
import { useEditShop } from '../shop/use-edit-shop';
import { makeId } from '../workspace/edits';

/** Kinds that most people begin with; all others are a tap away. */
const FIRST_KINDS = ['edge-panel', 'tenon-frame', 'mitred-frame', 'case', 'bent-lamination'];
/** Clamps that hang on most walls, and how far they usually open, mm. */
const FIRST_CLAMPS = [
  ['parallel-jaw', 1000],
  ['t-bar', 1200],
  ['pipe', 1200],
  ['f-heavy', 800],
  ['f-light', 400],
  ['trigger', 600],
  ['c-clamp', 100],
  ['hand-screw', 200],
  ['band', 3000],
  ['pointed-spring', 40],
  ['spring', 50],
] as const;
/** What has a container of its own to draw: a film that dried is somebody's doing. */
const FIRST_GLUES = listAdhesives().filter(({ chemistry }) => chemistry in GLUE_PICTURES);
/** Glue that a bottle holds when nobody has weighed it, mL. */
const A_BOTTLE_ML = 500;

const PICTURE = { width: 124, height: 96 };

type Wall = readonly Pick<RackLot, 'kind' | 'count' | 'maxOpeningMm'>[];

/** Three questions that lead from nothing to a first plan: what is glued, with what, and what hangs on the wall. */
export function FirstVisit() {
  const [kind, setKind] = useState('edge-panel');
  const [everyKind, setEveryKind] = useState(false);
  const [shelf, setShelf] = useState<readonly string[]>([]);
  const [wall, setWall] = useState<Wall>(() =>
    FIRST_CLAMPS.map(([clamp, maxOpeningMm]) => ({ kind: clamp, count: 0, maxOpeningMm })),
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
    edit('First clamps and glue', (shop) => equipped(shop, wall, shelf));
    await dispatch(openDocument('builds', made.id));
    const [adhesive] = shelf;
    if (adhesive !== undefined) {
      dispatch(
        editDocument<BuildDocument>(made.id, 'Glue', (build) => ({
          ...build,
          glue: { ...build.glue, adhesive },
        })),
      );
    }
    void navigate(`/builds/${made.id}/fit`);
  };
  const change = (i: number, next: Partial<Wall[number]>) =>
    setWall(wall.map((each, k) => (k === i ? { ...each, ...next } : each)));
  return (
    <Section title="Three questions to a first plan">
      <Typography variant="h3" id="first-kind">
        1. What do you glue up?
      </Typography>
      <Tiles role="radiogroup" labelledBy="first-kind" px={124}>
        {(everyKind ? KINDS.map(({ id }) => id) : FIRST_KINDS).map((id) => (
          <Tile key={id} role="radio" chosen={kind === id} onClick={() => setKind(id)}>
            <KindPicture template={id} size={PICTURE} />
            {KIND_WORDS[id]?.name}
          </Tile>
        ))}
      </Tiles>
      {!everyKind && (
        <Button onClick={() => setEveryKind(true)} sx={{ mb: 2 }}>
          Something else: every kind
        </Button>
      )}
      <Typography variant="h3" id="first-glue">
        2. What stands on the shelf?
      </Typography>
      <Typography variant="body2" color="text.secondary">
        Tap each glue you have. The first plan takes the one you tapped first.
      </Typography>
      <Tiles labelledBy="first-glue" px={124}>
        {FIRST_GLUES.map(({ id, name, chemistry }) => (
          <Tile
            key={id}
            role="checkbox"
            chosen={shelf.includes(id)}
            onClick={() =>
              setShelf(shelf.includes(id) ? shelf.filter((each) => each !== id) : [...shelf, id])
            }
          >
            <Picture pieces={GLUE_PICTURES[chemistry] ?? []} />
            {name}
          </Tile>
        ))}
      </Tiles>
      <Typography variant="h3" id="first-clamps">
        3. What hangs on the wall?
      </Typography>
      <Typography variant="body2" color="text.secondary">
        Tap a clamp once for each that you have.
      </Typography>
      <Tiles labelledBy="first-clamps" px={170}>
        {wall.map((lot, i) => (
          <WallLot key={lot.kind} lot={lot} onChange={(next) => change(i, next)} />
        ))}
      </Tiles>
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

/** Tiles with a drawing on each. */
function Tiles({
  role = 'group',
  labelledBy,
  px,
  children,
}: {
  readonly role?: 'group' | 'radiogroup';
  readonly labelledBy: string;
  /** Least width of one. */
  readonly px: number;
  readonly children: ReactNode;
}) {
  return (
    <Box
      role={role}
      aria-labelledby={labelledBy}
      sx={{
        display: 'grid',
        gridTemplateColumns: `repeat(auto-fill, minmax(${px}px, 1fr))`,
        gap: 1.5,
        my: 1.5,
      }}
    >
      {children}
    </Box>
  );
}

/** What is chosen by a tap on its drawing. */
function Tile({
  role,
  chosen,
  onClick,
  children,
}: {
  readonly role: 'radio' | 'checkbox';
  readonly chosen: boolean;
  readonly onClick: () => void;
  readonly children: ReactNode;
}) {
  return (
    <ButtonBase role={role} aria-checked={chosen} onClick={onClick} sx={tileOf(chosen)}>
      {children}
    </ButtonBase>
  );
}

const tileOf = (chosen: boolean) => ({
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  justifyContent: 'flex-start',
  p: 0.5,
  minHeight: 72,
  width: '100%',
  border: 2,
  borderColor: chosen ? 'text.primary' : 'divider',
  fontWeight: chosen ? 700 : 400,
  fontSize: '0.9375rem',
});

/** Clamps of one kind: a tap on the drawing hangs up one more. */
function WallLot({
  lot: { kind, count, maxOpeningMm },
  onChange,
}: {
  readonly lot: Wall[number];
  readonly onChange: (next: Partial<Wall[number]>) => void;
}) {
  const { name } = findClampKind(kind);
  return (
    <Box role="group" aria-label={clampName(kind, 2)}>
      <ButtonBase
        aria-label={`One more ${name}`}
        onClick={() => onChange({ count: Math.min(LIMITS.clampCount.max, count + 1) })}
        sx={tileOf(count > 0)}
      >
        <Picture pieces={CLAMP_PICTURES[kind] ?? []} />
        {name}
      </ButtonBase>
      {count > 0 && (
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'center', gap: 1, pt: 1.5 }}>
          <IconButton aria-label={`One ${name} fewer`} onClick={() => onChange({ count: count - 1 })}>
            <RemoveIcon />
          </IconButton>
          <Box component="output" aria-label="How many" sx={{ fontSize: '1.375rem', fontWeight: 700 }}>
            {count}
          </Box>
          {!NOT_OPENED.includes(kind) && (
            <LengthField
              label="Open to"
              value={maxOpeningMm}
              bounds={LIMITS.clampOpeningMm}
              onChange={(mm) => mm !== null && onChange({ maxOpeningMm: mm })}
              width={116}
            />
          )}
        </Box>
      )}
    </Box>
  );
}

/** The shop with the clamps and the glues that were told, in place of those that every shop starts with. */
function equipped(shop: ShopDocument, wall: Wall, shelf: readonly string[]): ShopDocument {
  const rack = wall
    .filter(({ count }) => count > 0)
    .map((lot): RackLot => {
      const { padWidthMm, padHeightMm } = findClampKind(lot.kind);
      return { ...lot, id: makeId(), forceN: null, padWidthMm, padHeightMm };
    });
  const bottles = shelf.map((adhesive) => ({
    id: makeId(),
    adhesive,
    openedOn: null,
    remainingMl: A_BOTTLE_ML,
  }));
  // What nobody tapped stays as every shop starts.
  return { ...shop, rack, bottles: bottles.length > 0 ? bottles : shop.bottles };
}
