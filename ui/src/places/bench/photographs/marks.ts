import type { PhotographMark } from "../../../api/types";

/** A place on a picture, pixels from its left and its top. */
export interface Place {
  x: number;
  y: number;
}

const share = (at: number, of: number) => Math.min(1, Math.max(0, at / of));

/** The mark that a finger drew from one place to another; nothing where it only touched. */
export function drawn(
  shape: PhotographMark["shape"],
  from: Place,
  to: Place,
  size: { width: number; height: number },
): PhotographMark | null {
  if (Math.hypot(to.x - from.x, to.y - from.y) < 0.02 * Math.max(size.width, size.height)) return null;
  return {
    shape,
    fromX: share(from.x, size.width),
    fromY: share(from.y, size.height),
    toX: share(to.x, size.width),
    toY: share(to.y, size.height),
    label: "",
  };
}

/** The path of a mark on a picture of this size: a ring within its box, or an arrow to where it ends. */
export function path(m: PhotographMark, width: number, height: number): string {
  const [x1, y1, x2, y2] = [m.fromX * width, m.fromY * height, m.toX * width, m.toY * height];
  if (m.shape === "ring") {
    const [rx, ry] = [Math.abs(x2 - x1) / 2, Math.abs(y2 - y1) / 2];
    const [cx, cy] = [(x1 + x2) / 2, (y1 + y2) / 2];
    return `M${cx - rx},${cy}a${rx},${ry} 0 1 0 ${2 * rx},0a${rx},${ry} 0 1 0 ${-2 * rx},0`;
  }
  const head = 0.045 * Math.max(width, height);
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const barb = (turn: number) =>
    `${(x2 - head * Math.cos(angle + turn)).toFixed(1)},${(y2 - head * Math.sin(angle + turn)).toFixed(1)}`;
  return `M${x1},${y1}L${x2},${y2}M${barb(0.5)}L${x2},${y2}L${barb(-0.5)}`;
}
