import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useRef, useState } from "react";
import { useStory, type Carried } from "../away/useStory";
import { answered, askAgain } from "./away";
import { Away, Refused, api } from "./client";
import { newKey } from "./newKey";
import { useStanding } from "./session";
import type { Act, BenchView, Fault, Person, Signer } from "./types";

const LOOK_AGAIN_MS = 10_000;

function newer(got: BenchView, held: BenchView | undefined): BenchView {
  return held && held.seq > got.seq ? held : got;
}

/** A fault at a field of the act, by that field. */
function ofTheAct(fault: Fault): Fault {
  return { ...fault, path: fault.path.replace(/^act\./, "") };
}

/** An act that another person signs for at this device, with a PIN of their own. */
export interface Signing {
  act: Act;
  /** What is signed for, a line each. */
  what: string[];
  /** Why this person may not sign; empty where they may. */
  mayNot: (person: Person) => string;
  /** Whoever answers for it signs, who is signed in first of all; else a second person does. */
  own?: boolean;
}

/** A rebuild, and a way to act on it that goes on without the server. */
export interface BenchLink {
  view: BenchView | undefined;
  failure: Error | null;
  /** True once recorded, or kept for a server that is away; false where it was refused. */
  act: (act: Act, signer?: Signer) => Promise<boolean>;
  /** Asks another person to sign for an act here; null where nobody is asked. */
  signing: Signing | null;
  sign: (signing: Signing | null) => void;
  busy: boolean;
  /** What waits for the server, and the job carried on without it. */
  carried: Carried;
  faults: Fault[];
  stale: string | null;
  clear: () => void;
}

export function useBench(id: string): BenchLink {
  const who = useStanding().session?.initials ?? "";
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [faults, setFaults] = useState<Fault[]>([]);
  const [stale, setStale] = useState<string | null>(null);
  const [signing, sign] = useState<Signing | null>(null);
  const query = useQuery({
    queryKey: ["bench", id],
    // An answer that was on its way while an act was recorded must not undo what is shown of it.
    queryFn: async () => newer(await api.bench(id), queries.getQueryData<BenchView>(["bench", id])),
    refetchInterval: askAgain(LOOK_AGAIN_MS),
  });
  const { carried, take, recorded } = useStory(id, who, query.data);
  const view = carried.view ?? query.data;
  const waits = carried.waiting.length > 0;

  const show = useCallback(
    (got: BenchView) => queries.setQueryData<BenchView>(["bench", id], (held) => newer(got, held)),
    [queries, id],
  );

  const send = useCallback(
    async (a: Act, signer: Signer | undefined, shown: BenchView): Promise<boolean> => {
      const key = newKey();
      if (waits && signer) {
        setFaults([{ path: "", message: "The server is away: who signs is asked for once it answers." }]);
        return false;
      }
      try {
        if (waits) throw new Away("What was done before waits still.");
        const after = await api.act(id, { key, seen: shown.seq, act: a, ...(signer ? { signer } : {}) });
        answered(true);
        show(after);
        recorded(key, a, after);
        return true;
      } catch (e) {
        if (e instanceof Away) {
          if (!waits) answered(false);
          if (signer) {
            setFaults([{ path: "", message: "The server is away: sign again when it answers." }]);
            return false;
          }
          const taken = await take(key, a, shown.seq, shown);
          setFaults(taken.faults);
          return taken.done;
        }
        if (!(e instanceof Refused)) throw e;
        if (e.now) {
          show(e.now);
          setStale(e.message);
        } else {
          setFaults(e.faults.length > 0 ? e.faults.map(ofTheAct) : [{ path: "", message: e.message }]);
        }
        return false;
      }
    },
    [id, show, take, recorded, waits],
  );

  // One after the other: an act that is pressed while another is on its way follows on it.
  const turn = useRef<Promise<unknown>>(Promise.resolve());
  const act = useCallback(
    (a: Act, signer?: Signer): Promise<boolean> => {
      const one = async () => {
        const shown = carried.view ?? queries.getQueryData<BenchView>(["bench", id]);
        if (!shown) return false;
        setFaults([]);
        setStale(null);
        setBusy(true);
        try {
          return await send(a, signer, shown);
        } finally {
          setBusy(false);
        }
      };
      const next = turn.current.then(one);
      turn.current = next.catch(() => undefined);
      return next;
    },
    [send, carried.view, queries, id],
  );
  const clear = useCallback(() => {
    setFaults([]);
    setStale(null);
  }, []);
  return { view, failure: query.error, act, signing, sign, busy, carried, faults, stale, clear };
}
