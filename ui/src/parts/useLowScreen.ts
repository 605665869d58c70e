import { useSyncExternalStore } from "react";

/** A tablet of 800 pixels and the like: there is no room for the whole drawing and a long step. */
const LOW = "(max-height: 860px)";

const subscribe = (changed: () => void) => {
  const query = window.matchMedia(LOW);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
};

/** Whether the screen is too low for the whole drawing above a long step. */
export function useLowScreen(): boolean {
  return useSyncExternalStore(subscribe, () => window.matchMedia(LOW).matches);
}
