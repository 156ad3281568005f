import type { Coat, CoatKindName } from '../design';
import { base } from './base';
import type { CoatContext, CoatKind, LaidCoat } from './coat-kind';
import { buff } from './buff';
import { crackle } from './crackle';
import { dab } from './dab';
import { decal } from './decal';
import { floated } from './floated';
import { foil } from './foil';
import { grain } from './grain';
import { mask } from './mask';
import { outline } from './outline';
import { paper } from './paper';
import { paste } from './paste';
import { pearl } from './pearl';
import { rim } from './rim';
import { sheet } from './sheet';
import { sprinkle } from './sprinkle';
import { strip } from './strip';
import { strings } from './strings';
import { tag } from './tag';
import { unmask } from './unmask';
import { glitter } from './glitter';
import { glue } from './glue';
import type { Grounds } from './ground';
import { ink } from './ink';
import { prep } from './prep';
import { press } from './press';
import { resin } from './resin';
import { rest } from './rest';
import { sand } from './sand';
import { seal } from './seal';

/** Every kind of coat, in the usual order of work. */
export const coatKinds = {
  prep,
  base,
  pearl,
  mask,
  glue,
  glitter,
  sprinkle,
  buff,
  press,
  unmask,
  seal,
  resin,
  sand,
  rim,
  ink,
  strings,
  dab,
  grain,
  crackle,
  floated,
  strip,
  outline,
  paper,
  foil,
  paste,
  decal,
  sheet,
  tag,
  rest,
} satisfies {
  [Kind in CoatKindName]: CoatKind<Kind>;
};

/** Lays one coat, whatever its kind. */
export function layCoat(coat: Coat, grounds: Grounds, context: CoatContext): LaidCoat {
  // The kind's own `lay` takes exactly this coat; the union can't say so to the compiler.
  const kind = coatKinds[coat.kind] as unknown as CoatKind<CoatKindName>;
  return kind.lay(coat as never, grounds, context);
}
