import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { ConsumableAct, LotAct, StoresView } from "../../api/types";
import { useMay } from "../../parts/useMay";

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
  const take = useMay("take").may;
  const stock = useMay("stock").may;
  const cache = useQueryClient();
  const onSuccess = (now: StoresView) => cache.setQueryData(["stores"], now);
  const act = useMutation({
    mutationFn: ({ act: name, ...request }: ShelfAct) => api.shelfAct(name, request),
    onSuccess,
  });
  const consumable = useMutation({
    mutationFn: ({ act: name, ...request }: ConsumableDone) => api.consumableAct(name, request),
    onSuccess,
  });
  const release = useMutation({ mutationFn: (id: number) => api.releaseHeld(id), onSuccess });
  const scrapKept = useMutation({ mutationFn: (id: string) => api.scrapKept(id), onSuccess });
  return {
    /** Whether who stands here hands out and puts back. */
    take,
    /** Whether who stands here counts and scraps. */
    stock,
    act,
    consumable,
    release,
    scrapKept,
    error: act.error ?? consumable.error ?? release.error ?? scrapKept.error,
  };
}
