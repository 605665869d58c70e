import { readingDraft } from "./readingDraft";
import { counted } from "../../../text/counted";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { Away, api } from "../../../api/client";
import type { FindingView, InspectItem } from "../../../api/types";
import { isLeftShut } from "../../../drawing/leftShut";
import { Signature } from "../../../drawing/Signature";
import { Choice } from "../../../parts/Choice";
import { Mark } from "../../../parts/Mark";
import { clock, rounded } from "../../../text/numbers";
import { Sentence } from "../../../parts/States";
import { dropDraft, heldDraft, useDraft } from "../../../parts/useDraft";
import type { InStage, Now } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { Photographs } from "../photographs/Photographs";
import { Foot } from "../frame/Foot";
import { useKey } from "../frame/useKey";
import { Measures } from "./Measures";
import { SmallPart } from "../../../drawing/SmallPart";
import { WhyItWore } from "./WhyItWore";
import { TextInput } from "../../../parts/TextInput";

const VERDICTS = ["sound", "watch", "renew"] as const;
type Verdict = (typeof VERDICTS)[number];

/** Part by part off the tray: look, measure, say why, judge. */
export default function Inspect({ view, now, rails, link }: InStage<"INSPECT">) {
  const [chosen, setChosen] = useState("");
  const open = now.inspect.filter((i) => !i.renewedAnyway && i.state === "unknown");
  const part = now.inspect.find((i) => i.part === chosen) ?? open[0] ?? now.inspect[0];
  return (
    <div className="grid flex-1 grid-cols-[264px_minmax(0,1fr)] max-[760px]:grid-cols-1">
      <Tray now={now} current={part?.part ?? ""} open={open.length} choose={setChosen} />
      {part && (
        <Judge
          key={part.part}
          part={part}
          open={open.length}
          view={view}
          now={now}
          rails={rails}
          link={link}
          judged={() => setChosen("")}
        />
      )}
    </div>
  );
}

