import cavity from "./shapes/cavity.json";
import linear from "./shapes/linear.json";
import lobe from "./shapes/lobe.json";
import magnetic from "./shapes/magnetic.json";
import oil from "./shapes/oil.json";
import plan from "./shapes/plan.json";

/**
 * A path with its own paint, as the shape files hold them. {@code fill} and {@code stroke} are tones
 * of the theme, or the id of a hatch after a hash sign.
 */
export interface Shape {
  d: string;
  fill?: string;
  stroke?: string;
  /** Width of the stroke in drawing units. */
  w?: number;
  /** Opacity. */
  o?: number;
  dash?: string;
  /** Only what lies within this outline is seen. */
  clip?: string;
}

/** A word that stands on the part itself. */
export interface Lettering {
  text: string;
  x: number;
  y: number;
  size: number;
}

/**
 * The part vocabulary. A part is drawn about its own axis (y = 0): above it is cut, below it is seen
 * from outside. Elastomers are near-solid, metal has the fine hatch, plastic the wide one, shafts and
 * spools are never cut. The side toward the middle of the stack is on the right.
 */
export type Stroke =
  | ({ as: "shape" } & Shape)
  | ({ as: "lettering" } & Lettering)
  | { as: "body"; d: string }
  | { as: "cut"; d: string; of: "met" | "met2" | "pla" | "fine" }
  | { as: "hollow"; d: string }
  | { as: "hair"; d: string; faint?: boolean }
  | { as: "solid"; d: string }
  | { as: "rubber"; d: string }
  | { as: "roll"; d: string }
  | { as: "turned"; d: string; radius: number; lines: number };

export interface Glyph {
  left: number;
  right: number;
  radius: number;
  /** Closed outline, for ghosts. */
  outline: string;
  strokes: Stroke[];
}

const body = (d: string): Stroke => ({ as: "body", d });
const cut = (d: string, of: "met" | "met2" | "pla" | "fine" = "met"): Stroke => ({
  as: "cut",
  d,
  of,
});
const hollow = (d: string): Stroke => ({ as: "hollow", d });
const hair = (d: string, faint = false): Stroke => ({ as: "hair", d, faint });
const solid = (d: string): Stroke => ({ as: "solid", d });
const rubber = (d: string): Stroke => ({ as: "rubber", d });
const turned = (d: string, radius: number, lines = 9): Stroke => ({
  as: "turned",
  d,
  radius,
  lines,
});
const box = (x0: number, y0: number, x1: number, y1: number) => `M${x0},${y0}H${x1}V${y1}H${x0}Z`;
const disc = (x: number, y: number, r: number) =>
  `M${x + r},${y}A${r},${r} 0 1 1 ${x - r},${y}A${r},${r} 0 1 1 ${x + r},${y}Z`;

/** A turned sleeve: cut wall above, outside below. */
function sleeve(left: number, right: number, outer: number, inner: number, grooves: number[] = []): Glyph {
  const outside = box(left, 0, right, outer);
  return {
    left,
    right,
    radius: outer,
    outline: box(left, -outer, right, outer),
    strokes: [
      body(outside),
      turned(outside, outer),
      hollow(box(left, -inner, right, 0)),
      cut(box(left, -outer, right, -inner)),
      hair(`M${left},${-inner}V0M${right},${-inner}V0M${left},0H${right}`),
      ...grooves.map((x) => solid(box(x - 1.6, -outer, x + 1.6, -outer + 4))),
      ...grooves.map((x) => hair(`M${x - 1.6},0V${outer}M${x + 1.6},0V${outer}`)),
    ],
  };
}

