import type { JoinDecision, JoinView } from "../../../api/types";
import { useState } from "react";
import { useStanding } from "../../../api/session";
import type { BenchLink } from "../../../api/useBench";
import { Sentence } from "../../../parts/States";
import { counted } from "../../../text/counted";

type Mine = JoinView["mine"][number];
type Theirs = JoinView["theirs"][number];

const POINTS = new Set<Mine["fate"]>(["twice", "refused"]);

/** Two stories of one job side by side, and each point at which a person has to decide. */
export function TwoStories({ link, stories }: { link: BenchLink; stories: JoinView }) {
  const { carried } = link;
  const me = useStanding().session?.initials ?? "";
  const [fault, setFault] = useState("");
  const [busy, setBusy] = useState(false);
  const points = stories.mine.filter((m) => POINTS.has(m.fate));
  const open = points.filter((m) => !carried.decisions[m.key]);
  const others = [...new Set(stories.theirs.map((t) => t.who))].join(", ");
  const join = async () => {
    setBusy(true);
    setFault("");
    try {
      await carried.join();
    } catch (e) {
      setFault(e instanceof Error ? e.message : "It could not be sent.");
    } finally {
      setBusy(false);
    }
  };
  return (
    <section className="flex flex-1 flex-col" aria-label="Two stories of one job">
      <div className="flex flex-wrap items-baseline justify-between gap-x-6 border-b border-line px-5 py-2">
        <h2 className="text-head leading-9 font-[680]">
          {stories.theirs.length > 0 ? "The server is back: two stories of one job" : "The server is back"}
        </h2>
        <p className="text-body text-soft">
          {stories.mine.length - points.length} of {stories.mine.length} go together by themselves
        </p>
      </div>
      <Forks stories={stories} points={points} me={me} others={others} />
      <ol className="grid flex-1 content-start gap-x-8 px-5 py-2 min-[900px]:grid-cols-2">
        {points.map((p, i) => (
          <Point
            key={p.key}
            number={i + 1}
            mine={p}
            theirs={stories.theirs.find((t) => t.seq === p.against)}
            me={me}
            decision={carried.decisions[p.key]}
            decide={(d) => carried.decide(p.key, d)}
          />
        ))}
      </ol>
      <div className="grid gap-x-8 px-5 pb-3 min-[900px]:grid-cols-2">
        <Told
          title={others ? `${others}, on the server` : "On the server: nobody"}
          lines={stories.theirs.map((t) => ({ key: String(t.seq), at: t.at, say: t.say, beside: "" }))}
        />
        <Told
          title={`${me}, on this device`}
          lines={stories.mine.map((m) => ({ key: m.key, at: m.at, say: m.say, beside: BESIDE[m.fate] }))}
        />
      </div>
      <div className="sticky bottom-0 bg-paper px-5 pt-2 pb-2">
        {fault && <Sentence>{fault}</Sentence>}
        <div className="flex flex-wrap gap-2.5">
          {open.length > 0 && (
            <button
              type="button"
              className="press h-[60px]"
              disabled={busy}
              title="Somebody may have made room for it meanwhile"
              onClick={() => void join()}
            >
              Look again
            </button>
          )}
          {open.length > 1 && open.every((p) => p.fate === "refused") && (
            <button
              type="button"
              className="press h-[60px]"
              onClick={() => open.forEach((p) => carried.decide(p.key, "theirs"))}
            >
              All {open.length} as notes
            </button>
          )}
          <button
            type="button"
            className="press go flex h-[60px] min-w-[280px] flex-1 items-center justify-between gap-4 px-[22px]"
            disabled={open.length > 0 || busy}
            onClick={() => void join()}
          >
            <span className="text-left text-title max-[640px]:text-lead">Put them together in one record</span>
            <span className="max-w-[46%] text-right text-body leading-4 font-[560]">
              {open.length > 0 ? `${counted(open.length, "point")} to decide` : counted(stories.mine.length, "act")}
            </span>
          </button>
        </div>
      </div>
    </section>
  );
}

/** What becomes of an act, in a word beside it. */
const BESIDE: Record<Mine["fate"], string> = {
  "goes-in": "goes in",
  same: "both did it",
  twice: "to decide",
  refused: "does not fit",
};

function Told({ title, lines }: { title: string; lines: { key: string; at: string; say: string; beside: string }[] }) {
  return (
    <div className="min-w-0 pt-2">
      <h3 className="head border-b-[1.5px] border-ink pb-1">{title}</h3>
      <ol>
        {lines.map((l) => (
          <li key={l.key} className="flex gap-3 border-b border-line2 py-1 text-body leading-[18px]">
            <span className="m shrink-0 text-muted">{l.at}</span>
            <span className="min-w-0 flex-1">{l.say}</span>
            <span className="shrink-0 text-small text-muted">{l.beside}</span>
          </li>
        ))}
      </ol>
    </div>
  );
}

const HIGH = 34;
const LOW = 96;

