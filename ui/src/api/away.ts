import { QueryCache, QueryClient } from "@tanstack/react-query";
import { useSyncExternalStore } from "react";
import { Away } from "./client";

const RETRY_MS = 2_000;

let away = false;
const listeners = new Set<() => void>();

function set(now: boolean) {
  if (away !== now) {
    away = now;
    listeners.forEach((tell) => tell());
  }
}

/** Whether the server left the last question unanswered. */
export function useAway(): boolean {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => away,
  );
}

/** Asks again soon while the server is away, else every {@code otherwise} milliseconds or not at all. */
export const askAgain = (otherwise: number | false) => (query: { state: { error: Error | null } }) =>
  query.state.error instanceof Away ? RETRY_MS : otherwise;

/** The server's state as the screens hold it. */
export function serverState(): QueryClient {
  return new QueryClient({
    queryCache: new QueryCache({
      onError: (e) => set(e instanceof Away),
      onSuccess: () => set(false),
    }),
    defaultOptions: {
      queries: {
        retry: (failures, error) => failures < 1 && !(error instanceof Away),
        staleTime: 2_000,
        networkMode: "always",
        refetchInterval: askAgain(false),
      },
    },
  });
}
