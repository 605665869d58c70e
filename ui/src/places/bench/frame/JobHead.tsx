import { Link } from "react-router";
import type { BenchView, StageMark } from "../../../api/types";
import { clock } from "../../../text/numbers";

const STEP = 74;
const STAGES_WIDTH = 8 * STEP;

/** Which pump, which duty, which of the eight stages, how long so far. */
export function JobHead({ view }: { view: BenchView }) {
  const share = view.plannedMinutes > 0 ? Math.min(1, view.elapsedMinutes / view.plannedMinutes) : 0;
  return (
    <div className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1">
      <h1 className="tag text-tag leading-[46px]">
        <Link to={`/pumps/${view.pump.tag}`}>{view.pump.tag}</Link>
        <span className="sr-only">, rebuild at the bench</span>
      </h1>
      <div className="min-w-[240px] flex-1 leading-5">
        <p className="truncate text-body font-[600]" title={view.pump.duty}>
          {view.pump.duty}
        </p>
        <p className="truncate text-body text-muted" title={view.pump.fitted}>
          {view.pump.fitted}
        </p>
      </div>
      <Stages stages={view.stages} />
      <div className="w-[130px]">
        <p className="text-right">
          <span className="m text-title leading-7 font-bold tracking-[-.03em]">{clock(view.elapsedMinutes)}</span>
          <span className="m pl-2 text-body text-muted">
            {view.plannedMinutes > 0 ? `of ${clock(view.plannedMinutes)}` : ""}
          </span>
        </p>
        <svg width="130" height="12" className="mt-1 block" aria-hidden>
          <path d="M0,6H130" stroke="var(--line)" strokeWidth="1.5" />
          <path d={`M0,6H${130 * share}`} stroke="var(--ink)" strokeWidth="5" />
          <path d={`M${130 * share},0V12M129.2,0V12`} stroke="var(--ink)" strokeWidth="1.5" />
        </svg>
      </div>
    </div>
  );
}

function Stages({ stages }: { stages: StageMark[] }) {
  const at = (i: number) => STEP / 2 + i * STEP;
  const current = stages.findIndex((s) => s.state === "current");
  const reached = current < 0 ? stages.length - 1 : current;
  return (
    <ol className="relative h-[50px] shrink-0" style={{ width: STAGES_WIDTH }} aria-label="Stages">
      <svg width={STAGES_WIDTH} height={24} className="absolute inset-0" aria-hidden>
        <path d={`M${at(0)},12H${at(stages.length - 1)}`} stroke="var(--line)" strokeWidth={1.5} />
        <path d={`M${at(0)},12H${at(reached)}`} stroke="var(--ink)" strokeWidth={1.8} />
        {stages.map((s, i) =>
          s.state === "current" ? (
            <circle key={s.id} cx={at(i)} cy={12} r={6} fill="var(--card)" stroke="var(--accent)" strokeWidth={4.5} />
          ) : (
            <path
              key={s.id}
              d={`M${at(i)},6V18`}
              stroke={s.state === "done" ? "var(--ink)" : "var(--line)"}
              strokeWidth={1.6}
            />
          ),
        )}
      </svg>
      {stages.map((s, i) => (
        <li
          key={s.id}
          className={`absolute top-[22px] w-[74px] text-center text-small leading-[14px] narrow ${
            s.state === "current" ? "font-[720] text-accent" : s.state === "done" ? "font-[600]" : "text-muted"
          }`}
          style={{ left: i * STEP }}
          {...(s.state === "current" ? { "aria-current": "step" as const } : {})}
        >
          {s.title}
          {s.state !== "ahead" && (
            <span className="m block text-small leading-[13px] font-medium">{clock(s.minutes)}</span>
          )}
        </li>
      ))}
    </ol>
  );
}
