import type { Area, AreaOf } from '../areas';
import type { Coat, Design } from '../design';
import type { PlannedArea } from '../layout';
import { outlineName, shapeOf } from '../motif';
import type { Plan } from '../plan';
import { coatedHeight, cupKinds, type Cup, type Decal } from '../vessel';
import { baseTemplate } from './base-template';
import { decalTemplate } from './decal-template';
import { fadeStrip } from './fade-strip';
import { flatPieces, wholeOutlines } from './flat-pieces';
import { heightsTemplate } from './heights-template';
import { FILM_HOLD, outlineFilm } from './outline-film';
import { edgeTemplate, laidStripTemplate, marksTemplate, stripTemplate } from './strip-template';
import { sheetAround, type Template, type TemplateLine, type TemplateSheet, type TemplateWishes } from './template';

/** A template that can be had of a design, before it is drawn. */
export interface TemplateOffer {
  readonly id: string;
  readonly title: string;
  /** what it is good for */
  readonly use: string;
  /** the wishes its drawing hangs on */
  readonly wants: readonly (keyof TemplateWishes)[];
  draw(wishes: TemplateWishes): Template;
}

/** Every template a design has to offer, the whole wrap first. */
export function templatesOf(design: Design, plan: Plan): readonly TemplateOffer[] {
  const { cup } = design;
  const areas = design.areas.flatMap((area) => {
    const planned = plan.areas.areas.find(({ id }) => id === area.id);
    return planned && planned.own.length > 0 ? areaOffers(area, planned, design) : [];
  });
  const bands = design.areas.filter((area): area is AreaOf<'band'> => area.kind === 'band');
  const sections = design.areas.filter((area): area is AreaOf<'wedge'> => area.kind === 'wedge');
  const turn = (angle: number) => ((angle % 360) + 360) % 360;
  const lines = {
    foot: [...new Set(sections.flatMap(({ from, width }) => [turn(from), turn(from + width)]))],
    rim: [...new Set(sections.flatMap(({ from, width, lean }) => [turn(from + lean), turn(from + width + lean)]))],
  };
  return [
    ...(areas.length > 0
      ? [
          {
            id: 'wrap',
            title: 'The whole wrap',
            use: 'every area’s outline on the wall as it is',
            wants: [],
            draw: () => wrapTemplate(plan, design),
          },
        ]
      : []),
    ...areas,
    ...plan.fades.flatMap((fade): readonly TemplateOffer[] =>
      fade.laid
        ? [
            {
              id: `fade ${fade.area}`,
              title: `${fade.areaName}, strip of the fade`,
              use: 'where each pot goes, and what is in it',
              wants: [],
              draw: () => fadeStrip(fade, design.fades.find(({ area }) => area === fade.area)?.overlap ?? 0, cup),
            },
          ]
        : [],
    ),
    ...(bands.length > 1
      ? [
          {
            id: 'heights',
            title: 'Heights of the bands',
            use: 'a strip to lay beside the cup',
            wants: [],
            draw: () => heightsTemplate(bands, cup),
          },
        ]
      : []),
    ...(sections.length > 0
      ? [
          {
            id: 'marks',
            title: 'Marks for the sections',
            use: 'ticks for foot and rim',
            wants: [],
            draw: () => marksTemplate(lines, cup, coatedHeight(cup)),
          },
        ]
      : []),
    ...(cupKinds[cup.shape].underside
      ? [{ id: 'base', title: 'Base disc', use: 'fold lines find the centre', wants: [], draw: () => baseTemplate(cup) }]
      : []),
    ...design.coats.flatMap((coat) => pieceOffers(coat, cup)),
  ];
}

/** Of coats that are cut out of film. */
function pieceOffers(coat: Coat, cup: Cup): readonly TemplateOffer[] {
  switch (coat.kind) {
    case 'decal':
    case 'sheet':
      return [
        {
          id: `${coat.kind} ${coat.id}`,
          title: `${coat.name}, ${coat.kind}`,
          use: 'true size, with slits where it needs them',
          wants: [],
          draw: () => decalTemplate(coat.name, coat satisfies Decal, cup.stations, coat.kind === 'decal' ? coat.outline : null),
        },
      ];
    case 'strip':
      return [
        {
          id: `strip ${coat.id}`,
          title: `Strip at ${coat.centre} mm`,
          use: 'laid once round, ends overlapping; curved where the wall leans',
          wants: ['overlap'],
          draw: ({ overlap }) => laidStripTemplate(coat, cup, overlap),
        },
      ];
    default:
      return [];
  }
}

