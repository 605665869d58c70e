import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { newKey } from "../../api/newKey";
import type { BringProgress } from "../../api/types";

const OFTEN_MS = 400;

/** How something is sent: looked at only, or written; under the word by which its progress is asked for. */
interface Sent {
  dryRun: boolean;
  watch: string;
}

/** Something that is brought: looked at first and as often as something is said of it, then written at once. */
export function useBringing<Asked extends object, View>(send: (q: Asked & Sent) => Promise<View>) {
  const cache = useQueryClient();
  const [asked, setAsked] = useState<Asked | null>(null);
  const [watch, setWatch] = useState("");
  const sent = (q: Asked, dryRun: boolean) => {
    const word = newKey();
    setWatch(word);
    return send({ ...q, dryRun, watch: word });
  };
  const look = useMutation({ mutationFn: (q: Asked) => sent(q, true) });
  const bring = useMutation({
    mutationFn: (q: Asked) => sent(q, false),
    onSuccess: () => cache.invalidateQueries(),
  });
  return {
    /** What is asked now; null before a file was chosen. */
    asked,
    ask: (q: Asked) => {
      setAsked(q);
      look.mutate(q);
    },
    look,
    bring,
    /** The word of what is sent; empty before the first. */
    watch,
    error: look.error ?? bring.error,
  };
}

/** How far it is, asked for again and again; nothing before the first answer. */
export function useProgress(watch: string): BringProgress | undefined {
  const progress = useQuery({
    queryKey: ["brought", watch],
    queryFn: () => api.bringProgress(watch),
    enabled: watch !== "",
    refetchInterval: OFTEN_MS,
    gcTime: 0,
  });
  return progress.data;
}
