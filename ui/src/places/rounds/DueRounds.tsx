import { useState } from "react";
import { Link } from "react-router";
import type { RoundView } from "../../api/types";
import { dueWord } from "./dueWord";

const SHOWN = 3;

/** Upkeep that is due over the whole floor, what is over first, each the way to doing it. */
export function DueRounds({ rounds }: { rounds: RoundView[] }) {
  const [all, setAll] = useState(false);
  if (rounds.length === 0) return null;
  return (
    <section className="border-b border-line px-5" aria-label="Rounds that are due">
      <ul className="flex flex-wrap items-center gap-x-7">
        <li className="text-body font-[680]">Rounds</li>
        {rounds.slice(0, all ? rounds.length : SHOWN).map((r) => (
          <li key={`${r.pump} ${r.round}`}>
            <Link
              to={`/pumps/${r.pump}/rounds/${r.round}`}
              className="flex min-h-11 items-center gap-2 text-body"
              title={r.say}
            >
              <b className="narrow text-body font-[700]">{r.pump}</b>
              <span className="text-soft">{r.title.toLowerCase()}</span>
              <span className={`m text-small ${(r.dueDays ?? 1) <= 0 ? "text-watch-words" : "text-muted"}`}>
                {dueWord(r.dueDays)}
              </span>
            </Link>
          </li>
        ))}
        {!all && rounds.length > SHOWN && (
          <li>
            <button type="button" className="min-h-11 text-body underline" onClick={() => setAll(true)}>
              {rounds.length - SHOWN} more
            </button>
          </li>
        )}
      </ul>
    </section>
  );
}
