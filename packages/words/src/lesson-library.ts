import type { LibraryId } from '@lean-clasp/core/lessons';

/** How a lesson of the library is told. */
export interface LessonWords {
  readonly title: string;
  readonly happened: string;
  readonly cause: string;
  readonly cost: string;
  /** The tool, jig or rule that keeps it from happening again. */
  readonly change: string;
}

/** The lessons that come with the program. */
export const LIBRARY_WORDS: Readonly<Record<LibraryId, LessonWords>> = {
  'clamp-too-short': {
    title: 'The clamp was too short once its blocks were on',
    happened: 'Jaws were wound right out and still did not go over the work and its blocks.',
    cause: 'The opening was measured on the bare work.',
    cost: 'Minutes of open time spent looking for another clamp.',
    change: 'Open every clamp over work and blocks at the dry fit, and leave a finger’s width to spare.',
  },
  'clamps-foul': {
    title: 'Clamps stood in each other’s way',
    happened: 'A handle could not be turned because the next bar was in front of it.',
    cause: 'Every place was planned, nobody had put them all on at once.',
    cost: 'One joint stayed without its clamp until another had been taken off again.',
    change: 'Put all of them on at the dry fit, handles to alternate sides.',
  },
  'wrong-way-round': {
    title: 'A part went in the wrong way round',
    happened: 'Parts that look alike were glued turned over or end for end.',
    cause: 'Nothing on the part said which way it goes.',
    cost: 'Pulled apart wet, or a show face inside for good.',
    change: 'One mark across neighbouring parts, and all parts laid out in the order in which they go in.',
  },
  'pencil-left-in': {
    title: 'Pencil marks under the finish',
    happened: 'Layout lines stayed on faces that no plane reaches any more.',
    cause: 'They were to be taken off after the glue-up.',
    cost: 'An evening with a rubber and a scraper in inside corners.',
    change: 'Inside faces finished, marks gone, before the first bead; marks for closing on tape.',
  },
  'glued-to-caul': {
    title: 'The caul came off with the work',
    happened: 'Squeeze-out set on the bare wood of what pressed it.',
    cause: 'Film or tape had slipped, or was missing on one side.',
    cost: 'A torn show face.',
    change: 'Packing tape on everything that presses, looked at on both faces before glue is opened.',
  },
  'thin-film': {
    title: 'A bead that was not spread starved the joint',
    happened: 'The line broke clean: one face had glue, the other none.',
    cause: 'A single bead on a wide face, left for the clamps to spread.',
    cost: 'The piece opened along its middle.',
    change: 'Spread every face wider than a finger, and look for an even wet film before closing.',
  },
  'late-in-the-day': {
    title: 'Begun too late in the day',
    happened: 'The last clamps went on in a hurry, and nobody looked for square.',
    cause: 'It was to be done before closing time.',
    cost: 'Checks left out, found the next morning.',
    change: 'No bead without an hour of daylight left beyond the plan: prepare tonight, glue tomorrow.',
  },
  'shut-out': {
    title: 'Closed before everything was in',
    happened: 'The outer part was on, and what belongs between could not be brought in.',
    cause: 'The order was walked through in the head only.',
    cost: 'Pulled apart with wet glue.',
    change: 'Lay out inner parts first and count them in before the one that shuts them in.',
  },
  'tight-cauls': {
    title: 'Cauls so tight that the line could not slide',
    happened: 'Boards stood proud of each other and would not move under the clamps.',
    cause: 'Cauls were drawn up before the edges had closed.',
    cost: 'An open line in the middle of the panel.',
    change: 'Cauls finger-snug, edges closed, then cauls drawn; ease one where a line has to slide.',
  },
  'climbing-mitre': {
    title: 'Mitres climbed because one way was drawn alone',
    happened: 'One member slid past the other along the slope of the mitre.',
    cause: 'Clamps of one direction were tightened before the others touched.',
    cost: 'Outside corners open, inside ones past each other.',
    change: 'All ways light first, then a turn each in rotation.',
  },
  'sliding-band': {
    title: 'The band pulled every corner along',
    happened: 'Tightening shifted all corners the way the band ran.',
    cause: 'The band gripped the corners in place of slipping round them.',
    cost: 'Every mitre off by a little, the last by a lot.',
    change: 'Waxed paper or rollers at the corners, tightened from both sides in turn.',
  },
  'crept-back': {
    title: 'Squared, then left to creep back',
    happened: 'Diagonals were equal when read, and not the next morning.',
    cause: 'It had been racked into square against its joints, and nothing held it there.',
    cost: 'A door that never fitted.',
    change: 'Read again after ten minutes, and leave a clamp or a batten across the long diagonal.',
  },
  'bow-for-square': {
    title: 'A bowed part was taken for out of square',
    happened: 'Corners were racked to make up for a stile that was not straight.',
    cause: 'Only the diagonals were read, not the straightness of the parts.',
    cost: 'A frame out of square for good.',
    change:
      'Straightedge on every member first; what is bowed is drawn straight before diagonals are believed.',
  },
  'lifted-panel': {
    title: 'Low clamps lifted the panel',
    happened: 'The panel bowed up off its bars as they were tightened.',
    cause: 'Jaws pressed below the middle of the thickness.',
    cost: 'An hour with the plane.',
    change: 'Line of pull at mid-thickness, shims under the work if need be, clamps on both faces in turn.',
  },
  'one-sided-veneer': {
    title: 'Veneer on one side only',
    happened: 'The sheet was hollow within a week.',
    cause: 'One face was sealed and shrank, the other went with the seasons.',
    cost: 'A door that rocks.',
    change: 'Veneer, or at least the same glue and a backer, on both faces in one pressing.',
  },
  'cold-shop': {
    title: 'Glued in a cold shop',
    happened: 'The line was chalky white and broke without tearing wood.',
    cause: 'Glue, wood or air was below what the glue forms a film at.',
    cost: 'The whole glue-up, once it was out in use.',
    change: 'Thermometer on the wood, not on the wall; warm the wood overnight, or wait.',
  },
  'old-bottle': {
    title: 'An old bottle',
    happened: 'Glue came out in strings and the coupon broke in the line.',
    cause: 'The bottle was past its time, or had been frozen.',
    cost: 'A joint that nobody trusts.',
    change: 'Date every bottle when it is opened; a coupon from any that is old, before it goes on the work.',
  },
  'glassy-end-grain': {
    title: 'End grain drank the glue',
    happened: 'The joint broke glassy: no glue was left between the faces.',
    cause: 'End grain was glued in one coat.',
    cost: 'A mitre that opened with the first knock.',
    change: 'A thin coat first, left to turn tacky, then the real one; let something in that holds.',
  },
  'jaw-marks': {
    title: 'Jaws marked the wood',
    happened: 'Dents stood under every jaw.',
    cause: 'Bare jaws on soft wood.',
    cost: 'Steam, sanding, and a shadow that stayed.',
    change: 'Blocks under every jaw, tacked on with tape so that they cannot drop.',
  },
  'film-under-oil': {
    title: 'A film of glue under the finish',
    happened: 'Pale patches appeared with the first coat.',
    cause: 'Squeeze-out was wiped over the face rather than taken off.',
    cost: 'Scraping back inside corners, twice.',
    change:
      'Tape at the dry fit, peel it while the glue is rubbery; wet the face afterwards, and what stays pale is glue.',
  },
  'planed-too-early': {
    title: 'The line was planed while it was swollen',
    happened: 'Weeks later every line was a groove.',
    cause: 'Water from the glue had swollen the edges, and they were planed flat like that.',
    cost: 'The whole face planed once more.',
    change: 'Leave it until the water has left the lines: days, not hours, before the last pass.',
  },
  'hot-cup': {
    title: 'The cup ran hot',
    happened: 'A full cup of resin smoked and set within minutes.',
    cause: 'Too much was mixed at once and left standing in the cup.',
    cost: 'All of the resin, and nearly the bench.',
    change: 'Small cups one after the other, poured out flat at once; never leave one standing.',
  },
  'alone-with-a-sheet': {
    title: 'No second pair of hands for the big sheet',
    happened: 'One end touched down where it should not, and grabbed.',
    cause: 'One person cannot hold both ends.',
    cost: 'A sheet glued crooked.',
    change: 'Ask for help for those two minutes, or build stops for one edge first.',
  },
  'forgotten-inside': {
    title: 'Something inside was remembered after closing',
    happened: 'A hole, a groove or a coat of finish was still to be done, out of reach.',
    cause: 'The list was for the whole piece, not for what closing shuts in.',
    cost: 'Work through a gap with a bent brush.',
    change: 'Before the first bead, touch every inside face once and say what is still to come there.',
  },
};
