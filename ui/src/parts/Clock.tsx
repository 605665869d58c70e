import { useEffect, useState } from "react";

/** Seconds until an instant, counted down while it is looked at; 0 once it is over. */
export function useLeft(until: string | null): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (until === null) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [until]);
  return until === null ? 0 : Math.max(0, (Date.parse(until) - now) / 1000);
}

/** Seconds as a clock shows them: 4:05, or 23:10 h. */
export function countdown(seconds: number): string {
  const s = Math.ceil(seconds);
  return s < 3600
    ? `${Math.floor(s / 60)}:${String(s % 60).padStart(2, "0")}`
    : `${Math.floor(s / 3600)}:${String(Math.floor((s % 3600) / 60)).padStart(2, "0")} h`;
}

/** A dial that empties as the time runs. */
export function Dial({ share, size = 34 }: { share: number; size?: number }) {
  const a = share * 2 * Math.PI - Math.PI / 2;
  return (
    <svg width={size} height={size} viewBox="0 0 34 34" aria-hidden>
      <circle cx="17" cy="17" r="14" fill="var(--card)" stroke="var(--accent)" strokeWidth="2" />
      {share > 0 && share < 1 && (
        <path
          d={`M17,17V3A14,14 0 ${share > 0.5 ? 1 : 0} 1 ${17 + 14 * Math.cos(a)},${17 + 14 * Math.sin(a)}Z`}
          fill="var(--accent)"
        />
      )}
      {share >= 1 && <circle cx="17" cy="17" r="14" fill="var(--sound)" />}
    </svg>
  );
}
