import { QueryCache, QueryClient } from "@tanstack/react-query";
import { useSyncExternalStore } from "react";
import { Away } from "./client";

const RETRY_MS = 2_000;

/** Since when the server leaves questions unanswered, ms since 1970; null where it answers. */
let since: number | null = null;
const listeners = new Set<() => void>();

/** What the last question came to. */
export function answered(there: boolean): void {
  if (there === (since === null)) return;
  since = there ? null : Date.now();
  listeners.forEach((tell) => tell());
}

/** Since when the server leaves questions unanswered, ms since 1970; null where it answers. */
export function useAwaySince(): number | null {
  return useSyncExternalStore(
    (tell) => {
      listeners.add(tell);
      return () => listeners.delete(tell);
    },
    () => since,
  );
}

/** Whether the server left the last question unanswered. */
export const useAway = (): boolean => useAwaySince() !== null;

/** Asks again soon while the server is away, else every {@code otherwise} milliseconds or not at all. */
export const askAgain = (otherwise: number | false) => (query: { state: { error: Error | null } }) =>
  query.state.error instanceof Away ? RETRY_MS : otherwise;

/** The server's state as the screens hold it. */
export function serverState(): QueryClient {
  return new QueryClient({
    queryCache: new QueryCache({
      onError: (e) => answered(!(e instanceof Away)),
      onSuccess: () => answered(true),
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
