import type { AgreementTexts } from './texts';

/** The finish agreement in English. */
export const AGREEMENT_EN: AgreementTexts = {
  lang: 'en-US',
  title: 'Finish agreement',
  intro:
    'What the drywall finish of each room includes, the decoration and light it is meant for, and what it does not promise. It helps owner, designer and finisher mean the same thing. Where it differs from the contract, the contract decides.',
  parties: {
    owner: 'Owner',
    finisher: 'Finisher',
    place: 'Place',
    job: 'Job',
    start: 'Work starts',
    ready: 'Ready for primer, as planned',
  },
  notNamed: 'not named yet',
  level: {
    0: {
      title: 'Level 0: bare board',
      includes: 'Board is hung. Nothing is taped or coated.',
      notPromised: 'Any finish. Most codes do not accept it in occupied space.',
    },
    1: {
      title: 'Level 1: taped',
      includes: 'Tape is bedded in joints and angles. Tool marks and ridges may stay.',
      notPromised: 'Appearance. It is for concealed spaces, and for smoke and fire taping.',
    },
    2: {
      title: 'Level 2: taped with a thin cover',
      includes:
        'Tape is bedded and wiped with a thin cover in the same pass; fasteners and beads get one coat. Tool marks may stay.',
      notPromised:
        'A paintable surface. Tape edges and marks may show. It is for storage, garages and behind tile.',
    },
    3: {
      title: 'Level 3: one coat over the tape',
      includes:
        'Tape bedded; one separate coat over flat joints and angles, two over fasteners and beads; no ridges or tool marks.',
      notPromised: 'Smooth joints under paint. It is for heavy texture and heavy wallcovering.',
    },
    4: {
      title: 'Level 4: two coats over the tape',
      includes:
        'Tape bedded; two separate coats over flat joints, one over angles, three over fasteners and beads; sanded smooth.',
      notPromised:
        'An even sheen. Gloss, deep color or grazing light will show the joints, because paper and compound absorb paint differently.',
    },
    5: {
      title: 'Level 5: skimmed',
      includes:
        'All of Level 4, plus a thin skim coat or surfacer over the whole surface before primer; inspected after primer.',
      notPromised: 'A surface flatter than the framing and the boards under it.',
    },
  },
  quality: {
    1: {
      title: 'Quality 1: filled and taped',
      includes: 'Joints filled and taped, fasteners covered.',
      notPromised: 'Appearance. Marks and ridges may stay.',
    },
    2: {
      title: 'Quality 2: the ordinary finish',
      includes: 'Quality 1 plus one more coat, feathered smooth; fasteners and beads twice; no ridges.',
      notPromised: 'A surface free of marks in grazing light or under a smooth flat paint.',
    },
    3: {
      title: 'Quality 3: wider coats, surface closed',
      includes:
        'Quality 2 with wider coats, and the rest of the surface closed with a tight scrape coat; sanded.',
      notPromised: 'A flawless surface in grazing light.',
    },
    4: {
      title: 'Quality 4: full skim',
      includes: 'The whole surface skimmed, {thin} to {thick}.',
      notPromised: 'A surface flatter than the framing and the boards under it.',
    },
  },
  columns: {
    includes: 'Includes',
    notPromised: 'Does not promise',
    decoration: 'Decoration',
    light: 'Light',
    primer: 'Primer or sealer',
  },
  decoration: {
    none: 'none; concealed',
    tile: 'tile',
    knockdown: 'knockdown texture',
    'heavy-spray': 'heavy spray texture',
    'heavy-texture': 'heavy texture, pattern to be agreed',
    'heavy-wallcovering': 'heavy wallcovering',
    'skip-trowel': 'skip-trowel texture',
    'medium-texture': 'hand texture, pattern to be agreed',
    'light-spray': 'light spray texture',
    'imperfect-smooth': 'imperfect-smooth hand texture',
    'light-texture': 'light texture, pattern to be agreed',
    'light-wallcovering': 'light wallcovering',
    'flat-paint': 'flat paint',
    eggshell: 'eggshell paint',
    satin: 'satin paint',
    'semi-gloss': 'semi-gloss paint',
    gloss: 'gloss paint',
    'deep-colour': 'deep color',
  },
  texture: {
    knockdown:
      'Sprayed or dabbed on, then knocked down when the shine goes: flat islands with open wall between.',
    'heavy-spray': 'Coarse drops, close together, left as they land.',
    'skip-trowel': 'Thin arcs left by a skipping trowel, crossing at random over a smooth wall.',
    'light-spray': 'Fine drops, even and far apart.',
    'imperfect-smooth': 'Long, soft knife strokes, barely raised, no two alike.',
  },
  primer: {
    none: 'no primer',
    primer: 'primer',
    'high-build': 'high-build primer, which evens out absorption',
    sealer: 'sealer, so the covering can be removed later',
  },
  light: {
    ordinary: 'ordinary room light',
    critical: 'grazing light',
    ordinaryAt: 'room light, {angle} or more from the wall',
    criticalAt: 'grazing light, down to {angle}',
    fromWindow: ', from the {name}',
    fromLamp: ', from the lamp',
  },
  tape: { paper: 'paper tape', mat: 'thin fiber mat tape', mesh: 'self-adhesive mesh in setting compound' },
  below:
    'This decoration or light needs {grade}. At the level agreed here joints may show, and that is accepted.',
  notes: {
    rated:
      'Fire-rated assembly: use the tape, compound and coats its listing calls for. The inspector sees each stage before it is covered.',
    damp: 'Damp room: board and compound made for it. Behind tile, follow the tile system.',
    concealed: 'Concealed: inspected before it is covered. Taped as the drawings or the listing require.',
    garage: 'Garage: the separation from living space follows local code.',
    oldWork: 'Existing work is not disturbed until licensed people have tested it for asbestos and lead.',
    bare: 'Level 0 is temporary, until the decoration is agreed. Most codes do not accept it in occupied space.',
  },
  excludedTitle: 'Not part of this agreement',
  excluded: [
    'Straightening framing, or boards hung out of plane, beyond what is named here.',
    'Cracks from building movement, framing that shrinks, or rooms not kept dry and at {cold} or warmer.',
    'Damage by others after the final inspection, and repairing it.',
    'Primer, paint and wallcovering, unless they are named.',
    'Light, colors or sheens other than those named here.',
  ],
  inspectionTitle: 'How it is inspected',
  inspection: [
    'From {away}, at eye height, in the light named for the room. A stronger or lower lamp is for finding flaws, not for judging.',
    'Before primer, marked and repaired; and once more after primer, before paint.',
    'In clean, dry rooms at the temperature they will be used at.',
    'What is found is marked on the wall and on the drawing, with the date. What is not marked then is accepted.',
  ],
  samplesTitle: 'Textures in words and drawings',
  samplesNote:
    'Drawings show the pattern, not the scale. A sample board of each is made on site and kept until the job is done.',
  addedTitle: 'Also agreed',
  signTitle: 'Agreed',
  sign: { owner: 'Owner', finisher: 'Finisher', date: 'Date' },
  foot: 'Local codes, listings and licensed practice take precedence over this agreement.',
};
