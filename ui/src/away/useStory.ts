import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { answered } from "../api/away";
import { api, Away, Refused } from "../api/client";
import type { Act, AwayStory, BenchView, Fault, JoinDecision, JoinView } from "../api/types";
import { Full, heldJob, holdJob, keep, sent, takeOverEarlier, waitingOf, type HeldJob, type Waiting } from "./shelf";
import { BESIDE, Story, type Answer } from "./story";
import { words } from "./words";

/** How often a server that is away is asked whether it takes what waits. */
const TRY_MS = 1_500;

/** A month, s: the server believes no act that waited longer, so it is told so much. */
const MOST_SECONDS = 2_678_400;

/** An answer is here by then, as a rule. */
const ON_ITS_WAY_MS = 400;

/** After this much quiet a job is worked out ahead again: acts come in bursts. */
const QUIET_MS = 1_200;

/** A job carried on without the server, and what waits for it. */
export interface Carried {
  /** The job as it stands with what waits; undefined where nothing waits and the server is there. */
  view: BenchView | undefined;
  waiting: readonly Waiting[];
  /** What the server has still to work out. */
  later: readonly string[];
  /** Why nothing goes on here without the server; empty where something does. */
  waits: string;
  /** Whether it goes on from here where the server is not, by what this device holds. */
  ready: boolean;
  /** To which stage it is worked out ahead; empty where it is not. */
  reaches: string;
  /** What was worked out, for what is looked up beside it. */
  held: HeldJob | null;
  /** Two stories that wait for a person to decide. */
  stories: JoinView | null;
  decisions: Readonly<Record<string, JoinDecision>>;
  decide: (key: string, decision: JoinDecision) => void;
  /** Puts the stories together as they were decided. */
  join: () => Promise<void>;
}

interface Taken {
  done: boolean;
  faults: Fault[];
}

/** What is not worked out ahead goes on with the server: one act is kept until then, and notes. */
function notWorkedOut(act: Act, waiting: number): Answer {
  return waiting === 0 || BESIDE.has(act.kind)
    ? { outcome: "later", say: "" }
    : {
        outcome: "refused",
        path: "",
        say: "The server is away, and this job was not worked out ahead: what you did last waits, and goes in first.",
      };
}

/** Whether what was worked out ahead says of the job what the server says. */
function agrees(worked: BenchView, live: BenchView): boolean {
  const step = (v: BenchView) => (v.inHand.stage === "STRIP" || v.inHand.stage === "BUILD" ? v.inHand.step : null);
  return (
    worked.stage === live.stage &&
    step(worked)?.id === step(live)?.id &&
    step(worked)?.missing === step(live)?.missing &&
    JSON.stringify(worked.parts.map((p) => [p.id, p.state, p.where])) ===
      JSON.stringify(live.parts.map((p) => [p.id, p.state, p.where]))
  );
}

/**
 * Holds a job on this device so that it goes on without the server, keeps what is done then, and
 * sends it once the server is back.
 *
 * @param live as the server shows the job; undefined while it has not
 */
