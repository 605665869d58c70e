import { Link } from "react-router";
import type { ClockView } from "../../api/types";
import { countdown, useLeft } from "../../parts/Clock";
import { waitWord } from "../../text/waitWord";
import { Sandglass } from "../bench/frame/Waits";
import { grouped, type Group } from "./grouped";

const SHOWN = 6;

/** What dries, cures, settles or is due again, over the whole floor. */
export function Clocks({ clocks }: { clocks: ClockView[] }) {
  const groups = grouped(clocks);
  if (groups.length === 0) return null;
  return (
    <section className="border-b border-line px-5" aria-label="Clocks that run">
      <ul className="flex flex-wrap items-center gap-x-7">
        {groups.slice(0, SHOWN).map((g) => (
          <One key={`${g.first.rebuild} ${g.first.kind}`} group={g} />
        ))}
        {groups.length > SHOWN && <li className="text-small text-muted">and {groups.length - SHOWN} more</li>}
      </ul>
    </section>
  );
}

function One({ group: { first: c, count } }: { group: Group }) {
  const left = useLeft(c.until);
  const word = waitWord(c.kind);
  return (
    <li>
      <Link to={`/bench/${c.rebuild}`} className="flex min-h-11 items-center gap-2 text-body" title={c.title}>
        <Sandglass />
        <b className="narrow text-body font-[700]">{c.pump}</b>
        <span className={`m text-body font-semibold ${left === 0 && c.work ? "text-watch-words" : ""}`}>
          {left > 0 ? countdown(left) : "due"}
        </span>
        <span className="max-w-[230px] truncate text-soft">
          {count > 1 ? `${word}, ${count} joints` : `${word}: ${c.title}`}
        </span>
      </Link>
    </li>
  );
}
