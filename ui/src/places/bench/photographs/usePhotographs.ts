import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../../api/client";
import { newKey } from "../../../api/newKey";
import type { PhotographOf } from "../../../api/types";
import { shrunk } from "./shrink";

/** A photograph that could not be sent yet. */
interface Unsent {
  key: string;
  picture: Blob;
}

/** The photographs of one thing beside those of last time, and a way to take another. */
export function usePhotographs(job: number, of: PhotographOf, subject: string) {
  const queries = useQueryClient();
  const [unsent, setUnsent] = useState<Unsent | null>(null);
  const beside = useQuery({
    queryKey: ["photographs", job, of, subject],
    queryFn: () => api.photographsBeside(job, of, subject),
  });
  const again = () => queries.invalidateQueries({ queryKey: ["photographs", job] });
  const send = useMutation({
    mutationFn: ({ key, picture }: Unsent) => api.takePhotograph(job, of, subject, key, picture),
    onMutate: setUnsent,
    onSuccess: () => {
      setUnsent(null);
      return again();
    },
  });
  return {
    beside: beside.data,
    again,
    error: send.error ?? beside.error,
    busy: send.isPending,
    take: (file: Blob) => void shrunk(file).then((picture) => send.mutate({ key: newKey(), picture })),
    /** Sends the one that waits again; null where none waits. */
    sendAgain: unsent && !send.isPending ? () => send.mutate(unsent) : null,
  };
}
