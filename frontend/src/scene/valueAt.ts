type Points = readonly (readonly number[])[];

/** The height of a line at a place, between the two points around it. */
export function valueAt(points: Points, place: number): number {
  const after = points.findIndex(([at = 0]) => at >= place);
  const [toAt = 0, to = 0] = points.at(after) ?? [];
  if (after <= 0) return to;
  const [fromAt = 0, from = 0] = points[after - 1] ?? [];
  return from + ((to - from) * (place - fromAt)) / (toAt - fromAt);
}
