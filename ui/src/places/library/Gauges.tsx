import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { GaugeCondition } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Mark } from "../../parts/Mark";
import { rounded } from "../../text/numbers";
import { Empty, Failed, Loading } from "../../parts/States";
import { unitWord } from "../../text/shop";

const CONDITIONS: Record<GaugeCondition, string> = {
  ok: "works",
  drifted: "drifted",
  "other-unit": "set to another unit",
  "battery-low": "battery low",
  "battery-flat": "battery flat",
  silent: "does not answer",
};

/** The shop's reading devices: what they read, how well, and how long their calibration holds. */
export default function Gauges() {
  const queries = useQueryClient();
  const gauges = useQuery({ queryKey: ["gauges"], queryFn: () => api.gauges() });
  const pretend = useMutation({
    mutationFn: ({ id, condition }: { id: string; condition: GaugeCondition }) => api.pretend(id, condition),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["gauges"] }),
  });
  if (gauges.error && !gauges.data) return <Failed error={gauges.error} what="the gauges" />;
  if (!gauges.data) return <Loading what="the gauges" />;
  if (gauges.data.length === 0) {
    return (
      <Empty title="No gauge is known here">
        <p>Readings are typed at the bench until one is.</p>
      </Empty>
    );
  }
  return (
    <main className="px-5 py-5">
      <h1 className="text-head font-[680]">Gauges</h1>
      <p className="max-w-[760px] pb-3 text-body text-soft">
        Every device here is a simulated stand-in: it has noise, settles, drifts and can fail, so that the bench can be
        tried out. Set one to fail and read it at Inspect or Prove. Typing a reading always works.
      </p>
      <table className="w-full border-t-[1.5px] border-ink text-left text-body">
        <thead>
          <tr className="text-small text-muted">
            <th className="py-1.5 font-[560]">Gauge</th>
            <th className="font-[560]">Reads</th>
            <th className="font-[560]">Calibration</th>
            <th className="font-[560]">Stand-in</th>
          </tr>
        </thead>
        <tbody>
          {gauges.data.map((g) => (
            <tr key={g.id} className="border-t border-line2">
              <td className="py-1">
                <b className="m pr-3 text-body">{g.id}</b>
                {g.title}
              </td>
              <td className="m text-small">
                {rounded(g.resolution, 3)} {unitWord(g.unit)}, give or take {rounded(g.uncertainty, 3)}
              </td>
              <td>
                <span className="flex items-center gap-2">
                  <Mark state={g.overdue ? "watch" : "sound"} size={15} />
                  {g.calibration}
                </span>
              </td>
              <td>
                <Choice
                  label={`Stand-in of ${g.id}`}
                  value={g.condition}
                  all="works"
                  of={Object.keys(CONDITIONS) as GaugeCondition[]}
                  say={(c) => CONDITIONS[c]}
                  onChange={(c) => pretend.mutate({ id: g.id, condition: c || "ok" })}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </main>
  );
}
