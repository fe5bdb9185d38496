import type { Asked, Cause, Feature, Symptom } from '@lean-clasp/core/diagnosis';

/** What is seen, as it is picked from a list. */
export const SYMPTOM_WORDS: Readonly<Record<Symptom, string>> = {
  'open-at-end': 'a line open at an end',
  starved: 'a starved line: thin, or no glue in it',
  ridge: 'a ridge or a groove along a line',
  'clamp-bow': 'bowed by its clamps',
  'out-of-square': 'out of square',
  wind: 'in wind',
  stain: 'a stain beside a line',
  stuck: 'stuck to caul, form or bench',
  broke: 'broke at the line',
  'failed-later': 'opened months later',
};

/** How a cause is told: what it is, how it does that, and what to do with the piece that lies there now. */
interface CauseWords {
  readonly name: string;
  readonly why: string;
  readonly now: string;
  /** The rule that a lesson proposes. */
  readonly rule: string;
}

export const CAUSE_WORDS: Readonly<Record<Cause, CauseWords>> = {
  'closed-late': {
    name: 'closed after the glue had skinned over',
    why: 'A skin does not wet the other face: it looks glued and holds by a film.',
    now: 'Open it where it gives, back to bare wood on both faces, and glue it afresh; a wedge of new glue does not hold on the old.',
    rule: 'Fewer joints in one go, or a slower glue: closed by two thirds of its open time.',
  },
  'pressed-late': {
    name: 'full pressure came after the glue had grabbed',
    why: 'What has gelled is not squeezed thin any more; the line stays thick and crumbles.',
    now: 'If it is open, saw it apart along the line and joint it anew; a thick line does not mend itself.',
    rule: 'Clamps opened to size and laid out; light pull on all of them before anything else.',
  },
  'too-little-pressure': {
    name: 'too little pressure there',
    why: 'Faces that are not pressed together leave a line as thick as their roughness.',
    now: 'A line that is closed to the eye may stay; an open one is sawn apart and jointed.',
    rule: 'One more clamp within a hand of each end, or cauls that carry the pull there.',
  },
  'too-much-pressure': {
    name: 'squeezed dry by too much pressure',
    why: 'Past what the glue bears it runs out and leaves bare fibres on bare fibres.',
    now: 'Break a coupon of the same wood, or load an offcut: a starved line lets go suddenly.',
    rule: 'Stop when a fine bead stands all along; ease a quarter of a turn where it ran.',
  },
  'gap-forced': {
    name: 'a gap was forced shut',
    why: 'Wood that is bent into place pulls at the line for good, hardest where the gap was.',
    now: 'Let it open, plane the joint to a fit, glue it again; more clamps only hide it.',
    rule: 'A feeler at every joint dry; what a hand cannot close goes back to the plane.',
  },
  'too-cold': {
    name: 'glue or wood was too cold',
    why: 'Below its limit a water-borne glue dries to chalk in place of a film.',
    now: 'Trust none of the joints of that day: break one that can be spared before the rest is used.',
    rule: 'Wood warmed overnight, thermometer on the wood.',
  },
  'wood-wet': {
    name: 'the wood was too wet',
    why: 'Wet wood takes up no water, so the glue stays soft, and then shrinks away from it.',
    now: 'Let it come to balance for weeks before anything is planed; look at the lines again.',
    rule: 'Meter every board; above the limit it waits in the shop.',
  },
  'moisture-differs': {
    name: 'neighbours of different moisture',
    why: 'The wetter one shrinks later and steps down from the other, or pulls the end open.',
    now: 'Wait until both are in balance, then plane it once.',
    rule: 'Boards of one joint stacked together in the shop until the meter says the same of both.',
  },
  'bottle-old': {
    name: 'the glue was past its time',
    why: 'Old or frozen glue does not form a film, whatever it looks like in the bottle.',
    now: 'Break a coupon from that bottle; if it is poor, so is everything from it.',
    rule: 'Date on the bottle; a coupon from any past three quarters of its life.',
  },
  'thin-film': {
    name: 'too little glue went on',
    why: 'Half a film wets half a face.',
    now: 'Break it at the thin stretch; if it parts by hand, joint it and glue it again.',
    rule: 'More than enough within reach, both faces looked at from the side before closing.',
  },
  'end-grain-drank': {
    name: 'end grain drank the glue',
    why: 'Open pores suck the line dry before it sets.',
    now: 'Cut a kerf across and let a key or a spline in: long grain that holds.',
    rule: 'End grain sized first, and something let in that holds.',
  },
  'off-early': {
    name: 'clamps came off too early',
    why: 'Half set, a line bears its shape and no load; wood that wants to open opens it.',
    now: 'Clamp it back within the hour if the glue still gives; after that it is jointed again.',
    rule: 'Clamps stay until the slowest joint is done in the air as it was.',
  },
  'planed-early': {
    name: 'planed while the lines were swollen',
    why: 'Water of the glue swelled the edges; once it left, they sank.',
    now: 'Leave it until it moves no more, then take a last shaving.',
    rule: 'A first pass proud of the size, the last one days later.',
  },
  'out-of-turn': {
    name: 'clamps were drawn out of turn',
    why: 'What is drawn first slides or bends the rest before it is held.',
    now: 'Nothing mends it wet any more: plane or shim, or saw the joint.',
    rule: 'Numbers on the clamps, light all round, then full from the centre out.',
  },
  'off-centre': {
    name: 'the pull was off the middle of the thickness',
    why: 'Each clamp bends the panel toward its bar.',
    now: 'A bow that is small planes off; a large one is sawn along a line and glued again.',
    rule: 'Shims under the work until the screws point at mid-thickness, bars above and below in turn.',
  },
  'not-read': {
    name: 'nobody read it while it still moved',
    why: 'It can be corrected for some minutes, and never again.',
    now: 'Measure now and decide: plane, shim, or open the joint that gives most.',
    rule: 'The reading is a step of the session, not an afterthought.',
  },
  'crept-back': {
    name: 'it was read true, and crept back',
    why: 'What is forced true springs back while the glue gives.',
    now: 'A tenth of a degree can be planed off; more means opening a corner.',
    rule: 'Read again after ten minutes, and leave something on that holds it.',
  },
  'bowed-part': {
    name: 'a part was not straight',
    why: 'Clamps pull joints together, not parts straight.',
    now: 'Find the part with a straightedge; plane it where it may lose thickness.',
    rule: 'Every member sighted before it is jointed; bow against bow where two meet.',
  },
  'base-in-wind': {
    name: 'what it lay on was in wind',
    why: 'A glue-up copies its bench.',
    now: 'Winding sticks say how much: plane it off while there is thickness.',
    rule: 'Two bars as the flat reference, sighted before anything lies on them.',
  },
  'no-release': {
    name: 'nothing between the glue and what pressed',
    why: 'Squeeze-out holds on bare wood as well as in a joint.',
    now: 'Saw or chisel the caul off piece by piece; never pull, it takes the face with it.',
    rule: 'Packing tape or film on everything that presses, looked at on both faces.',
  },
  'glue-on-face': {
    name: 'a film of glue on the face',
    why: 'Sealed pores take no finish and stay pale.',
    now: 'Scrape it to bare wood and wet it: what stays pale is still glue.',
    rule: 'Masking tape at the dry fit, peeled while the glue is rubbery.',
  },
  'iron-stain': {
    name: 'iron and wet glue on tannin',
    why: 'Steel, water and tannin make ink.',
    now: 'Oxalic acid in weak solution takes it out: gloves, glasses, and its own safety sheet.',
    rule: 'Paper or film between bars and wood that holds tannin.',
  },
  'glue-creeps': {
    name: 'the glue crept under load or warmth',
    why: 'A plastic line slips slowly for as long as something pulls at it.',
    now: 'Shave it flush; it will come again while the load stays.',
    rule: 'A glue that does not creep where something wants to move.',
  },
  'stale-face': {
    name: 'the faces were not fresh',
    why: 'Old or burnished wood, oil and dust keep the glue from wetting it.',
    now: 'Drop of water test on an offcut: if it beads, so did the glue.',
    rule: 'Faces planed the same day; oily wood within hours, wiped.',
  },
};

