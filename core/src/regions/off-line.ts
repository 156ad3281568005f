type Flat = readonly [x: number, y: number];

/** How far a place is from the nearest point of a straight line between two others, all in the same flat measure. */
export function offLine([x, y]: Flat, [fromX, fromY]: Flat, [toX, toY]: Flat): number {
  const [alongX, alongY] = [toX - fromX, toY - fromY];
  const length = alongX ** 2 + alongY ** 2;
  const share = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - fromX) * alongX + (y - fromY) * alongY) / length));
  return Math.hypot(x - fromX - share * alongX, y - fromY - share * alongY);
}
