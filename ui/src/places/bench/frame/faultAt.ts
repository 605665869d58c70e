import type { Fault } from "../../../api/types";

/** What is wrong at one of these fields. */
export function faultAt(faults: Fault[], ...paths: string[]): string | undefined {
  return faults.find((f) => paths.includes(f.path))?.message;
}
