import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { ConsumableAct, LotAct, StoresView } from "../../api/types";
import { useSettings } from "../../parts/settings";

export interface ShelfAct {
  act: LotAct;
  lot: string;
  pump?: string;
  rebuild?: number;
  count?: number;
  note?: string;
}

/** What is done with a lot of a consumable. */
export interface ConsumableDone {
  act: ConsumableAct;
  lot: string;
  amount?: number;
  note?: string;
}

/** Acts at the shelf; each brings the shelf as it is then. */
export function useShelf() {
  const { who } = useSettings();
  const cache = useQueryClient();
  const onSuccess = (now: StoresView) => cache.setQueryData(["stores"], now);
  const act = useMutation({
    mutationFn: ({ act: name, ...request }: ShelfAct) => api.shelfAct(name, { ...request, who }),
    onSuccess,
  });
  const consumable = useMutation({
    mutationFn: ({ act: name, ...request }: ConsumableDone) => api.consumableAct(name, { ...request, who }),
    onSuccess,
  });
  const release = useMutation({ mutationFn: (id: number) => api.releaseHeld(id, who), onSuccess });
  const scrapKept = useMutation({ mutationFn: (id: string) => api.scrapKept(id, who), onSuccess });
  return {
    who,
    act,
    consumable,
    release,
    scrapKept,
    error: act.error ?? consumable.error ?? release.error ?? scrapKept.error,
  };
}
