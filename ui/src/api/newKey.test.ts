import { expect, it, vi } from "vitest";
import { newKey } from "./newKey";

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;

it("a key of an act is never the same twice", () => {
  expect(new Set(Array.from({ length: 200 }, newKey)).size).toBe(200);
});

it("is made also where the page is not served over a secure address", () => {
  vi.stubGlobal("crypto", { getRandomValues: (b: Uint8Array) => b.map((_, i) => b.fill(i * 17, i, i + 1)[i] ?? 0) });
  expect(newKey()).toMatch(UUID);
  vi.unstubAllGlobals();
  expect(newKey()).toMatch(UUID);
});
