import { useEffect, useState } from "react";
import { Refused } from "../../api/client";

const SECOND = 1_000;

/** A PIN that is being typed, what was wrong with the last one, and how long the next has to wait. */
export function usePinTry() {
  const [typed, setTyped] = useState("");
  const [fault, setFault] = useState("");
  const [left, setLeft] = useState(0);
  useEffect(() => {
    if (left <= 0) return;
    const tick = setTimeout(() => setLeft(left - 1), SECOND);
    return () => clearTimeout(tick);
  }, [left]);
  return {
    typed,
    type: setTyped,
    fault,
    /** Seconds until the next is tried. */
    left,
    clear: () => {
      setTyped("");
      setFault("");
      setLeft(0);
    },
    refused: (e: unknown) => {
      setTyped("");
      setFault(e instanceof Error ? e.message : "");
      setLeft(e instanceof Refused ? e.tries.waitSeconds : 0);
    },
  };
}
