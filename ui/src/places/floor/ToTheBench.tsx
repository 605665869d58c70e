import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { api } from "../../api/client";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";

interface Props {
  tag: string;
  hasSheet: boolean;
  rebuild: number | null;
  reason: string;
}

/** Brings a pump to the bench, or goes to it where it stands there. */
export function ToTheBench({ tag, hasSheet, rebuild, reason }: Props) {
  const work = useMay("work");
  const go = useNavigate();
  const queries = useQueryClient();
  const open = useMutation({
    mutationFn: () => api.open(tag, reason),
    onSuccess: (view) => {
      queries.setQueryData(["bench", String(view.id)], view);
      void queries.invalidateQueries({ queryKey: ["floor"] });
      void queries.invalidateQueries({ queryKey: ["running"] });
      void go(`/bench/${view.id}`);
    },
  });
  if (rebuild !== null) {
    return (
      <button
        type="button"
        className="press go mt-4 h-[54px] w-full text-title"
        onClick={() => void go(`/bench/${rebuild}`)}
      >
        Go to the bench
      </button>
    );
  }
  const hindrance = !hasSheet ? "Its construction has no sheet yet, so a rebuild cannot be planned." : work.why;
  return (
    <div className="pt-4">
      <button
        type="button"
        className="press go h-[54px] w-full text-title"
        disabled={hindrance !== "" || open.isPending}
        aria-describedby="bench-hindrance"
        onClick={() => open.mutate()}
      >
        Bring to the bench
      </button>
      <p id="bench-hindrance" className="min-h-5 pt-1 text-small text-soft">
        {hindrance}
      </p>
      {open.error && <Sentence>{open.error.message}</Sentence>}
    </div>
  );
}
