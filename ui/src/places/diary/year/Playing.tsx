import type { YearRunView } from "../../../api/types";
import { thousands } from "../../../text/numbers";

/** How far a year has come, and the way to stop it. */
export function Playing({ run, stop }: { run: YearRunView | undefined; stop: () => void }) {
  const [done, of] = [run?.done ?? 0, run?.of ?? 1];
  const share = Math.min(1, done / Math.max(1, of));
  return (
    <div role="status" aria-label="Playing the year" className="flex items-end gap-4">
      <div className="min-w-0 flex-1">
        <p className="text-body font-[640]">
          {run ? `${thousands(done)} of ${thousands(of)} years so far` : "Reading the shop"}
        </p>
        <svg width="100%" height="14" className="mt-1 block" aria-hidden>
          <path d="M0,7H3000" stroke="var(--line)" strokeWidth="2" />
          <rect x="0" y="4" height="6" width={`${(100 * share).toFixed(1)}%`} fill="var(--ink)" />
        </svg>
      </div>
      <button type="button" className="press px-6" onClick={stop}>
        Cancel
      </button>
    </div>
  );
}
