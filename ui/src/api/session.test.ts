import { afterEach, expect, it, vi } from "vitest";
import { api, Refused } from "./client";
import { cover, heard, heardAgain, standingNow } from "./session";
import { shownIn } from "../text/shownIn";
import type { Session } from "./types";

const session = (initials: string | null) => ({ initials, rights: [], shownIn: shownIn() }) as unknown as Session;
const locked = new Response("{}", { status: 401 });

/** Answers in this order; tells how often it was asked. */
function answers(...all: Response[]) {
  const fetched = vi.fn<() => Promise<Response>>();
  all.forEach((r) => fetched.mockResolvedValueOnce(r.clone()));
  vi.stubGlobal("fetch", fetched);
  return fetched;
}

afterEach(() => vi.unstubAllGlobals());

it("sends what was refused for a session that is gone, once the same person has signed in again", async () => {
  heard(session("RT"));
  const fetched = answers(locked, Response.json({ seq: 4 }));
  const done = api.act("1", {} as never);
  await vi.waitFor(() => expect(fetched).toHaveBeenCalledTimes(1));
  heard(session(null));
  heard(session("RT"));
  await expect(done).resolves.toEqual({ seq: 4 });
  expect(fetched).toHaveBeenCalledTimes(2);
});

it("sends it for nobody else", async () => {
  heard(session("RT"));
  const fetched = answers(locked);
  const done = api.act("1", {} as never).catch((e: unknown) => e);
  await vi.waitFor(() => expect(fetched).toHaveBeenCalledTimes(1));
  await Promise.resolve();
  heard(session("KO"));
  const refused = await done;
  expect(refused).toBeInstanceOf(Refused);
  expect((refused as Refused).message).toContain("RT did this");
  expect(fetched).toHaveBeenCalledTimes(1);
});

it("asks again at once where somebody has signed in since it was asked", async () => {
  heard(session("RT"));
  let answer: (r: Response) => void = () => undefined;
  const fetched = vi
    .fn<() => Promise<Response>>()
    .mockReturnValueOnce(new Promise((go) => (answer = go)))
    .mockResolvedValueOnce(Response.json([]));
  vi.stubGlobal("fetch", fetched);
  const done = api.people();
  heard(session("KO"));
  answer(locked.clone());
  await expect(done).resolves.toEqual([]);
});

it("keeps the page covered while the same person is only heard of again", () => {
  heard(session("RT"));
  cover();
  heardAgain(session("RT"));
  expect(standingNow().locked).toBe(true);
  heardAgain(session("KO"));
  expect(standingNow()).toMatchObject({ locked: false, last: "KO" });
});
