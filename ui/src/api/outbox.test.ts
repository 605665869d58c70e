import { beforeEach, describe, expect, it, vi } from "vitest";
import { keep, newKey, sent, waiting } from "./outbox";
import type { ActRequest } from "./types";

const shelf = new Map<string, string>();

beforeEach(() => {
  shelf.clear();
  vi.stubGlobal("localStorage", {
    getItem: (k: string) => shelf.get(k) ?? null,
    setItem: (k: string, v: string) => void shelf.set(k, v),
    removeItem: (k: string) => void shelf.delete(k),
  });
});

const act: ActRequest = { key: "k", seen: 7, act: { kind: "NOTED", text: "wet floor" } };
const waits = { act, who: "RT" };

describe("acts that wait for the server", () => {
  it("are kept until they are sent, each rebuild its own", () => {
    expect(waiting("1")).toBeNull();
    keep("1", waits);
    expect(waiting("1")).toEqual(waits);
    expect(waiting("2")).toBeNull();
    sent("1");
    expect(waiting("1")).toBeNull();
  });

  it("keep the key they were made with, so that they are recorded once", () => {
    keep("1", waits);
    expect(waiting("1")?.act.key).toBe("k");
  });
});

it("knows whose an act is that was kept before people signed in", () => {
  shelf.set("isokinon.outbox.3", JSON.stringify({ ...act, who: "KO" }));
  expect(waiting("3")?.who).toBe("KO");
});

describe("keys of acts", () => {
  const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

  it("are never the same twice", () => {
    expect(new Set(Array.from({ length: 200 }, newKey)).size).toBe(200);
  });

  it("are made also where the page is not served over a secure address", () => {
    vi.stubGlobal("crypto", { getRandomValues: (b: Uint8Array) => b.map((_, i) => b.fill(i * 17, i, i + 1)[i] ?? 0) });
    expect(newKey()).toMatch(UUID);
    vi.unstubAllGlobals();
    expect(newKey()).toMatch(UUID);
  });
});
