import { Refused } from "../api/client";
import type { Fault } from "../api/types";

/** What is wrong at one of these fields. */
export function faultAt(faults: Fault[], ...paths: string[]): string | undefined {
  return faults.find((f) => paths.includes(f.path))?.message;
}

/** What was wrong with a request that the server refused; nothing where it did not. */
export function faultsOf(error: Error | null): Fault[] {
  return error instanceof Refused ? error.faults : [];
}