function areaOffers(area: Area, planned: PlannedArea, design: Design): readonly TemplateOffer[] {
  const { cup } = design;
  const outline: TemplateOffer = {
    id: `area ${area.id}`,
    title: `${area.name}, outline`,
    use: area.kind === 'window' ? 'the flat motif' : 'its own shape, to cut a mask from',
    wants: [],
    draw: () => outlineTemplate(area, planned, design),
  };
  const film: TemplateOffer = {
    id: `film ${area.id}`,
    title: `${area.name}, outline film`,
    use: 'a thin film over the gap round it',
    wants: ['gap'],
    draw: ({ gap }) => filmTemplate(area, outlineTemplate(area, planned, design), gap),
  };
  if (area.kind !== 'band') return [outline, film];
  return [
    outline,
    {
      id: `strip ${area.id}`,
      title: `${area.name}, strip`,
      use: 'laid round the cup, ends overlapping',
      wants: ['overlap', 'straight'],
      draw: (wishes) => stripTemplate(area, cup, wishes),
    },
    ...(['lower', 'upper'] as const)
      .filter((side) => area[side].teeth !== null)
      .map((side): TemplateOffer => ({
        id: `${side} ${area.id}`,
        title: `${area.name}, ${side} edge`,
        use: 'its teeth, to tape along',
        wants: ['overlap'],
        draw: (wishes) => edgeTemplate(area, side, cup, wishes),
      })),
    film,
  ];
}

function wrapTemplate(plan: Plan, design: Design): Template {
  const { stations } = design.cup;
  const parts = plan.areas.areas.map(({ region }) => flatPieces(region, stations));
  const numbers = [...new Set(parts.flat().map(({ number }) => number))].sort((a, b) => a - b);
  return {
    title: 'The whole wrap',
    says: [
      numbers.length > 1
        ? 'The wall bends, so it comes piece by piece; join them at the ticks with the same letters.'
        : 'Both sides are the seam.',
    ],
    warns: null,
    sheets: numbers.map((number) => {
      const here = parts.flat().filter((piece) => piece.number === number);
      const title = here[0].of === 1 ? 'The whole wrap' : `The whole wrap, part ${number} of ${here[0].of}`;
      return sheetAround(
        title,
        here.flatMap(({ lines }) => lines),
        here[0].words,
      );
    }),
  };
}

function outlineTemplate(area: Area, planned: PlannedArea, design: Design): Template {
  const title = `${area.name}, outline`;
  if (area.kind === 'window')
    return {
      title,
      says: [`Laid at ${area.angle}° from the seam; turn it as planned.`],
      warns: null,
      sheets: [motifSheet(area.name, area)],
    };
  const pieces = flatPieces(wholeOutlines(planned.own), design.cup.stations);
  const sheets = pieces.map((piece): TemplateSheet =>
    sheetAround(piece.of === 1 ? area.name : `${area.name}, part ${piece.number} of ${piece.of}`, piece.lines, piece.words),
  );
  if (area.kind !== 'scatter') return { title, says: [], warns: null, sheets };
  return {
    title,
    says: [
      `The first sheet is one ${outlineName(area.outline)} alone; the others show where each of the ${planned.motifs?.placed ?? 0} lies.`,
    ],
    warns: null,
    sheets: [motifSheet(`One ${outlineName(area.outline)}`, area), ...sheets],
  };
}

function motifSheet(title: string, area: AreaOf<'window'> | AreaOf<'scatter'>): TemplateSheet {
  const lines = shapeOf(area.outline).flatMap((polygon) =>
    polygon.map((ring): TemplateLine => ({
      role: 'cut',
      points: ring.map(([x, y]) => [x * area.width, -y * area.width] as const),
      closed: true,
    })),
  );
  return sheetAround(title, lines);
}

const filmTemplate = (area: Area, outline: Template, gap: number): Template => ({
  title: `${area.name}, outline film`,
  says: [
    `Reaches ${(gap + FILM_HOLD).toFixed(1)} mm out, the gap of ${gap} mm and ${FILM_HOLD} mm more, and ${FILM_HOLD} mm in.`,
  ],
  warns: null,
  sheets: outline.sheets.map((sheet) =>
    sheetAround(
      sheet.title,
      outlineFilm(
        sheet.lines.filter(({ closed }) => closed),
        gap,
      ),
      [],
      3,
    ),
  ),
});
