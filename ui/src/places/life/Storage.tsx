import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import { Sentence } from "../../parts/States";
import { rounded } from "../../text/numbers";
import { useMay } from "../../parts/useMay";

/** What the shop's data take of the disk, for leads, who may have the file written anew. */
export function Storage() {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const sizes = useQuery({ queryKey: ["storage"], queryFn: api.storage, enabled: lead.may });
  const compact = useMutation({
    mutationFn: () => api.compact(),
    onSuccess: (now) => cache.setQueryData(["storage"], now),
  });
  const backUp = useMutation({
    mutationFn: api.backUp,
    onSuccess: (now) => cache.setQueryData(["storage"], now),
  });
  if (!lead.may || !sizes.data) return null;
  const { fileMb, freeMb, compacted, savedMb, backedUp, backupMb, backupFault } = sizes.data;
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
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pt-3">
        <p className="max-w-[760px] text-body leading-[21px]">
          {backedUp ? (
            <>
              Last good backup: <b className="font-[700]">{backedUp}</b>, {rounded(backupMb ?? 0, 1)} MB. Each is put
              back once into a database that is thrown away, before it counts.
            </>
          ) : (
            "There is no backup yet; one is made every night at half past two."
          )}
        </p>
        <button type="button" className="press px-5" disabled={backUp.isPending} onClick={() => backUp.mutate()}>
          {backUp.isPending ? "Backing up" : "Back up now"}
        </button>
      </div>
      {(backUp.error ?? backupFault) && <Sentence>{backUp.error?.message ?? backupFault}</Sentence>}
    </section>
  );
}