const hexHead = (x: number, y: number): Stroke[] => [
  body(box(x - 17, y - 6, x - 15, y + 6)),
  body(
    `M${x - 17},${y - 5.2}L${x - 24},${y - 5.2}L${x - 25},${y - 4}L${x - 25},${y + 4}L${x - 24},${y + 5.2}L${x - 17},${y + 5.2}Z`,
  ),
  hair(`M${x - 25},${y - 2}H${x - 17}M${x - 25},${y + 2}H${x - 17}`),
];
const bolt = (y: number): Stroke[] => [
  body(box(-15, y - 2.5, 16, y + 2.5)),
  hair(`M4,${y - 2.5}l1.6,5M7,${y - 2.5}l1.6,5M10,${y - 2.5}l1.6,5M13,${y - 2.5}l1.6,5`),
  ...hexHead(0, y),
];

const CAP_OUTSIDE = "M0,0L0,57L-15,57L-15,48C-30,47 -49,36 -50,9L-50,0Z";
const CAP_NECK = "M-43,36L-43,61L-47,61L-47,66L-19,66L-19,61L-23,61L-23,44Z";
const fluidCap: Glyph = {
  left: -50,
  right: 16,
  radius: 66,
  outline:
    "M0,-57L-15,-57L-15,-48C-17,-48.6 -20,-49 -23,-49L-23,-61L-19,-61L-19,-66L-47,-66L-47,-61L-43,-61L-43,-40C-48,-30 -50,-18 -50,-9L-50,9C-50,18 -48,30 -43,40L-43,61L-47,61L-47,66L-19,66L-19,61L-23,61L-23,49C-20,49 -17,48.6 -15,48L-15,57L0,57Z",
  strokes: [
    body(CAP_NECK),
    body(CAP_OUTSIDE),
    turned(CAP_OUTSIDE, 57, 11),
    hair("M-15,0V48M-47,61H-19M-43,39C-36,45 -30,46 -23,47.5"),
    hair("M-15,17C-30,16.5 -42,14 -49.6,10M-15,33C-28,32.5 -40,28 -47.5,22"),
    hollow("M0,0L0,-44L-7,-41C-14,-41 -22,-42.4 -28,-44L-28,-66L-38,-66L-38,-36C-41,-30 -42.5,-20 -42.5,-9L-42.5,0Z"),
    hollow(box(-15, -52.8, 0, -47.2)),
    hair("M0,0V-44M-28,-44C-31,-44 -35,-41 -38,-36"),
    cut(
      "M0,-44L0,-47.2L-15,-47.2L-15,-48C-17,-48.6 -20,-49 -23,-49L-23,-61L-19,-61L-19,-66L-28,-66L-28,-44C-22,-42.4 -14,-41 -7,-41Z",
      "pla",
    ),
    cut("M0,-52.8L0,-57L-15,-57L-15,-52.8Z", "pla"),
    cut(
      "M-38,-66L-47,-66L-47,-61L-43,-61L-43,-40C-48,-30 -50,-18 -50,-9L-50,0L-42.5,0L-42.5,-9C-42.5,-20 -41,-30 -38,-36Z",
      "pla",
    ),
    hair("M-50,0H0"),
    ...bolt(-50),
    ...bolt(50),
    ...hexHead(0, 25),
  ],
};

const PLATE_OUTSIDE = "M8,0L8,31Q8,36 3,36Q-2,36 -4,32C-8,23 -11,17 -11,11L-20,11L-20,0Z";
const outerPlate: Glyph = {
  left: -20,
  right: 8,
  radius: 36,
  outline:
    "M8,-31Q8,-36 3,-36Q-2,-36 -4,-32C-8,-23 -11,-17 -11,-11L-20,-11L-20,11L-11,11C-11,17 -8,23 -4,32Q-2,36 3,36Q8,36 8,31Z",
  strokes: [
    body(PLATE_OUTSIDE),
    turned(PLATE_OUTSIDE, 36),
    hair("M-11,0V11M-20,5.5H-11M3,36V0"),
    hollow(box(-9, -4.6, 8, 0)),
    cut("M8,-4.6L8,-31Q8,-36 3,-36Q-2,-36 -4,-32C-8,-23 -11,-17 -11,-11L-20,-11L-20,0L-9,0L-9,-4.6Z"),
    hair("M8,-4.6V0M-9,-3.2H8"),
  ],
};

