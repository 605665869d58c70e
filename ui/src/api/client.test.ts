import { afterEach, describe, expect, it, vi } from "vitest";
import { api, Away, Refused } from "./client";

function answers(status: number, body: unknown) {
  const fetched = vi.fn<(request: Request) => Promise<Response>>(() =>
    Promise.resolve(new Response(JSON.stringify(body), { status })),
  );
  vi.stubGlobal("fetch", fetched);
  return fetched;
}

afterEach(() => vi.unstubAllGlobals());

describe("asking the server", () => {
  it("sends a table as it is, with what is asked besides in the address", async () => {
    const fetched = answers(200, {});
    await api.bringTable("fluids", "name,code\n", true);
    const request = fetched.mock.calls[0]?.[0];
    expect(new URL(request?.url ?? "").search).toBe("?dryRun=true");
    expect(request?.headers.get("content-type")).toBe("text/csv");
    await expect(request?.text()).resolves.toBe("name,code\n");
  });

  it("gives what it answers", async () => {
    answers(200, [{ initials: "RT" }]);
    await expect(api.people()).resolves.toEqual([{ initials: "RT" }]);
  });

  it("keeps odd characters in an address apart", async () => {
    const fetched = answers(200, {});
    await api.pump("EFF/02?");
    expect(new URL(fetched.mock.calls[0]?.[0].url ?? "").pathname).toBe("/api/v1/pumps/EFF%2F02%3F");
  });

  it("tells a refusal with its faults from a server that is away", async () => {
    answers(422, { detail: "No.", errors: [{ path: "value", message: "No." }] });
    const refused = await api.bench("1").catch((e: unknown) => e);
    expect(refused).toBeInstanceOf(Refused);
    expect((refused as Refused).faults).toEqual([{ path: "value", message: "No." }]);
    vi.stubGlobal("fetch", () => Promise.reject(new TypeError("failed to fetch")));
    await expect(api.bench("1")).rejects.toBeInstanceOf(Away);
  });

  it("takes a gateway without its server for away", async () => {
    answers(502, {});
    await expect(api.floor()).rejects.toBeInstanceOf(Away);
  });

  it("carries the new state of a stale act", async () => {
    answers(409, { detail: "KO was here first.", now: { seq: 9 } });
    const stale = (await api.act("1", {} as never).catch((e: unknown) => e)) as Refused;
    expect(stale.now).toEqual({ seq: 9 });
  });

  it("has a sentence even where the answer is no JSON", async () => {
    vi.stubGlobal("fetch", () => Promise.resolve(new Response("<html>", { status: 500 })));
    await expect(api.floor()).rejects.toThrow("The server answered 500.");
  });
});
