/** What was told of a pump: symptoms seen and not, tests answered yes and no, by id. */
export interface Told {
  seen: string[];
  not: string[];
  yes: string[];
  no: string[];
}

/** Puts something into one of these lists, out of others; into none where it is taken back. */
export type Put = (id: string, into: keyof Told | null, among: (keyof Told)[]) => void;