const ROLL = "M0,-4.8L0,-24C0,-31.5 -16,-27.5 -16,-35.5C-16,-43 0,-39.5 0,-45";
const ROLL_OUTSIDE = "M6,0L6,48Q6,50 4,50L-4,50Q-6,50 -6,48L-6,43.6C-13,44 -19.5,41 -19.5,35L-19.5,0Z";
const diaphragm: Glyph = {
  left: -20,
  right: 6,
  radius: 50,
  outline:
    "M6,-48Q6,-50 4,-50L-4,-50Q-6,-50 -6,-48L-6,-44C-13,-45 -20,-42 -20,-35L-20,35C-20,42 -13,45 -6,44L-6,48Q-6,50 -4,50L4,50Q6,50 6,48Z",
  strokes: [
    body(ROLL_OUTSIDE),
    turned(ROLL_OUTSIDE, 50, 17),
    hair("M-6,0V43.6"),
    { as: "roll", d: ROLL },
    rubber("M-6,-48Q-6,-50 -4,-50H4Q6,-50 6,-48V-43Q6,-41 4,-41H-4Q-6,-41 -6,-43Z"),
  ],
};

const backup: Glyph = {
  left: -4,
  right: 14,
  radius: 46,
  outline: "M4,-46H14V46H4Q-4,40 -4,30V-30Q-4,-40 4,-46Z",
  strokes: [
    body("M4,46H12V0H-2V30Q-2,40 4,46Z"),
    rubber("M4,-46H12V-41H6Q3,-38 3,-30V-4H-2V-30Q-2,-41 4,-46Z"),
    hair("M-2,0H12"),
  ],
};

const INNER_OUTSIDE = "M-6,0L-6,29Q-6,34 -1,34L2,34Q5,34 5,30L5,13L14,13L14,0Z";
const innerPlate: Glyph = {
  left: -6,
  right: 14,
  radius: 34,
  outline: "M-6,-29Q-6,-34 -1,-34L2,-34Q5,-34 5,-30L5,-13L14,-13L14,13L5,13L5,30Q5,34 2,34L-1,34Q-6,34 -6,29Z",
  strokes: [
    body(INNER_OUTSIDE),
    turned(INNER_OUTSIDE, 34),
    hair("M5,0V13M-1,0V34"),
    cut("M-6,-6.4L-6,-29Q-6,-34 -1,-34L2,-34Q5,-34 5,-30L5,-13L14,-13L14,-6.4Z"),
  ],
};

const SHAFT_END = 144;
const shaftHalf = (s: 1 | -1): Stroke[] => [
  hair(`M${s * 124},-3.1H${s * 142}M${s * 124},3.1H${s * 142}M${s * 142},-4.4V4.4M${s * 124},-4.4V4.4`),
];
const flats = (x: number) => hair(`M${x},-6V6M${x + 11},-6V6M${x},-6L${x + 11},6M${x},6L${x + 11},-6`);
const shaft: Glyph = {
  left: -SHAFT_END,
  right: SHAFT_END,
  radius: 6,
  outline: `M-124,-6H124V-4.4H142L144,-2.6V2.6L142,4.4H124V6H-124V4.4H-142L-144,2.6V-2.6L-142,-4.4H-124Z`,
  strokes: [
    body("M-124,-6H124V-4.4H142L144,-2.6V2.6L142,4.4H124V6H-124V4.4H-142L-144,2.6V-2.6L-142,-4.4H-124Z"),
    hair("M-124,2.6H124M-124,4H124", true),
    ...shaftHalf(1),
    ...shaftHalf(-1),
    flats(-120),
    flats(109),
  ],
};

