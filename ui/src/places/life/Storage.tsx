import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { useSettings } from "../../parts/settings";
import { Sentence } from "../../parts/States";
import { rounded } from "../../text/numbers";

/** What the shop's data take of the disk, for leads, who may have the file written anew. */
export function Storage() {
  const { who } = useSettings();
  const cache = useQueryClient();
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const sizes = useQuery({ queryKey: ["storage"], queryFn: api.storage });
  const compact = useMutation({
    mutationFn: () => api.compact(who),
    onSuccess: (now) => cache.setQueryData(["storage"], now),
  });
  const leads = people.data?.some((p) => p.initials === who && p.role === "lead");
  if (!leads || !sizes.data) return null;
  const { fileMb, freeMb, compacted, savedMb } = sizes.data;
  return (
    <section aria-label="Size of the data" className="pt-6">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Size of the data</h2>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
        <p className="max-w-[760px] text-body leading-[21px]">
          <b className="font-[700]">{rounded(fileMb, fileMb < 100 ? 1 : 0)} MB</b>, with{" "}
          {freeMb < 1000 ? `${rounded(freeMb)} MB` : `${rounded(freeMb / 1000)} GB`} free on its disk. It is compacted
          every night
          {compacted && `, last on ${compacted}: ${rounded(savedMb ?? 0, 1)} MB given back`}.
        </p>
        <button type="button" className="press px-5" disabled={compact.isPending} onClick={() => compact.mutate()}>
          {compact.isPending ? "Compacting, others wait" : "Compact it now"}
        </button>
      </div>
      {compact.error && <Sentence>{compact.error.message}</Sentence>}
    </section>
  );
}
