import { api } from "./client";
import type { Strip } from "./types";

/** So many strips are given in one answer. */
const MOST = 100;

/** Rows that come into view within so many milliseconds are asked for together. */
const TOGETHER_MS = 12;

interface Waiting {
  tag: string;
  give: (strip: Strip | null) => void;
  fail: (error: unknown) => void;
}

let waiting: Waiting[] = [];

async function ask(some: Waiting[]) {
  try {
    const strips = await api.strips([...new Set(some.map((w) => w.tag))]);
    const byTag = new Map(strips.map((s) => [s.tag, s]));
    some.forEach((w) => w.give(byTag.get(w.tag) ?? null));
  } catch (error) {
    some.forEach((w) => w.fail(error));
  }
}

function askAll() {
  const all = waiting;
  waiting = [];
  for (let i = 0; i < all.length; i += MOST) void ask(all.slice(i, i + MOST));
}

/** The strip of one pump, asked for together with those that are wanted at the same moment; null where it is gone. */
export function strip(tag: string): Promise<Strip | null> {
  return new Promise((give, fail) => {
    if (waiting.length === 0) setTimeout(askAll, TOGETHER_MS);
    waiting.push({ tag, give, fail });
  });
}
