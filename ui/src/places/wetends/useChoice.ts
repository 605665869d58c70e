import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api } from "../../api/client";
import type { ChoiceQuestion, ChooserView } from "../../api/types";

const SETTLED_MS = 70;

/** The value as it was when it last stood still for a moment: a slider asks once it pauses. */
function useSettled<T>(value: T): T {
  const [settled, settle] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => settle(value), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return settled;
}

/**
 * What the server makes of a question. The last answer stays while the next one is on its way, and
 * where a question is refused: what somebody is typing must not vanish with its faults.
 */
export function useChoice(question: ChoiceQuestion) {
  const asked = useSettled(JSON.stringify(question));
  const [last, setLast] = useState<ChooserView>();
  const answer = useQuery({
    queryKey: ["choice", asked],
    queryFn: () => api.choose(JSON.parse(asked) as ChoiceQuestion),
    placeholderData: keepPreviousData,
    retry: false,
  });
  if (answer.data && answer.data !== last) setLast(answer.data);
  return { data: answer.data ?? last, error: answer.error, isError: answer.isError };
}
