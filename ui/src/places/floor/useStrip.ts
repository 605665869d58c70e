import { useQuery } from "@tanstack/react-query";
import { askAgain } from "../../api/away";
import { strip } from "../../api/strips";
import type { Strip } from "../../api/types";

/** The strip of a pump that is in view; null until it is there. */
export function useStrip(tag: string): Strip | null {
  // Under the floor's key, so that whatever makes the floor read again makes the strips read again.
  const asked = useQuery({
    queryKey: ["floor", "strip", tag],
    queryFn: () => strip(tag),
    refetchInterval: askAgain(30_000),
  });
  return asked.data ?? null;
}
