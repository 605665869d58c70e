import { counted } from "../text/counted";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Refused } from "../api/client";
import { FileButton } from "./FileButton";
import { Sentence } from "./States";
import { useMay } from "./useMay";

interface Props<Report> {
  /** What the table is called for those who do not see it. */
  label: string;
  /** Asks what the table would do, or does it. */
  send: (csv: string, dryRun: boolean) => Promise<Report>;
  say: (report: Report) => string;
  /** Whether taking it in would change anything. */
  changes: (report: Report) => boolean;
}

/** A CSV table in: first a look at what it would do, then all of it or nothing. */
export function BringTable<Report>({ label, send, say, changes }: Props<Report>) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [held, setHeld] = useState("");
  const look = useMutation({
    mutationFn: (csv: string) => send(csv, true),
    onMutate: (csv) => setHeld(csv),
  });
  const bring = useMutation({
    mutationFn: () => send(held, false),
    onSuccess: async () => {
      look.reset();
      await cache.invalidateQueries();
    },
  });
  const error = look.error ?? bring.error;
  return (
    <>
      <FileButton
        className="press ml-auto px-3"
        label={`${label} as CSV`}
        accept=".csv,text/csv"
        disabled={!lead.may}
        title={lead.why}
        onFile={async (file) => {
          bring.reset();
          look.mutate(await file.text());
        }}
      >
        Bring in
      </FileButton>
      {error && (
        <div className="w-full">
          <Faults error={error} />
        </div>
      )}
      {look.data !== undefined && !look.error && (
        <div className="flex w-full items-center gap-3 py-1">
          <p role="status" className="flex-1 text-body">
            Would bring {say(look.data)}.
          </p>
          <button
            type="button"
            className="press call"
            disabled={bring.isPending || !changes(look.data)}
            onClick={() => bring.mutate()}
          >
            Take it in
          </button>
        </div>
      )}
      {bring.data !== undefined && !bring.error && (
        <p role="status" className="w-full text-body">
          Taken in: {say(bring.data)}.
        </p>
      )}
    </>
  );
}

const MOST_FAULTS = 12;

export function Faults({ error }: { error: Error }) {
  const faults = error instanceof Refused ? error.faults : [];
  if (faults.length === 0) return <Sentence>{error.message}</Sentence>;
  return (
    <>
      <Sentence>Nothing was taken in: {counted(faults.length, "fault")}.</Sentence>
      <ul className="text-body leading-[18px]">
        {faults.slice(0, MOST_FAULTS).map((f) => (
          <li key={`${f.line ?? 0} ${f.message}`}>
            {(f.line ?? 0) > 0 && <b className="m font-semibold">line {f.line} </b>}
            {f.message}
          </li>
        ))}
        {faults.length > MOST_FAULTS && <li>and {faults.length - MOST_FAULTS} more</li>}
      </ul>
    </>
  );
}
