import { Link } from "react-router";
import type { LifeView } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { day, rounded } from "../../text/numbers";

const SHOWN = 40;

/** The runs behind the curve, as a table that can be opened. */
export function Runs({ life }: { life: LifeView }) {
  const runs = [...life.runs].sort((a, b) => b.on.localeCompare(a.on));
  return (
    <details className="mx-5 border-t border-line">
      <summary className="flex min-h-11 cursor-pointer items-center text-body font-[620]">
        See the {runs.length} runs that came out
      </summary>
      <ul className="grid grid-cols-2 gap-x-8 pb-3 max-[860px]:grid-cols-1">
        {runs.slice(0, SHOWN).map((r, i) => (
          <li key={i} className="flex items-center gap-3 border-b border-line2 py-1 text-body">
            <Mark state={r.failed ? "renew" : "sound"} size={14} />
            <Link to={`/pumps/${r.pump}`} className="w-16 font-[680]">
              {r.pump}
            </Link>
            <span className="m w-24 text-right text-body">{rounded(r.age)} h</span>
            <span className="flex-1 text-soft">
              {r.failed ? "failed" : "came out sound"}
              {r.from > 0 && `, came with ${rounded(r.from)} h`}
            </span>
            <span className="text-small text-muted">
              {day(r.on)} {r.on.slice(0, 4)}
            </span>
          </li>
        ))}
      </ul>
      {runs.length > SHOWN && (
        <p className="pb-3 text-body text-muted">and {runs.length - SHOWN} more: save them as a table.</p>
      )}
    </details>
  );
}