export function useStory(id: string, who: string, live: BenchView | undefined) {
  const queries = useQueryClient();
  const [held, setHeld] = useState<HeldJob | null>(null);
  const [waiting, setWaiting] = useState<Waiting[]>([]);
  const [stories, setStories] = useState<JoinView | null>(null);
  const [decisions, setDecisions] = useState<Record<string, JoinDecision>>({});
  const [tries, setTries] = useState(0);
  // What stands now, for what is done before the page has been drawn again.
  const now = useRef<{ held: HeldJob | null; waiting: Waiting[] }>({ held: null, waiting: [] });
  const hold = useCallback((job: HeldJob | null) => {
    now.current.held = job;
    setHeld(job);
  }, []);
  const wait = useCallback((acts: Waiting[]) => {
    now.current.waiting = acts;
    setWaiting(acts);
  }, []);

  useEffect(() => {
    let gone = false;
    const read = async () => {
      await takeOverEarlier(id);
      const [job, acts] = await Promise.all([heldJob(id), waitingOf(id)]);
      if (gone) return;
      hold(job ?? null);
      wait(acts);
    };
    void read();
    return () => {
      gone = true;
    };
  }, [id, hold, wait]);

  const story = useMemo(() => {
    if (!held?.ahead) return null;
    try {
      return new Story(held.ahead, [...held.trail, ...waiting]);
    } catch {
      return null; // worked out by an older edition of this page
    }
  }, [held, waiting]);

  const worked = useMemo(() => story?.view(), [story]);

  // What was worked out holds as long as every act since was this device's own and led where it said.
  const seq = live?.seq;
  const holds =
    worked !== undefined &&
    live !== undefined &&
    held?.ahead != null &&
    held.ahead.seq + held.trail.length === live.seq &&
    agrees(worked, live);
  useEffect(() => {
    if (!live || waiting.length > 0 || holds) return;
    // What was worked out is of another state: better none than a wrong one. An act of this device that
    // is on its way may be seen before its answer.
    const timer = setTimeout(() => {
      const { held: job } = now.current;
      if (job?.ahead) hold({ ...job, view: live, ahead: null, trail: [] });
    }, ON_ITS_WAY_MS);
    return () => clearTimeout(timer);
  }, [live, waiting.length, holds, hold]);
  useEffect(() => {
    if (seq === undefined || waiting.length > 0 || holds) return;
    const timer = setTimeout(() => {
      void api
        .ahead(id)
        .then(async (ahead) => {
          const view = queries.getQueryData<BenchView>(["bench", id]);
          if (!view || now.current.waiting.length > 0) return;
          const job = { id, view, ahead, trail: [], at: Date.now() };
          hold(job);
          await holdJob(job);
        })
        .catch((e: unknown) => {
          // asked again with the next act: without it the job is there, and does not go on alone
          if (!(e instanceof Away) && !(e instanceof Refused) && !(e instanceof Full)) throw e;
        });
    }, QUIET_MS);
    return () => clearTimeout(timer);
  }, [id, seq, holds, waiting.length, queries, hold]);

  /** An act that the server recorded: what was worked out goes on with it. */
  const recorded = useCallback(
    (key: string, act: Act, view: BenchView) => {
      const job = now.current.held;
      if (!job) return;
      const on = { ...job, view, trail: [...job.trail, { key, at: Date.now(), act }], at: Date.now() };
      hold(on);
      // nobody waits for it: the record is with the server already
      holdJob(on).catch((e: unknown) => {
        if (!(e instanceof Full)) throw e;
      });
    },
    [hold],
  );

  /** Keeps an act for the server, and goes on as it was worked out. */
  const take = useCallback(
    async (key: string, act: Act, seen: number, shown: BenchView): Promise<Taken> => {
      const { held: job, waiting: acts } = now.current;
      const at = Date.now();
      const ahead = job?.ahead && (acts.length > 0 || job.ahead.seq + job.trail.length === seen) ? job.ahead : null;
      const answer: Answer = ahead
        ? new Story(ahead, [...(job?.trail ?? []), ...acts]).answer(act, at)
        : notWorkedOut(act, acts.length);
      if (job?.ahead && !ahead) hold({ ...job, ahead: null, trail: [] });
      if (answer.outcome === "refused") return { done: false, faults: [{ path: answer.path, message: answer.say }] };
      const waits = { key, at, act, job: id, who, seen: acts[0]?.seen ?? seen, say: words(act, shown) };
      try {
        await keep(waits);
      } catch (e) {
        if (!(e instanceof Full)) throw e;
        const message = "This device has no room left: this was not kept. Make room on it, then press again.";
        return { done: false, faults: [{ path: "", message }] };
      }
      wait([...acts, waits]);
      return { done: true, faults: answer.outcome === "stays" ? [{ path: "value", message: answer.say }] : [] };
    },
    [id, who, wait, hold],
  );

  const asked = useCallback((decided: Record<string, JoinDecision>): AwayStory => {
    const sending = now.current.waiting;
    return {
      seen: sending[0]?.seen ?? 0,
      acts: sending.map(({ key, at, act }) => ({
        key,
        act,
        secondsAgo: Math.min(MOST_SECONDS, Math.max(0, Math.round((Date.now() - at) / 1000))),
      })),
      decided,
      record: true,
    };
  }, []);

  const joined = useCallback(
    async (decided: Record<string, JoinDecision>) => {
      const sending = new Set(now.current.waiting.map((w) => w.key));
      const result = await api.join(id, asked(decided));
      answered(true);
      if (!result.recorded) {
        setStories(result);
        return;
      }
      await sent(id, sending);
      queries.setQueryData(["bench", id], result.view);
      wait(now.current.waiting.filter((w) => !sending.has(w.key)));
      setStories(null);
      setDecisions({});
    },
    [id, asked, queries, wait],
  );

  const owner = waiting[0]?.who;
  const open = stories !== null;
  useEffect(() => {
    if (owner === undefined || owner !== who || open) return;
    const timer = setTimeout(() => {
      joined({}).catch((e: unknown) => {
        if (!(e instanceof Away) && !(e instanceof Refused)) throw e;
        setTries((n) => n + 1);
      });
    }, TRY_MS);
    return () => clearTimeout(timer);
  }, [owner, who, open, tries, joined]);

  const away = waiting.length > 0 || live === undefined;
  const carried: Carried = {
    view: away ? (worked ?? held?.view) : undefined,
    waiting,
    later: story?.later ?? [],
    waits: away ? (story?.waits ?? "") : "",
    ready: holds && !away,
    reaches: held?.ahead?.situations.at(-1)?.view.stages.find((s) => s.state === "current")?.title ?? "",
    held,
    stories,
    decisions,
    decide: (key, decision) => setDecisions((all) => ({ ...all, [key]: decision })),
    join: () => joined(decisions),
  };
  return { carried, take, recorded };
}
