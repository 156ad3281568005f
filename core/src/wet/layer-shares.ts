/* How much of a film's flow is the colour that floats on it, by the lower layer's share of the thickness. */

/** Where the flow is driven all through it (levelling, its own weight): `1 − 3/2·s² + 1/2·s³`. */
export const levelledShare = (lower: number): number => 1 - 1.5 * lower * lower + 0.5 * lower * lower * lower;

/** Where the surface is dragged along, as warm air does: `1 − s²`. */
export const draggedShare = (lower: number): number => 1 - lower * lower;

/**
 * Of the drift against the turn. Weight pulls a turning wall now this way, now that; over a whole turn the first order of it
 * comes to nothing, and what is left is that it goes further where it is thicker: a drift of `M′M/2Rω` of the whole film (M its
 * flow per pull), and of its upper layer `(∂ₐM_b·M_a + ∂_bM_b·M_b)/2Rω`.
 */
export function driftingShare(lower: number): number {
  // In units of the film's thickness: what either layer's flow is, and how the upper's grows with each.
  const under = (lower * lower) / 2 - (lower * lower * lower) / 6;
  const over = 1 / 3 - under;
  return 3 * ((1 - lower) * under + (1 - (lower * lower) / 2) * over);
}

/** How many times as fast as the whole film its very surface goes: what the shares of a thin layer come to. */
export const SURFACE = { levelled: 1.5, drifting: 1.75, dragged: 2 } as const;
