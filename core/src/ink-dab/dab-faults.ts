import { deltaE2000, labOf, reflectanceOf, type Lab } from '../colour';
import { MOST_DROPS } from '../ink';
import { percentText } from '../units';
import { DabError, dabLoad, type InkDab } from './ink-dab';

const lab = (hex: string): Lab => labOf(reflectanceOf(hex));

/** A card is lighter, a line darker than this, L*. */
const CARD = 70;
const LINE = 45;
/** ΔE00 that a dab must differ by from what it lies on to be measured by. */
const SEEN = 3;
/** % of the resin at which a dab is more ink than resin. */
const MOST_LOAD = 20;

/** @throws DabError where nothing can be learnt from a dab */
export function checkDab(dab: InkDab): void {
  const fault = faultOf(dab);
  if (fault !== null) throw new DabError(fault);
}

function faultOf(dab: InkDab): string | null {
  const { drops, dropMl, resinMl, film, white, overWhite, black, overBlack, type } = dab;
  if (!(Number.isInteger(drops) && drops >= 1)) return 'Count whole drops or scoops, one at least.';
  if (drops > MOST_DROPS) return `Over ${MOST_DROPS} drops nobody counts right. Take a smaller dab.`;
  if (!(dropMl > 0)) return 'Say first how much one drop or scoop is: it stands among the ink’s figures.';
  if (!(resinMl >= 0.5 && resinMl <= 200)) return 'Take 0.5 to 200 ml of mixed resin.';
  if (!(film >= 0.05 && film <= 2)) return 'A dab is 0.05 to 2 mm thick. Measure its film again.';
  const load = dabLoad(dab);
  if (load > MOST_LOAD)
    return `That is ${percentText(load / 100)} of ink: such resin stays soft. Take more resin or fewer drops.`;
  if (lab(white)[0] < CARD)
    return 'The card is too dark to measure by. Pick it where it is bare and evenly lit, or take whiter paper.';
  if (overBlack !== null && lab(black)[0] > LINE)
    return 'The line isn’t dark enough to measure by. Draw it twice with a black marker, or leave it out.';
  if (type === 'pearl')
    return overBlack === null
      ? 'A pearl shows over dark and hardly over white: give its colour over the black line.'
      : unlike(overBlack, black, 'line');
  return unlike(overWhite, white, 'card');
}

const unlike = (dab: string, under: string, what: 'card' | 'line'): string | null =>
  deltaE2000(lab(dab), lab(under)) < SEEN ? `The dab can’t be told from the ${what}. Stir in more, or lay it thicker.` : null;
