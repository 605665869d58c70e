import { torque as shown } from "../../../text/shop";
import { NumberInput } from "../../../parts/ReadingField";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, Refused } from "../../../api/client";
import type { TorqueView } from "../../../api/types";

import { useSettings } from "../../../parts/settings";
import { Sentence } from "../../../parts/States";

const FIELDS = [
  ["handleMm", "Handle, grip to drive", "mm"],
  ["adapterMm", "Adapter, drive to bolt", "mm"],
  ["angleDeg", "Its angle from straight out", "deg"],
] as const;

/** What the wrench is set to when an adapter sits on it, and whether the crib has one for that. */
export function Adapter({ torque }: { torque: TorqueView }) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState({ handleMm: "", adapterMm: "", angleDeg: "0" });
  const { unit } = useSettings();
  const ready = FIELDS.every(([f]) => typed[f].trim() !== "");
  const choice = useQuery({
    queryKey: ["wrench", torque.targetNm, typed],
    queryFn: () => api.wrench(torque.targetNm, typed),
    enabled: open && ready,
    retry: false,
  });
  if (!open) {
    return (
      <button type="button" className="under text-body" onClick={() => setOpen(true)}>
        An adapter sits on the wrench
      </button>
    );
  }
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3 border-t border-line pt-2">
      {FIELDS.map(([field, name, of]) => (
        <label key={field} className="text-small text-soft">
          {name}, {of}
          <NumberInput
            className="block w-[132px]"
            typed={typed[field]}
            onType={(text) => setTyped((now) => ({ ...now, [field]: text }))}
          />
        </label>
      ))}
      {choice.data && (
        <p className="text-body leading-5">
          Set the wrench to <b className="m text-title">{shown(choice.data.settingNm, unit)}</b> {unit}.{" "}
          {choice.data.wrench ? `Wrench ${choice.data.wrench}: ${choice.data.because}.` : choice.data.because}
        </p>
      )}
      {choice.error instanceof Refused && <Sentence>{choice.error.message}</Sentence>}
    </div>
  );
}
