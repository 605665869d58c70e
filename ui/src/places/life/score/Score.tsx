import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Link, useSearchParams } from "react-router";
import { api } from "../../../api/client";
import type { ScoreView } from "../../../api/types";
import { AdvisedDone } from "../../../drawing/score/AdvisedDone";
import { Calibrated } from "../../../drawing/score/Calibrated";
import { Choice } from "../../../parts/Choice";
import { Failed, Loading } from "../../../parts/States";
import { useWidth } from "../../../parts/useWidth";
import { counted } from "../../../text/counted";
import { roleWord } from "../../../text/numbers";
import { ScoreAside } from "./ScoreAside";

const YEARS = ["1", "2", "3", "5"] as const;

/** How often forecasts were right here, and what was advised against what was done. */
export default function Score() {
  const [params, setParams] = useSearchParams();
  const role = params.get("role") ?? "";
  const years = YEARS.find((y) => y === params.get("years")) ?? "";
  const score = useQuery({
    queryKey: ["score", role, years],
    queryFn: () => api.score(role, Number(years)),
    placeholderData: keepPreviousData,
  });
  const set = (name: string, value: string) =>
    setParams(
      (now) => {
        if (value) now.set(name, value);
        else now.delete(name);
        return now;
      },
      { replace: true },
    );
  if (score.error && !score.data) return <Failed error={score.error} what="the forecasts" />;
  if (!score.data) return <Loading what="the forecasts" />;
  return (
    <main>
      <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-body">
        <Link to="/life" className="pr-2 underline">
          Life
        </Link>
        <span>How often it was right,</span>
        <Choice
          label="Part"
          value={role}
          onChange={(r) => set("role", r)}
          all="all kinds of part"
          of={score.data.roles}
          say={roleWord}
          then=","
        />
        <span>over</span>
        <Choice
          label="Years"
          value={years}
          onChange={(y) => set("years", y)}
          all="all years"
          of={YEARS}
          say={(y) => counted(Number(y), "year")}
        />
      </div>
      <Shown score={score.data} />
    </main>
  );
}

function Shown({ score }: { score: ScoreView }) {
  const [ref, width] = useWidth<HTMLDivElement>(890);
  const wide = width >= 760;
  const half = wide ? Math.round(width * 0.53) : width;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_388px] max-[1080px]:grid-cols-1">
      <div className="min-w-0 pt-2 pb-6" ref={ref}>
        <h1 className="px-5 text-tag leading-[50px] font-[720] tracking-[-.01em] max-[700px]:text-head max-[700px]:leading-[35px]">
          {score.headline}
        </h1>
        {score.sets > 0 && (
          <>
            <p className="px-5 pt-1 text-body font-[640]">
              {counted(score.sets, "set")}. Luck alone would give {score.all.low} to {score.all.high}. {score.say}
            </p>
            <p className="px-5 pb-2 text-body text-muted">
              {score.kept > 0 && `Of ${score.kept} the forecast was kept on the day the date was set. `}
              {score.kept < score.sets &&
                `${score.kept > 0 ? "Of the others" : "Of all of them"} it is worked out from what was known on the day they went in, with today's dates. `}
              {score.early > 0 &&
                `${counted(score.early, "sound set")} that came out well before the date ${score.early === 1 ? "says" : "say"} nothing of it.`}
            </p>
            <div className={wide ? "flex" : ""}>
              <Calibrated score={score} width={half} />
              <section aria-label="Advised and done" className={wide ? "border-l border-line px-5" : "px-5 pt-6"}>
                <h2 className="head mb-3 border-b-[1.5px] border-ink pb-1">What was advised, and what was done</h2>
                <AdvisedDone score={score} width={wide ? width - half - 40 : width - 40} />
                {score.followed && <p className="pt-3 text-body font-[640]">{score.followed}</p>}
                <p className="text-small text-muted">
                  A set that failed counts where it was to come out. Bands: as few and as many failures as luck allows.
                </p>
              </section>
            </div>
          </>
        )}
      </div>
      <ScoreAside score={score} />
    </div>
  );
}
