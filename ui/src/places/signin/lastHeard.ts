import type { Session } from "../../api/types";

const SHELF = "isokinon.session";

/** What the server said of this device when it last answered; null where it never did. */
export function lastHeard(): Session | null {
  const kept = localStorage.getItem(SHELF);
  return kept ? (JSON.parse(kept) as Session) : null;
}

/** Keeps what the server says of this device, for when it is opened where the server is not. */
export function remember(session: Session): void {
  localStorage.setItem(SHELF, JSON.stringify(session));
}