const BLOCK_OUTSIDE = "M-84,0L-84,57L-69,57L-69,46L-60,42L60,42L69,46L69,57L84,57L84,0Z";
const blockUpper = (s: 1 | -1) => {
  const x = (v: number) => s * v;
  return `M${x(84)},-47.2L${x(84)},-46C${x(76)},-45 ${x(68)},-40 ${x(64)},-30L${x(63.6)},-29L${x(22)},-29L${x(22)},-42L${x(60)},-42L${x(69)},-46L${x(69)},-47.2Z`;
};
const centreBlock: Glyph = {
  left: -84,
  right: 84,
  radius: 74,
  outline: "M-84,-57H-69V-46L-60,-42H-56V-74H56V-42H60L69,-46V-57H84V57H69V46L60,42H-60L-69,46V57H-84Z",
  strokes: [
    body(BLOCK_OUTSIDE),
    turned(BLOCK_OUTSIDE, 57, 12),
    hair("M69,0V46M-69,0V46M60,0V42M-60,0V42"),
    body(disc(0, 23, 13)),
    hair(`${disc(0, 23, 9.4)}M-7.5,17.5H7.5M-9.2,20.5H9.2M-9.4,23.5H9.4M-8.6,26.5H8.6M-6.4,29.5H6.4`),
    body(disc(-38, 23, 8.5)),
    solid(disc(-38, 23, 5.2)),
    body(box(30, 15, 50, 30)),
    hair("M33,19.5H47M33,22.5H47M33,25.5H42"),
    hollow("M-84,0L-84,-57L-69,-57L-69,-46L-60,-42L60,-42L69,-46L69,-57L84,-57L84,0Z"),
    ...([1, -1] as const).flatMap((s) => [
      cut(`M${84 * s},-52.8V-57H${69 * s}V-52.8Z`, "pla"),
      cut(blockUpper(s), "pla"),
      hair(`M${84 * s},-52.8V0M${69 * s},-52.8V-47.2`),
    ]),
    cut(
      "M0,-6.2H9V-11H16V-6.2H42V-11H49V-6.2H60V-14C60,-18 60.6,-21 61.5,-24H16V-42H-16V-24H-61.5C-60.6,-21 -60,-18 -60,-14V-6.2H-49V-11H-42V-6.2H-16V-11H-9V-6.2Z",
      "pla",
    ),
    solid(box(9, -11, 16, -6.4)),
    solid(box(42, -11, 49, -6.4)),
    solid(box(-16, -11, -9, -6.4)),
    solid(box(-49, -11, -42, -6.4)),
    cut("M-56,-42V-74H56V-42H22V-48.5H16V-42H-16V-48.5H-22V-42ZM-47,-67.5V-48.5H47V-67.5Z", "met2"),
    hollow(box(-47, -67.5, 47, -48.5)),
    body("M-42,-61.5H34V-54.5H-42Z"),
    ...[
      [-44, 11],
      [-15, 12],
      [8, 6],
      [26, 11],
    ].flatMap(([x = 0, w = 0]) => [
      body(box(x, -67, x + w, -49)),
      solid(box(x + w / 2 - 1.4, -67.4, x + w / 2 + 1.4, -48.6)),
    ]),
    body(box(-62, -68, -56, -48)),
    body(box(56, -68, 62, -48)),
    hair("M-62,-61H-56M-62,-55H-56M56,-61H62M56,-55H62"),
  ],
};

const MANIFOLD_LOWER = "M-58,0V20H-52V12H-35V35Q-35,45 -25,45H-8V49H0V11H-8V15H-13V0Z";
const manifold: Glyph = {
  left: -58,
  right: 0,
  radius: 49,
  outline:
    "M-58,-20H-52V-12H-35V-35Q-35,-45 -25,-45H-8V-49H0V-11H-8V-15H-13V15H-8V11H0V49H-8V45H-25Q-35,45 -35,35V12H-52V20H-58Z",
  strokes: [
    body(MANIFOLD_LOWER),
    hair(
      "M-52,0V12M-8,15V45M-35,12H-13M-31.5,14V35Q-31.5,41.5 -24,41.5H-8M-29,14V34Q-29,38 -23,38.5H-8M-16,14V0",
      true,
    ),
    cut(
      "M-58,0V-20H-52V-12H-35V-35Q-35,-45 -25,-45H-8V-49H0V-11H-8V-15H-13V0ZM-58,0V-7.5H-30V-34Q-30,-40 -24,-40H0V-20H-18V0Z",
      "pla",
    ),
    hollow("M-58,0V-7.5H-30V-34Q-30,-40 -24,-40H0V-20H-18V0Z"),
    hair("M-58,0V-7.5M0,-40V-20M-58,0H-13"),
  ],
};

