import createClient from "openapi-fetch";
import type { paths } from "./schema";
import { signedInAgain, timesSignedIn, whoStoodLast } from "./session";
import type { BenchView, Fault } from "./types";

/** The server answered, and said no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Fault[],
    readonly now: BenchView | null,
    /** How long until a PIN is tried again, s; how many more may be wrong before. */
    readonly tries: { waitSeconds: number; left: number } = { waitSeconds: 0, left: 0 },
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
    waitSeconds?: number;
    triesLeft?: number;
  };
  return new Refused(
    response.status,
    problem.detail ?? `The server answered ${response.status}.`,
    problem.errors ?? [],
    problem.now ?? null,
    { waitSeconds: problem.waitSeconds ?? 0, left: problem.triesLeft ?? 0 },
  );
}

/** Where the application stands; the tests of this folder have no page around them. */
const base = typeof location === "undefined" ? "http://127.0.0.1" : location.origin;

const NOT_SIGNED_IN = 401;

/**
 * Asks, and where nobody is signed in any more waits until somebody is, then asks again. What
 * somebody wrote is sent for nobody else.
 */
async function asked(request: Request): Promise<Response> {
  const again = request.clone();
  const before = timesSignedIn();
  const whose = whoStoodLast();
  // looked up when it is called, so that a test may put another in its place
  const response = await globalThis.fetch(request);
  if (response.status !== NOT_SIGNED_IN) return response;
  if (timesSignedIn() === before) await signedInAgain();
  if (again.method !== "GET" && whose && whoStoodLast() !== whose) {
    const sentence = `${whose} did this and is not signed in any more: nothing was sent.`;
    return Response.json({ detail: sentence, errors: [{ path: "", message: sentence }] }, { status: 422 });
  }
  return asked(again);
}

/** Every address, question and answer of it is typed by the description of the interface. */
export const server = createClient<paths>({
  baseUrl: base,
  fetch: asked,
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
