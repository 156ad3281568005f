import type { AreaKind } from './area-kind';

/** A kind of area that isn't on the wall: it has a size, but no place to move to. */
export const offTheWall = <One extends { readonly kind: string }>(
  kind: One['kind'],
  name: string,
  explains: string,
): AreaKind<One> => ({
  kind,
  name,
  explains,
  single: true,
  start: () => ({ kind }) as unknown as Omit<One, 'id' | 'name' | 'locked' | 'masked'>,
  weight: () => 5,
  shape: () => [],
  faults: () => [],
  widths: () => null,
  handles: () => [],
  moved: (area) => area,
  withLevels: (area) => area,
  aside: (area) => area,
  mirrored: () => null,
  squeezed: (area) => area,
  words: () => explains,
  figures: () => [],
});