const balls: Glyph = {
  left: -13,
  right: 13,
  radius: 43,
  outline: `${disc(0, -30, 13)}${disc(0, 30, 13)}`,
  strokes: [
    rubber(disc(0, -30, 13)),
    body(disc(0, 30, 13)),
    hair(`${disc(-2.6, 27, 8)}${disc(-2, 28, 10.4)}`, true),
    hair("M-7,27A8,8 0 0 1 -1.5,22.5"),
  ],
};

const seats: Glyph = {
  left: -6,
  right: 6,
  radius: 48,
  outline: `${box(-6, -48, 6, -12)}${box(-6, 12, 6, 48)}`,
  strokes: [
    hollow(box(-6, -47, 6, -13)),
    hair("M-6,-47V-13M6,-47V-13M0,-40V-20"),
    cut("M-6,-47H6V-40H0L-6,-44.5Z"),
    cut("M-6,-13H6V-20H0L-6,-15.5Z"),
    body(box(-6, 13, 6, 47)),
    hair("M-6,15.5H0V44.5H-6M-6,18H6M-6,22H6M-6,38H6M-6,41H6M1.5,13V47M4.5,13V47"),
  ],
};

/** Two O-rings, seen as the dots of their section where they sit. */
const oRings: Glyph = {
  left: -5,
  right: 5,
  radius: 47,
  outline: [-45, -15, 15, 45].map((y) => disc(0, y, 3)).join(""),
  strokes: [-45, -15, 15, 45].map((y) => rubber(disc(0, y, 2.6))),
};

const airCap: Glyph = {
  left: -18,
  right: 16,
  radius: 57,
  outline: "M-18,-57H-4V-46C4,-44 12,-34 16,-14V14C12,34 4,44 -4,46V57H-18Z",
  strokes: [
    body("M-18,0V57H-4V46C4,44 12,34 16,14V0Z"),
    turned("M-18,0V57H-4V46C4,44 12,34 16,14V0Z", 57, 11),
    hair("M-4,0V46"),
    hollow(box(-18, -14, 16, 0)),
    cut("M-18,-57H-4V-46C4,-44 12,-34 16,-14V-6H-18V-40C-10,-38 -8,-30 -8,-14H-18Z", "pla"),
    hair("M-18,0H16M-18,-52.8H-4"),
  ],
};

const lipSeal: Glyph = {
  left: -7,
  right: 7,
  radius: 18,
  outline: box(-7, -18, 7, 18),
  strokes: [
    body(box(-7, 0, 7, 18)),
    turned(box(-7, 0, 7, 18), 18, 6),
    rubber("M-7,-18H7V-12H0L-5,-6L-7,-7L-3,-13V-18Z"),
    hair("M-7,0H7M7,-12V0"),
  ],
};

const pins: Glyph = {
  left: -24,
  right: 24,
  radius: 20,
  outline: `${box(-24, -18, 24, -8)}${box(-24, 8, 24, 18)}`,
  strokes: [-13, 13].flatMap((y) => [
    body(
      `M-22,${y - 5}H18L24,${y - 2}V${y + 2}L18,${y + 5}H-22Q-24,${y + 5} -24,${y + 3}V${y - 3}Q-24,${y - 5} -22,${y - 5}Z`,
    ),
    hair(`M18,${y - 5}V${y + 5}M-20,${y + 2.5}H17`, true),
  ]),
};

