import { counted } from "../../text/counted";
import { api } from "../../api/client";
import { BringTable } from "../../parts/BringTable";
import { rounded } from "../../text/numbers";

/** Hour and stroke counters of the whole floor, as they come from whoever reads them. */
export function Counters() {
  return (
    <section
      aria-label="Counters"
      className="flex flex-wrap items-center gap-x-4 border-b border-line px-5 py-2 text-body"
    >
      <b className="font-[640]">Hours and strokes</b>
      <span className="text-body text-soft">
        as CSV: tag, counter (hours or strokes), at, reading. What is known already is left out, a counter set back
        counts on.
      </span>
      <BringTable
        label="Counters"
        send={api.bringCounters}
        changes={(r) => r.pumps.some((p) => p.readings > 0)}
        say={(r) => {
          const read = r.pumps.reduce((n, p) => n + p.readings, 0);
          const known = r.pumps.reduce((n, p) => n + p.repeated, 0);
          const hours = r.pumps.filter((p) => p.counter === "hours").reduce((n, p) => n + p.gained, 0);
          const back = r.pumps.filter((p) => p.resets > 0).map((p) => p.pump);
          return (
            `${counted(read, "reading")} of ${counted(new Set(r.pumps.map((p) => p.pump)).size, "pump")}, ` +
            `${rounded(hours, 1)} h run, ${known} known already` +
            (back.length > 0 ? `, set back: ${back.join(", ")}` : "")
          );
        }}
      />
    </section>
  );
}
