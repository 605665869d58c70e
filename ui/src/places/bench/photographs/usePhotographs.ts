import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Full, dropShot, keepShot } from "../../../away/shelf";
import { useShots } from "../../../away/useShots";
import { useAway } from "../../../api/away";
import { Away, api } from "../../../api/client";
import { newKey } from "../../../api/newKey";
import { useStanding } from "../../../api/session";
import type { PhotographOf } from "../../../api/types";
import { shrunk } from "./shrink";

/** The photographs of one thing beside those of last time, and a way to take another. */
export function usePhotographs(job: number, of: PhotographOf, subject: string) {
  const queries = useQueryClient();
  const who = useStanding().session?.initials ?? "";
  const serverAway = useAway();
  const [full, setFull] = useState("");
  const beside = useQuery({
    queryKey: ["photographs", job, of, subject],
    queryFn: () => api.photographsBeside(job, of, subject),
  });
  const waiting = useShots(String(job)).filter((s) => s.of === of && s.subject === subject);
  const take = async (file: Blob) => {
    setFull("");
    try {
      const picture = await shrunk(file);
      await keepShot({ key: newKey(), job: String(job), who, of, subject, picture, at: Date.now(), refused: "" });
    } catch (e) {
      if (!(e instanceof Full)) throw e;
      setFull("This device has no room left: the photograph was not kept. Make room on it, then take it again.");
    }
  };
  // While it is asked again nothing is known of the last answer: what is kept here must not go away meanwhile.
  const away = serverAway || beside.error instanceof Away;
  return {
    beside: beside.data ?? (away ? { last: [], lastDay: "", now: [] } : undefined),
    again: () => queries.invalidateQueries({ queryKey: ["photographs", job] }),
    fault: full || (beside.error && !away ? beside.error.message : ""),
    /** Kept on this device until the server takes them. */
    waiting,
    take,
    drop: (key: string) => dropShot(key),
  };
}
