import { useWindowVirtualizer } from "@tanstack/react-virtual";
import type { ScaleLinear } from "d3-scale";
import { useLayoutEffect, useMemo, useRef, useState } from "react";
import type { Area, Brief } from "../../api/types";
import { FloorRow, ROW } from "./FloorRow";

const HEAD = 22;

/** Rows drawn above and below what is seen: a glance, and what a reader steps through. */
const MORE = 40;

interface Props {
  areas: Area[];
  x: ScaleLinear<number, number>;
  width: number;
  today: string;
  selected: string;
  choose: (tag: string) => void;
  open: (tag: string) => void;
}

type Item = { area: Area } | { pump: Brief; first: boolean };

/** Areas and their pumps, drawn only where they are near the window: thousands stay smooth. */
export function VirtualRows({ areas, selected, choose, open, ...row }: Props) {
  const items = useMemo<Item[]>(
    () => areas.flatMap((area) => [{ area }, ...area.pumps.map((pump, i) => ({ pump, first: i === 0 }))]),
    [areas],
  );
  const ref = useRef<HTMLDivElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => setTop(ref.current?.offsetTop ?? 0), [areas]);
  const rows = useWindowVirtualizer({
    count: items.length,
    estimateSize: (i) => (items[i] && "area" in items[i] ? HEAD : ROW),
    getItemKey: (i) => {
      const item = items[i];
      return item && "area" in item ? `area ${item.area.name}` : (item?.pump.tag ?? i);
    },
    overscan: MORE,
    scrollMargin: top,
  });
  return (
    <div ref={ref} className="relative" style={{ height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map((v) => {
        const item = items[v.index];
        return (
          <div
            key={v.key}
            className="absolute inset-x-0"
            style={{ height: v.size, transform: `translateY(${v.start - top}px)` }}
          >
            {item && "area" in item && <AreaHead area={item.area} />}
            {item && "pump" in item && (
              <FloorRow
                pump={item.pump}
                first={item.first}
                selected={item.pump.tag === selected}
                onChoose={choose}
                onOpen={open}
                {...row}
              />
            )}
          </div>
        );
      })}
    </div>
  );
}

function AreaHead({ area }: { area: Area }) {
  return (
    <h2 className="flex h-[22px] items-center gap-4 border-t border-ink px-5 text-body font-[740]">
      <span className="w-[74px]">{area.name}</span>
      <span className="truncate text-small font-[500] text-muted">{area.say}</span>
    </h2>
  );
}
