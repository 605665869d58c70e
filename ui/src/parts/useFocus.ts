import { useEffect, useRef, type RefObject } from "react";

/** Puts the focus on an element when it appears, without scrolling the page to it. */
export function useFocus<T extends HTMLElement>(wanted = true): RefObject<T | null> {
  const ref = useRef<T>(null);
  useEffect(() => {
    if (wanted) ref.current?.focus({ preventScroll: true });
  }, [wanted]);
  return ref;
}
