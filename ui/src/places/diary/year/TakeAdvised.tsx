import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../../api/client";
import { Sentence } from "../../../parts/States";
import { useMay } from "../../../parts/useMay";
import { counted } from "../../../text/counted";

/** Keeps every pump as advised from now on; asked twice, as it changes many at once. */
export function TakeAdvised({ id }: { id: string }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [sure, setSure] = useState(false);
  const take = useMutation({
    mutationFn: () => api.takeYear(id),
    onSuccess: () => cache.invalidateQueries({ predicate: (q) => !String(q.queryKey[0]).startsWith("year") }),
  });
  if (take.data)
    return (
      <p role="status" className="pt-4 text-body font-[640]">
        {counted(take.data.pumps, "pump is", "pumps are")} kept otherwise from now on. Plan the work again in the diary.
      </p>
    );
  return (
    <div className="pt-5">
      {take.error && <Sentence>{take.error.message}</Sentence>}
      <button
        type="button"
        className="press go min-h-14 w-full text-lead"
        disabled={!lead.may || take.isPending}
        title={lead.why}
        onClick={() => (sure ? take.mutate() : setSure(true))}
      >
        {sure ? "Yes, keep every pump as advised" : "Take the advised ages"}
      </button>
      {sure && (
        <p className="pt-1 text-small text-soft">
          Ways chosen by hand are replaced. The maker's longest time in still holds.
        </p>
      )}
    </div>
  );
}
