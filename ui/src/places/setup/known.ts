import type { SetupColumn, SetupName, SetupNames } from "../../api/types";

/** The names of a kind. */
export function namesOf(names: SetupNames[], kind: SetupColumn["names"]): SetupName[] {
  return names.find((n) => n.of === kind)?.names ?? [];
}

/** A value as people say it: a sheet by its title, a fluid by its name. */
export function shown(column: SetupColumn, value: string, names: SetupNames[]): string {
  if (
    column.holds !== "name" ||
    column.names === "pumps" ||
    column.names === "pumps-ever" ||
    column.names === "materials"
  )
    return value;
  return namesOf(names, column.names).find((n) => n.code === value)?.name ?? value;
}
