import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { ComparisonView, LifeView, SideQuestion } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Mark } from "../../parts/Mark";
import { Sentence } from "../../parts/States";

/** The group shown against another material in its duty, another duty, or another pump. */
export function Compare({ life, onCompared }: { life: LifeView; onCompared: (c: ComparisonView | null) => void }) {
  const of = life.of;
  const mine: SideQuestion =
    of.level === "pump" ? { pump: of.pump } : { role: of.role, material: of.material, duty: of.duty };
  const others = choices(life);
  const [against, setAgainst] = useState("");
  const compare = useMutation({
    mutationFn: (side: SideQuestion) => api.compare(mine, side),
    onSuccess: onCompared,
  });
  const c = against ? compare.data : undefined;
  return (
    <section aria-label="Comparison" className="mx-5 border-t-[1.5px] border-ink pt-1">
      <div className="flex flex-wrap items-center gap-x-1 text-body">
        <span>Compare with</span>
        <Choice
          label="Compare with"
          value={against}
          onChange={(v) => {
            setAgainst(v);
            const side = others.get(v);
            if (side) compare.mutate(side);
            else onCompared(null);
          }}
          all="nothing"
          of={[...others.keys()]}
        />
      </div>
      {compare.error && <Sentence>{compare.error.message}</Sentence>}
      {c && (
        <div role="status" className="flex items-start gap-3 pb-2">
          <Mark state={c.verdict === "first-shorter" || c.verdict === "first-longer" ? "renew" : "unknown"} size={22} />
          <div>
            <p className="text-lead leading-6 font-[660]">{c.say}</p>
            <p className="text-small text-muted">
              {c.test} {c.first.title}: {c.first.failures} of {c.first.runs} runs failed. {c.second.title}:{" "}
              {c.second.failures} of {c.second.runs}.
            </p>
          </div>
        </div>
      )}
    </section>
  );
}

/** What the group can be held against: the same part in the same duty first, then other pumps of it. */
function choices(life: LifeView): Map<string, SideQuestion> {
  const of = life.of;
  const all = new Map<string, SideQuestion>();
  const groups = life.groups.filter((g) => g.role === of.role);
  for (const g of groups.filter((g) => g.duty === of.duty && g.material !== of.material)) {
    all.set(`${g.material} in the same duty`, { role: g.role, material: g.material, duty: g.duty });
  }
  for (const g of groups.filter((g) => g.material === of.material && g.duty !== of.duty)) {
    all.set(`${g.material} in ${g.dutyName.toLowerCase()}`, { role: g.role, material: g.material, duty: g.duty });
  }
  for (const r of life.running) if (r.pump !== of.pump) all.set(r.pump, { pump: r.pump });
  return all;
}
