import type { MeetingsView, StrengthView } from "../api/types";
import { DANGER_WORDS, MeetingPair } from "../drawing/MeetingPair";
import { rounded } from "../text/numbers";
import { Mark } from "./Mark";

const COUNTS = ["No", "One pair", "Two pairs", "Three pairs", "Four pairs", "Five pairs", "Six pairs"];

/** Fluids that must not meet in a pump, what happens, and the order with the fewest gaps. */
export function Meetings({ meetings: m, narrow = false }: { meetings: MeetingsView; narrow?: boolean }) {
  if (m.pairs.length === 0) return null;
  return (
    <section aria-label="Must never meet" className={narrow ? "pb-4" : "border-b-[1.5px] border-ink px-5 pt-2 pb-3"}>
      <h2 className="head pb-1">{COUNTS[m.pairs.length] ?? `${m.pairs.length} pairs`} must never meet in this pump</h2>
      <ul>
        {m.pairs.map((p) => (
          <li
            key={`${p.one.fluid} ${p.other.fluid}`}
            className={`border-t border-line py-1.5 ${narrow ? "" : "grid grid-cols-[260px_minmax(0,1fr)] gap-4 max-[760px]:grid-cols-1"}`}
          >
            <div>
              <p className="flex justify-between gap-3 text-small leading-[15px] font-[660]" style={{ width: 240 }}>
                <span>{strength(p.one)}</span>
                <span className="text-right">{strength(p.other)}</span>
              </p>
              <MeetingPair gives={p.gives} />
            </div>
            <div>
              <p className="flex items-center gap-2 text-body font-[700] text-renew">
                <Mark state="renew" size={15} /> {DANGER_WORDS[p.gives]}
              </p>
              <p className="text-body leading-[18px]">{p.happens}</p>
              <p className="text-body leading-[18px] font-[620]">{p.apart}</p>
            </div>
          </li>
        ))}
      </ul>
      {m.order.length > 0 && (
        <p className="border-t border-line pt-1.5 text-body leading-[19px]">
          <b className="font-[680]">Fewest gaps: </b>
          {m.order.map(strength).join(", then ")}, and round again: {m.gaps} to flush out and prove.
        </p>
      )}
    </section>
  );
}

function strength(s: StrengthView): string {
  return s.concentrationPct === 100 ? s.fluid : `${s.fluid} ${rounded(s.concentrationPct, 1)} %`;
}
