import type { ActRequest } from "./types";

/**
 * Acts that could not be sent, kept in the browser until they are. One rebuild has at most one
 * waiting: what comes next depends on the answer.
 */
const shelf = (rebuild: string) => `isokinon.outbox.${rebuild}`;

export function waiting(rebuild: string): ActRequest | null {
  const stored = localStorage.getItem(shelf(rebuild));
  return stored ? (JSON.parse(stored) as ActRequest) : null;
}

export function keep(rebuild: string, act: ActRequest): void {
  localStorage.setItem(shelf(rebuild), JSON.stringify(act));
}

export function sent(rebuild: string): void {
  localStorage.removeItem(shelf(rebuild));
}

/** A key for an act, also where the page is not served over a secure address. */
export function newKey(): string {
  if (typeof crypto.randomUUID === "function") return crypto.randomUUID();
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40;
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80;
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
  return [0, 8, 12, 16, 20].map((from, i) => hex.slice(from, [8, 12, 16, 20, 32][i])).join("-");
}
