const RULES = new Intl.PluralRules("en");

/** So many of something: "1 run", "3 runs". A noun with another plural gives it: "2 boxes". */
export function counted(n: number, noun: string, plural = `${noun}s`): string {
  return `${n} ${RULES.select(n) === "one" ? noun : plural}`;
}
