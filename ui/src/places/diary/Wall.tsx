import { scaleLinear } from "d3-scale";
import { useRef, useState, type PointerEvent } from "react";
import type { DiaryEntry, DiaryView } from "../../api/types";
import { useWidth } from "../../parts/useWidth";
import { clockWord, workDays, type Day } from "./days";
import type { Put } from "./Diary";

const LANE = 30;
const LABEL = 96;
const WHO = 30;
const STEP = 30;
/** A block of so many minutes has room for its tag alone. */
const SHORT = 30;
/** A block of so many has room for its chance as well. */
const WITH_CHANCE = 75;
/** A block of fewer pixels has its tag in two lines, area over number. */
const NARROW = 46;
const HIGH = 0.2;

interface Props {
  diary: DiaryView;
  chosen: string;
  choose: (pump: string) => void;
  put: (put: Put) => void;
}

interface Drag {
  pump: string;
  /** Where in the block it was taken, pixels. */
  grip: number;
  x: number;
  y: number;
  moved: boolean;
}

/** A row for each working day, a lane for each person: jobs are blocks that can be taken elsewhere. */
export function Wall({ diary, chosen, choose, put }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(900);
  const [drag, setDrag] = useState<Drag | null>(null);
  const start = useRef({ x: 0, y: 0 });
  const x = scaleLinear()
    .domain([diary.opens, diary.closes])
    .range([LABEL + WHO, width - 20]);
  const hours: number[] = [];
  for (let h = Math.ceil(diary.opens / 120) * 120; h <= diary.closes; h += 120) hours.push(h);
  const days = workDays(diary);
  if (diary.people.length === 0) {
    return <p className="px-5 py-10 text-lead text-soft">Nobody has hours in the diary yet.</p>;
  }

  function take(e: PointerEvent, job: DiaryEntry) {
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = { x: e.clientX, y: e.clientY };
    const box = e.currentTarget.getBoundingClientRect();
    setDrag({ pump: job.pump, grip: e.clientX - box.left, x: e.clientX, y: e.clientY, moved: false });
  }

  function move(e: PointerEvent) {
    if (!drag) return;
    const far = Math.abs(e.clientX - start.current.x) + Math.abs(e.clientY - start.current.y) > 6;
    setDrag({ ...drag, x: e.clientX, y: e.clientY, moved: drag.moved || far });
  }

  function drop() {
    if (!drag) return;
    setDrag(null);
    if (!drag.moved) {
      choose(drag.pump);
      return;
    }
    const lane = document
      .elementsFromPoint(drag.x, drag.y)
      .find((el): el is HTMLElement => el instanceof HTMLElement && el.dataset["who"] !== undefined);
    const wall = ref.current?.getBoundingClientRect();
    if (!lane || !wall) return;
    const minute = Math.round(x.invert(drag.x - drag.grip - wall.left) / STEP) * STEP;
    put({
      pump: drag.pump,
      at: { day: Number(lane.dataset["day"]), minute, person: lane.dataset["who"] ?? "" },
    });
  }

  return (
    <div ref={ref} className="relative select-none">
      <div className="sticky top-0 z-10 h-7 border-b border-ink bg-paper">
        {hours.map((h) => (
          <span key={h} className="m absolute top-1.5 -translate-x-1/2 text-small text-muted" style={{ left: x(h) }}>
            {clockWord(h)}
          </span>
        ))}
      </div>
      {days.map((d) => (
        <DayRow
          key={d.day}
          day={d}
          x={x}
          hours={hours}
          chosen={chosen}
          drag={drag}
          take={take}
          move={move}
          drop={drop}
          choose={choose}
        />
      ))}
      {drag?.moved && (
        <div
          aria-hidden
          className="pointer-events-none fixed z-30 flex h-[26px] items-center border-2 border-accent bg-wash px-2 text-body font-[700]"
          style={{ left: drag.x - drag.grip, top: drag.y - 13 }}
        >
          {drag.pump}
        </div>
      )}
    </div>
  );
}

