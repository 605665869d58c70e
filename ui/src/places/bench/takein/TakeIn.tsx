import { proved } from "../../../text/proved";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../../api/client";
import type { PumpView, Rail, RailPart, TakenIn, WaysView } from "../../../api/types";
import { Rails } from "../../../drawing/Rails";
import { clock, day, millions, rounded } from "../../../text/numbers";
import { Failed, Loading, Sentence } from "../../../parts/States";
import { useDraft } from "../../../parts/useDraft";
import type { InStage, StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { Schools, WaysIn } from "./WaysIn";
import { TextInput } from "../../../parts/TextInput";
import { quantity } from "../../../text/shop";

const SECTIONS: Record<string, string> = {
  wet: "Wet end",
  air: "Air side",
  drive: "Drive",
  frame: "Frame",
};

type Wish = "leave" | "inspect" | "renew";

/** Why the pump is here, and what the rebuild must reach. The plan answers at once. */
export function TakeIn({ view, rails, link }: InStage<"TAKE_IN">) {
  const pump = useQuery({
    queryKey: ["pump", view.pump.tag],
    queryFn: () => api.pump(view.pump.tag),
  });
  if (pump.data?.sheet)
    return <Wishes view={view} rails={rails} link={link} pump={pump.data} sheet={pump.data.sheet} />;
  if (pump.error) return <Failed error={pump.error} what="the pump" />;
  return <Loading what="the sheet" />;
}

type Sheet = NonNullable<PumpView["sheet"]>;
type Why = NonNullable<TakenIn["why"]>;

/** Why a pump comes in, and what that means for the run of what wears in it. */
const WHYS: [Why, string, string][] = [
  ["due", "Due", "Its interval is up: what comes out counts as sound unless it is judged bad."],
  ["failed", "Failed", "It gave out: its wearing set counts as failed, even where nobody looks at it."],
  ["symptom", "A symptom", "Something was seen or heard: what comes out is judged at Inspect."],
  ["chance", "By chance", "Opened for another reason: what comes out counts as sound unless it is judged bad."],
];

function isWhy(code: string): code is Why {
  return WHYS.some(([c]) => c === code);
}

function meaning(why: string): string {
  return WHYS.find(([c]) => c === why)?.[2] ?? "Not said yet: what comes out counts as sound unless it is judged bad.";
}

function Wishes({
  view,
  rails: drawn,
  link,
  pump,
  sheet,
}: StageProps & { rails: Rail[]; pump: PumpView; sheet: Sheet }) {
  const [reason, setReason, clearReason] = useDraft(`${view.id}.reason`);
  const [why, setWhy, clearWhy] = useDraft(`${view.id}.why`);
  const [stored, setStored, clearWishes] = useDraft(`${view.id}.wishes`);
  const wishes = stored ? (JSON.parse(stored) as Record<string, Wish>) : {};
  const set = (parts: string[], wish: Wish) =>
    setStored(JSON.stringify({ ...wishes, ...Object.fromEntries(parts.map((p) => [p, wish])) }));
  const of = (wish: Wish) => Object.keys(wishes).filter((p) => wishes[p] === wish);
  const [renew, inspect] = [of("renew"), of("inspect")];
  const [chosenWays, setChosenWays, clearWays] = useDraft(`${view.id}.ways`);
  const [avoided, setAvoided, clearAvoided] = useDraft(`${view.id}.avoid`);
  const schoolWays = chosenWays ? (JSON.parse(chosenWays) as Record<string, string>) : {};
  const chosen = renew.length + inspect.length > 0;
  const asked: TakenIn = {
    kind: "TAKEN_IN",
    renew,
    inspect,
    ways: Object.values(schoolWays),
    avoid: avoided.split(",").filter(Boolean),
  };
  const ways = useQuery({
    queryKey: ["ways", view.id, asked],
    queryFn: () => api.ways(view.id, asked),
    enabled: chosen,
    placeholderData: keepPreviousData,
  });
  const takeIn = async () => {
    if (await link.act({ ...asked, reason, ...(isWhy(why) && { why }) })) {
      clearReason();
      clearWhy();
      clearWishes();
      clearWays();
      clearAvoided();
    }
  };
  const fault = faultAt(link.faults, "renew", "inspect", "ways", "avoid", "reason");
  const spoilt = new Set(ways.data?.renew.map((r) => r.part));
  const rails = drawn.map((r) => ({
    ...r,
    lines: r.lines.map((l) => ({
      ...l,
      parts: l.parts.map((p) => asWished(p, wishes, chosen ? spoilt : new Set())),
    })),
  }));
  const cycle = (parts: RailPart[]) => {
    const mine = parts.map((p) => p.id).filter((p) => sheet.parts.some((q) => q.id === p));
    const now = wishes[mine[0] ?? ""] ?? "leave";
    if (mine.length > 0) set(mine, now === "leave" ? "inspect" : now === "inspect" ? "renew" : "leave");
  };
  return (
    <>
      <Rails rails={rails} onPress={cycle} />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_388px] max-[1000px]:grid-cols-1">
        <section className="flex flex-col" aria-label="What the rebuild must reach">
          <div className="px-5 pt-2.5">
            <h2 className="pb-2 text-head leading-9 font-[680]">Why is it here, and what must be reached</h2>
            <div className="flex flex-wrap items-start gap-x-4 gap-y-2">
              <div className="flex flex-wrap" role="group" aria-label="Why it came in">
                {WHYS.map(([code, word]) => (
                  <button
                    key={code}
                    type="button"
                    aria-pressed={why === code}
                    className={`press -ml-px h-12 first:ml-0 ${why === code ? "call" : ""}`}
                    onClick={() => setWhy(why === code ? "" : code)}
                  >
                    {word}
                  </button>
                ))}
              </div>
              <TextInput
                of="TakenIn.reason"
                className="field h-12 min-w-[260px] flex-1 text-lead text-ink"
                aria-label="In words: what was seen"
                typed={reason}
                placeholder={`in words: ${dueWords(pump)}`}
                onType={setReason}
              />
            </div>
            <p className="pt-1 text-small leading-4 text-muted">{meaning(why)}</p>
            <div className="flex flex-wrap gap-2.5 py-3">
              {sheet.kits.map((k) => {
                const parts = Object.keys(k.parts).filter((p) => sheet.parts.some((q) => q.id === p));
                const on = parts.every((p) => wishes[p] === "renew");
                return (
                  <button
                    key={k.id}
                    type="button"
                    aria-pressed={on}
                    className={`press h-[56px] ${on ? "call" : ""}`}
                    onClick={() => set(parts, on ? "leave" : "renew")}
                  >
                    {k.title}: renew {parts.length} kinds of part
                  </button>
                );
              })}
            </div>
          </div>
          <Parts sheet={sheet} wishes={wishes} set={set} />
          {fault && (
            <div className="px-5">
              <Sentence>{fault}</Sentence>
            </div>
          )}
          <Foot
            link={link}
            view={view}
            main="Take it in"
            missing={chosen ? `${renew.length} to renew, ${inspect.length} to look at` : "choose a kit or a part"}
            disabled={!chosen}
            onMain={() => void takeIn()}
          />
        </section>
        <aside className="border-l-[1.5px] border-ink bg-card px-6 pt-3 pb-5 max-[1000px]:border-t max-[1000px]:border-l-0">
          <PlanPreview ways={chosen ? ways.data : undefined} sheet={sheet} />
          {chosen && ways.data && (
            <>
              <WaysIn routes={ways.data.routes} onChoose={(avoid) => setAvoided(avoid.join(","))} />
              <Schools
                ways={ways.data}
                onChoose={(school, way) => setChosenWays(JSON.stringify({ ...schoolWays, [school]: way }))}
              />
            </>
          )}
          <p className="pt-3 text-body font-[620]">
            <Link className="under" to={`/symptoms/${view.pump.tag}`}>
              It does something it should not: symptoms first
            </Link>
          </p>
          <Duty pump={pump} />
        </aside>
      </div>
    </>
  );
}

