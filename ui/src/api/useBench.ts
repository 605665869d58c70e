import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";
import { askAgain } from "./away";
import { Away, Refused, api } from "./client";
import { keep, newKey, sent, waiting } from "./outbox";
import type { Act, ActRequest, BenchView, Fault } from "./types";

const RETRY_MS = 1_500;
const LOOK_AGAIN_MS = 10_000;

function newer(got: BenchView, held: BenchView | undefined): BenchView {
  return held && held.seq > got.seq ? held : got;
}

/** A fault at a field of the act, by that field. */
function ofTheAct(fault: Fault): Fault {
  return { ...fault, path: fault.path.replace(/^act\./, "") };
}

/** A rebuild, and a way to act on it that survives a server that is away. */
export interface BenchLink {
  view: BenchView | undefined;
  failure: Error | null;
  /** True once recorded; false where it was refused or waits. */
  act: (act: Act, by?: string) => Promise<boolean>;
  busy: boolean;
  /** An act waits for the server to come back. */
  away: ActRequest | null;
  faults: Fault[];
  stale: string | null;
  clear: () => void;
}

export function useBench(id: string, who: string): BenchLink {
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [away, setAway] = useState<ActRequest | null>(() => waiting(id));
  const [faults, setFaults] = useState<Fault[]>([]);
  const [stale, setStale] = useState<string | null>(null);
  const query = useQuery({
    queryKey: ["bench", id],
    // An answer that was on its way while an act was recorded must not undo what is shown of it.
    queryFn: async () => newer(await api.bench(id), queries.getQueryData<BenchView>(["bench", id])),
    refetchInterval: askAgain(LOOK_AGAIN_MS),
  });

  const send = useCallback(
    async (request: ActRequest): Promise<boolean> => {
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
          keep(id, request);
          setAway({ ...request }); // a new object, so that the next try is timed too
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
    if (!away) return;
    const timer = setTimeout(() => void send(away), RETRY_MS);
    return () => clearTimeout(timer);
  }, [away, send]);

  const act = useCallback(
    async (a: Act, by?: string) => {
      setFaults([]);
      setStale(null);
      if (!who && !by) {
        setFaults([{ path: "who", message: "Say who stands here first, top right." }]);
        return false;
      }
      const seen = queries.getQueryData<BenchView>(["bench", id])?.seq ?? 0;
      return send({ key: newKey(), seen, who: by ?? who, act: a });
    },
    [send, queries, id, who],
  );
  const clear = useCallback(() => {
    setFaults([]);
    setStale(null);
  }, []);
  return { view: query.data, failure: query.error, act, busy, away, faults, stale, clear };
}
