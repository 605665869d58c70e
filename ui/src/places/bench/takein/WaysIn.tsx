import type { RouteView, SchoolView, WaysView } from "../../../api/types";
import { rounded } from "../../../text/numbers";

interface RoutesProps {
  routes: RouteView[];
  /** Steps the chosen way avoids. */
  onChoose: (avoid: string[]) => void;
}

/** The ways in beside each other: which is shortest, what the others cost. */
export function WaysIn({ routes, onChoose }: RoutesProps) {
  if (routes.length < 2) return null;
  const longest = Math.max(...routes.map((r) => r.minutes));
  return (
    <section aria-label="Ways in">
      <h3 className="head border-b-[1.5px] border-ink pt-3 pb-1">Ways in</h3>
      <ul>
        {routes.map((r) => (
          <li key={r.title}>
            <button
              type="button"
              aria-pressed={r.followed}
              className={`flex min-h-[52px] w-full flex-col justify-center border-b border-line2 px-2 py-1.5 text-left ${r.followed ? "bg-wash" : ""}`}
              onClick={() => onChoose(r.avoid)}
              title={r.steps.join("; ")}
            >
              <span className="flex w-full items-baseline justify-between gap-3">
                <span className={`text-body leading-[18px] ${r.followed ? "font-[700] text-accent" : "font-[600]"}`}>
                  {r.title}
                </span>
                <span className="m text-lead font-semibold whitespace-nowrap">
                  {rounded(r.minutes)}
                  <span className="text-small font-medium text-muted"> min</span>
                </span>
              </span>
              <svg width="100%" height="6" className="mt-1" aria-hidden preserveAspectRatio="none" viewBox="0 0 100 6">
                <path d="M0,3H100" stroke="var(--line2)" strokeWidth="1" />
                <path
                  d={`M0,3H${(100 * r.minutes) / longest}`}
                  stroke={r.followed ? "var(--accent)" : "var(--soft)"}
                  strokeWidth="4"
                />
              </svg>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface SchoolsProps {
  ways: WaysView;
  onChoose: (school: string, way: string) => void;
}

/** Questions good technicians answer differently, and what each answer costs this job. */
export function Schools({ ways, onChoose }: SchoolsProps) {
  if (ways.schools.length === 0) return null;
  return (
    <section aria-label="How it is done">
      <h3 className="head border-b-[1.5px] border-ink pt-4 pb-1">How it is done</h3>
      {ways.schools.map((s) => (
        <School key={s.id} school={s} onChoose={(way) => onChoose(s.id, way)} />
      ))}
    </section>
  );
}

function School({ school, onChoose }: { school: SchoolView; onChoose: (way: string) => void }) {
  const followed = school.ways.find((w) => w.followed);
  return (
    <fieldset className="border-b border-line2 py-2">
      <legend className="float-left mb-1 w-full text-body font-[600]">{school.ask}</legend>
      <div className="clear-left flex flex-wrap gap-y-1" role="group" aria-label={school.ask}>
        {school.ways.map((w) => (
          <button
            key={w.id}
            type="button"
            aria-pressed={w.followed}
            className={`-ml-px min-h-12 flex-1 border px-2.5 py-1 text-left text-body leading-4 ${
              w.followed ? "relative border-ink bg-ink text-card" : "border-line bg-card"
            }`}
            onClick={() => onChoose(w.id)}
            title={`${w.say} ${w.risk}`.trim()}
          >
            <b className="font-[660]">{w.title}</b>
            <span className={`block text-small ${w.followed ? "" : "text-muted"}`}>
              {[cost(w, school.ways), w.standard && "standard"].filter(Boolean).join(", ")}
            </span>
          </button>
        ))}
      </div>
      {followed && (
        <p className="pt-1 text-small leading-4 text-soft">
          {followed.say} {followed.risk}
        </p>
      )}
    </fieldset>
  );
}

type Way = SchoolView["ways"][number];

/** What an answer costs: in full for the one followed, the difference for the others. */
export function cost(way: Way, all: Way[]): string {
  if (all.every((w) => w.minutes === way.minutes && w.parts === way.parts)) return "";
  const followed = all.find((w) => w.followed);
  if (!followed || way.followed) return `${rounded(way.minutes)} min, ${way.parts} parts`;
  const said = [difference(way.minutes - followed.minutes, "min"), difference(way.parts - followed.parts, "parts")];
  return said.filter(Boolean).join(", ") || "the same work and parts";
}

function difference(by: number, of: string): string {
  return Math.round(by) === 0
    ? ""
    : `${rounded(Math.abs(by))} ${of} ${by > 0 ? "more" : "fewer"}`.replace("min fewer", "min less");
}
