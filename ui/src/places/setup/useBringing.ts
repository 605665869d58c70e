import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { newKey } from "../../api/outbox";
import type { BringProgress } from "../../api/types";

const OFTEN_MS = 400;

export interface InProgress {
  /** Begins anew; the word goes with what is sent. */
  begin: () => string;
  /** The word of what is being brought; empty before the first. */
  watch: string;
}

/** The word by which the progress of what is being brought is asked for. */
export function useBringing(): InProgress {
  const [watch, setWatch] = useState("");
  return {
    watch,
    begin: () => {
      const word = newKey();
      setWatch(word);
      return word;
    },
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
