import type { GlueWay } from './shelf-item';

/**
 * What makers know of each way to make glitter stick. Film in mm where a wet amount can be measured; `wet` mm that it takes
 * of its own bottle, what goes past a cup counted; `hold` in flakes
 * deep a pass, until it is weighed on a cup. */
export const glueWayFacts = {
  'resin wipe': {
    hold: 2.4,
    openFor: '30 min or more',
    title: 'Thin resin wipe',
    wet: 0,
    film: 0.04,
    onceDry: 'cures under the glitter',
    chunky: true,
    fades: true,
  },
  'tacky coat': {
    hold: 2.0,
    openFor: 'hours',
    title: 'Tacky coat',
    wet: 0.06,
    film: null,
    onceDry: 'two coats thinned 1:1 with water, dry between',
    chunky: false,
    fades: true,
  },
  'brush-on': {
    hold: 1.4,
    openFor: '3–5 min',
    title: 'Brush-on glue',
    wet: 0.08,
    film: null,
    onceDry: 'a second coat only once the first is dry',
    chunky: true,
    fades: false,
  },
  'spray adhesive': {
    hold: 1.2,
    openFor: '2–5 min, re-sprayed',
    title: 'Spray adhesive',
    wet: 0.07,
    film: null,
    onceDry: 're-spray as it goes off',
    chunky: true,
    fades: false,
  },
  'clear spray': {
    hold: 0.9,
    openFor: '1–2 min',
    title: 'Clear spray as glue',
    wet: 0.05,
    film: null,
    onceDry: 're-spray for every pass',
    chunky: false,
    fades: true,
  },
  tape: {
    hold: 1.3,
    openFor: 'any time',
    title: 'Double-stick tape',
    wet: 0,
    film: null,
    onceDry: 'give it a second pass with another glue',
    chunky: true,
    fades: false,
  },
  drawn: {
    hold: 1.8,
    openFor: '5–10 min',
    title: 'Glue drawn by brush or needle',
    wet: 0.1,
    film: null,
    onceDry: 'draw no more than dries in its open time',
    chunky: true,
    fades: false,
  },
} as const satisfies Record<
  GlueWay,
  {
    hold: number;
    openFor: string;
    title: string;
    film: number | null;
    wet: number;
    onceDry: string;
    chunky: boolean;
    fades: boolean;
  }
>;