/** A part as the drawing shows it before the plan is made: asked for, spoilt by the way in, or left. */
function asWished(part: RailPart, wishes: Record<string, Wish>, spoilt: Set<string>): RailPart {
  const wish = wishes[part.id] ?? "leave";
  // nothing is left shut yet: every part may still be asked for
  const open = { ...part, reached: true, subWord: "" };
  if (wish === "renew" || spoilt.has(part.id)) return { ...open, state: "renew", word: "renew" };
  return { ...open, word: wish === "inspect" ? "look" : "leave" };
}

const times = (n: number) => (n === 0 ? "never" : n === 1 ? "once" : n === 2 ? "twice" : `${n} times`);

function dueWords(pump: PumpView): string {
  const days = Math.round(pump.strip.dueDays);
  return days < 0 ? `${-days} days past its interval` : `due in ${days} days`;
}

interface PartsProps {
  sheet: Sheet;
  wishes: Record<string, Wish>;
  set: (parts: string[], wish: Wish) => void;
}

function Parts({ sheet, wishes, set }: PartsProps) {
  const [open, setOpen] = useState("");
  const sections = [...new Set(sheet.parts.map((p) => p.section))];
  return (
    <div className="flex-1 px-5">
      {sections.map((s) => {
        const parts = sheet.parts.filter((p) => p.section === s);
        const asked = parts.filter((p) => (wishes[p.id] ?? "leave") !== "leave").length;
        return (
          <div key={s} className="border-t border-ink">
            <button
              type="button"
              className="flex h-12 w-full items-center justify-between text-left"
              aria-expanded={open === s}
              onClick={() => setOpen(open === s ? "" : s)}
            >
              <span className="head">{SECTIONS[s] ?? s}, part by part</span>
              <span className="text-body text-muted">
                {asked > 0 ? `${asked} of ${parts.length} asked for` : `${parts.length} parts`} {open === s ? "▴" : "▾"}
              </span>
            </button>
            {open === s && (
              <ul className="grid grid-cols-2 gap-x-6 pb-3 max-[760px]:grid-cols-1">
                {parts.map((p) => (
                  <li key={p.id} className="flex min-h-12 items-center justify-between gap-2 border-t border-line2">
                    <span className="min-w-0 truncate text-body font-[600]" title={p.name}>
                      {p.name}
                    </span>
                    <span className="flex" role="group" aria-label={p.name}>
                      {(["leave", "inspect", "renew"] as const).map((w) => (
                        <button
                          key={w}
                          type="button"
                          aria-pressed={(wishes[p.id] ?? "leave") === w}
                          className={`-ml-px h-12 border px-2.5 text-body ${
                            (wishes[p.id] ?? "leave") === w
                              ? "relative border-ink bg-ink font-[680] text-card"
                              : "border-line bg-card text-soft"
                          }`}
                          onClick={() => set([p.id], w)}
                        >
                          {w === "inspect" ? "look" : w}
                        </button>
                      ))}
                    </span>
                  </li>
                ))}
              </ul>
            )}
          </div>
        );
      })}
    </div>
  );
}

