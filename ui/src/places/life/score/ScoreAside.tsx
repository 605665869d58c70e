import { Link } from "react-router";
import type { ScoreView } from "../../../api/types";
import { Mark } from "../../../parts/Mark";
import { day, percent } from "../../../text/numbers";

/** How much better than an average, and where it was most wrong. */
export function ScoreAside({ score }: { score: ScoreView }) {
  return (
    <aside
      aria-label="How good it is"
      className="border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-6 max-[1080px]:border-t-[1.5px] max-[1080px]:border-l-0"
    >
      {score.sets > 0 && (
        <section aria-label="Better than saying the average">
          <h2 className="head border-b-[1.5px] border-ink pb-1">Beside saying the average</h2>
          <p className="flex items-baseline justify-between gap-3 pt-2 text-body">
            <span>
              {score.skill > 0.005
                ? `Nearer than saying "${percent(score.average)} in 100" every time by`
                : `No nearer than saying "${percent(score.average)} in 100" every time, which nobody knew before:`}
            </span>
            <span className={`m text-title whitespace-nowrap ${score.skill > 0.005 ? "text-accent" : "text-soft"}`}>
              {score.skill > 0.005 ? "" : "−"}
              {Math.abs(Math.round(score.skill * 100))} %
            </span>
          </p>
        </section>
      )}
      <section aria-label="Most wrong" className="pt-4">
        <h2 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
          Where it was most wrong
          <span className="text-small font-[500] text-muted">of {score.sets}</span>
        </h2>
        {score.surprises.length === 0 && <p className="pt-2 text-body text-soft">Nowhere by much.</p>}
        <ul>
          {score.surprises.map((s) => (
            <li key={s.pump + s.ended} className="flex gap-3 border-b border-line2 py-2 text-body">
              <span className="pt-0.5">
                <Mark state={s.failed ? "renew" : "sound"} size={18} />
              </span>
              <span className="w-[76px]">
                <Link to={`/life?pump=${s.pump}`} className="block font-[700]">
                  {s.pump}
                </Link>
                <span className={s.failed ? "text-renew" : "text-soft"}>{s.failed ? "failed" : "sound"}</span>
              </span>
              <span className="min-w-0 flex-1">
                <span className="flex items-center gap-2">
                  <span className="whitespace-nowrap">said {percent(s.said)} in 100</span>
                  <svg viewBox="0 0 100 12" className="h-3 min-w-0 flex-1" preserveAspectRatio="none" aria-hidden>
                    <path d="M0,6H100" stroke="var(--line)" />
                    <rect
                      x="0"
                      y="2"
                      height="8"
                      width={100 * s.said}
                      fill={s.failed ? "var(--renew)" : "var(--sound)"}
                    />
                    <path
                      d={s.failed ? "M99,0V12" : "M1,0V12"}
                      stroke="var(--ink)"
                      strokeWidth="2"
                      vectorEffect="non-scaling-stroke"
                    />
                  </svg>
                </span>
                <span className="block text-soft">
                  {s.cause || s.material}, {day(s.ended)} {s.ended.slice(0, 4)}
                </span>
              </span>
            </li>
          ))}
        </ul>
        <p className="pt-1 text-small text-muted">Bar: what was said; the tick: what came.</p>
      </section>
      <p className="pt-4 text-small text-muted">
        A forecast is kept when a set gets its date, and again when the date is set anew; it is scored when the set
        comes out. Nothing is corrected by it.
      </p>
    </aside>
  );
}
