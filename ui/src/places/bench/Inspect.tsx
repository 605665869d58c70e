import { useState } from "react";
import type { InspectItem } from "../../api/types";
import { LimitScale } from "../../drawing/LimitScale";
import { Choice } from "../../parts/Choice";
import { asState, Mark } from "../../parts/Mark";
import { rounded, unitWord } from "../../parts/numbers";
import { Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import type { StageProps } from "./Bench";
import { faultAt, Foot, useKey } from "./Foot";
import { SmallPart } from "./NextAndTray";

const VERDICTS = ["sound", "watch", "renew"] as const;
type Verdict = (typeof VERDICTS)[number];

/** Part by part off the tray: look, measure, judge. */
export function Inspect({ view, link }: StageProps) {
  const [chosen, setChosen] = useState("");
  const open = view.inspect.filter((i) => !i.renewedAnyway && i.state === "unknown");
  const part = view.inspect.find((i) => i.part === chosen) ?? open[0] ?? view.inspect[0];
  return (
    <div className="grid flex-1 grid-cols-[300px_minmax(0,1fr)_300px] max-[1180px]:grid-cols-[260px_minmax(0,1fr)] max-[760px]:grid-cols-1">
      <Parts view={view} current={part?.part ?? ""} choose={setChosen} />
      <section className="flex flex-col" aria-label="The part looked at">
        {part && (
          <Judge key={part.part} part={part} open={open.length} view={view} link={link} judged={() => setChosen("")} />
        )}
      </section>
      <Consequence view={view} link={link} />
    </div>
  );
}

function Parts({
  view,
  current,
  choose,
}: {
  view: StageProps["view"];
  current: string;
  choose: (part: string) => void;
}) {
  return (
    <nav
      className="overflow-y-auto border-r border-line py-1 min-[761px]:max-h-[calc(100vh-370px)]"
      aria-label="Parts on the tray"
    >
      <ul>
        {view.inspect.map((i) => (
          <li key={i.part}>
            <button
              type="button"
              onClick={() => choose(i.part)}
              aria-pressed={i.part === current}
              className={`flex min-h-[50px] w-full items-center gap-2.5 border-b border-line2 pr-3 pl-5 text-left ${i.part === current ? "bg-wash" : "hover:bg-card"}`}
            >
              <SmallPart glyphName={i.glyph} size={40} />
              <span
                className={`min-w-0 flex-1 truncate text-[15px] font-[600] ${i.part === current ? "text-accent" : ""}`}
              >
                {i.name}
              </span>
              <Mark state={asState(i.renewedAnyway && i.state === "unknown" ? "renew" : i.state)} size={16} />
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}

interface JudgeProps extends StageProps {
  part: InspectItem;
  /** How many parts are still to be looked at. */
  open: number;
  judged: () => void;
}

function Judge({ part, open, view, link, judged }: JudgeProps) {
  const [measure, setMeasure] = useState("");
  const limit = part.limits.find((l) => l.measure === measure) ?? part.limits[0];
  const [typed, setTyped, clearTyped] = useDraft(`${view.id}.inspect.${part.part}`);
  const [text, setText, clearText] = useDraft(`${view.id}.inspect.${part.part}.seen`);
  const fault = faultAt(link.faults, "value", "typed", "unit");
  const textFault = faultAt(link.faults, "text", "items", "subject");
  const judge = async (verdict: Verdict) => {
    const done = await link.act({
      kind: "JUDGED",
      subject: part.part,
      measure: typed ? (limit?.measure ?? "") : "",
      typed,
      text,
      items: [verdict],
    });
    if (done) {
      clearTyped();
      clearText();
      judged();
    }
  };
  useKey("1", "altKey", () => void judge("sound"));
  useKey("2", "altKey", () => void judge("watch"));
  useKey("3", "altKey", () => void judge("renew"));
  return (
    <>
      <div className="flex-1 px-5 pt-3">
        <div className="flex items-center gap-5">
          <SmallPart glyphName={part.glyph} size={76} />
          <div className="min-w-0">
            <h2 className="text-[31px] leading-9 font-[680]">{part.name}</h2>
            <p className="text-[15px] text-soft">
              {part.count > 1 && `${part.count} of them. `}
              {part.measured ||
                (part.renewedAnyway ? `Renewed: ${part.because}.` : "Clean first, nothing abrasive on a sealing face.")}
            </p>
          </div>
        </div>
        {part.look.length > 0 && (
          <div className="mt-3 border-t border-line pt-2">
            <p className="pb-1 text-[13.5px] text-muted">Look for, press what you see</p>
            <div className="flex flex-wrap gap-2">
              {part.look.map((l) => {
                const seen = text.includes(l);
                return (
                  <button
                    key={l}
                    type="button"
                    aria-pressed={seen}
                    className={`press text-[15.5px] ${seen ? "call" : ""}`}
                    onClick={() =>
                      setText(
                        seen
                          ? text.replace(l, "").replace(/^[,\s]+|[,\s]+$/g, "")
                          : [text, l].filter(Boolean).join(", "),
                      )
                    }
                  >
                    {l}
                  </button>
                );
              })}
            </div>
          </div>
        )}
        <div className="mt-3 flex flex-wrap items-start gap-5">
          {limit && (
            <div>
              {part.limits.length > 1 && (
                <span className="flex items-center text-[15px]">
                  <Choice
                    label="What is measured"
                    value={limit.measure}
                    all={limit.name}
                    of={part.limits.map((l) => l.measure)}
                    say={(m) => part.limits.find((l) => l.measure === m)?.name ?? m}
                    onChange={setMeasure}
                  />
                </span>
              )}
              <label className="block text-[13.5px] text-muted" htmlFor="measured">
                {limit.name}, {unitWord(limit.unit)}
              </label>
              <input
                id="measured"
                className="m field mt-1 w-[150px] text-right text-[24px] font-semibold"
                inputMode="decimal"
                autoComplete="off"
                value={typed}
                aria-invalid={fault !== undefined}
                onChange={(e) => {
                  setTyped(e.target.value);
                  link.clear();
                }}
              />
              <div className="max-w-[230px]">{fault && <Sentence>{fault}</Sentence>}</div>
            </div>
          )}
          {limit && <LimitScale limit={limit} typed={typed} />}
          <div className="min-w-[220px] flex-1">
            <label className="block text-[13.5px] text-muted" htmlFor="seen">
              What was seen, or the reason
            </label>
            <input
              id="seen"
              className="field mt-1 w-full"
              value={text}
              maxLength={2000}
              aria-invalid={textFault !== undefined}
              onChange={(e) => {
                setText(e.target.value);
                link.clear();
              }}
            />
            {textFault && <Sentence>{textFault}</Sentence>}
          </div>
        </div>
      </div>
      <Foot
        link={link}
        view={view}
        {...(open === 0
          ? {
              main: "All looked at, decide",
              onMain: () => void link.act({ kind: "STAGE_DONE", subject: "INSPECT" }),
            }
          : {})}
      >
        <div className="flex flex-1 gap-2.5" role="group" aria-label={`Judge the ${part.name}, ${open} to look at`}>
          {VERDICTS.map((v, i) => (
            <button
              key={v}
              type="button"
              className="press flex h-[60px] flex-1 items-center justify-center gap-2.5 px-2 text-[20px]"
              disabled={link.busy}
              title={`Alt ${i + 1}`}
              onClick={() => void judge(v)}
            >
              <Mark state={v} size={22} />
              {v}
            </button>
          ))}
        </div>
      </Foot>
    </>
  );
}

/** What the findings do to the plan, and the way to widen the job. */
function Consequence({ view, link }: StageProps) {
  const shut = view.rails.flatMap((r) => r.lines.flatMap((l) => l.parts)).filter((p) => p.word === "left shut");
  const names = new Map(shut.map((p) => [p.name, p.id]));
  return (
    <aside className="border-l border-ink px-5 pt-3 max-[1180px]:col-span-full max-[1180px]:border-t max-[1180px]:border-l-0">
      <h2 className="head border-b-[1.5px] border-ink pb-1">What goes new</h2>
      <ul>
        {view.decide.parts.map((p) => (
          <li key={p.part} className="border-b border-line2 py-1.5 text-[14.5px] leading-[17px]">
            <b className="font-[640]">
              {p.count} × {p.name}
            </b>
            <span className="block text-[13px] text-muted">{p.because}</span>
          </li>
        ))}
      </ul>
      <p className="pt-2 text-[14px] text-soft">
        {rounded(view.plan.minutes + view.plan.buildOnlyMinutes)} min in all,{" "}
        {view.stages.find((s) => s.id === "STRIP")?.title.toLowerCase()} and build.
      </p>
      {shut.length > 0 && (
        <div className="pt-3 text-[14.5px]">
          A part still in the pump is bad too:
          <Choice
            label="Part to reach as well"
            value=""
            all="choose it"
            of={[...names.keys()]}
            onChange={(name) =>
              void link.act({
                kind: "JUDGED",
                subject: names.get(name) ?? "",
                items: ["renew"],
                text: "widened at inspection",
              })
            }
          />
          <span className="text-[13px] text-muted">The strip opens again for it; steps done stay done.</span>
        </div>
      )}
    </aside>
  );
}
