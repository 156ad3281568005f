/** Said on every card and never in the way. Aurantia informs; the label, local codes and licensed practice decide. */
export const healthNotes: readonly string[] = [
  'Nitrile gloves, eye protection and fresh air for resin; a respirator for organic vapour with sprays, for dust with sanding.',
  'Spray outdoors or in a booth, no flame near wet spray, ink or alcohol. Sand wet rather than dry.',
  'No food, children or animals near the bench. Dry solvent rags outdoors; burn paper edges only over a metal tray with water at hand.',
  '“Cured” isn’t “food-safe”: resin stays off the lip and the inside. Small parts have no place on a child’s cup.',
  'Labels and data sheets come first. Rules for selling, food contact and children’s products differ by place: ask the authority there.',
];
