import type { AgreementTexts } from './texts';

/** The finish agreement in English. */
export const AGREEMENT_EN: AgreementTexts = {
  lang: 'en',
  title: 'Finish agreement',
  intro:
    'What the drywall finish of each room includes, the decoration and the light it holds for, and what it does not promise. It is a language between owner, designer and finisher; where it differs from the contract, the contract decides.',
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
      includes: 'Board is hung. Nothing is taped, filled or covered.',
      notPromised: 'Anything to be looked at. Most codes refuse it in occupied space.',
    },
    1: {
      title: 'Level 1: taped',
      includes: 'Tape is bedded in joints and angles. Tool marks and ridges may stay.',
      notPromised: 'Looks. It is for concealed space, and to keep smoke and fire where that is asked.',
    },
    2: {
      title: 'Level 2: taped and covered thinly',
      includes:
        'Tape is bedded and wiped with a thin cover in the same pass; heads and beads have one coat. Tool marks may stay.',
      notPromised:
        'A face to paint. Tape edges and marks may show; it is for store rooms, garages and behind tile.',
    },
    3: {
      title: 'Level 3: one coat over the tape',
      includes:
        'Tape bedded; one separate coat over flat joints and angles, two over heads and beads; free of ridges and tool marks.',
      notPromised: 'Smooth joints under paint. It is for heavy texture and heavy wallcovering.',
    },
    4: {
      title: 'Level 4: two coats over the tape',
      includes:
        'Tape bedded; two separate coats over flat joints, one over angles, three over heads and beads; smooth and sanded.',
      notPromised:
        'An even sheen. Gloss, deep colour or light that grazes the wall will show where joints are, because paper and compound take paint differently.',
    },
    5: {
      title: 'Level 5: skimmed',
      includes:
        'All of level 4, and a thin skim or applied surfacer over the whole face, before primer; looked at after primer.',
      notPromised: 'A plane flatter than the framing and the boards it lies on.',
    },
  },
  quality: {
    1: {
      title: 'Quality 1: filled and taped',
      includes: 'Joints filled and taped, heads covered.',
      notPromised: 'Looks. Marks and ridges may stay.',
    },
    2: {
      title: 'Quality 2: the ordinary finish',
      includes:
        'Quality 1 and one more filling to a smooth transition; heads and beads twice; free of ridges.',
      notPromised: 'Freedom from marks in light along the wall, or under a smooth matt paint.',
    },
    3: {
      title: 'Quality 3: wider filling, face closed',
      includes:
        'Quality 2 with wider filling, and the remaining face closed with a thin scrape coat; sanded.',
      notPromised: 'A flawless face in light along the wall.',
    },
    4: {
      title: 'Quality 4: full skim',
      includes: 'The whole face skimmed, one to three millimetres.',
      notPromised: 'A plane flatter than the framing and the boards it lies on.',
    },
  },
  columns: {
    includes: 'Includes',
    notPromised: 'Does not promise',
    decoration: 'Decoration it holds for',
    light: 'Light it holds for',
    primer: 'Before decoration',
  },
  decoration: {
    none: 'none; it is concealed',
    tile: 'tile',
    knockdown: 'knockdown texture',
    'heavy-spray': 'heavy spray texture',
    'heavy-texture': 'heavy texture, kind to be agreed',
    'heavy-wallcovering': 'heavy wallcovering',
    'skip-trowel': 'skip-trowel texture',
    'medium-texture': 'hand texture, kind to be agreed',
    'light-spray': 'light spray texture',
    'imperfect-smooth': 'imperfect-smooth hand texture',
    'light-texture': 'light texture, kind to be agreed',
    'light-wallcovering': 'light wallcovering',
    'flat-paint': 'flat paint',
    eggshell: 'eggshell paint',
    satin: 'satin paint',
    'semi-gloss': 'semi-gloss paint',
    gloss: 'gloss paint',
    'deep-colour': 'deep colour',
  },
  texture: {
    knockdown:
      'Sprayed or dabbed, then pressed flat when the shine goes: flat islands with open ground between.',
    'heavy-spray': 'Close coarse drops, left as they land.',
    'skip-trowel': 'Thin arcs from a trowel that skips, crossing at random over a smooth ground.',
    'light-spray': 'Fine drops, even and far apart.',
    'imperfect-smooth': 'Long soft strokes of a knife, hardly raised, no two alike.',
  },
  primer: {
    none: 'no primer',
    primer: 'primer',
    'high-build': 'high-build primer, which evens suction',
    sealer: 'sealer, so that the covering can come off again',
  },
  light: {
    ordinary: 'ordinary room light',
    critical: 'light that grazes the wall',
    ordinaryAt: 'room light, {angle} from the wall and more',
    criticalAt: 'light that grazes the wall, down to {angle}',
    fromWindow: ', from the {name}',
    fromLamp: ', from the lamp',
  },
  tape: { paper: 'paper tape', mat: 'thin fiber mat tape', mesh: 'self-adhesive mesh in setting compound' },
  below:
    'The decoration or the light named here asks for {grade}. At the grade agreed, joints may show, and that is accepted.',
  notes: {
    rated:
      'Rated assembly: tape, compound and coats as its listing says; the inspector sees each stage before it is covered.',
    damp: 'Damp room: boards and compound made for it; behind tile the tile system decides.',
    concealed: 'Concealed: looked at before it is covered; tape as the drawings or the listing ask.',
    garage: 'Garage: what parts it from living space is as local code says.',
    oldWork: 'Old work is not touched until licensed people have tested it for asbestos and lead.',
    bare: 'Level 0 is temporary, until the decoration is agreed; most codes refuse it in occupied space.',
  },
  excludedTitle: 'Not part of this agreement',
  excluded: [
    'Straightening the framing, or boards that were hung out of plane, beyond what is named here.',
    'Cracks from a building that moves, frames that shrink, or rooms that were not kept at 10 °C or more and dry.',
    'Damage by others after the last look, and repairs after it.',
    'Primer, paint and covering themselves, unless they are named.',
    'Lights, colours or sheens other than those named here.',
  ],
  inspectionTitle: 'How it is looked at',
  inspection: [
    'From 1.5 m, at eye height, in the light named for the room; a stronger or lower lamp is for finding, not for judging.',
    'Before primer, marked and mended; and once more after primer, before the paint.',
    'With rooms cleaned, dry and at the temperature they will be used at.',
    'What is found is marked on the wall and on the drawing, with a date; what is not marked then is accepted.',
  ],
  samplesTitle: 'Textures in words and drawings',
  samplesNote:
    'Drawings show the kind, not the scale. A sample board of each is made on site and kept until the end.',
  addedTitle: 'Also agreed',
  signTitle: 'Agreed',
  sign: { owner: 'Owner', finisher: 'Finisher', date: 'Date' },
  foot: 'Local codes, listings and licensed practice decide over this agreement.',
};
