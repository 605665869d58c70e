import { useCallback, useState } from "react";

/** What was typed under a key and not recorded yet; empty where nothing was. */
export function heldDraft(key: string): string {
  return localStorage.getItem(`isokinon.draft.${key}`) ?? "";
}

/** Forgets what was typed under a key. */
export function dropDraft(key: string): void {
  localStorage.removeItem(`isokinon.draft.${key}`);
}

/** Typed text that survives a reload, kept under {@code key} until it is recorded. */
export function useDraft(key: string): [string, (text: string) => void, () => void] {
  const shelf = `isokinon.draft.${key}`;
  const [held, setHeld] = useState({ shelf, text: localStorage.getItem(shelf) ?? "" });
  const text = held.shelf === shelf ? held.text : (localStorage.getItem(shelf) ?? "");
  const write = useCallback(
    (next: string) => {
      if (next) localStorage.setItem(shelf, next);
      else localStorage.removeItem(shelf);
      setHeld({ shelf, text: next });
    },
    [shelf],
  );
  const clear = useCallback(() => write(""), [write]);
  return [text, write, clear];
}
