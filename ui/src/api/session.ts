import { useSyncExternalStore } from "react";
import { show } from "../text/shownIn";
import type { Session } from "./types";

/** Who stands at this device: as the server said last, and whether the page is locked over it. */
export interface Standing {
  /** Null until the server has said it once. */
  session: Session | null;
  /** Who stood here last; what waits belongs to this person. */
  last: string;
  /** The page is covered until somebody signs in. */
  locked: boolean;
}

let standing: Standing = { session: null, last: "", locked: false };
const listeners = new Set<() => void>();
let waiting: (() => void)[] = [];
let signedIn = 0;

/** How often somebody has signed in here: a refusal of a question from before says nothing of now. */
export const timesSignedIn = (): number => signedIn;

function set(next: Standing) {
  standing = next;
  listeners.forEach((tell) => tell());
}

/** What the server says of this device. */
export function heard(session: Session): void {
  show(session.shownIn);
  const who = session.initials ?? "";
  set({ session, last: who || standing.last, locked: !who });
  if (who) {
    signedIn++;
    const go = waiting;
    waiting = [];
    go.forEach((one) => one());
  }
}

/** The same person stands here still: what lies over the page stays over it. */
export function heardAgain(session: Session): void {
  show(session.shownIn);
  if (session.initials === standing.session?.initials) set({ ...standing, session });
  else heard(session);
}

/** Covers the page; what is on it stays as it is. */
export function cover(): void {
  if (!standing.locked) set({ ...standing, locked: true });
}

/** Uncovers it for the person who stands here still. */
export function uncover(): void {
  if (standing.session?.initials) set({ ...standing, locked: false });
}

/** The server knows nobody here any more: covers the page and waits until somebody has signed in. */
export function signedInAgain(): Promise<void> {
  const session = standing.session && { ...standing.session, initials: null, rights: [] };
  set({ ...standing, session, locked: true });
  return new Promise((go) => waiting.push(go));
}

/** Who stands here, or stood here last where nobody does. */
export function whoStoodLast(): string {
  return standing.last;
}

export const standingNow = (): Standing => standing;

export function useStanding(): Standing {
  return useSyncExternalStore((tell) => {
    listeners.add(tell);
    return () => listeners.delete(tell);
  }, standingNow);
}
