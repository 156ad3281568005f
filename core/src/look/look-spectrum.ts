import { glossed, layOver, reflectanceOf, type Spectrum } from '../colour';
import { rainOver } from '../glitter';
import type { Look } from './look';

/** What is seen from afar of all that lies on a place. @param ground hex of what is under a look without a ground of its own */
export const lookSpectrum = (look: Look, ground: string): Spectrum =>
  look.reduce((under, layer) => {
    switch (layer.layer) {
      case 'ground':
        return reflectanceOf(layer.colour);
      case 'flakes':
        return rainOver(layer.flakes, layer.depth, under);
      case 'film':
        return layOver(layer.film, under);
      case 'gloss':
        return glossed(under);
    }
  }, reflectanceOf(ground));
