import { Link } from "react-router";
import type { RoundView } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { rounded } from "../../text/numbers";
import { dueWord } from "./dueWord";

/** Rounds in a column, each the way to doing it. */
export function RoundList({ rounds, pump }: { rounds: RoundView[]; pump: boolean }) {
  return (
    <ul>
      {rounds.map((r) => (
        <li key={`${r.pump} ${r.round}`}>
          <Link
            className="flex min-h-12 items-center gap-2.5 border-b border-line2 py-1 text-body"
            to={`/pumps/${r.pump}/rounds/${r.round}`}
          >
            <Mark state={r.dueDays === null ? "unknown" : r.dueDays <= 0 ? "watch" : "sound"} size={16} />
            <span className="min-w-0 flex-1 leading-[17px]">
              <b className="font-[660]">
                {pump && `${r.pump} `}
                {r.title}
              </b>
              <span className="block text-small text-muted">
                {r.every}, {rounded(r.minutes)} min
              </span>
            </span>
            <span
              className={`text-right text-small ${r.dueDays !== null && r.dueDays <= 0 ? "font-[680] text-watch-words" : "text-muted"}`}
            >
              {dueWord(r.dueDays)}
            </span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
