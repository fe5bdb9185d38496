/** A stored document before it has been checked. */
type Stored = Readonly<Record<string, unknown>>;

/** Kinds of version 1 whose clamps stood on a pull of an assembly and stand on a row since. */
const ROWS: readonly string[] = ['round-panel', 'heavy-slab', 'reglue'];
/** The one pull of such a kind. */
const ACROSS = 'across';
const USUAL_HOLDING = {
  barsTouch: true,
  barClearanceMm: 0.3,
  caulPairs: 0,
  endStops: true,
  heldFlatLater: false,
};

/**
 * Version 1 → 2: one document for every kind. What only edge-glued panels had (clamps on a row, holding, packing, trim)
 * becomes the section `row`, which every kind with boards side by side has; lines are named by joint, not by place.
 */
export function upgradeBuild1(document: Stored): Stored {
  if (document.template === 'edge-panel') return panelUpgraded(document);
  return ROWS.includes(String(document.template)) ? rowUpgraded(document) : { ...document, version: 2 };
}

function panelUpgraded(document: Stored): Stored {
  const {
    boards,
    clamps,
    pullPct,
    firstClamp,
    school,
    pullOffsetMm,
    edge,
    holding,
    trimMm,
    dryFit,
    glue,
    ...rest
  } = document;
  const ids = listOf(boards).map(({ id }) => String(id));
  const { preSet, ...held } = holding as { preSet: boolean };
  const { gaps, ...readings } = dryFit as { gaps: unknown };
  const { lines, ...spreading } = glue as { lines?: unknown };
  const ownSpread = listOf(lines ?? []);
  const read = listOf(gaps);
  // Readings and spreading of lines that are no longer there are left behind, as the plan passed them over.
  const notes = ids.slice(1).flatMap((id, line) => {
    const gap = read.find((each) => each.line === line);
    const own = ownSpread.find((each) => each.line === line);
    if (gap === undefined && own === undefined) return [];
    return [
      {
        id: `${ids[line] ?? ''}_${id}`,
        gapMm: gap?.gapMm ?? null,
        reinforcement: 'none',
        ...(own === undefined ? {} : { spread: { method: own.method, faces: own.faces } }),
      },
    ];
  });
  return {
    ...rest,
    version: 2,
    answers: {},
    free: { parts: [], joints: [] },
    boards,
    row: {
      clamps,
      pullPct,
      ...(firstClamp === undefined ? {} : { firstClamp }),
      ...(school === undefined ? {} : { school }),
      pullOffsetMm,
      edge,
      holding: held,
      trimMm,
    },
    partNotes: [],
    jointNotes: notes,
    glue: spreading,
    dryFit: readings,
    prepared: [],
    preSet,
  };
}

/** Clamps placed on the pull across a row move to the row, above and below in turn as they stood. */
function rowUpgraded(document: Stored): Stored {
  const squeeze = (document.squeeze ?? {}) as { clamps?: unknown; packing?: unknown };
  const { clamps = [], packing, ...left } = squeeze;
  const placed = listOf(clamps).filter(({ pull }) => pull === ACROSS);
  const { caulPairs } = document.answers as { caulPairs?: number };
  return {
    ...document,
    version: 2,
    row: {
      clamps: placed.map(({ id, rackId, alongMm, acrossMm, pinned, mostN }) => ({
        id,
        rackId,
        xMm: alongMm,
        side: Number(acrossMm) < 0 ? 'below' : 'above',
        ...(pinned === undefined ? {} : { pinned }),
        ...(mostN === undefined ? {} : { mostN }),
      })),
      pullPct: 100,
      edge: edgeOf(packing),
      holding: { ...USUAL_HOLDING, caulPairs: caulPairs ?? 0 },
      trimMm: 0,
    },
    ...(document.squeeze === undefined ? {} : { squeeze: left }),
  };
}

function edgeOf(packing: unknown): Stored {
  const { kind = 'blocks', thicknessMm = 20 } = (packing ?? {}) as { kind?: string; thicknessMm?: number };
  return { kind: kind === 'cauls' ? 'battens' : kind, thicknessMm };
}

const listOf = (value: unknown): Stored[] => (Array.isArray(value) ? (value as Stored[]) : []);
