import { Link } from "react-router";
import type { BenchView, StageMark } from "../../../api/types";
import { useWidth } from "../../../parts/useWidth";
import { clock } from "../../../text/numbers";

/** Wide enough for the longest title of a stage; on a phone only the stage in hand has its title. */
const STEP = 74;
const COUNT = 8;

/**
 * Which pump, which duty, which of the eight stages, how long so far.
 *
 * @param alone how far the job goes on where the server is not, in words; empty where it does not
 */
export function JobHead({ view, alone }: { view: BenchView; alone: string }) {
  const share = view.plannedMinutes > 0 ? Math.min(1, view.elapsedMinutes / view.plannedMinutes) : 0;
  return (
    <div className="flex min-h-16 flex-wrap items-center gap-x-6 border-b border-ink px-5 py-1 max-[640px]:gap-x-3">
      <h1 className="tag text-tag leading-[46px] max-[640px]:text-title max-[640px]:leading-9">
        <Link to={`/pumps/${view.pump.tag}`}>{view.pump.tag}</Link>
        <span className="sr-only">, rebuild at the bench</span>
      </h1>
      <div className="min-w-[240px] flex-1 leading-5 max-[640px]:order-1 max-[640px]:basis-full">
        <p className="truncate text-body font-[600]" title={view.pump.duty}>
          {view.pump.duty}
        </p>
        <p className="flex gap-3 text-body text-muted max-[640px]:hidden">
          <span className="min-w-0 truncate" title={view.pump.fitted}>
            {view.pump.fitted}
          </span>
          {alone && <span className="shrink-0 text-small">{alone}</span>}
        </p>
      </div>
      <Stages stages={view.stages} />
      <div className="w-[130px] max-[640px]:ml-auto">
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
  const [ref, width] = useWidth<HTMLOListElement>(COUNT * STEP);
  const step = width / COUNT;
  const narrow = step < STEP;
  const at = (i: number) => step / 2 + i * step;
  const current = stages.findIndex((s) => s.state === "current");
  const reached = current < 0 ? stages.length - 1 : current;
  /** The title of the stage in hand may be wider than its place: at the ends it turns inward. */
  const side = (i: number) => (i === 0 ? "left" : i === stages.length - 1 ? "right" : "center");
  return (
    <ol
      ref={ref}
      className="relative h-[50px] shrink-0 max-[640px]:order-2 max-[640px]:h-[42px] max-[640px]:w-full!"
      style={{ width: COUNT * STEP }}
      aria-label="Stages"
    >
      <svg width={width} height={24} className="absolute inset-0" aria-hidden>
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
          className={`absolute top-[22px] text-small leading-[14px] narrow ${
            s.state === "current" ? "font-[720] text-accent" : s.state === "done" ? "font-[600]" : "text-muted"
          } ${narrow && s.state !== "current" ? "sr-only" : ""}`}
          style={
            narrow
              ? {
                  ...(side(i) === "right" ? { right: 0 } : { left: i * step }),
                  width: "max-content",
                  minWidth: step,
                  textAlign: side(i),
                }
              : { left: i * STEP, width: STEP, textAlign: "center" }
          }
          {...(s.state === "current" ? { "aria-current": "step" as const } : {})}
        >
          {s.title}
          {s.state !== "ahead" && (
            <span className={`m text-small leading-[13px] font-medium ${narrow ? "pl-1.5" : "block"}`}>
              {clock(s.minutes)}
            </span>
          )}
        </li>
      ))}
    </ol>
  );
}
