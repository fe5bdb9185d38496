import { defineKind } from './kind';
import { askChoice, askLength, askSpecies, onlyWhen } from './question';

/** Veneer or a thin strip on an edge or a small face, held by a film that was left to dry and is melted under an iron. */
export const DRIED_FILM = defineKind({
  id: 'dried-film',
  questions: {
    on: askChoice(['straight-edge', 'curved-edge', 'face'], 'straight-edge'),
    coreSpecies: askSpecies('birch-plywood'),
    veneerSpecies: askSpecies('white-ash'),
    lengthMm: askLength(900, 20, 3000),
    widthMm: askLength(300, 10, 1200),
    thicknessMm: askLength(18, 3, 60),
    veneerMm: askLength(0.7, 0.3, 6),
    radiusMm: onlyWhen(askLength(450, 20, 5000), ({ on }) => on === 'curved-edge'),
  },
  preparation: ['fresh-faces', 'thin-coats', 'iron-warm', 'leave-long'],
  cautions: ['iron'],
  adhesive: 'pva-interior',
  faces: 2,
  method: 'thinned-coats',
  asksOfGlue: { veneer: 'iron-on' },
});
