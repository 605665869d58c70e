const WORDS: Record<string, string> = {
  drying: "dries",
  cure: "cures",
  retorque: "tighten again",
  "follow-up": "look at again",
  test: "test runs",
};

/** What a waiting time is, as people say it. */
export function waitWord(kind: string): string {
  return WORDS[kind] ?? kind;
}