interface PreviewProps {
  ways: WaysView | undefined;
  sheet: Sheet;
}

function PlanPreview({ ways, sheet }: PreviewProps) {
  const plan = ways?.plan;
  return (
    <>
      <div className="flex items-end justify-between border-b-[1.5px] border-ink pb-1">
        <h2 className="head">The plan for that</h2>
        <span className="text-small text-muted">sheet revision {sheet.revision}</span>
      </div>
      {plan ? (
        <div className="py-2">
          <p className="flex items-baseline gap-3">
            <span className="m text-tag leading-[48px] font-semibold tracking-[-.04em]">
              {clock(plan.minutes + plan.buildOnlyMinutes)}
            </span>
            <span className="text-body text-muted">hands on, strip and build</span>
          </p>
          <p className="text-body leading-5">
            {plan.strip.length} steps to strip, the pump turned {times(plan.poseChanges)}, {plan.toolChanges} changes of
            tool{`, ${proved(plan)}`}.{" "}
            {plan.learnedSteps > 0
              ? `Minutes of ${plan.learnedSteps} steps from jobs recorded here, the rest from the sheet.`
              : "Minutes from the sheet."}
          </p>
          {ways.renew.length > 0 && (
            <ul className="pt-2">
              {ways.renew
                .filter((r) => r.reason !== "asked-for")
                .map((r) => (
                  <li key={r.part} className="border-t border-line2 py-1 text-body leading-[17px]">
                    <b className="font-[640]">
                      {r.count} × {r.name}
                    </b>
                    <span className="block text-small text-muted">{r.because}</span>
                  </li>
                ))}
            </ul>
          )}
        </div>
      ) : (
        <p className="py-3 text-body leading-5 text-soft">
          Choose a kit, or parts to renew or look at: the shortest way in, its minutes and what else it spoils stand
          here.
        </p>
      )}
    </>
  );
}

function Duty({ pump }: { pump: PumpView }) {
  return (
    <>
      <div className="border-b-[1.5px] border-ink pt-4 pb-1">
        <h2 className="head">What it has done</h2>
      </div>
      <p className="py-2 text-body leading-5">
        {pump.strip.material} fitted {day(pump.strip.fittedOn)}: {rounded(pump.strip.hours)} h
        {pump.strip.counts > 0 && `, ${millions(pump.strip.counts)} million ${pump.strip.counted}`}.{" "}
        {pump.strip.because}
      </p>
      {pump.duty.map((d) => (
        <p key={d.fluid} className="flex justify-between border-t border-line2 py-1.5 text-body">
          <span className="min-w-0 truncate font-[600]">{d.name}</span>
          <span className="m text-small whitespace-nowrap">
            {rounded(d.concentrationPct, 1)} % {quantity(d.temperatureC, "degC")} {rounded(d.share * 100)} %
          </span>
        </p>
      ))}
    </>
  );
}
