import { NumberInput } from "../../parts/ReadingField";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { KeptCondition } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { TextInput } from "../../parts/TextInput";

/** Keeps a part that came out and looked sound: its hours go with it. */
export function KeepAPart() {
  const take = useMay("take");
  const cache = useQueryClient();
  const [pump, setPump] = useState("");
  const [part, setPart] = useState("");
  const [condition, setCondition] = useState<KeptCondition>("sound");
  const [serial, setSerial] = useState("");
  const [note, setNote] = useState("");
  const [hours, setHours] = useState("");
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor });
  const page = useQuery({ queryKey: ["pump", pump], queryFn: () => api.pump(pump), enabled: pump !== "" });
  const keep = useMutation({
    mutationFn: () =>
      api.keepPart({
        pump,
        part,
        condition,
        serial,
        note,
        ...(hours.trim() ? { hours: Number(hours.replace(",", ".")) } : {}),
      }),
    onSuccess: () => {
      setPart("");
      setSerial("");
      setNote("");
      setHours("");
      return cache.invalidateQueries({ queryKey: ["stores"] });
    },
  });
  const tags = (floor.data?.areas ?? []).flatMap((a) => a.pumps.filter((p) => p.hasSheet).map((p) => p.tag)).sort();
  const parts = (page.data?.sheet?.parts ?? []).filter((p) => p.renew !== "one-time");
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center text-body font-[620]">Keep a part</summary>
      <div className="flex flex-wrap items-center gap-x-1 text-body">
        From
        <Choice label="Pump it came from" value={pump} onChange={setPump} all="which pump" of={tags} then="," />
        the
        <Choice
          label="Part"
          value={part}
          onChange={setPart}
          all="which part"
          of={parts.map((p) => p.id)}
          say={(id) => parts.find((p) => p.id === id)?.name ?? id}
          then=","
        />
        <Choice
          label="Condition"
          value={condition}
          onChange={(v) => v && setCondition(v)}
          all=""
          of={["sound", "watch"]}
          say={(v) => (v === "watch" ? "to be watched" : v)}
        />
      </div>
      <div className="grid grid-cols-2 gap-2 pt-1">
        <TextInput
          of="KeepRequest.serial"
          className="field"
          aria-label="Serial"
          placeholder="Serial, if any"
          typed={serial}
          onType={setSerial}
        />
        <TextInput
          of="KeepRequest.note"
          className="field"
          aria-label="Note"
          placeholder="How it looks"
          typed={note}
          onType={setNote}
        />
      </div>
      <button
        type="button"
        className="press call mt-2 w-full"
        disabled={!take.may || !pump || !part || keep.isPending}
        onClick={() => keep.mutate()}
      >
        Keep it with its hours
      </button>
      {keep.error && (
        <>
          <Sentence>{keep.error.message}</Sentence>
          <NumberInput
            className="mt-1 w-full"
            of="KeepRequest.hours"
            label="Hours it has run"
            placeholder="Hours it has run"
            typed={hours}
            onType={setHours}
          />
        </>
      )}
      {keep.data && (
        <p role="status" className="pt-2 text-body">
          Write <b className="m">{keep.data.id}</b> on its tag.
        </p>
      )}
    </details>
  );
}
