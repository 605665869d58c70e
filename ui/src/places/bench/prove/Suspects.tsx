import { useState } from "react";
import { Link } from "react-router";
import type { ProofView } from "../../../api/types";
import type { StageProps } from "../frame/stage";

/**
 * What may be behind a test that does not hold: the steps the sheet names, those of this job first,
 * then the likeliest, to be chosen from, and the way to everything else it may be.
 */
export function Suspects({ test: t, view, link }: { test: ProofView } & StageProps) {
  const named = t.backTo.filter((s) => s.reaches);
  const reached = [...named.filter((s) => s.done), ...named.filter((s) => !s.done)];
  const [left, setLeft] = useState<string[]>(reached.slice(1).map((s) => s.step));
  const chosen = reached.filter((s) => !left.includes(s.step));
  const seen = t.shows.map((s) => `&seen=${s}`).join("");
  return (
    <div className="pt-2 pl-8">
      <div className="flex flex-wrap items-center gap-2.5 border-b border-line pb-2">
        <p className="min-w-[200px] flex-1 text-body font-[640]">
          {reached.length > 0 ? "Behind it may be" : "The sheet names no step behind it."}
        </p>
        <Link className="press inline-flex items-center" to={`/symptoms/${view.pump.tag}?job=${view.id}${seen}`}>
          What else it may be
        </Link>
        {reached.length > 0 && (
          <button
            type="button"
            className="press border-renew text-renew"
            disabled={link.busy || chosen.length === 0}
            onClick={() => void link.act({ kind: "SENT_BACK", test: t.id, steps: chosen.map((s) => s.step) })}
            title="The make-safe gate comes first again"
          >
            {chosen.length === 1 ? "Back to that step" : `Back to ${chosen.length} steps`}
          </button>
        )}
      </div>
      <fieldset className="grid grid-cols-2 gap-x-6 max-[900px]:grid-cols-1" aria-label="Steps that may be behind it">
        {reached.map((s) => (
          <label key={s.step} className="flex min-h-12 items-center gap-3 border-b border-line2 py-1">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-accent"
              checked={!left.includes(s.step)}
              onChange={(e) => setLeft(e.target.checked ? left.filter((x) => x !== s.step) : [...left, s.step])}
            />
            <span className="min-w-0 flex-1 text-body leading-[17px] font-[600]">{s.sentence}</span>
            {s.done && <span className="w-12 text-right text-small leading-[14px] text-muted">in this job</span>}
          </label>
        ))}
      </fieldset>
    </div>
  );
}
