import createClient from "openapi-fetch";
import type { paths } from "./schema";
import type { BenchView, Fault } from "./types";

/** The server answered, and said no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Fault[],
    readonly now: BenchView | null,
  ) {
    super(message);
  }
}

/** The server did not answer. */
export class Away extends Error {}

const GATEWAY_FAILURES = new Set([502, 503, 504]);

async function refusal(response: Response): Promise<Error> {
  if (GATEWAY_FAILURES.has(response.status)) return new Away("The server does not answer.");
  const problem = (await response.json().catch(() => ({}))) as {
    detail?: string;
    errors?: Fault[];
    now?: BenchView;
  };
  return new Refused(
    response.status,
    problem.detail ?? `The server answered ${response.status}.`,
    problem.errors ?? [],
    problem.now ?? null,
  );
}

/** Where the application stands; the tests of this folder have no page around them. */
const base = typeof location === "undefined" ? "http://127.0.0.1" : location.origin;

/** Every address, question and answer of it is typed by the description of the interface. */
export const server = createClient<paths>({
  baseUrl: base,
  // looked up when it is called, so that a test may put another in its place
  fetch: (request) => globalThis.fetch(request),
});

server.use({
  onResponse: async ({ response }) => {
    if (!response.ok) throw await refusal(response);
  },
  onError: ({ error }) => (error instanceof Refused ? error : new Away("The server does not answer.")),
});

/** What the server answers; what it refuses is thrown by the transport. */
export async function answer<T>(asked: Promise<{ data?: T }>): Promise<T> {
  return (await asked).data as T;
}
