import { useEffect } from "react";

/** Calls {@code then} on a key with a held modifier, wherever the focus is. */
export function useKey(key: string, modifier: "ctrlKey" | "altKey", then: () => void) {
  useEffect(() => {
    const listen = (e: KeyboardEvent) => {
      if (e[modifier] && e.key.toLowerCase() === key.toLowerCase()) {
        e.preventDefault();
        then();
      }
    };
    window.addEventListener("keydown", listen);
    return () => window.removeEventListener("keydown", listen);
  });
}
