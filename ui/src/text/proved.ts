import { counted } from "./counted";

interface Proof {
  optimal: boolean;
  mostPosesOff: number;
  mostToolsOff: number;
}

/** Whether a plan is the best there is, or how far it can be off, to follow a comma. */
export function proved({ optimal, mostPosesOff, mostToolsOff }: Proof): string {
  if (optimal) return "none better";
  const off = [
    mostPosesOff > 0 ? counted(mostPosesOff, "pose change") : "",
    mostToolsOff > 0 ? counted(mostToolsOff, "tool change") : "",
  ].filter(Boolean);
  return off.length === 0 ? "not proved the best" : `at most ${off.join(" and ")} more than the best`;
}
