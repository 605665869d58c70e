import type { Rail, RailPart } from "../../../api/types";

/** The parts of the drawing that the step in hand takes off or puts on. */
export function inHand(rails: Rail[]): RailPart[] {
  return rails.flatMap((r) => r.lines.flatMap((l) => l.parts)).filter((p) => p.where === "in-hand");
}
