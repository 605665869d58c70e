import { useEffect, type ReactNode } from "react";

const MOST_DIGITS = 6;
const LEAST_DIGITS = 4;

interface KeyPadProps {
  typed: string;
  onType: (typed: string) => void;
  /** What the last key says. */
  enter: ReactNode;
  onEnter: () => void;
  /** Nothing is taken for the moment. */
  shut: boolean;
  /** Six columns for a narrow place beside other things; three for a gloved hand. */
  wide?: boolean;
}

const onAKey = (target: EventTarget | null) => target instanceof Element && target.closest("[data-keys]") !== null;

/** Four to six digits on large keys, or on those of a keyboard. */
export function KeyPad({ typed, onType, enter, onEnter, shut, wide = false }: KeyPadProps) {
  const ready = typed.length >= LEAST_DIGITS && !shut;
  useEffect(() => {
    const pressed = (e: KeyboardEvent) => {
      if (shut || e.ctrlKey || e.metaKey || e.altKey) return;
      const elsewhere = e.target instanceof HTMLInputElement || e.target instanceof HTMLSelectElement;
      if (elsewhere) return;
      if (/^[0-9]$/.test(e.key) && typed.length < MOST_DIGITS) onType(typed + e.key);
      else if (e.key === "Backspace") onType(typed.slice(0, -1));
      else if (e.key === "Enter" && typed.length >= LEAST_DIGITS && !onAKey(e.target)) onEnter();
      else return;
      e.preventDefault();
    };
    addEventListener("keydown", pressed);
    return () => removeEventListener("keydown", pressed);
  }, [typed, shut, onType, onEnter]);
  const key = "m flex items-center justify-center border border-ink bg-paper font-semibold disabled:text-muted";
  const size = wide ? "min-h-[60px] text-head" : "min-h-[72px] text-tag";
  const digit = (d: string) => (
    <button
      key={d}
      type="button"
      className={`${key} ${size} active:bg-wash`}
      disabled={shut}
      onClick={() => typed.length < MOST_DIGITS && onType(typed + d)}
    >
      {d}
    </button>
  );
  const back = (
    <button
      type="button"
      aria-label="One back"
      className={`${key} ${size} flex-col`}
      disabled={shut || typed === ""}
      onClick={() => onType(typed.slice(0, -1))}
    >
      <svg width="36" height="20" viewBox="0 0 36 20" fill="none" stroke="currentColor" strokeWidth="1.8" aria-hidden>
        <path d="M34,10H3M12,1L3,10L12,19" />
      </svg>
    </button>
  );
  const go = (
    <button
      type="button"
      className={`flex items-center justify-center border-2 px-2 text-lead leading-5 font-[700] ${wide ? "min-h-[60px]" : "min-h-[72px]"} ${
        ready ? "border-accent bg-go text-go-words" : "border-dashed border-muted text-soft"
      }`}
      disabled={!ready}
      onClick={onEnter}
    >
      {enter}
    </button>
  );
  return wide ? (
    <div className="grid grid-cols-6 gap-1.5" data-keys>
      {["1", "2", "3", "4", "5"].map(digit)}
      {back}
      {["6", "7", "8", "9", "0"].map(digit)}
      {go}
    </div>
  ) : (
    <div className="grid flex-1 auto-rows-fr grid-cols-3 gap-2" data-keys>
      {["1", "2", "3", "4", "5", "6", "7", "8", "9"].map(digit)}
      {back}
      {digit("0")}
      {go}
    </div>
  );
}

/** How many digits are typed, as bolts that are run in; which ones is not shown. */
export function Typed({ count, small = false }: { count: number; small?: boolean }) {
  const width = small ? 34 : 50;
  return (
    <div className="flex justify-between gap-1.5" role="status" aria-label={`${count} digits typed`}>
      {Array.from({ length: MOST_DIGITS }, (_, i) => (
        <svg key={i} width={width} height={width * 0.86} viewBox="0 0 50 43" aria-hidden>
          <path
            d="M1.5,21.5L13,1.5H37L48.5,21.5L37,41.5H13Z"
            fill={i < count ? "var(--ink)" : "none"}
            stroke={i < count ? "var(--ink)" : i === count ? "var(--accent)" : "var(--muted)"}
            strokeWidth={i === count ? 2.6 : 1.4}
            {...(i >= LEAST_DIGITS && i !== count && i >= count ? { strokeDasharray: "3 3" } : {})}
          />
          {i < count && <circle cx="25" cy="21.5" r="8" fill="var(--card)" />}
          {i === count && <path d="M25,11V32" stroke="var(--accent)" strokeWidth="2.6" />}
        </svg>
      ))}
    </div>
  );
}
