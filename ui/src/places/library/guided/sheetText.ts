import { isMap, isScalar, parseDocument, type Node, type YAMLMap } from "yaml";

/** Where a value stands in a sheet: field names and places in lists. */
export type Path = readonly (string | number)[];

interface Ranged {
  range?: [number, number, number] | null;
}

const start = (node: Node): number => (node as Ranged).range?.[0] ?? 0;
const end = (node: Node): number => (node as Ranged).range?.[1] ?? 0;

/**
 * The text of a sheet with one value changed, added, or with "" taken away. Every other character
 * stays: comments, order and layout are the writer's.
 */
export function withValue(text: string, path: Path, value: string): string {
  const doc = parseDocument(text, { keepSourceTokens: true });
  const key = path.at(-1);
  const holder = path.length === 1 ? doc.contents : doc.getIn(path.slice(0, -1), true);
  if (key === undefined || !isMap(holder)) return text;
  const pair = holder.items.findIndex((p) => isScalar(p.key) && p.key.value === key);
  const old = holder.items[pair];
  if (!old) return value === "" ? text : added(text, holder, `${key}: ${scalar(value)}`);
  if (value === "") return without(text, holder, pair);
  const node = old.value as Node | null;
  return node ? text.slice(0, start(node)) + scalar(value) + text.slice(end(node)) : text;
}

function added(text: string, holder: YAMLMap, pair: string): string {
  const last = holder.items.at(-1);
  if (!last) return text;
  const after = end((last.value ?? last.key) as Node);
  if (holder.flow) return `${text.slice(0, after)}, ${pair}${text.slice(after)}`;
  const first = start(holder.items[0]?.key as Node);
  const indent = first - (text.lastIndexOf("\n", first - 1) + 1);
  const line = endOfLine(text, after);
  return `${text.slice(0, line)}\n${" ".repeat(indent)}${pair}${text.slice(line)}`;
}

/** Where the line ends that the last character of a value stands on. */
function endOfLine(text: string, after: number): number {
  const from = text[after - 1] === "\n" ? after - 1 : after;
  const at = text.indexOf("\n", from);
  return at < 0 ? text.length : at;
}

function without(text: string, holder: YAMLMap, at: number): string {
  const pair = holder.items[at];
  if (!pair || holder.items.length === 1) return text;
  const from = start(pair.key as Node);
  const to = end((pair.value ?? pair.key) as Node);
  const before = holder.items[at - 1];
  if (holder.flow) {
    const next = holder.items[at + 1];
    return before
      ? text.slice(0, end((before.value ?? before.key) as Node)) + text.slice(to)
      : text.slice(0, from) + text.slice(start(next?.key as Node));
  }
  if (!before) return text.slice(0, from) + text.slice(start(holder.items[1]?.key as Node));
  return text.slice(0, text.lastIndexOf("\n", from)) + text.slice(endOfLine(text, to));
}

/** A value as YAML reads it again; numbers and plain words stand bare, all else in quotes. */
function scalar(value: string): string {
  return /^-?\d+(\.\d+)?$/.test(value) || /^(?!(true|false|null|yes|no|on|off)$)[a-z][\w .()/-]*$/i.test(value)
    ? value
    : JSON.stringify(value);
}

type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const rows = (value: unknown): [number, Fields][] =>
  Array.isArray(value)
    ? value.map((v, i): [number, unknown] => [i, v]).filter((e): e is [number, Fields] => isFields(e[1]))
    : [];
const word = (value: unknown): string => (value === undefined || value === null ? "" : String(value));

/** A value a shop changes. */
export interface Field {
  at: Path;
  label: string;
  /** Unit of the records; empty for words. */
  unit: string;
  value: string;
}

/** Values that stand together and come from one place. */
export interface Row {
  /** Where it stands, as the faults that are told of it name it. */
  path: string;
  name: string;
  fields: Field[];
  /** The page of the manual; absent where a manual does not say such values. */
  page?: Field;
  table: boolean;
}

/** What a shop changes first, in the groups that a technician looks for. */
export interface Guide {
  head: Field[];
  joints: Row[];
  proof: Row[];
  limits: Row[];
  ages: Row[];
  minutes: Row[];
}

