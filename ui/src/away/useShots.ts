import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answered, useAway } from "../api/away";
import { Away, Refused, api } from "../api/client";
import { dropShot, keepShot, onShots, shotsOf, type Shot } from "./shelf";

/** Photographs of a job that wait on this device. */
export function useShots(job: string): Shot[] {
  const [shots, setShots] = useState<Shot[]>([]);
  useEffect(() => {
    let gone = false;
    const read = () =>
      void shotsOf(job).then((found) => {
        if (!gone) setShots(found);
      });
    read();
    const off = onShots(read);
    return () => {
      gone = true;
      off();
    };
  }, [job]);
  return shots;
}

/** Sends the photographs of a job that wait, one after the other, once the server is there. */
export function useSendShots(job: string, who: string): void {
  const queries = useQueryClient();
  const away = useAway();
  const next = useShots(job).find((s) => s.who === who && s.refused === "");
  useEffect(() => {
    if (!next || away) return;
    let gone = false;
    const send = async () => {
      try {
        await api.takePhotograph(Number(job), next.of, next.subject, next.key, next.picture);
        await dropShot(next.key);
        await queries.invalidateQueries({ queryKey: ["photographs", Number(job)] });
      } catch (e) {
        if (gone) return;
        if (e instanceof Away) answered(false);
        else if (e instanceof Refused) await keepShot({ ...next, refused: e.message });
        else throw e;
      }
    };
    void send();
    return () => {
      gone = true;
    };
  }, [job, next, away, queries]);
}
