import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { askAgain } from "./away";
import { Away, Refused, api } from "./client";
import { keep, newKey, sent, waiting, type Waiting } from "./outbox";
import { useStanding } from "./session";
import type { Act, ActRequest, BenchView, Fault, Person, Signer } from "./types";

const RETRY_MS = 1_500;
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

/** A rebuild, and a way to act on it that survives a server that is away. */
export interface BenchLink {
  view: BenchView | undefined;
  failure: Error | null;
  /** True once recorded; false where it was refused or waits. */
  act: (act: Act, signer?: Signer) => Promise<boolean>;
  /** Asks another person to sign for an act here; null where nobody is asked. */
  signing: Signing | null;
  sign: (signing: Signing | null) => void;
  busy: boolean;
  /** An act waits for the server to come back. */
  away: Waiting | null;
  faults: Fault[];
  stale: string | null;
  clear: () => void;
}

export function useBench(id: string): BenchLink {
  const who = useStanding().session?.initials ?? "";
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [away, setAway] = useState<Waiting | null>(() => waiting(id));
  const [faults, setFaults] = useState<Fault[]>([]);
  const [stale, setStale] = useState<string | null>(null);
  const [signing, sign] = useState<Signing | null>(null);
  const query = useQuery({
    queryKey: ["bench", id],
    // An answer that was on its way while an act was recorded must not undo what is shown of it.
    queryFn: async () => newer(await api.bench(id), queries.getQueryData<BenchView>(["bench", id])),
    refetchInterval: askAgain(LOOK_AGAIN_MS),
  });

  const send = useCallback(
    async (request: ActRequest, whose: string): Promise<boolean> => {
      setBusy(true);
      try {
        const view = await api.act(id, request);
        sent(id);
        setAway(null);
        setFaults([]);
        setStale(null);
        queries.setQueryData(["bench", id], view);
        return true;
      } catch (e) {
        if (e instanceof Away) {
          if (request.signer) {
            setFaults([{ path: "", message: "The server is away: sign again when it answers." }]);
            return false;
          }
          const waits = { act: request, who: whose };
          keep(id, waits);
          setAway(waits); // a new object, so that the next try is timed too
        } else if (e instanceof Refused) {
          sent(id);
          setAway(null);
          if (e.now) {
            queries.setQueryData(["bench", id], e.now);
            setStale(e.message);
          } else {
            setFaults(e.faults.length > 0 ? e.faults.map(ofTheAct) : [{ path: "", message: e.message }]);
          }
        } else {
          throw e;
        }
        return false;
      } finally {
        setBusy(false);
      }
    },
    [id, queries],
  );

  useEffect(() => {
    if (away?.who !== who) return;
    const timer = setTimeout(() => void send(away.act, away.who), RETRY_MS);
    return () => clearTimeout(timer);
  }, [away, who, send]);

  const act = useCallback(
    async (a: Act, signer?: Signer) => {
      setFaults([]);
      setStale(null);
      const seen = queries.getQueryData<BenchView>(["bench", id])?.seq ?? 0;
      return send({ key: newKey(), seen, act: a, ...(signer ? { signer } : {}) }, who);
    },
    [send, queries, id, who],
  );
  const clear = useCallback(() => {
    setFaults([]);
    setStale(null);
  }, []);
  return { view: query.data, failure: query.error, act, signing, sign, busy, away, faults, stale, clear };
}
