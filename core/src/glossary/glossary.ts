/** Words of the trade and of ours, each explained in a line: the one list that screens and help read. */
export const glossary = {
  cut: 'How wide a flake is, flat to flat.',
  spoon: 'The smallest measure you use; all amounts come in whole spoons.',
  pour: 'What goes on in one pass, excess included.',
  excess: 'What a pass pours and the glue doesn’t hold. It is tapped off and goes back.',
  face: 'The share of a glitter in what faces you on the cup.',
  bare: 'The share of an area that no flake covers: the base shows there.',
  deep: 'How many flakes lie over each point on average. 3 deep leaves 5 % bare.',
  ΔE: 'How far apart two colours are to the eye (ΔE00). Under 2 hardly anyone sees it, over 10 all do from across a table.',
  load: 'How much of the tinted resin is colour, by volume.',
  film: 'How thick one coat lies.',
  gloss: 'What cured resin’s own face does to the colours under it: they look deeper, and black a little greyer.',
  pot: 'One mixing cup of a fade, with what is strewn out of it.',
  fade: 'Any gradual change of colour: between glitters, by thinning out, or of the base under them.',
  ring: 'Colours side by side all the way round the cup.',
  'working time': 'How long a glue takes glitter, or a mix of resin can be spread, in this room.',
} as const;

export type Term = keyof typeof glossary;
