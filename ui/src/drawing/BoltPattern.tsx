import type { TorqueView } from "../api/types";
import { MarkAt } from "../parts/Mark";

const SIZE = 202;
const C = SIZE / 2;
const PITCH = 76;
const HEX = 15;
const TOUCH = 24;

type Point = [x: number, y: number];

/** Where each fastener lies, seen onto the joint: a circle from the top clockwise, or two long sides. */
export function boltPlaces(count: number, layout: string): Point[] {
  if (count === 1) return [[C, C]];
  if (layout === "rectangle") {
    const top = Math.ceil(count / 2);
    const at = (i: number, of: number) => C + (of === 1 ? 0 : (i / (of - 1) - 0.5) * 2 * (PITCH - 6));
    return Array.from({ length: count }, (_, i): Point =>
      i < top ? [at(i, top), C - 44] : [at(count - 1 - i, count - top), C + 44],
    );
  }
  return Array.from({ length: count }, (_, i): Point => {
    const a = ((i + 0.5) / count) * 2 * Math.PI - Math.PI / 2;
    return [C + PITCH * Math.cos(a), C + PITCH * Math.sin(a)];
  });
}

interface Props {
  torque: TorqueView;
  current: number | null;
  onChoose?: ((bolt: number) => void) | undefined;
}

/** The joint seen from the front with its fasteners, the order drawn from one to the next. */
export function BoltPattern({ torque, current, onChoose }: Props) {
  const places = boltPlaces(torque.count, torque.layout);
  const place = (n: number): Point => places[n - 1] ?? [C, C];
  const order = torque.order;
  const currentAt = current === null ? -1 : order.indexOf(current);
  return (
    <svg
      width={SIZE}
      height={SIZE}
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      role="group"
      aria-label="Fasteners of the joint"
      className="shrink-0"
    >
      <Joint layout={torque.layout} count={torque.count} />
      {order.slice(0, -1).map((n, i) => (
        <Leg
          key={n}
          from={place(n)}
          to={place(order[i + 1] ?? n)}
          state={currentAt < 0 ? "order" : i + 1 < currentAt ? "done" : i + 1 === currentAt ? "now" : "order"}
        />
      ))}
      {order.map((n) => (
        <Bolt key={n} n={n} at={place(n)} torque={torque} current={n === current} onChoose={onChoose} />
      ))}
    </svg>
  );
}

function Joint({ layout, count }: { layout: string; count: number }) {
  if (layout === "rectangle" && count > 1) {
    return (
      <g fill="none" stroke="var(--ink)">
        <rect x={8} y={C - 70} width={SIZE - 16} height={140} fill="var(--card)" strokeWidth={1.4} />
        <rect x={30} y={C - 20} width={SIZE - 60} height={40} strokeWidth={0.9} />
        <path
          d={`M2,${C}H${SIZE - 2}M${C},${C - 80}V${C + 80}`}
          stroke="var(--muted)"
          strokeWidth={0.7}
          strokeDasharray="16 3 3 3"
        />
      </g>
    );
  }
  return (
    <g fill="none" stroke="var(--ink)">
      <circle cx={C} cy={C} r={94} fill="var(--card)" strokeWidth={1.4} />
      <circle cx={C} cy={C} r={56} strokeWidth={0.9} />
      <circle cx={C} cy={C} r={PITCH} stroke="var(--muted)" strokeWidth={0.8} strokeDasharray="12 3 2 3" />
      <path
        d={`M2,${C}H${SIZE - 2}M${C},2V${SIZE - 2}`}
        stroke="var(--muted)"
        strokeWidth={0.7}
        strokeDasharray="16 3 3 3"
      />
    </g>
  );
}

function Leg({ from, to, state }: { from: Point; to: Point; state: "done" | "now" | "order" }) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  const o = 19 / length;
  const [x1, y1] = [to[0] - dx * o, to[1] - dy * o];
  const [ux, uy] = [dx / length, dy / length];
  const h = state === "now" ? 9 : 6;
  const colour = state === "done" ? "var(--line)" : "var(--accent)";
  return (
    <g>
      <path
        d={`M${from[0] + dx * o},${from[1] + dy * o}L${x1 - ux * h},${y1 - uy * h}`}
        stroke={colour}
        strokeWidth={state === "now" ? 2.2 : 1}
        {...(state === "order" ? { strokeDasharray: "4 3" } : {})}
      />
      {state !== "done" && (
        <path
          d={`M${x1},${y1}L${x1 - ux * h - uy * h * 0.42},${y1 - uy * h + ux * h * 0.42}L${x1 - ux * h + uy * h * 0.42},${y1 - uy * h - ux * h * 0.42}Z`}
          fill={colour}
        />
      )}
    </g>
  );
}

interface BoltProps extends Omit<Props, "current"> {
  n: number;
  at: Point;
  current: boolean;
}

function Bolt({ n, at: [x, y], torque, current, onChoose }: BoltProps) {
  const read = torque.fasteners.find((f) => f.number === n);
  const missed = read !== undefined && read.lie !== "in-range" && read.acceptedBecause === null;
  const say = read ? `${read.readings.at(-1)} N·m, ${missed ? read.say : "answered"}` : "not read yet";
  const press = onChoose ? () => onChoose(n) : undefined;
  return (
    <g
      {...(press
        ? {
            role: "button",
            tabIndex: 0,
            onClick: press,
            onKeyDown: (e) => (e.key === "Enter" || e.key === " ") && press(),
            className: "cursor-pointer",
          }
        : { role: "img" })}
      aria-label={`Bolt ${n}, ${say}`}
    >
      {press && <circle cx={x} cy={y} r={TOUCH} fill="transparent" />}
      {current && <circle cx={x} cy={y} r={20} fill="none" stroke="var(--accent)" strokeWidth={2} />}
      <path
        d={hexagon(x, y, current ? 16 : HEX)}
        fill={current ? "var(--accent)" : "var(--card)"}
        stroke={current ? "var(--accent)" : read ? "var(--ink)" : "var(--muted)"}
        strokeWidth={read ? 1.6 : 1.2}
        {...(read || current ? {} : { strokeDasharray: "3 2.2" })}
      />
      <text
        className="m"
        x={x}
        y={y + 5.5}
        textAnchor="middle"
        fontSize={torque.count > 9 ? 13 : 15.5}
        fontWeight={700}
        fill={current ? "var(--card)" : read ? "var(--ink)" : "var(--muted)"}
      >
        {n}
      </text>
      {missed && (
        <g>
          <circle cx={x + 15} cy={y + 12} r={9} fill="var(--card)" />
          <MarkAt state="renew" x={x + 15} y={y + 12} r={7.5} />
        </g>
      )}
    </g>
  );
}

function hexagon(x: number, y: number, r: number): string {
  const corner = (i: number) =>
    `${(x + r * Math.cos((i * Math.PI) / 3)).toFixed(1)},${(y + r * Math.sin((i * Math.PI) / 3)).toFixed(1)}`;
  return `M${[0, 1, 2, 3, 4, 5].map(corner).join("L")}Z`;
}