const piston: Glyph = {
  left: -22,
  right: 22,
  radius: 14,
  outline: "M-22,-14H-12V-7H12V-14H22V14H12V7H-12V14H-22Z",
  strokes: [
    body("M-22,-14H-12V-7H12V-14H22V14H12V7H-12V14H-22Z"),
    solid(box(-18.5, -14.6, -15.5, 14.6)),
    solid(box(15.5, -14.6, 18.5, 14.6)),
    hair("M-12,-7V7M12,-7V7M-12,4H12"),
  ],
};

const spool: Glyph = {
  left: -46,
  right: 46,
  radius: 15,
  outline: "M-46,-15H-28V-6H-8V-11H8V-6H28V-13H46V13H28V6H8V11H-8V6H-28V15H-46Z",
  strokes: [
    body("M-46,-15H-28V-6H-8V-11H8V-6H28V-13H46V13H28V6H8V11H-8V6H-28V15H-46Z"),
    solid(box(-39, -15.6, -35, 15.6)),
    solid(box(35, -13.6, 39, 13.6)),
    hair("M-28,-6V6M28,-6V6M-8,-6V6M8,-6V6M-28,3.6H-8M8,3.6H28"),
  ],
};

const valveBlock: Glyph = {
  left: -58,
  right: 58,
  radius: 30,
  outline: box(-58, -30, 58, 30),
  strokes: [
    body(box(-58, 0, 58, 30)),
    hair("M-58,22H58M-50,22V30M-20,22V30M20,22V30M50,22V30"),
    cut("M-58,-30H58V0H-58ZM-50,-20V-4H50V-20Z", "met2"),
    hollow(box(-50, -20, 50, -4)),
    hair(`M-58,0H58${disc(-48, 14, 3)}${disc(0, 14, 3)}${disc(48, 14, 3)}`),
  ],
};

const endCap: Glyph = {
  left: -10,
  right: 10,
  radius: 24,
  outline: "M-10,-24H2V-14H10V14H2V24H-10Z",
  strokes: [
    body("M-10,0V24H2V14H10V0Z"),
    hair("M2,0V14M-10,18H2"),
    cut("M-10,-24H2V-14H10V0H-10Z", "met"),
    solid(box(5, -15, 8, -12)),
  ],
};

const gasket: Glyph = {
  left: -4,
  right: 4,
  radius: 34,
  outline: box(-4, -34, 4, 34),
  strokes: [rubber(box(-2.4, -34, 2.4, 0)), body(box(-4, 0, 4, 34)), hair("M-4,8H4M-4,16H4M-4,24H4")],
};

const slidePlate: Glyph = {
  left: -7,
  right: 5,
  radius: 22,
  outline: box(-7, -22, 5, 22),
  strokes: [body(box(-7, 0, 5, 22)), hair("M5,0V22M1,0V22"), cut(box(-7, -22, 5, 0), "fine"), hair("M1,-22V22")],
};

const slideInsert: Glyph = {
  left: -8,
  right: 8,
  radius: 22,
  outline: box(-8, -22, 8, 22),
  strokes: [
    body(box(-8, 0, 8, 22)),
    cut("M-8,-22H8V-17H-1V-5H8V0H-8Z", "fine"),
    hair("M-8,0H8M8,-17V-5M-1,6H8M-1,16H8"),
  ],
};

const spring: Glyph = {
  left: -18,
  right: 18,
  radius: 15,
  outline: box(-18, -15, 18, 15),
  strokes: [
    hair("M-18,-13V13M18,-13V13"),
    body("M-18,13L-12,-13L-6,13L0,-13L6,13L12,-13L18,13L16,14L12,-9L6,14L0,-9L-6,14L-12,-9L-17,14Z"),
  ],
};

