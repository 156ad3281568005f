/** How a flake's face takes light. */
export const finishes = ['metallic', 'matte', 'holographic', 'neon', 'glow', 'clear'] as const;
export type Finish = (typeof finishes)[number];