function Tray({
  now,
  current,
  open,
  choose,
}: {
  now: Now<"INSPECT">;
  current: string;
  open: number;
  choose: (part: string) => void;
}) {
  const tray = useRef<HTMLElement>(null);
  // On a phone four places of the tray are seen at once, the one in hand among them.
  useEffect(() => {
    const pressed = tray.current?.querySelector<HTMLElement>("[aria-pressed=true]");
    if (tray.current && pressed) tray.current.scrollTop = pressed.offsetTop - pressed.offsetHeight;
  }, [current]);
  return (
    <nav
      ref={tray}
      className="relative overflow-y-auto border-r border-ink bg-tray max-[760px]:max-h-[244px] max-[760px]:border-r-0 max-[760px]:border-b min-[761px]:max-h-[calc(100vh-115px)]"
      aria-label="Parts on the tray"
    >
      <div className="flex items-baseline justify-between px-4 pt-2 pb-1">
        <h2 className="head">Tray</h2>
        <span className="text-small text-muted">
          {now.inspect.length} places, {open} to look at
        </span>
      </div>
      <ul>
        {now.inspect.map((i) => (
          <li key={i.part}>
            <button
              type="button"
              onClick={() => choose(i.part)}
              aria-pressed={i.part === current}
              className={`flex min-h-[52px] w-full items-center gap-2 border-t border-line pr-3 pl-3 text-left ${i.part === current ? "bg-wash outline-2 -outline-offset-2 outline-accent" : "hover:bg-card"} ${i.reached ? "" : "opacity-60"}`}
            >
              <SmallPart glyphName={i.glyph} size={40} />
              <span className="min-w-0 flex-1 leading-4">
                <span
                  className={`block truncate text-body font-[620] ${i.part === current ? "text-accent" : ""}`}
                  title={i.name}
                >
                  {i.name}
                </span>
                <span className="block truncate text-small text-muted" title={i.measured}>
                  {i.cause || i.measured || i.because}
                </span>
              </span>
              <Mark state={i.renewedAnyway && i.state === "unknown" ? "renew" : i.state} size={16} />
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}

interface JudgeProps extends InStage<"INSPECT"> {
  part: InspectItem;
  /** How many parts are still to be looked at. */
  open: number;
  judged: () => void;
}

function Judge({ part, open, view, now, rails, link, judged }: JudgeProps) {
  const [pressed, setPressed, clearPressed] = useDraft(`${view.id}.signs.${part.part}`);
  const [text, setText, clearText] = useDraft(`${view.id}.inspect.${part.part}.seen`);
  const signs = pressed ? pressed.split(" ") : part.signs;
  const finding = useQuery({
    queryKey: ["finding", view.id, part.part, signs.join(" "), view.seq],
    queryFn: () => api.finding(view.id, part.part, signs),
    placeholderData: keepPreviousData,
  });
  // Without the server a part is shown as it was before anybody looked, with the wear pressed since.
  const held = link.carried.held?.ahead?.findings.find((f) => f.part === part.part);
  const found =
    finding.data?.part === part.part
      ? finding.data
      : held && { ...held, signatures: held.signatures.map((s) => ({ ...s, seen: signs.includes(s.id) })) };
  const textFault = faultAt(link.faults, "because", "part", "signs");
  const [round, setRound] = useState(0);
  const judge = async (verdict: Verdict) => {
    // Readings typed and not kept yet go with the judgement: none is lost.
    const typed = (found?.measures ?? [])
      .map(({ measure }) => ({ measure, draft: readingDraft(view.id, part.part, measure) }))
      .filter(({ draft }) => heldDraft(draft.typed));
    const done = await link.act({
      kind: "JUDGED",
      part: part.part,
      verdict,
      measurements: typed.map(({ measure, draft }) => ({
        measure,
        reading: { typed: heldDraft(draft.typed), gauge: heldDraft(draft.gauge) },
      })),
      signs: signs.filter(Boolean),
      because: text,
    });
    if (done) {
      for (const { draft } of typed) {
        dropDraft(draft.typed);
        dropDraft(draft.gauge);
      }
      setRound(round + 1);
      clearPressed();
      clearText();
      judged();
    }
  };
  useKey("1", "altKey", () => void judge("sound"));
  useKey("2", "altKey", () => void judge("watch"));
  useKey("3", "altKey", () => void judge("renew"));
  const press = (id: string) =>
    setPressed((signs.includes(id) ? signs.filter((s) => s !== id) : [...signs, id]).join(" ") || " ");
  return (
    <section className="flex min-w-0 flex-col" aria-label="The part looked at">
      <div className="flex-1 px-5 pt-2">
        <PartHead part={part} open={open} total={now.inspect.length} />
        {found && (
          <div className="flex flex-wrap gap-x-6 gap-y-2">
            <Signatures finding={found} press={press} />
            <WhatItMakes finding={found} />
          </div>
        )}
        <div className="grid grid-cols-[minmax(0,1.18fr)_minmax(0,1fr)] gap-x-6 max-[1020px]:grid-cols-1">
          <div>
            {found && found.measures.length > 0 && (
              <>
                <h3 className="head border-b-[1.5px] border-ink pt-2 pb-1">Measure it</h3>
                <Measures key={round} part={part.part} measures={found.measures} view={view} link={link} />
              </>
            )}
            <div className="py-2">
              <label className="block text-small text-muted" htmlFor="seen">
                What was seen, or the reason
              </label>
              <TextInput
                of="Judged.because"
                id="seen"
                className="field mt-1 w-full"
                typed={text}
                aria-invalid={textFault !== undefined}
                onType={(words) => {
                  setText(words);
                  link.clear();
                }}
              />
              {textFault && <Sentence>{textFault}</Sentence>}
            </div>
          </div>
          <div>
            <h3 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pt-2 pb-1">
              Why it wore
              <span className="text-small font-[500] text-muted">dashed: before looking</span>
            </h3>
            {found && <WhyItWore finding={found} view={view} link={link} />}
            {finding.error && !(finding.error instanceof Away) && <Sentence>{finding.error.message}</Sentence>}
            <Consequence now={now} rails={rails} link={link} next={found?.next} />
            <Photographs job={view.id} of="part" subject={part.part} title={part.name} />
          </div>
        </div>
      </div>
      <Foot
        link={link}
        view={view}
        {...(open === 0
          ? {
              main: "All looked at, decide",
              onMain: () => void link.act({ kind: "STAGE_DONE", stage: "INSPECT" }),
            }
          : {})}
      >
        <div className="flex flex-1 gap-2.5" role="group" aria-label={`Judge the ${part.name}, ${open} to look at`}>
          {VERDICTS.map((v, i) => (
            <button
              key={v}
              type="button"
              className={`press flex h-[60px] flex-1 items-center justify-center gap-2.5 px-2 text-title ${found?.verdict === v && open > 0 && v !== "sound" ? "call" : ""}`}
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
    </section>
  );
}

function PartHead({ part, open, total }: { part: InspectItem; open: number; total: number }) {
  return (
    <div className="flex items-center gap-4">
      <SmallPart glyphName={part.glyph} size={104} />
      <div className="min-w-0">
        <h2 className="text-head leading-9 font-[680]">
          <span className="m pr-3 text-lead text-accent">
            {total - open}/{total}
          </span>
          {part.name}
        </h2>
        <p className="text-body text-soft">
          {part.count > 1 && `${part.count} of them. `}
          {part.measured ||
            (part.renewedAnyway ? `Renewed: ${part.because}.` : "Clean first, nothing abrasive on a sealing face.")}
        </p>
      </div>
    </div>
  );
}

/** Which wear does it show: little cuts of the damage, pressed when seen. */
function Signatures({ finding, press }: { finding: FindingView; press: (id: string) => void }) {
  if (finding.signatures.length === 0) return null;
  return (
    <div className="mt-1.5 flex max-w-[680px] flex-wrap gap-2" role="group" aria-label="Which wear does it show">
      {finding.signatures.map((s) => (
        <button
          key={s.id}
          type="button"
          aria-pressed={s.seen}
          title={`${s.look}. ${s.say}.`}
          onClick={() => press(s.id)}
          className={`relative flex w-[124px] flex-col items-center border px-1.5 pt-1.5 pb-1 ${s.seen ? "border-2 border-accent bg-card text-accent" : "border-line bg-card/60 hover:bg-wash"}`}
        >
          {s.seen && (
            <svg width="18" height="18" className="absolute top-0 right-0" aria-hidden>
              <path d="M0,0H18V18Z" fill="var(--accent)" />
            </svg>
          )}
          <Signature id={s.id} width={104} />
          <span className="text-small leading-4 font-[640]">{s.title}</span>
          <span className="text-center text-small leading-[13px] text-muted">{s.say}</span>
        </button>
      ))}
    </div>
  );
}

/** What readings and signatures make of it, in one word with its reasons. */
function WhatItMakes({ finding }: { finding: FindingView }) {
  const because = [...finding.because, ...finding.facts.map((f) => f.say)];
  if (because.length === 0) return null;
  return (
    <div className="flex min-w-[300px] flex-1 gap-3 pt-1.5" role="status">
      <Mark state={finding.verdict} size={30} />
      <div>
        <p className="text-title leading-6 font-[680]">
          {finding.verdict === "renew"
            ? "Renew it"
            : finding.verdict === "watch"
              ? "Watch: it goes back with a reason"
              : "Sound"}
        </p>
        {because.map((b) => (
          <p key={b} className="text-body leading-[18px] text-soft">
            {b}
          </p>
        ))}
      </div>
    </div>
  );
}

/** What the findings do to the plan and the next interval, and the way to widen the job. */
function Consequence({
  now,
  rails,
  link,
  next,
}: Omit<InStage<"INSPECT">, "view"> & { next: FindingView["next"] | undefined }) {
  const shut = rails.flatMap((r) => r.lines.flatMap((l) => l.parts)).filter(isLeftShut);
  const names = new Map(shut.map((p) => [p.name, p.id]));
  const count = now.parts.length;
  const found = now.parts.filter((p) =>
    now.inspect.some((i) => i.part === p.part && i.state === "renew" && !i.renewedAnyway),
  );
  return (
    <div className="mt-3 border-t-[1.5px] border-ink pt-2 text-body leading-[18px]">
      <p className="flex items-baseline justify-between">
        <b className="font-[660]">Plan</b>
        <span className="m text-body font-semibold">
          {clock(now.plan.minutes + now.plan.buildOnlyMinutes)}
          {count > 0 && `, ${counted(count, "kind of part", "kinds of part")} new`}
        </span>
      </p>
      {found.length > 0 && (
        <p className="text-soft">
          Found bad: {found.map((p) => p.name.toLowerCase()).join(", ")}. Steps done stay done.
        </p>
      )}
      {shut.length > 0 && (
        <span className="flex items-center gap-1.5">
          Still in the pump and bad too:
          <Choice
            label="Part to reach as well"
            value=""
            all="choose it"
            of={[...names.keys()]}
            onChange={(name) =>
              void link.act({
                kind: "JUDGED",
                part: names.get(name) ?? "",
                verdict: "renew",
                because: "widened at inspection",
              })
            }
          />
        </span>
      )}
      {next && <NextInterval next={next} />}
    </div>
  );
}

/** The next interval as a wedge: what was planned, and what the watched parts leave of it. */
function NextInterval({ next }: { next: FindingView["next"] }) {
  const share = Math.min(1, next.hours / next.planned);
  return (
    <div className="pt-1">
      <p className="flex items-baseline justify-between">
        <b className="font-[660]">Next look</b>
        <span className="m text-body font-semibold">
          {rounded(next.hours)} h{share < 1 && <span className="text-muted"> of {rounded(next.planned)}</span>}
        </span>
      </p>
      <svg width="100%" height="18" viewBox="0 0 300 18" preserveAspectRatio="none" aria-hidden>
        <path d="M0,2L300,9L0,16Z" fill="none" stroke="var(--muted)" strokeDasharray="3 2" />
        <path
          d={`M0,2L${300 * share},${2 + 7 * share}V${16 - 7 * share}L0,16Z`}
          fill={share < 1 ? "var(--watch)" : "var(--soft)"}
        />
      </svg>
      {next.because && <p className="text-small text-soft">{next.because}</p>}
    </div>
  );
}
