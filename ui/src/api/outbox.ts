import type { ActRequest } from "./types";

/** An act that could not be sent, and whose it is: it is sent for nobody else. */
export interface Waiting {
  act: ActRequest;
  who: string;
}

/**
 * Acts that could not be sent, kept in the browser until they are. One rebuild has at most one
 * waiting: what comes next depends on the answer.
 */
const shelf = (rebuild: string) => `isokinon.outbox.${rebuild}`;

export function waiting(rebuild: string): Waiting | null {
  const stored = localStorage.getItem(shelf(rebuild));
  if (!stored) return null;
  const kept = JSON.parse(stored) as Waiting | (ActRequest & { who: string });
  // before people signed in, the act itself said whose it was
  return "key" in kept ? { act: kept, who: kept.who } : kept;
}

/** Keeps an act; never one that another person signed for, whose PIN would be kept with it. */
export function keep(rebuild: string, waits: Waiting): void {
  localStorage.setItem(shelf(rebuild), JSON.stringify(waits));
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
