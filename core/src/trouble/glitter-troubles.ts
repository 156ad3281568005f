import { percentText } from '../units';
import { found, masked, type Trouble } from './cause';

/** What goes wrong with glitter, fades and ground. */
export const glitterTroubles: readonly Trouble[] = [
  {
    name: 'Bare spots',
    causes: [
      {
        says: 'Too little glitter for the area.',
        cure: 'While the glue is soft pour a second pass; later, glue the spot thinly and pour again before any resin.',
        prevent: 'Pour what covers the area, in two passes where one glue can’t hold it.',
        often: 3,
        here: ({ plan }) => {
          // Without glue all of it is bare, and that is another cause.
          if (plan.findings.some(({ rule }) => rule === 'glitter without glue')) return null;
          const [barest] = [...plan.blends].sort((a, b) => b.bare - a.bare);
          return barest && barest.bare > 0.1 ? `${barest.areaName} is planned with ${percentText(barest.bare)} bare.` : null;
        },
      },
      {
        says: 'The glue had gone off.',
        cure: 'Brush off what is loose, glue again and pour again.',
        prevent: 'Glue only as much as can be poured while it is soft.',
        often: 2,
        here: found('fast glue under several colours', 'glue sets before the last pot'),
      },
      {
        says: 'No glue where glitter was poured.',
        cure: 'Brush it off, glue, pour.',
        prevent: 'A glue coat on every area before its glitter.',
        often: 2,
        here: found('glitter without glue'),
      },
    ],
  },
  {
    name: 'Clumps',
    causes: [
      {
        says: 'Too wet a glue: it swallows flakes in heaps.',
        cure: 'Let it set, rub off what stands up with a dry brush.',
        prevent: 'Wipe the glue to a thin even film; it should look dull.',
        often: 3,
      },
      {
        says: 'Coarse flakes on a glue too thin for them.',
        cure: 'Press them flat with baking paper while it gives; later only resin helps.',
        prevent: 'Take a resin wipe or a brushed glue for flakes of 0.8 mm and over.',
        often: 2,
        here: found('chunky glitter in thin glue'),
      },
    ],
  },
  {
    name: 'A fade that looks like one colour',
    causes: [
      {
        says: 'Its ends are nearly one colour to the eye.',
        cure: 'Lay a tinted coat over one end, darker than the other.',
        prevent: 'Take ends at least ΔE 10 apart; more pots don’t help.',
        often: 3,
        here: found('fade that doesn’t show'),
      },
      {
        says: 'The base shows through alike all the way.',
        cure: 'A second pass at the bare end.',
        prevent: 'Fade the base with the glitter, or cover it fully.',
        often: 1,
        here: found('base fade that can’t show'),
      },
    ],
  },
  {
    name: 'A choppy line in a fade',
    causes: [
      {
        says: 'Too few pots for how far its ends are apart.',
        cure: 'Strew a pinch of the two neighbours mixed over the line, while the glue is soft.',
        prevent: 'Take as many pots as hide every step.',
        often: 3,
        here: ({ plan }) => {
          const fade = plan.fades.find(({ laid, slices }) => laid && slices.length < laid.potsToHide);
          return fade?.laid
            ? `${fade.areaName} fades in ${fade.slices.length} pots; ${fade.laid.potsToHide} would hide every step.`
            : null;
        },
      },
      {
        says: 'Pots strewn without overlap.',
        cure: 'Strew a pinch of the two neighbours mixed over the line, while the glue is soft.',
        prevent: 'Strew each pot some millimetres into the last.',
        often: 2,
        here: ({ design }) =>
          design.fades.some(({ overlap }) => overlap < 3) ? 'A fade is planned with less than 3 mm of overlap.' : null,
      },
    ],
  },
  {
    name: 'Lifted or cracked paint',
    causes: [
      {
        says: 'A wall that wasn’t dulled and degreased.',
        cure: 'Take it off to the wall there, sand, and begin again.',
        prevent: 'Scuff all over and wipe with alcohol first.',
        often: 3,
        here: found('scuff first'),
      },
      {
        says: 'Tape on paint that wasn’t dry through.',
        cure: 'Press the flap down with a drop of the same paint; touch up.',
        prevent: 'Overnight under strong tape; take its tack off on your sleeve.',
        often: 2,
        here: masked,
      },
    ],
  },
  {
    name: 'A torn or ragged edge',
    causes: [
      {
        says: 'The mask came off after the glue had set.',
        cure: 'Cut along the edge with a sharp blade, lift the strip, tidy with a paint pen.',
        prevent: 'Pull masks within half an hour of the glitter, back on themselves.',
        often: 3,
        here: masked,
      },
      {
        says: 'Flakes as large as the edge’s own teeth.',
        cure: 'Outline it with a fine glitter or a pen.',
        prevent: 'Take a finer cut at narrow teeth.',
        often: 1,
      },
    ],
  },
  {
    name: 'Colours turned to mud',
    causes: [
      {
        says: 'Wet colours of opposite hue ran into each other.',
        cure: 'Wipe while wet; once cured, close it with clear resin and lay the colour anew.',
        prevent: 'Let one set before the other, or put a colour between them that mixes cleanly with both.',
        often: 3,
        here: ({ design }) =>
          design.coats.filter(({ kind }) => kind === 'ink').length > 1 ? 'More than one tinted coat is planned.' : null,
      },
      {
        says: 'Strings of two pots lay so close that they spread into each other.',
        cure: 'Leave it to set, then lay one of the two colours anew in a clear coat over it.',
        prevent: 'Fewer lines, less in each pot, or a longer rest before laying; see “How they run”.',
        often: 2,
        here: found('strings that turn to mud', 'strings that run together'),
      },
      {
        says: 'Two glitters of opposite hue mixed in one pot.',
        cure: 'A tinted coat over it draws it to one side.',
        prevent: 'See “By the eye” and the colour from afar before mixing.',
        often: 2,
      },
    ],
  },
  {
    name: 'Bumps or a halo round a decal',
    causes: [
      {
        says: 'Its edge was never closed.',
        cure: 'A further clear coat, sanded level, and one more.',
        prevent: 'Two coats over a decal, sanded in between.',
        often: 3,
        here: ({ design }) => {
          const decal = design.coats.findLastIndex(({ kind }) => kind === 'decal');
          const over = design.coats.slice(decal + 1).filter(({ kind }) => kind === 'resin').length;
          return decal >= 0 && over < 2 ? `Only ${over === 1 ? 'one coat' : 'nothing'} lies over it.` : null;
        },
      },
      {
        says: 'It lies on raw flakes or on gloss.',
        cure: 'Press it down, close it with resin; what lifts is cut away.',
        prevent: 'Lay it on cured resin that was sanded and wiped.',
        often: 2,
        here: found('decal on raw glitter', 'decal on gloss'),
      },
    ],
  },
];
