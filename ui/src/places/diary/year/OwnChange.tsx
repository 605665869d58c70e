import { useState } from "react";
import type { ChangeQuestion } from "../../../api/types";
import { typedNumber } from "../../../text/typedNumber";

/** A change of one's own: a pump, and the age at which it is renewed. */
export function OwnChange({ disabled, play }: { disabled: boolean; play: (change: ChangeQuestion) => void }) {
  const [pump, setPump] = useState("");
  const [hours, setHours] = useState("");
  const at = typedNumber(hours);
  const whole = pump.trim() !== "" && (hours.trim() === "" || at != null);
  return (
    <form
      className="flex flex-wrap items-center gap-2 pt-3 text-body"
      onSubmit={(e) => {
        e.preventDefault();
        const tag = pump.trim();
        play(at == null ? { kind: "until-it-fails", pump: tag } : { kind: "at-an-age", pump: tag, hours: at });
      }}
    >
      <label className="flex items-center gap-2">
        Renew
        <input
          aria-label="Pump"
          className="field h-11 w-[86px] px-2"
          value={pump}
          onChange={(e) => setPump(e.target.value)}
        />
      </label>
      <label className="flex items-center gap-2">
        at
        <input
          aria-label="Hours"
          inputMode="decimal"
          placeholder="never"
          className="field m h-11 w-[78px] px-2"
          value={hours}
          onChange={(e) => setHours(e.target.value)}
        />
        h
      </label>
      <button type="submit" className="press px-4" disabled={disabled || !whole}>
        Try it
      </button>
    </form>
  );
}
