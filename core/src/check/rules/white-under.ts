import { labOf, reflectanceOf, type Lab } from '../../colour';
import { itemOf } from '../../stock';
import { listText } from '../../units';
import type { Rule } from '../finding';

/** L* of a ground from which on yellow and neon are as bright as they can be. */
const WHITE = 85;
/** The share left bare from which on gaps are part of the colour. */
const GAPS = 0.1;

const isYellow = ([lightness, a, b]: Lab): boolean => lightness > 60 && b > 35 && Math.atan2(b, a) > Math.PI / 3;

/** Yellow or neon flakes that let a dull ground through. */
export const whiteUnder: Rule = {
  name: 'white under yellow and neon',
  find: ({ blends, workshop: { shelf } }) => {
    const dull = blends.filter(({ parts, under, bare, passes }) => {
      const [lightness] = labOf(reflectanceOf(under));
      if (passes === 0 || lightness >= WHITE) return false;
      return parts.some(({ item }) => {
        const jar = itemOf(shelf, item, 'glitter');
        // Gold is metal, not yellow: it shines by itself.
        const dull = jar?.finish === 'metallic' || jar?.finish === 'holographic';
        if (!jar || dull || (jar.finish !== 'neon' && !isYellow(labOf(reflectanceOf(jar.flake.colour))))) return false;
        return bare > GAPS || jar.flake.kind !== 'solid' || jar.flake.opacity < 1;
      });
    });
    if (dull.length === 0) return [];
    return [
      {
        level: 'tip',
        coat: null,
        area: null,
        says: `Yellow or neon flakes let a dull ground through on ${listText(dull.map(({ areaName }) => areaName))}.`,
        why: 'What comes back up through them is what makes them glow; over white they are brightest.',
        fix: null,
      },
    ];
  },
};
