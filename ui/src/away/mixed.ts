/** A part of a view, by name. */
type Json = Record<string, unknown>;

/** Lists of a view whose entries stand for themselves, and the field that names an entry. */
const LISTS: readonly (readonly [path: readonly string[], by: string])[] = [
  [["parts"], "id"],
  [["inHand", "gates"], "id"],
  [["inHand", "step", "checks"], "id"],
  [["inHand", "step", "places"], "place"],
  [["inHand", "inspect"], "part"],
  [["inHand", "proof"], "id"],
];

function at(view: Json, path: readonly string[]): Json[] | undefined {
  let here: unknown = view;
  for (const name of path) here = here && typeof here === "object" ? (here as Json)[name] : undefined;
  return Array.isArray(here) ? (here as Json[]) : undefined;
}

function put(view: Json, path: readonly string[], list: Json[]): Json {
  const [name = "", ...rest] = path;
  return { ...view, [name]: rest.length > 0 ? put(view[name] as Json, rest, list) : list };
}

/** Every entry of a view as another look at it makes it; entries it leaves are as they were. */
export function changed<T extends object>(view: T, list: string, change: (entry: Json) => Json): T {
  const found = LISTS.find(([path]) => path.join(".") === list);
  const entries = found && at(view as Json, found[0]);
  return found && entries ? (put(view as Json, found[0], entries.map(change)) as T) : view;
}

/**
 * A view after some of the acts that may come in any order, from the views after each of them in
 * the order of the server: what an act changed in a list is taken from the view after it, what only
 * counts them from the view after as many.
 *
 * @param views before the first, and after each
 * @param done places in {@code views} of the acts that are done
 */
export function mixed<T extends object>(views: readonly T[], done: ReadonlySet<number>): T {
  const counted = views[done.size] ?? views[0];
  const first = views[0];
  if (!counted || !first) throw new RangeError("no view to show");
  let mix = counted as Json;
  for (const [path, by] of LISTS) {
    const entries = at(first as Json, path);
    if (!entries || !at(mix, path)) continue;
    mix = put(
      mix,
      path,
      entries.map((entry) => {
        let shown = entry;
        let before = entry;
        views.forEach((view, place) => {
          const now = at(view as Json, path)?.find((e) => e[by] === entry[by]) ?? before;
          if (done.has(place) && JSON.stringify(now) !== JSON.stringify(before)) shown = now;
          before = now;
        });
        return shown;
      }),
    );
  }
  return mix as T;
}
