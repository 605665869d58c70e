import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api } from "./client";
import { useStanding } from "./session";
import type { BenchView } from "./types";

/** Somebody who has a job open, and on which device. */
export interface Present {
  initials: string;
  device: string;
}

/** Ends after five minutes on the server's side and when a device sleeps: then it is asked for again. */
const AGAIN_MS = 2_000;

/**
 * Who else has a job open, and what they do there: an act of another device is fetched as soon as
 * it is told. A page that nobody looks at holds no line to the server.
 */
export function useLive(id: string): Present[] {
  const queries = useQueryClient();
  const { session } = useStanding();
  const [present, setPresent] = useState<Present[]>([]);
  useEffect(() => {
    let line: EventSource | null = null;
    let again: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      clearTimeout(again);
      line?.close();
      line = null;
    };
    const open = () => {
      close();
      if (document.hidden) return;
      line = new EventSource(api.liveUrl(id));
      line.addEventListener("people", (e) => setPresent(JSON.parse(e.data as string) as Present[]));
      line.addEventListener("moved", (e) => {
        const { seq } = JSON.parse(e.data as string) as { seq: number };
        if (seq > (queries.getQueryData<BenchView>(["bench", id])?.seq ?? 0)) {
          void queries.invalidateQueries({ queryKey: ["bench", id] });
        }
      });
      line.onerror = () => {
        close();
        setPresent([]);
        again = setTimeout(open, AGAIN_MS);
      };
    };
    open();
    document.addEventListener("visibilitychange", open);
    return () => {
      document.removeEventListener("visibilitychange", open);
      close();
    };
  }, [id, queries, session?.initials]);
  return present.filter((p) => !session || p.initials !== session.initials || p.device !== session.device);
}
