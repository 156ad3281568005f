import { fadeMeasure, fadeWords, madeFirstWords, overlapWords, passWords, potLine, pouringOrder, surplusWords } from '../formats';
import type { PlannedFade } from '../pots';
import { lengthFigure, metricUnits, wrapText } from '../units';
import { wallLength, type Cup } from '../vessel';
import { mark, sheetAround, type Template, type TemplateLine, type TemplateWords } from './template';

/** mm: room for a recipe beside the marks */
const WIDE = 74;
/** mm: a bound's mark, and where the overlap is drawn */
const TICK = 14;
const LAP = { from: 15, to: 19 } as const;
/** mm from line to line of words, and of the notes beside the strip */
const LINE = 4.2;
const NOTES = { left: WIDE + 6, width: 106, line: 3.9, letters: 84 } as const;

/**
 * A strip of paper to lay beside the cup: where each pot begins and ends, where neighbours lie over each other, and
 * what goes into each, so that the fade can be laid from the strip alone.
 * @param overlap mm
 */
export function fadeStrip(fade: PlannedFade, overlap: number, cup: Cup): Template {
  const pots = fade.laid?.pots ?? [];
  const upright = fade.way === 'up' || fade.way === 'down' || fade.way === 'middle';
  const stretches = pots.flatMap((pot, i) => pot.stretches.map((one) => ({ ...one, pot, number: i + 1 })));
  const high = Math.max(...stretches.map(({ to }) => to));
  // Paper lies along the wall; a strip laid round starts at its top.
  const at = (mm: number) => (upright ? wallLength(cup.stations, 0, high) - wallLength(cup.stations, 0, Math.max(0, mm)) : mm);
  const end = at(upright ? 0 : high);
  const outline: TemplateLine = {
    role: 'cut',
    points: [
      [0, 0],
      [WIDE, 0],
      [WIDE, end],
      [0, end],
      [0, 0],
    ],
    closed: true,
  };
  const bounds = [...new Set([0, ...stretches.flatMap(({ from, to }) => [from, to])].map((mm) => Number(mm.toFixed(1))))];
  const laps = stretches.flatMap(({ strewnFrom, strewnTo, from, to }) => [
    ...(strewnFrom < from - 0.05 ? [lapLine(at(strewnFrom), at(2 * from - strewnFrom))] : []),
    ...(strewnTo > to + 0.05 ? [lapLine(at(2 * to - strewnTo), at(strewnTo))] : []),
  ]);
  const says = [
    `${fade.areaName}: ${fadeWords(fade)}; figures are mm ${fadeMeasure(fade)}. ${upright ? 'Stand the strip beside the cup, or tape it to the wall.' : 'Lay the strip along, its top where the fade begins.'}`,
    `${overlapWords(overlap, metricUnits)} The bars beside the marks show where.`,
    ...[surplusWords(fade, metricUnits)].filter((line) => line !== ''),
    ...madeFirstWords(fade, metricUnits),
    ...pots.map((pot, i) => potLine(pot, i + 1, metricUnits)),
    pouringOrder(fade),
    ...passWords(fade),
  ].filter((sentence) => sentence !== '');
  const notes = says.flatMap((sentence) => wrapText(sentence, NOTES.letters));
  return {
    title: `${fade.areaName}, strip of the fade`,
    says,
    warns: null,
    sheets: [
      sheetAround(
        `${fade.areaName}, strip of the fade`,
        [outline, ...bounds.map((mm) => mark([0, at(mm)], [TICK, at(mm)])), ...laps, notesBox(notes.length)],
        [
          ...bounds.map((mm): TemplateWords => ({
            at: [1.5, at(mm) + (at(mm) < 4 ? 3 : -0.8)],
            text: lengthFigure(mm, metricUnits),
          })),
          ...stretches.flatMap((one) => potWords(one, at)),
          ...notes.map((text, i): TemplateWords => ({ at: [NOTES.left + 3, 5 + i * NOTES.line], text })),
        ],
      ),
    ],
  };
}

const notesBox = (lines: number): TemplateLine => {
  const [right, bottom] = [NOTES.left + NOTES.width, 5 + lines * NOTES.line];
  return {
    role: 'mark',
    points: [
      [NOTES.left, 0],
      [right, 0],
      [right, bottom],
      [NOTES.left, bottom],
      [NOTES.left, 0],
    ],
    closed: true,
  };
};

const lapLine = (from: number, to: number): TemplateLine => ({
  role: 'mark',
  points: [
    [LAP.from, from],
    [LAP.to, from],
    [LAP.to, to],
    [LAP.from, to],
    [LAP.from, from],
  ],
  closed: true,
});

/** A pot's number and spoonfuls, as many lines as its stretch has room for. */
function potWords(
  {
    from,
    to,
    number,
    pot,
  }: {
    from: number;
    to: number;
    number: number;
    pot: PlannedFade['slices'][number] & { spoons: readonly { ml: number; name: string }[]; fromCastOff: number };
  },
  at: (mm: number) => number,
): readonly TemplateWords[] {
  const lines = [
    `Pot ${number}`,
    ...(pot.fromCastOff > 0 ? [`${pot.fromCastOff.toFixed(1)} ml excess before`] : []),
    ...pot.spoons.map(({ ml, name }) => `${ml.toFixed(1)} ml ${name}`),
  ];
  const [top, bottom] = [at(from), at(to)].sort((one, other) => one - other);
  const room = Math.max(1, Math.min(lines.length, Math.floor((bottom - top - 1) / LINE)));
  const shown = room < lines.length ? [`${lines[0]}: ${lines.slice(1).join(' + ')}`] : lines;
  const first = (top + bottom) / 2 - ((shown.length - 1) * LINE) / 2 + 1.2;
  return shown.map((text, i) => ({ at: [LAP.to + 3, first + i * LINE], text: text.slice(0, 60) }));
}
