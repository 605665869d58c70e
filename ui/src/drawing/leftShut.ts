import type { RailPart } from "../api/types";

/** Whether the job leaves a part where it is, unopened: nothing is known of it and nothing reaches it. */
export function isLeftShut(part: Pick<RailPart, "reached" | "state">): boolean {
  return !part.reached && part.state === "unknown";
}