interface RowProps {
  day: Day;
  x: (minute: number) => number;
  hours: number[];
  chosen: string;
  drag: Drag | null;
  take: (e: PointerEvent, job: DiaryEntry) => void;
  move: (e: PointerEvent) => void;
  drop: () => void;
  choose: (pump: string) => void;
}

function DayRow({ day: d, x, hours, chosen, drag, take, move, drop, choose }: RowProps) {
  const height = Math.max(1, d.lanes.length) * LANE + (d.stops.length > 0 ? 16 : 0) + 6;
  const top = d.stops.length > 0 ? 16 : 0;
  return (
    <section
      aria-label={d.label}
      className={`relative ${d.monday ? "border-t-[1.5px] border-ink" : "border-t border-line2"}`}
      style={{ height }}
    >
      <h2 className="absolute top-1 left-5 text-body font-[680]">{d.label}</h2>
      {hours.map((h) => (
        <span key={h} className="absolute inset-y-0 w-px bg-line2" style={{ left: x(h) }} />
      ))}
      {d.stops.map((s) => (
        <div
          key={s.line}
          className="absolute inset-y-0 border-x border-muted"
          style={{
            left: x(s.from),
            width: x(s.to) - x(s.from),
            background: "repeating-linear-gradient(135deg, var(--line2) 0 1px, transparent 1px 7px)",
          }}
        >
          <span className="absolute top-0 left-1.5 bg-paper px-1 text-small leading-4 font-[640] whitespace-nowrap">
            {s.line} stands still: {s.title}
          </span>
        </div>
      ))}
      {d.lanes.map((lane, i) => (
        <div
          key={lane.who}
          data-who={lane.who}
          data-day={d.day}
          className="absolute inset-x-0"
          style={{ top: top + i * LANE + 2, height: LANE }}
        >
          <span className="m absolute top-1.5 text-small text-muted" style={{ left: LABEL }}>
            {lane.who}
          </span>
          <span
            className={`absolute top-[14px] border-t ${lane.overtime ? "border-dashed border-watch" : "border-line"}`}
            style={{ left: x(lane.from), width: x(lane.to) - x(lane.from) }}
          />
          {lane.entries.map((e) => (
            <button
              key={e.pump}
              type="button"
              aria-label={`${e.pump}, ${d.label} ${clockWord(e.from)} to ${clockWord(e.to)}, ${e.who}${e.pinned ? ", pinned" : ""}`}
              aria-pressed={chosen === e.pump}
              onPointerDown={(ev) => take(ev, e)}
              onPointerMove={move}
              onPointerUp={drop}
              onKeyDown={(ev) => (ev.key === "Enter" || ev.key === " ") && choose(e.pump)}
              className={`absolute top-[2px] flex h-[26px] touch-none items-center gap-1.5 overflow-hidden border whitespace-nowrap ${
                e.to - e.from <= SHORT ? "narrow justify-center text-small" : "px-1.5 text-small"
              } ${
                chosen === e.pump ? "border-2 border-accent bg-wash" : "border-ink bg-card"
              } ${drag?.pump === e.pump && drag.moved ? "opacity-40" : ""}`}
              style={{ left: x(e.from), width: x(e.to) - x(e.from) - 2 }}
            >
              {e.pinned && (
                <svg width="8" height="12" aria-hidden className="shrink-0">
                  <path d="M4,5V12" stroke="var(--ink)" strokeWidth="1.6" />
                  <circle cx="4" cy="4" r="3.4" fill="var(--accent)" />
                </svg>
              )}
              {x(e.to) - x(e.from) < NARROW ? (
                <b className="text-center text-small leading-[11px] font-[720]">
                  {e.pump.split("-").map((part) => (
                    <span key={part} className="block">
                      {part}
                    </span>
                  ))}
                </b>
              ) : (
                <b className="font-[720]">{e.pump}</b>
              )}
              {e.to - e.from >= WITH_CHANCE && (
                <span className={e.risk >= HIGH ? "font-[640] text-renew" : "text-muted"}>{risk(e)}</span>
              )}
            </button>
          ))}
        </div>
      ))}
    </section>
  );
}

const risk = (e: DiaryEntry) => (e.risk < 0.01 ? "<1 %" : `${Math.round(100 * e.risk)} %`);
