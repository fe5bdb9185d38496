import type { BuildDocument } from '../formats';
import { type BuildStart, newBuild } from '../templates';
import { DEMO_SHOP } from './shop';

/** A build of the wagon and the id that links to it keep. */
export interface DemoBuild {
  readonly id: string;
  readonly build: BuildDocument;
}

const PROJECT = 'The Lantern Wagon';

type Start = Pick<BuildStart, 'template' | 'name' | 'answers'> & Partial<Pick<BuildStart, 'service'>>;

function made(id: string, start: Start, change: Partial<BuildDocument> = {}): DemoBuild {
  const build = newBuild({ project: PROJECT, service: 'dry', ...start }, DEMO_SHOP, () => id);
  return { id, build: { ...build, ...change } };
}

/** Sides of a triangle with these corners whose longest side is given, mm; side i runs from corner i to i + 1. */
function triangle(anglesDeg: readonly [number, number, number], longestMm: number): number[] {
  const sine = (deg: number) => Math.sin((deg * Math.PI) / 180);
  const most = Math.max(...anglesDeg.map(sine));
  return anglesDeg.map((_, i) => (longestMm * sine(anglesDeg[(i + 2) % 3] ?? 60)) / most);
}

/** Everything of the wagon beside its stage floor, each from its kind. */
export function wagonBuilds(): readonly DemoBuild[] {
  return [
    made('stage-ends', {
      template: 'breadboard',
      name: 'Breadboard ends',
      answers: {
        species: 'hard-maple',
        panelWidthMm: 600,
        panelLengthMm: 990,
        thicknessMm: 20,
        endWidthMm: 80,
      },
    }),
    made(
      'drumhead',
      {
        template: 'round-panel',
        name: 'Drumhead top',
        answers: { species: 'cherry', boards: 6, lengthMm: 880, widthMm: 610, thicknessMm: 22 },
      },
      { crew: 2 },
    ),
    made('lamp-posts', {
      template: 'mitred-post',
      name: 'Lamp posts',
      answers: { species: 'cherry', staves: 5, acrossFlatsMm: 96, thicknessMm: 16, lengthMm: 840, posts: 4 },
      service: 'exterior',
    }),
    made(
      'proscenium',
      {
        template: 'bent-lamination',
        name: 'Proscenium arch',
        answers: {
          species: 'white-ash',
          radiusMm: 620,
          arcDeg: 160,
          thicknessMm: 28,
          widthMm: 64,
          plyMm: 4,
          spare: 2,
        },
      },
      { crew: 2, glue: { adhesive: 'epoxy-slow', method: 'trowel', faces: 1 } },
    ),
    made('lantern', {
      template: 'mitred-post',
      name: 'Great lantern',
      answers: {
        species: 'western-redcedar',
        staves: 6,
        acrossFlatsMm: 310,
        thicknessMm: 14,
        lengthMm: 420,
        posts: 1,
      },
      service: 'exterior',
    }),
    made(
      'costume-trunk',
      {
        template: 'case',
        name: 'Costume trunk',
        answers: {
          species: 'yellow-poplar',
          widthMm: 860,
          heightMm: 500,
          depthMm: 440,
          thicknessMm: 18,
          shelves: 2,
          backStrips: 2,
        },
      },
      { crew: 2, dryFit: { acMm: 995.6, bdMm: 994, bowMm: null, twistMm: 0.8 } },
    ),
    made(
      'scenery-flats',
      {
        template: 'tenon-frame',
        name: 'Scenery flats',
        answers: {
          species: 'eastern-white-pine',
          widthMm: 880,
          heightMm: 1620,
          memberMm: 68,
          thicknessMm: 27,
          midRails: 1,
          tenonMm: 45,
        },
      },
      { dryFit: { acMm: 1844.4, bdMm: 1842.8, bowMm: null, twistMm: 0.5 } },
    ),
    made('balustrade', {
      template: 'slatted-frame',
      name: 'Balustrade',
      answers: {
        species: 'white-oak',
        rails: 3,
        slats: 13,
        betweenLegsMm: 980,
        heightMm: 640,
        railMm: 42,
        slatWidthMm: 36,
        slatThicknessMm: 12,
      },
      service: 'exterior',
    }),
    made('dressing-mirror', {
      template: 'mitred-frame',
      name: 'Dressing mirror frame',
      answers: {
        species: 'black-walnut',
        sidesMm: [420, 640, 420, 640],
        anglesDeg: [90, 90, 90, 90],
        widthMm: 52,
        thicknessMm: 22,
      },
    }),
    made('gable-sign', {
      template: 'mitred-frame',
      name: 'Gable sign',
      answers: {
        species: 'mahogany',
        sidesMm: triangle([100, 45, 35], 900),
        anglesDeg: [100, 45, 35],
        widthMm: 54,
        thicknessMm: 24,
      },
      service: 'exterior',
    }),
    made(
      'backdrop',
      {
        template: 'veneered-sheet',
        name: 'Backdrop panel',
        answers: {
          veneerSpecies: 'cherry',
          coreSpecies: 'mdf',
          lengthMm: 1240,
          widthMm: 760,
          coreMm: 12,
          veneerMm: 0.7,
        },
      },
      { crew: 2, glue: { adhesive: 'pva-interior', method: 'hopper-roller', faces: 1 } },
    ),
    made('prop-shelf', {
      template: 'edge-banding',
      name: 'Prop shelf',
      answers: {
        coreSpecies: 'birch-plywood',
        bandSpecies: 'white-ash',
        lengthMm: 860,
        widthMm: 260,
        thicknessMm: 18,
        bandMm: 6,
        edges: 'all',
      },
    }),
    made(
      'hatch-mouldings',
      {
        template: 'trim-set',
        name: 'Hatch mouldings',
        answers: {
          species: 'yellow-poplar',
          openingWidthMm: 460,
          openingHeightMm: 620,
          widthMm: 40,
          thicknessMm: 16,
          sets: 6,
        },
      },
      {
        glue: { adhesive: 'polyurethane-hot-melt', method: 'hot-nozzle', faces: 1 },
        order: {
          sessions: [['member-1_member-2', 'member-2_member-3', 'member-3_member-4', 'member-4_member-1']],
          pinned: [],
        },
      },
    ),
    made(
      'trestle-feet',
      {
        template: 'face-lamination',
        name: 'Trestle foot blanks',
        answers: { species: 'white-ash', layers: 3, layerMm: 27, widthMm: 110, lengthMm: 640, blanks: 4 },
      },
      { crew: 2 },
    ),
    made('bench-seat', {
      template: 'reglue',
      name: 'Split bench seat',
      answers: { species: 'red-oak', pieces: 2, widthMm: 340, lengthMm: 1280, thicknessMm: 30 },
    }),
    made('awning-pole', {
      template: 'scarf',
      name: 'Awning pole',
      answers: { species: 'sitka-spruce', pieces: 2, lengthMm: 3800, widthMm: 48, thicknessMm: 48, ratio: 8 },
      service: 'exterior',
    }),
    made('valance-edge', {
      template: 'dried-film',
      name: 'Valance edge',
      answers: {
        on: 'curved-edge',
        coreSpecies: 'birch-plywood',
        veneerSpecies: 'cherry',
        lengthMm: 940,
        widthMm: 190,
        thicknessMm: 15,
        veneerMm: 0.7,
        radiusMm: 720,
      },
    }),
    made(
      'split-roundel',
      {
        template: 'reglue',
        name: 'Split roundel',
        answers: {
          shape: 'round-top',
          species: 'cherry',
          pieces: 3,
          widthMm: 420,
          lengthMm: 420,
          thicknessMm: 20,
        },
      },
      { crew: 2 },
    ),
    made('hatch-casing', {
      template: 'casing',
      name: 'Hatch casing',
      answers: {
        species: 'yellow-poplar',
        openingWidthMm: 520,
        openingHeightMm: 460,
        widthMm: 55,
        thicknessMm: 18,
        sets: 2,
      },
    }),
    { id: 'boarding-platform', build: boardingPlatform() },
  ];
}

/** Planks for the boarding platform, glued one by one over the days of a week. */
const PLATFORM_PLANKS = 4;

/** A platform glued board by board, each line a session of its own. */
function boardingPlatform(): BuildDocument {
  let next = 0;
  const build = newBuild(
    {
      template: 'edge-panel',
      name: 'Boarding platform',
      project: PROJECT,
      service: 'exterior',
      answers: {
        species: 'white-ash',
        boards: PLATFORM_PLANKS,
        widthMm: 520,
        lengthMm: 1080,
        thicknessMm: 27,
      },
    },
    DEMO_SHOP,
    () => `plank-${(next += 1)}`,
  );
  const boards = build.boards ?? [];
  const lines = boards.slice(1).map(({ id }, i) => `${boards[i]?.id ?? ''}_${id}`);
  return { ...build, crew: 2, order: { sessions: lines.map((line) => [line]), pinned: [] } };
}
