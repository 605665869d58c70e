import { useState } from "react";
import { useAwaySince } from "../../../api/away";
import { useStanding } from "../../../api/session";
import type { BenchLink } from "../../../api/useBench";
import { useShots } from "../../../away/useShots";
import { LineApart } from "../../../drawing/LineApart";
import { counted } from "../../../text/counted";
import { timeOfDay } from "../../../text/timeOfDay";

/** Whether what is seen is live; since when it is not, what waits, how far it goes on alone. */
export function AwayLine({ link, job }: { link: BenchLink; job: string }) {
  const since = useAwaySince();
  const { carried } = link;
  const count = carried.waiting.length;
  const shots = useShots(job).length;
  const [open, setOpen] = useState(false);
  const who = useStanding().session?.initials ?? "";
  const owner = carried.waiting[0]?.who ?? who;
  // One alone is on its way at once: it is seen where it was taken.
  if (since === null && count === 0 && shots < 2) return null;
  return (
    <section className="border-b-[1.5px] border-ink bg-ink text-card" aria-label="Without the server">
      <div className="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-1 px-5 py-1.5">
        <LineApart waiting={count} />
        <p role="status" className="text-lead leading-5 font-[680]">
          {since !== null
            ? `Away since ${timeOfDay(since)}`
            : carried.stories
              ? "Server back, not sent yet"
              : "Server back, sending"}
          {count > 0 && `, ${count} kept in order`}
          {shots > 0 && `, ${counted(shots, "photograph")} kept`}
        </p>
        <p className="min-w-0 flex-1 basis-[260px] text-body leading-[18px]">
          {says(link, since !== null, owner === who, owner)}
        </p>
        {count > 0 && (
          <button
            type="button"
            className="min-h-11 px-2 text-body font-[640] underline underline-offset-3"
            aria-expanded={open}
            onClick={() => setOpen(!open)}
          >
            What waits
          </button>
        )}
      </div>
      {open && (
        <div className="max-h-[38vh] overflow-y-auto bg-card px-5 py-2 text-ink">
          <ol>
            {carried.waiting.map((w) => (
              <li key={w.key} className="flex gap-3 border-b border-line2 py-1 text-body leading-5">
                <span className="m shrink-0 text-muted">{timeOfDay(w.at)}</span>
                <span className="min-w-0">{w.say}</span>
              </li>
            ))}
          </ol>
          {carried.later.length > 0 && (
            <>
              <h3 className="head pt-2">Worked out once the server is back</h3>
              <ul>
                {carried.later.map((say) => (
                  <li key={say} className="py-1 text-body text-soft">
                    {say}
                  </li>
                ))}
              </ul>
            </>
          )}
          <p className="py-1 text-small text-muted">
            Closing this device loses nothing. Each is sent once, in this order.
          </p>
        </div>
      )}
    </section>
  );
}

function says({ carried }: BenchLink, away: boolean, own: boolean, owner: string): string {
  if (carried.waiting.length > 0 && !own) return `${owner} did this: it is sent when ${owner} signs in here.`;
  if (carried.stories) return "Nothing of it is in the record before you have decided.";
  if (carried.waits) return `Nothing goes on here without the server. ${carried.waits}`;
  if (!carried.held?.ahead) return "This job was not worked out ahead: what you do is kept, and worked out afterwards.";
  if (!away) return "";
  const later = carried.later.length > 0 ? ` ${counted(carried.later.length, "thing")} to be worked out.` : "";
  return `Go on: it is worked out ahead to ${carried.reaches}.${later}`;
}
