import { afterEach, expect, test, vi } from "vitest";
import { api } from "./client";
import { strip } from "./strips";
import type { Strip } from "./types";

afterEach(() => vi.restoreAllMocks());

test("what comes into view at one moment is one question, and each row gets its own", async () => {
  const asked = vi
    .spyOn(api, "strips")
    .mockImplementation((tags) => Promise.resolve(tags.filter((t) => t !== "GONE").map((tag) => ({ tag }) as Strip)));
  const got = await Promise.all(["A-1", "B-2", "A-1", "GONE"].map(strip));
  expect(asked.mock.calls).toEqual([[["A-1", "B-2", "GONE"]]]);
  expect(got.map((s) => s?.tag ?? null)).toEqual(["A-1", "B-2", "A-1", null]);
});

test("more than a hundred are asked for in parts", async () => {
  const asked = vi.spyOn(api, "strips").mockResolvedValue([]);
  await Promise.all(Array.from({ length: 230 }, (_, i) => strip(`L-${i}`)));
  expect(asked.mock.calls.map(([tags]) => tags.length)).toEqual([100, 100, 30]);
});

test("a question that fails fails every row of it", async () => {
  vi.spyOn(api, "strips").mockRejectedValue(new Error("away"));
  await expect(strip("A-1")).rejects.toThrow("away");
});
