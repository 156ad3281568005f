import type { GlueWay } from './shelf-item';

/** What makers know of each way to make glitter stick. Film in mm where a wet amount can be measured. */
export const glueWayFacts = {
  'resin wipe': { title: 'Thin resin wipe', film: 0.04, onceDry: 'cures under the glitter', chunky: true, fades: true },
  'tacky coat': {
    title: 'Tacky coat',
    film: null,
    onceDry: 'two coats thinned 1:1 with water, dry between',
    chunky: false,
    fades: true,
  },
  'brush-on': {
    title: 'Brush-on glue',
    film: null,
    onceDry: 'a second coat only once the first is dry',
    chunky: true,
    fades: false,
  },
  'spray adhesive': { title: 'Spray adhesive', film: null, onceDry: 're-spray as it goes off', chunky: true, fades: false },
  'clear spray': { title: 'Clear spray as glue', film: null, onceDry: 're-spray for every pass', chunky: false, fades: true },
  tape: {
    title: 'Double-stick tape',
    film: null,
    onceDry: 'give it a second pass with another glue',
    chunky: true,
    fades: false,
  },
  drawn: {
    title: 'Glue drawn by brush or needle',
    film: null,
    onceDry: 'draw no more than dries in its open time',
    chunky: true,
    fades: false,
  },
} as const satisfies Record<GlueWay, { title: string; film: number | null; onceDry: string; chunky: boolean; fades: boolean }>;