const pathText = (at: Path): string =>
  at.map((p, i) => (typeof p === "number" ? `[${p}]` : i === 0 ? p : `.${p}`)).join("");

function field(holder: Fields, at: Path, key: string, label: string, unit = ""): Field {
  return { at: [...at, key], label, unit, value: word(holder[key]) };
}

function row(name: string, at: Path, holder: Fields, fields: Field[], sourced = true): Row {
  return {
    path: pathText(at),
    name,
    fields,
    ...(sourced ? { page: field(holder, at, "page", "manual page") } : {}),
    table: holder["guidance"] === true,
  };
}

/** The values of a sheet that a shop changes first; empty groups where the text is no sheet yet. */
export function guideOf(text: string): Guide {
  const read: unknown = parseDocument(text).toJS({ maxAliasCount: 0 });
  const sheet = isFields(read) ? read : {};
  const steps = (["steps", "buildOnly"] as const).flatMap((list) =>
    rows(sheet[list]).map(([i, s]) => ({ at: [list, i] as Path, step: s, name: word(s["build"] ?? s["strip"]) })),
  );
  return {
    head: [
      field(sheet, [], "title", "Title"),
      field(sheet, [], "id", "Id"),
      field(sheet, [], "manual", "Maker’s manual and its issue"),
    ],
    joints: steps.flatMap(({ at, step, name }) => joints(step["fastening"], [...at, "fastening"], name)),
    proof: rows(sheet["proof"]).flatMap(([i, t]) => {
      const at = ["proof", i];
      if (t["min"] === undefined && t["max"] === undefined) return [];
      const unit = word(t["unit"]);
      return [
        row(word(t["ask"]), at, t, [field(t, at, "min", "at least", unit), field(t, at, "max", "at most", unit)]),
      ];
    }),
    limits: rows(sheet["parts"]).flatMap(([i, p]) =>
      rows(p["limits"]).map(([j, l]) => {
        const at = ["parts", i, "limits", j];
        const unit = word(l["unit"]);
        return row(`${word(p["name"])}, ${word(l["measure"]).replaceAll("-", " ")}`, at, l, [
          field(l, at, "watch", "watch", unit),
          field(l, at, "renew", "renew", unit),
        ]);
      }),
    ),
    ages: rows(sheet["parts"])
      .filter(([, p]) => p["role"] !== undefined || p["mostHours"] !== undefined || p["mostDays"] !== undefined)
      .map(([i, p]) => {
        const at = ["parts", i];
        return row(
          word(p["name"]),
          at,
          p,
          [field(p, at, "mostHours", "at most", "h"), field(p, at, "mostDays", "at most", "d")],
          false,
        );
      }),
    minutes: steps.map(({ at, step, name }) =>
      row(
        name,
        at,
        step,
        [
          ...(at[0] === "steps" ? [field(step, at, "stripMinutes", "strip", "min")] : []),
          ...(step["stripOnly"] === true ? [] : [field(step, at, "buildMinutes", "build", "min")]),
        ],
        false,
      ),
    ),
  };
}

/** The joint of a step, or one for each way of work. */
function joints(fastening: unknown, at: Path, name: string): Row[] {
  const ways = Array.isArray(fastening) ? rows(fastening).map(([i, f]) => ({ f, at: [...at, i] })) : [];
  const all = isFields(fastening) ? [{ f: fastening, at }] : ways;
  return all
    .filter(({ f }) => f["until"] === undefined)
    .map(({ f, at: place }) => {
      const only = [f["way"], f["onlyFor"]].flat().filter((w) => w !== undefined);
      return row(`${name}${only.length > 0 ? ` (${only.join(", ")})` : ""}`, place, f, [
        field(f, place, "thread", "thread"),
        field(f, place, "minNm", "from", "N·m"),
        field(f, place, "maxNm", "to", "N·m"),
        field(f, place, "retorqueHours", "again after", "h"),
      ]);
    });
}

/** Whether a list of the sheet holds nothing that can be read. */
export const isEmpty = (guide: Guide): boolean => guide.minutes.length === 0;