/** The two stories as two lines that part and meet again, a tick for each act, a number at each point. */
function Forks({ stories, points, me, others }: { stories: JoinView; points: Mine[]; me: string; others: string }) {
  const at = (i: number, of: number) => 150 + ((i + 0.5) / Math.max(1, of)) * 900;
  const there = (p: Mine) => stories.theirs.findIndex((t) => t.seq === p.against);
  return (
    <svg
      viewBox="0 0 1200 130"
      className="block w-full border-b border-line bg-card"
      role="img"
      aria-label={`${counted(stories.theirs.length, "act")} on the server, ${counted(stories.mine.length, "act")} on this device`}
      fill="none"
    >
      <path d="M0,65H60" stroke="var(--ink)" strokeWidth="4" />
      <path
        d={`M60,65C100,65 90,${HIGH} 130,${HIGH}H1060C1100,${HIGH} 1090,65 1130,65`}
        stroke="var(--ink)"
        strokeWidth="4"
      />
      <path
        d={`M60,65C100,65 90,${LOW} 130,${LOW}H1060C1100,${LOW} 1090,65 1130,65`}
        stroke="var(--ink)"
        strokeWidth="4"
      />
      <path d="M1130,65H1196" stroke="var(--accent)" strokeWidth="3" strokeDasharray="9 6" />
      {stories.theirs.map((t, i) => (
        <path key={t.seq} d={`M${at(i, stories.theirs.length)},${HIGH - 9}v18`} stroke="var(--ink)" strokeWidth="2" />
      ))}
      {stories.mine.map((m, i) => (
        <path key={m.key} d={`M${at(i, stories.mine.length)},${LOW - 9}v18`} stroke="var(--ink)" strokeWidth="2" />
      ))}
      {points.map((p, i) => {
        const x = at(stories.mine.indexOf(p), stories.mine.length);
        const over = there(p) >= 0 ? at(there(p), stories.theirs.length) : x;
        const middle = (x + over) / 2;
        return (
          <g key={p.key}>
            <path
              d={`M${x},${LOW}C${x},65 ${over},65 ${over},${there(p) >= 0 ? HIGH : 65}`}
              stroke="var(--accent)"
              strokeWidth="2"
            />
            <circle cx={middle} cy="65" r="12" fill="var(--accent)" />
            <text x={middle} y="70" textAnchor="middle" fill="var(--card)" fontSize="15" fontWeight="700">
              {i + 1}
            </text>
          </g>
        );
      })}
      <text x="150" y="17" fill="var(--soft)" fontSize="15">
        {others ? `${others}, on the server` : "nobody else, on the server"}
      </text>
      <text x="150" y="124" fill="var(--soft)" fontSize="15">
        {me}, on this device
      </text>
      <text x="1196" y="52" textAnchor="end" fill="var(--accent)" fontSize="15" fontWeight="640">
        one record
      </text>
    </svg>
  );
}

interface PointProps {
  number: number;
  mine: Mine;
  theirs: Theirs | undefined;
  me: string;
  decision: JoinDecision | undefined;
  decide: (decision: JoinDecision) => void;
}

function Point({ number, mine, theirs, me, decision, decide }: PointProps) {
  const refused = mine.fate === "refused";
  return (
    <li className="border-b border-line py-2">
      <h3 className="flex items-baseline gap-2.5 text-lead leading-6 font-[680]">
        <span className="m text-accent">{number}</span>
        {refused ? "This does not fit what stands there now" : "Answered twice"}
        <span className="ml-auto text-small font-[500] text-muted">{decision ? "decided" : "to decide"}</span>
      </h3>
      {refused && <p className="text-body leading-[18px] text-soft">{mine.because}</p>}
      <div className="flex flex-wrap gap-2.5 pt-1.5" role="group" aria-label={`Point ${number}`}>
        {theirs && !refused && (
          <Side
            chosen={decision === "theirs"}
            onChoose={() => decide("theirs")}
            who={theirs.who}
            at={theirs.at}
            say={theirs.say}
          >
            stands; the other goes beside it as a note
          </Side>
        )}
        {refused ? (
          <Side chosen={decision === "theirs"} onChoose={() => decide("theirs")} who={me} at={mine.at} say={mine.say}>
            goes into the record as a note, with the reason
          </Side>
        ) : (
          <Side chosen={decision === "mine"} onChoose={() => decide("mine")} who={me} at={mine.at} say={mine.say}>
            goes in after it and stands
          </Side>
        )}
      </div>
    </li>
  );
}

function Side(p: { chosen: boolean; onChoose: () => void; who: string; at: string; say: string; children: string }) {
  return (
    <button
      type="button"
      aria-pressed={p.chosen}
      onClick={p.onChoose}
      className={`min-h-[76px] min-w-[220px] flex-1 border bg-card px-3 py-2 text-left ${p.chosen ? "border-2 border-accent" : "border-line hover:bg-wash"}`}
    >
      <span className="flex items-baseline gap-2.5">
        <span className="m bg-ink px-2 text-body font-semibold text-card">{p.who}</span>
        <span className="m text-body text-muted">{p.at}</span>
      </span>
      <span className="block pt-1 text-lead leading-5 font-[640]">{p.say}</span>
      <span className="block text-small text-soft">{p.children}</span>
    </button>
  );
}
