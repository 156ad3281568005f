export { coatKinds } from './coat-kinds';
export { openInThisRoom, type CoatContext, type CoatKind, type FadedBase, type StartingPoint } from './coat-kind';
export { bareGrounds, type Ground, type Grounds } from './ground';
export type { PlannedPart, ReadyBlend, UnsurePart } from './ready-blend';
export * from './planned-coat';
export { stepsOf, type Step } from './lay-coats';
export { rememberedLight, type Light } from './light';
export { heldDepth } from './glitter';
export * from './change-coats';
