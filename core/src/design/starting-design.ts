import type { Cup } from '../vessel';
import type { Design } from './design';
import type { DesignId } from './design-id';
import { DESIGN_VERSION } from './upgrade';

/** A fresh design on a cup: nothing decided but the cup. */
export function startingDesign(id: string, name: string, cup: Cup): Design {
  return { version: DESIGN_VERSION, id: id as DesignId, name, note: '', cup, areas: [], blends: [], fades: [], coats: [] };
}
