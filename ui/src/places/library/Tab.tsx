import type { ReactNode } from "react";

/** Chooses one of a few views that are shown in turn. */
export function Tab({ on, onPress, children }: { on: boolean; onPress: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      className={`min-h-12 border-b-[3px] px-0.5 text-body font-[640] ${on ? "border-accent text-ink" : "border-transparent text-muted"}`}
      onClick={onPress}
    >
      {children}
    </button>
  );
}
