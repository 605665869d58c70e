import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { ComparisonView, Level, LifeQuestion, LifeView } from "../../api/types";
import { FitStretches } from "../../drawing/FitStretches";
import { LifePlot } from "../../drawing/LifePlot";
import { PumpRows } from "../../drawing/PumpRows";
import { Mark } from "../../parts/Mark";
import { Empty, Failed, Loading } from "../../parts/States";
import { useWidth } from "../../parts/useWidth";
import { Compare } from "./Compare";
import { Policies } from "./Policies";
import { Asked } from "./Asked";
import { Causes } from "./Causes";
import { Insights } from "./Insights";
import { Runs } from "./Runs";

const NUMBERS = ["years", "mode", "planned", "failed", "look", "warning"] as const;
const WORDS = ["pump", "role", "material", "duty"] as const;
const LEVELS: readonly Level[] = ["pump", "construction", "duty", "any-duty"];

/** What history says of one group of wear parts, and how to keep them. */
export default function Life() {
  const [params, setParams] = useSearchParams();
  const question: LifeQuestion = {};
  for (const w of WORDS) if (params.get(w) !== null) question[w] = params.get(w) ?? "";
  const level = LEVELS.find((l) => l === params.get("level"));
  if (level) question.level = level;
  for (const n of NUMBERS) if (params.get(n)) question[n] = Number(params.get(n));
  const life = useQuery({
    queryKey: ["life", question],
    queryFn: () => api.life(question),
    placeholderData: keepPreviousData,
  });
  const set = (change: Record<string, string>) =>
    setParams(
      (now) => {
        for (const [k, v] of Object.entries(change)) {
          if (v) now.set(k, v);
          else now.delete(k);
        }
        return now;
      },
      { replace: true },
    );
  if (life.data && life.data.groups.length > 0 && params.size === 0) {
    return (
      <main>
        <Asked life={life.data} set={set} error={life.error} unasked />
        <Insights />
      </main>
    );
  }
  if (life.data) return <Shown life={life.data} set={set} error={life.error} />;
  if (life.error) return <Failed error={life.error} what="the history" />;
  return <Loading what="the history" />;
}

interface Props {
  life: LifeView;
  set: (change: Record<string, string>) => void;
  error: Error | null;
}

function Shown({ life, set, error }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(890);
  const [compared, setCompared] = useState<ComparisonView | null>(null);
  if (life.groups.length === 0) {
    return (
      <Empty title="No part has run here yet">
        <p>Every rebuild that is handed back adds its runs. Past records come in as a table.</p>
        <p className="pt-4">
          <Link className="press call inline-flex items-center" to="/life/history">
            Bring past runs in
          </Link>
        </p>
      </Empty>
    );
  }
  const unsure = !life.estimate?.tells;
  return (
    <main>
      <Asked life={life} set={set} error={error} />
      <div className="grid grid-cols-[minmax(0,1fr)_388px] max-[1080px]:grid-cols-1">
        <div className="min-w-0 pt-2 pb-6">
          <h1 className="flex items-center gap-3 px-5 text-tag leading-[50px] font-[720] tracking-[-.01em]">
            {unsure && <Mark state="unknown" size={30} />}
            <span>
              {life.headline.map((p, i) => (
                <span key={i} className={p.number ? "text-accent" : ""}>
                  {p.text}
                </span>
              ))}
            </span>
          </h1>
          <p className="px-5 pt-1 text-body leading-5">
            {life.apart && <strong className="font-[700]">{life.apart} </strong>}
            {life.basis}
          </p>
          <p className="px-5 pb-1 text-small leading-[18px] text-muted">
            {[life.earlier, life.sure, life.of.together, counted(life)].filter(Boolean).join(" ")}
          </p>
          <div ref={ref}>
            <LifePlot life={life} width={width} other={compared?.second ?? null} />
          </div>
          {(life.estimate?.failures ?? 0) > 0 && (
            <section className="pt-5">
              <h2 className="px-5 pb-1 text-title font-[680]">
                {life.fit.say ? "Where curve and facts part" : "Curve and facts agree"}
              </h2>
              {life.fit.say && (
                <p className="px-5 pb-1 text-body leading-5">
                  <strong className="font-[700]">{life.fit.say}</strong> {life.fit.explains}
                </p>
              )}
              <FitStretches life={life} width={width} />
            </section>
          )}
          <Causes life={life} />
          {life.pumps.length > 1 && (
            <section className="pt-5">
              <h2 className="px-5 pb-2 text-title font-[680]">Pump by pump</h2>
              <PumpRows life={life} width={width} />
            </section>
          )}
          <Compare
            key={`${life.of.pump}${life.of.role}${life.of.material}${life.of.duty}`}
            life={life}
            onCompared={setCompared}
          />
          <Runs life={life} />
        </div>
        <Policies life={life} set={set} />
      </div>
    </main>
  );
}

/** What the ages were counted in, where that is not hours. */
function counted(life: LifeView): string {
  if (life.countsPerHour === 0) return "";
  return `Ages are ${life.counted}, shown as hours at ${Math.round(life.countsPerHour).toLocaleString("en").replaceAll(",", "\u2009")} an hour.`;
}
