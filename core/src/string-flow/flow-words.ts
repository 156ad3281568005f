import type { WetMeeting } from '../coats';
import type { CoatOf } from '../design';
import { countText, lengthText, percentText, thicknessText, type Units } from '../units';
import type { WetMeasures } from '../wet';

/** How many times as much at its end as along it a line has a head. */
const HEAD = 1.25;
/** Share of the wall under which nothing is said to have run into each other. */
const HARDLY = 0.005;
/** A share of liveliness that nobody misses. */
const HARDLY_DULLED = 0.1;

/** A figure of how strings lie, with what it is of. */
export interface FlowFigure {
  readonly of: string;
  readonly reads: string;
}

/** What one sees and measures of strings, in words and figures. */
export function flowFigures(
  { way }: CoatOf<'strings'>,
  measures: WetMeasures,
  pots: number,
  units: Units,
): readonly FlowFigure[] {
  const { covers, lines, wide, heads, meets, most, drifted, lost } = measures;
  return [
    { of: 'Covers of the wall', reads: percentText(covers) },
    ...(way === 'up' && wide !== null
      ? [{ of: 'At half the height', reads: `${countText(lines, 'line')}, ${lengthText(wide, units)} wide on average` }]
      : []),
    { of: 'Colour at its thickest', reads: thicknessText(most) },
    ...(way === 'up' ? [{ of: 'Heads', reads: headsText(heads) }] : []),
    ...(pots > 1
      ? [{ of: 'Colours run into each other', reads: meets < HARDLY ? 'hardly' : `on ${percentText(meets)} of the wall` }]
      : []),
    {
      of: 'Drifts against the turn',
      reads: Math.abs(drifted) < 1 ? 'hardly' : lengthText(Math.abs(drifted), units),
    },
    ...(lost > 0.05 ? [{ of: 'Ran off the lower end', reads: `${lost.toFixed(1)} ml` }] : []),
  ];
}

export const headsText = (heads: number): string =>
  heads < HEAD ? 'none' : `${heads.toFixed(1)} times as much at an end as along a line`;

/** Whether two pots may be wet together, by what their meeting comes to. */
export const meetingWords = ({ dulled, mud }: Pick<WetMeeting, 'dulled' | 'mud'>): string => {
  const loses = `${percentText(dulled)} of their liveliness is lost where they meet`;
  if (mud) return `${loses}: mud. Lay one into a coat of its own, once the other has cured.`;
  return dulled < HARDLY_DULLED
    ? 'They stay as lively as they are: they may be wet together.'
    : `${loses}. They may be wet together.`;
};