/** What each level of each sign is called where it speaks for a cause or against it. */
export const SIGN_WORDS: Readonly<Record<Feature, Readonly<Record<string, string>>>> = {
  'open-used': {
    well: 'closed well within the open time',
    near: 'closed near the end of the open time',
    over: 'closed after the open time was over',
  },
  'press-used': {
    well: 'at full pressure well in time',
    near: 'at full pressure only just in time',
    over: 'at full pressure too late',
  },
  pressure: {
    low: 'pressure planned far below what the joint wants',
    short: 'pressure planned short of what the joint wants',
    good: 'pressure planned as it should be',
    much: 'pressure planned far above what the joint wants',
  },
  gap: { closed: 'it closed dry', some: 'a small gap was read', wide: 'a wide gap was read' },
  warmth: {
    cold: 'it was too cold for the glue',
    near: 'it was near the coldest that the glue bears',
    warm: 'it was warm enough',
  },
  moisture: { wet: 'wood above 12 % moisture', dry: 'wood dry enough' },
  'moisture-of-parts': { differs: 'parts two per cent of moisture apart', alike: 'parts equally dry' },
  bottle: {
    old: 'a bottle past its time',
    ageing: 'a bottle near the end of its time',
    fresh: 'a fresh bottle',
  },
  'end-grain': { much: 'much of it is end grain', some: 'some end grain', none: 'long grain to long grain' },
  glue: { 'ran-out': 'glue ran out on the way', enough: 'glue did not run out' },
  'clamps-off': { early: 'clamps came off early', kept: 'clamps stayed their time' },
  planed: { early: 'planed before its time', kept: 'planed in its time' },
  turn: { changed: 'clamps were not drawn in their turn', kept: 'clamps were drawn in their turn' },
  'squeeze-out': {
    even: 'an even bead all along',
    patchy: 'patchy squeeze-out',
    none: 'no squeeze-out',
    'too-much': 'much squeeze-out',
  },
  reading: {
    'not-taken': 'the reading was left out',
    'not-accepted': 'the reading was not as wanted',
    accepted: 'it was read true at the bench',
  },
  coupon: {
    poor: 'its coupon broke in the line',
    fair: 'its coupon broke half in the wood',
    sound: 'its coupon broke in the wood',
  },
  'closed-as': {
    wet: 'glue still wet at the closest joint',
    tacky: 'glue tacky at the closest joint',
    skinned: 'glue skinned over at the closest joint',
  },
  mishap: { grabbed: 'a joint grabbed early', none: 'no joint grabbed early' },
  off: { much: 'pull planned well off mid-thickness', little: 'pull planned at mid-thickness' },
  'break-look': {
    wood: 'the break is in the wood',
    glossy: 'the break is glossy, a skin on one face',
    chalky: 'the break is white and chalky',
    bare: 'the break is bare wood, hardly any glue',
    thick: 'the break runs through a thick line of glue',
  },
  'stain-look': { pale: 'pale, shows once finish is on', grey: 'grey to black', brown: 'brown or yellow' },
  'line-look': {
    proud: 'the line stands proud',
    sunken: 'the line is a groove',
    stepped: 'one board steps down from the other',
  },
  'parts-straight': { straight: 'the parts by themselves are straight', bowed: 'a part by itself is bowed' },
  'base-flat': { flat: 'what it lay on is flat', wound: 'what it lay on is in wind' },
  stands: {
    room: 'it stands in a room',
    warm: 'it stands in the sun or beside a stove',
    damp: 'it stands in the damp',
  },
  faces: { fresh: 'faces cut within a day', old: 'faces older than that, oily or burnished' },
};

/** What to look at, as a question. */
export const LOOK_QUESTIONS: Readonly<Record<Asked, string>> = {
  'break-look': 'Look at the break: what do you see?',
  'stain-look': 'What colour is the stain?',
  'line-look': 'Draw a nail across the line: what do you feel?',
  'parts-straight': 'Straightedge on each part by itself?',
  'base-flat': 'Sight over what it lay on?',
  stands: 'Where does it stand?',
  faces: 'How old were the glued faces?',
};