/** O-rings in the lands of a sleeve, and in the face of an end cap. */
const ringsAt = (places: [number, number][]): Glyph => ({
  left: Math.min(...places.map(([x]) => x)) - 3,
  right: Math.max(...places.map(([x]) => x)) + 3,
  radius: Math.max(...places.map(([, y]) => Math.abs(y))) + 3,
  outline: places.map(([x, y]) => disc(x, y, 2.6)).join(""),
  strokes: places.map(([x, y]) => rubber(disc(x, y, 2.2))),
});
const onSleeve = ringsAt([-22, -8, 8, 22].map((x) => [x, -18]));
const onCap = ringsAt([
  [0, -15],
  [0, 15],
]);

/** O-rings out of their grooves: rings seen from the front. */
const looseRings: Glyph = {
  left: -24,
  right: 24,
  radius: 24,
  outline: disc(0, 0, 22),
  strokes: [rubber(`${disc(-5, 3, 18)}${disc(-5, 3, 13)}`), rubber(`${disc(5, -3, 18)}${disc(5, -3, 13)}`)],
};

const unknownPart: Glyph = {
  left: -16,
  right: 16,
  radius: 26,
  outline: box(-16, -26, 16, 26),
  strokes: [body(box(-16, -26, 16, 26)), hair("M-16,0H16M-16,-26L16,26", true)],
};

/** The same part in metal: plastic hatching becomes metal hatching. */
const inMetal = (g: Glyph): Glyph => ({
  ...g,
  strokes: g.strokes.map((s) => (s.as === "cut" && s.of === "pla" ? { ...s, of: "met" } : s)),
});

interface ShapeFile {
  left: number;
  right: number;
  radius: number;
  outline: string;
  strokes: (Partial<Shape> & Partial<Lettering>)[];
}

const fromShapes = (shape: ShapeFile): Glyph => ({
  ...shape,
  strokes: shape.strokes.map((s) =>
    s.text === undefined
      ? { as: "shape", ...(s as Shape) }
      : { as: "lettering", text: s.text, x: s.x ?? 0, y: s.y ?? 0, size: s.size ?? 9 },
  ),
});

const SHAPES: Record<string, ShapeFile> = { ...cavity, ...linear, ...lobe, ...magnetic, ...oil, ...plan };

const GLYPHS: Record<string, Glyph> = {
  "fluid-chamber": inMetal(fluidCap),
  "manifold-metal": inMetal(manifold),
  "centre-section": inMetal(centreBlock),
  "air-cap-metal": inMetal(airCap),
  "fluid-cap": fluidCap,
  "outer-plate": outerPlate,
  diaphragm,
  backup,
  "inner-plate": innerPlate,
  shaft,
  "centre-block": centreBlock,
  manifold,
  balls,
  seats,
  "o-rings": oRings,
  "o-rings-on-sleeve": onSleeve,
  "o-rings-on-cap": onCap,
  "o-rings-loose": looseRings,
  "air-cap": airCap,
  "lip-seal": lipSeal,
  bushing: sleeve(-22, 22, 17, 10),
  sleeve: sleeve(-34, 34, 20, 14, [-22, -8, 8, 22]),
  piston,
  pins,
  "valve-block": valveBlock,
  "end-cap": endCap,
  spool,
  gasket,
  "slide-plate": slidePlate,
  "slide-insert": slideInsert,
  spring,
};

/** The glyph of that name; a plain crossed box where the vocabulary has none. */
export function glyph(name: string): Glyph {
  const shape = SHAPES[name];
  return (GLYPHS[name] ??= shape ? fromShapes(shape) : unknownPart);
}

/** Every name the vocabulary knows, in alphabetical order. */
export function glyphNames(): string[] {
  return [...new Set([...Object.keys(GLYPHS), ...Object.keys(SHAPES)])].filter((n) => glyph(n) !== unknownPart).sort();
}

/** The glyph of a part that lies on its own, away from the joint it belongs to. */
export function loose(name: string): string {
  return name.startsWith("o-rings") ? "o-rings-loose" : name;
}
