// Writes src/api/bounds.ts from the API description: how long each text of a request may be, and
// from where to where each number goes. The screens show these; the server holds them.
import { readFileSync, writeFileSync } from "node:fs";

const { paths, components } = JSON.parse(readFileSync("src/api/openapi.json", "utf8"));

/** Adds what a schema refers to, and what that refers to. */
function gather(schema, into) {
  if (typeof schema !== "object" || schema === null) return;
  const name = schema.$ref?.split("/").at(-1);
  if (name && !into.has(name)) {
    into.add(name);
    gather(components.schemas[name], into);
  }
  for (const inside of Object.values(schema)) gather(inside, into);
}

/** Properties of a schema, of what it is made of too. */
const properties = (schema) => Object.assign({}, ...(schema.allOf ?? []).map(properties), schema.properties);

const asked = new Set();
for (const operations of Object.values(paths))
  for (const operation of Object.values(operations)) gather(operation.requestBody, asked);

/** Bounds no one types against: the largest number of all, a file. */
const LARGEST = 1e12;
const LONGEST = 1e5;

const texts = {};
const numbers = {};
for (const name of [...asked].sort())
  for (const [field, s] of Object.entries(properties(components.schemas[name]))) {
    if (s.maxLength <= LONGEST) texts[`${name}.${field}`] = s.maxLength;
    if (s.maximum < LARGEST) numbers[`${name}.${field}`] = [s.minimum, s.maximum];
  }

writeFileSync(
  "src/api/bounds.ts",
  `// Made from the API description; see build/bounds.mjs.

/** Most characters of each text of a request. */
export const TEXTS = ${JSON.stringify(texts, null, 2)} as const;

/** Least and most of each number of a request, in the unit of its field. */
export const NUMBERS = ${JSON.stringify(numbers, null, 2)} as const;
`,
);
