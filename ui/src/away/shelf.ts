import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import type { ActRequest, AheadView, BenchView, PhotographOf } from "../api/types";
import type { Kept } from "./story";

/** A job as this device last had it from the server, with what was worked out ahead. */
export interface HeldJob {
  id: string;
  view: BenchView;
  /** What was worked out ahead, and acts that were recorded since; null where it holds no more. */
  ahead: AheadView | null;
  trail: Kept[];
  /** When the server last answered, ms since 1970. */
  at: number;
}

/** An act that waits for the server. */
export interface Waiting extends Kept {
  job: string;
  /** Initials: it is sent for nobody else. */
  who: string;
  /** Number of the last event that was seen when the first of its job was kept. */
  seen: number;
  /** In words, for the list of what waits. */
  say: string;
}

/** A photograph that waits for the server. */
export interface Shot {
  /** Made once per photograph: sent twice, it is kept once. */
  key: string;
  job: string;
  who: string;
  of: PhotographOf;
  subject: string;
  picture: Blob;
  /** When it was taken, ms since 1970. */
  at: number;
  /** Why the server did not take it; empty where it was not asked yet. */
  refused: string;
}

interface Shelf extends DBSchema {
  jobs: { key: string; value: Omit<HeldJob, "ahead"> };
  /** Apart from the job: it is long, and stays as it is while the job goes on. */
  ahead: { key: string; value: { id: string; ahead: AheadView } };
  shots: { key: string; value: Shot; indexes: { job: string } };
  acts: { key: number; value: Waiting & { order?: number }; indexes: { job: string } };
}

/** Nothing more fits on this device. */
export class Full extends Error {}

let opened: Promise<IDBPDatabase<Shelf>> | undefined;

function shelf(): Promise<IDBPDatabase<Shelf>> {
  opened ??= openDB<Shelf>("isokinon", 1, {
    upgrade(db) {
      db.createObjectStore("jobs", { keyPath: "id" });
      db.createObjectStore("ahead", { keyPath: "id" });
      db.createObjectStore("acts", { keyPath: "order", autoIncrement: true }).createIndex("job", "job");
      db.createObjectStore("shots", { keyPath: "key" }).createIndex("job", "job");
    },
  });
  return opened;
}

const listeners = new Set<() => void>();

/** Calls back when a photograph comes to wait, or goes. */
export function onShots(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

async function written(write: (db: IDBPDatabase<Shelf>) => Promise<unknown>): Promise<void> {
  try {
    await write(await shelf());
  } catch (e) {
    if (e instanceof DOMException && e.name === "QuotaExceededError") throw new Full();
    throw e;
  }
}

export async function heldJob(id: string): Promise<HeldJob | undefined> {
  const db = await shelf();
  const [job, worked] = await Promise.all([db.get("jobs", id), db.get("ahead", id)]);
  return job && { ...job, ahead: worked?.ahead ?? null };
}

/** What was worked out ahead as it stands in the database, by job. */
const aheadWritten = new Map<string, AheadView | null>();

async function putJob({ ahead, ...job }: HeldJob): Promise<void> {
  await written(async (db) => {
    if (aheadWritten.get(job.id) !== ahead) {
      await (ahead ? db.put("ahead", { id: job.id, ahead }) : db.delete("ahead", job.id));
      aheadWritten.set(job.id, ahead);
    }
    await db.put("jobs", job);
  });
}

/** Holds a job; what was worked out of others that nothing waits for makes room for it where it must. */
export async function holdJob(job: HeldJob): Promise<void> {
  try {
    await putJob(job);
  } catch (e) {
    if (!(e instanceof Full)) throw e;
    const db = await shelf();
    const waits = new Set((await everyWaiting()).map((w) => w.job));
    for (const id of await db.getAllKeys("jobs")) {
      if (id === job.id || waits.has(id)) continue;
      await db.delete("ahead", id);
      await db.delete("jobs", id);
      aheadWritten.delete(id);
    }
    await putJob(job);
  }
}

/** Acts of a job that wait, in the order they were done. */
export async function waitingOf(job: string): Promise<Waiting[]> {
  return (await shelf()).getAllFromIndex("acts", "job", job);
}

export async function everyWaiting(): Promise<Waiting[]> {
  return (await shelf()).getAll("acts");
}

/**
 * Keeps an act until it is sent.
 *
 * @throws Full where no room is left; nothing of what waits already is lost
 */
export function keep(act: Waiting): Promise<void> {
  return written((db) => db.add("acts", act));
}

/** Where earlier editions of these screens kept the one act of a job that could wait then. */
const earlier = (job: string) => `isokinon.outbox.${job}`;

/** Takes over an act that was kept by an earlier edition; when it was done is not known, so it is now. */
export async function takeOverEarlier(job: string): Promise<void> {
  const stored = localStorage.getItem(earlier(job));
  if (!stored) return;
  const { act: request, who } = JSON.parse(stored) as { act: ActRequest; who: string };
  const { key, seen, act } = request;
  await keep({
    key,
    seen: seen ?? 0,
    act,
    who,
    job,
    at: Date.now(),
    say: "What was done before these screens were renewed",
  });
  localStorage.removeItem(earlier(job));
}

/** Forgets acts that are recorded. */
export function sent(job: string, keys: ReadonlySet<string>): Promise<void> {
  return written(async (db) => {
    const tx = db.transaction("acts", "readwrite");
    for await (const cursor of tx.store.index("job").iterate(job)) {
      if (keys.has(cursor.value.key)) await cursor.delete();
    }
    await tx.done;
  });
}

/** Photographs of a job that wait, in the order they were taken. */
export async function shotsOf(job: string): Promise<Shot[]> {
  return (await (await shelf()).getAllFromIndex("shots", "job", job)).sort((a, b) => a.at - b.at);
}

/**
 * Keeps a photograph until it is sent.
 *
 * @throws Full where no room is left
 */
export async function keepShot(shot: Shot): Promise<void> {
  await written((db) => db.put("shots", shot));
  listeners.forEach((tell) => tell());
}

/** Forgets a photograph that is sent, or that nobody wants. */
export async function dropShot(key: string): Promise<void> {
  await written((db) => db.delete("shots", key));
  listeners.forEach((tell) => tell());
}
