import { useState } from "react";
import { NumberInput } from "../../parts/ReadingField";
import { takes, type NumberBound } from "../../text/bounds";
import { typedNumber } from "../../text/typedNumber";

interface Props {
  /** What the button says before anything is typed. */
  ask: string;
  /** What the field is, for those who cannot see it. */
  label: string;
  /** What stands there by the records. */
  from: number;
  /** What the button says that keeps it. */
  keep: string;
  /** The field of the request that takes it. */
  of: NumberBound;
  may: boolean;
  onCount: (counted: number) => void;
}

/** What was counted or measured of a lot: a button, then a field. */
export function CountForm({ ask, label, from, keep, of, may, onCount }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const counted = typed === null ? undefined : typedNumber(typed);
  if (typed === null) {
    return (
      <button type="button" className="press px-3 text-body" onClick={() => setTyped(String(from))}>
        {ask}
      </button>
    );
  }
  return (
    <form
      className="flex items-center gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (counted != null) onCount(counted);
        setTyped(null);
      }}
    >
      <NumberInput of={of} className="w-24" label={label} typed={typed} onType={setTyped} />
      <button className="press call px-3 text-body" disabled={counted == null || takes(of, typed) !== "" || !may}>
        {keep}
      </button>
    </form>
  );
}
