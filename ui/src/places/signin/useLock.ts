import { useEffect } from "react";
import { api } from "../../api/client";
import { heard, heardAgain } from "../../api/session";
import type { Session } from "../../api/types";

const LOOKED_AT_EVERY_MS = 5_000;
const TOLD_EVERY_MS = 60_000;
const TOUCHES = ["pointerdown", "keydown", "wheel", "touchstart"] as const;

/** Locks the device after a while of nothing, and tells the server now and then that it is in use. */
export function useLock(session: Session | null): void {
  const who = session?.initials ?? "";
  const after = (session?.lockAfterSeconds ?? 0) * 1_000;
  const wall = session?.role === "display";
  useEffect(() => {
    if (!who || wall || after <= 0) return;
    let touched = Date.now();
    let told = touched;
    const touch = () => {
      touched = Date.now();
    };
    const look = setInterval(() => {
      const now = Date.now();
      if (now - touched >= after) {
        void api.lock().then(heard, () => undefined);
      } else if (touched > told && now - told >= TOLD_EVERY_MS) {
        told = now;
        void api.session().then(heardAgain, () => undefined);
      }
    }, LOOKED_AT_EVERY_MS);
    TOUCHES.forEach((t) => addEventListener(t, touch, { passive: true }));
    return () => {
      clearInterval(look);
      TOUCHES.forEach((t) => removeEventListener(t, touch));
    };
  }, [who, wall, after]);
}
